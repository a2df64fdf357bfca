import { ref } from '../../findings/refs';
import { finding, type Finding } from '../../findings/finding';
import { FINE, type Reason } from '../types';

/** People and pipes that do not stand the cold: the hours without heat are planned first. */
export const people: Reason = {
  id: 'people',
  weigh({ job, study }) {
    const { frail, pipesCanFreeze, lowestC } = job.survey;
    if (study.workDay === null) return FINE;
    const { outdoorC } = study.workDay;
    const cold = outdoorC.slice(0, 24).some((candidate) => candidate < 5);
    const found: Finding[] = [];
    if (frail === 'yes' && cold)
      found.push(finding('warn', 'frail-people', { lowestC }, [ref.survey('frail')]));
    if (pipesCanFreeze === 'yes' && outdoorC.slice(0, 48).some((candidate) => candidate < 0))
      found.push(finding('warn', 'pipes-can-freeze', {}, [ref.survey('pipesCanFreeze')]));
    return found.length === 0 ? FINE : { asks: 'nothing', findings: found };
  }
};
