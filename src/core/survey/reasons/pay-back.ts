import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { FINE, type Reason } from '../types';

/** Longer than this nobody keeps a thermostat. Years. */
const LIFE_YEARS = 10;

/**
 * Is anything to be saved, and does it pay. Said once for the house, at the place where its figures stand; where nothing is laid out, nothing
 * has to be paid back.
 */
export const payBack: Reason = {
  id: 'pay-back',
  weigh({ job, thermostat, study, savingAt }) {
    if (savingAt !== thermostat.id) return FINE;
    const { saving, outlay, thermostats } = study;
    const because = [ref.survey('habits'), ref.survey('building')];
    if (saving.costs)
      return {
        asks: 'nothing',
        findings: [finding('warn', 'setback-costs', { dollars: -saving.dollars.mid }, because)]
      };
    if (!saving.possible) {
      if (outlay === 0) return FINE;
      return { asks: 'leave', findings: [finding('warn', 'pays-nothing', { why: saving.why }, because)] };
    }
    const slow =
      saving.recovery !== null && saving.recovery.coldH >= LONG_RECOVERY_H
        ? [finding('note', 'recovery-long', saving.recovery, [ref.survey('building')])]
        : [];
    if (job.survey.habits.home === 'unknown') return { asks: 'nothing', findings: slow };
    const fact = { dollars: saving.dollars, outlay, years: saving.payBackYears, thermostats };
    return fact.years.mid > LIFE_YEARS
      ? { asks: 'leave', findings: [finding('warn', 'pay-back-long', fact, because), ...slow] }
      : { asks: 'nothing', findings: [finding('note', 'pays-back', fact, because), ...slow] };
  }
};

/** A house that takes so long on a cold day to be warm again is felt. Hours. */
const LONG_RECOVERY_H = 5;
