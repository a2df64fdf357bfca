import { finding } from '../../trade/findings';
import { FINE, type Reason } from '../types';

/** Longer than this nobody keeps a thermostat. Years. */
const LONG_YEARS = 10;

const yearsText = (years: number) =>
  years === Infinity ? 'never' : years < 1 ? 'under a year' : `${years.toFixed(years < 3 ? 1 : 0)} years`;

/** The middle, with its limits where they differ from it. */
function bandText(low: number, mid: number, high: number): string {
  const [soon, middle, late] = [low, mid, high].map(yearsText);
  return soon === late ? `${middle}` : `${middle} (${soon} to ${late})`;
}

/** Is anything to be saved, and does it pay. */
export const payBack: Reason = {
  id: 'pay-back',
  weigh({ job, study }) {
    const { saving, outlay } = study;
    const because = ['survey:habits', 'survey:building'];
    if (!saving.possible) {
      const why = saving.why ?? 'the saving would be next to nothing';
      const text = `It will not pay: ${why}. Buy one only to reach it from outside, or for what it shows.`;
      return { asks: 'leave', findings: [finding('warn', 'pays-nothing', text, because)] };
    }
    if (job.survey.habits.home === 'unknown') return FINE;
    const { low, mid, high } = saving.payBackYears;
    const band = `saves about $${saving.dollars.mid.toFixed(0)} a year ($${saving.dollars.low.toFixed(0)} to $${saving.dollars.high.toFixed(0)}), and $${outlay.toFixed(0)} are back in ${bandText(low, mid, high)}`;
    if (mid > LONG_YEARS)
      return {
        asks: 'nothing',
        findings: [finding('warn', 'pay-back-long', `It hardly pays: it ${band}.`, because)]
      };
    return {
      asks: 'nothing',
      findings: [finding('note', 'pays-back', `By the house model it ${band}.`, because)]
    };
  }
};
