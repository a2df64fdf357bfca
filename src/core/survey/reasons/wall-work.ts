import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { firstDayWithHours } from '../house-study';
import { FINE, type Reason } from '../types';

/** Hours with no thermostat on the wall against the hours that the house stays warm, in the worst case of the band. */
export const wallWork: Reason = {
  id: 'wall-work',
  weigh({ job, thermostat, study }) {
    if (study.workDay === null) return FINE;
    const { frail, pipesCanFreeze } = job.survey;
    // Where the cold hurts somebody or something, the work is taken to end late.
    const hurts = frail === 'yes' || pipesCanFreeze === 'yes';
    const needs = hurts ? study.withoutHeatH.late : study.withoutHeatH.usual;
    const stays = study.workDay.hours.low;
    if (stays >= needs) return FINE;
    const because = [ref.thermostat(thermostat.id), ref.survey('building')];
    const until = firstDayWithHours(study, job.survey, needs);
    const dries = study.tasks.some((task) => task.drying);
    const fact = {
      needsH: needs,
      staysH: stays,
      lowestC: job.survey.lowestC,
      dries,
      weather: study.weather.name,
      until
    };
    return { asks: 'wait', until, findings: [finding('warn', 'drying-too-long', fact, because)] };
  }
};
