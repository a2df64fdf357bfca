import { dayText } from '../../trade/figures';
import { finding } from '../../trade/findings';
import { firstDayWithHours } from '../house-study';
import { FINE, type Reason } from '../types';

/** Hours with no thermostat on the wall against the hours that the house stays warm, in the worst case of the band. */
export const wallWork: Reason = {
  id: 'wall-work',
  weigh({ job, thermostat, study }) {
    const needs = study.withoutHeatH;
    const stays = study.workDay.hours.low;
    if (stays >= needs) return FINE;
    const because = [thermostat.id, 'survey:building'];
    const until = firstDayWithHours(study, job.survey, needs);
    const dries = study.tasks.some((one) => one.drying);
    const instead = dries
      ? ' A cover plate needs no drying; or hang the old thermostat back on its wires, held clear of the wet wall, while it dries.'
      : ' Warm the house well beforehand, and have another heater at hand.';
    const text = `The wall work leaves the house ${needs.toFixed(1)} h without heat; it may be below ${job.survey.lowestC} °C after ${stays.toFixed(1)} h.${instead}${until ? ` By the weather of ${study.weather.name} the first day that suits is ${dayText(until)}.` : ''}`;
    return { asks: 'wait', until, findings: [finding('warn', 'drying-too-long', text, because)] };
  }
};
