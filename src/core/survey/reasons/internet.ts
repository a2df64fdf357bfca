import { finding } from '../../trade/findings';
import { FINE, type Reason } from '../types';

export const internet: Reason = {
  id: 'internet',
  weigh({ job, device }) {
    if (job.survey.internet !== 'none' || device?.wifiBands.startsWith('none')) return FINE;
    const text =
      'There is no working connection in the house: a connected thermostat would be an ordinary one. Get the connection first, or buy an ordinary one.';
    return { asks: 'prepare', findings: [finding('warn', 'no-internet', text, ['survey:internet'])] };
  }
};
