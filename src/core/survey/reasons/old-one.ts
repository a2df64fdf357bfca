import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { FINE, type Reason } from '../types';

/** A new thermostat mends no furnace. */
export const oldOne: Reason = {
  id: 'old-one',
  weigh({ job }) {
    if (job.survey.oldOneWorks !== 'no') return FINE;
    return {
      asks: 'prepare',
      findings: [finding('warn', 'old-one-broken', {}, [ref.survey('oldOneWorks')])]
    };
  }
};
