import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { FINE, type Reason } from '../types';

export const internet: Reason = {
  id: 'internet',
  weigh({ job, device }) {
    if (job.survey.internet !== 'none' || device?.wifiBands.startsWith('none')) return FINE;
    return { asks: 'prepare', findings: [finding('warn', 'no-internet', {}, [ref.survey('internet')])] };
  }
};
