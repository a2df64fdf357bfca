import { finding } from '../../trade/findings';
import { FINE, type Reason } from '../types';

/** A new thermostat mends no furnace. */
export const oldOne: Reason = {
  id: 'old-one',
  weigh({ job }) {
    if (job.survey.oldOneWorks !== 'no') return FINE;
    const text =
      'The old system does not work today. A new thermostat mends no machine: have the cause found first, or the two faults will look like one.';
    return { asks: 'prepare', findings: [finding('warn', 'old-one-broken', text, ['survey:oldOneWorks'])] };
  }
};
