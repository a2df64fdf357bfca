import { finding, type Finding } from '../../trade/findings';
import { FINE, type Reason } from '../types';

/** People and pipes that do not stand the cold: the hours without heat are planned first. */
export const people: Reason = {
  id: 'people',
  weigh({ job, study }) {
    const { frail, pipesCanFreeze, lowestC } = job.survey;
    const cold = study.workDay.outdoorC.slice(0, 24).some((one) => one < 5);
    const found: Finding[] = [];
    if (frail === 'yes' && cold)
      found.push(
        finding(
          'warn',
          'frail-people',
          `Somebody old, ill or very young lives there, and it is cold on that day: have another heater running before the heating goes off, and stop at ${lowestC} °C.`,
          ['survey:frail']
        )
      );
    if (pipesCanFreeze === 'yes' && study.workDay.outdoorC.slice(0, 48).some((one) => one < 0))
      found.push(
        finding(
          'warn',
          'pipes-can-freeze',
          'Pipes may freeze on that day: plan the hours without heat, let taps drip in the cold rooms, and do not leave the house off overnight.',
          ['survey:pipesCanFreeze']
        )
      );
    return found.length === 0 ? FINE : { asks: 'nothing', findings: found };
  }
};
