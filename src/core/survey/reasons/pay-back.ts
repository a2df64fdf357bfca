import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { FINE, type Reason } from '../types';

/** Longer than this nobody keeps a thermostat. Years. */
const LONG_YEARS = 10;

/** Is anything to be saved, and does it pay. */
export const payBack: Reason = {
  id: 'pay-back',
  weigh({ job, study }) {
    const { saving, outlay } = study;
    const because = [ref.survey('habits'), ref.survey('building')];
    if (!saving.possible) {
      return { asks: 'leave', findings: [finding('warn', 'pays-nothing', { why: saving.why }, because)] };
    }
    if (job.survey.habits.home === 'unknown') return FINE;
    const fact = { dollars: saving.dollars, outlay, years: saving.payBackYears };
    return {
      asks: 'nothing',
      findings: [
        fact.years.mid > LONG_YEARS
          ? finding('warn', 'pay-back-long', fact, because)
          : finding('note', 'pays-back', fact, because)
      ]
    };
  }
};
