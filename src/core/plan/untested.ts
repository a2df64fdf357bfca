/** Single calls that the thermostat can make as it is wired now, and that nobody has tested, put off or given up. */
import { reachableCalls } from '../devices/reach';
import type { Thermostat } from '../job/schema';
import type { Call } from '../trade/calls';
import type { Plan } from './plan';

export function untestedCalls(
  plan: Pick<Plan, 'options' | 'taken' | 'wiringNow'>,
  { tests }: Pick<Thermostat, 'tests'>
): Call[] {
  const world = plan.options.find(({ method }) => method === plan.taken)?.proof?.worlds[0]?.world;
  if (!world) return [];
  const done = new Set<string>(tests.map(({ call }) => call));
  return reachableCalls(plan.wiringNow, world).filter((call) => call !== 'idle' && !done.has(call));
}
