/** What a diagnosis of a plan's wiring starts from: as found, as it is now, or as it would be once all is done. */
import { isStop, type Finding } from '../findings/finding';
import type { WiringState } from '../job/bench-schema';
import type { Thermostat } from '../job/schema';
import { stopFindings } from '../safety/standing';
import { powerable } from '../plan/powered';
import type { Plan } from '../plan/plan';
import { nowOf } from '../wiring/now';
import { touchedBy, UNTOUCHED, type Touched } from './causes/touched';
import type { DiagnosisRequest } from './diagnosis';

export function diagnosisRequest(
  plan: Plan,
  thermostat: Thermostat,
  which: WiringState
): Omit<DiagnosisRequest, 'points'> | Finding {
  // An open stop, mains, and what nobody may measure on: the stop is the answer.
  const stop = [...stopFindings(thermostat), ...plan.identification.findings].find(isStop);
  if (stop) return stop;
  const subject = powerable(plan, which);
  if ('code' in subject) return subject;
  const { wiring, world } = subject;
  return { wiring, world, touched: touchedIn(plan, thermostat, which) };
}

function touchedIn(plan: Plan, thermostat: Thermostat, which: WiringState): Touched {
  if (which === 'found') return UNTOUCHED;
  const { done } = nowOf(plan.wiringFound, thermostat.log);
  if (which === 'now') return touchedBy(done);
  const left = plan.moves.map(({ action, end, what, from, to, change }) => ({
    act: { action, end, what, from, to },
    change
  }));
  return touchedBy([...done, ...left]);
}
