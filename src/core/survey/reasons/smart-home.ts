import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import { FINE, type Reason } from '../types';

/** What else in the home it has to work with, against what its sheet says. A sheet that is silent is not taken as a yes. */
export const smartHome: Reason = {
  id: 'smart-home',
  weigh({ job, device }) {
    const wanted = job.survey.worksWith;
    if (wanted.length === 0 || !device) return FINE;
    const because = [ref.survey('worksWith'), ref.device(device.id)];
    const known = device.worksWith;
    const missing = known === null ? wanted : wanted.filter((system) => !known.includes(system));
    if (missing.length === 0) return FINE;
    const fact = { model: device.model, systems: missing, said: known !== null };
    return { asks: 'nothing', findings: [finding('warn', 'works-not-with', fact, because)] };
  }
};
