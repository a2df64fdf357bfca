/** What is set up, tested and handed over: the wiring that the work ends with, in every world that is still believable. */
import { controlOf, reachableCalls, reachableSets, type NewControl } from '../devices/reach';
import type { World } from '../devices/world';
import { finding, isStop, type Finding } from '../findings/finding';
import { worldsOf, type WeightedWorld } from '../identify/worlds';
import type { Job, Thermostat } from '../job/schema';
import type { Plan } from '../plan/plan';
import { stopFindings } from '../safety/standing';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';

export interface Finished {
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly plan: Plan;
  readonly wiring: Wiring;
  readonly control: NewControl;
  /** The likeliest first. What somebody states is taken at its word here: it is what the thermostat will be told. */
  readonly worlds: readonly WeightedWorld[];
  /** `now`: every step is done; `after`: as it will be. */
  readonly which: 'now' | 'after';
}

/** The wiring that the work ends with, or why there is none to set up. */
export function finishedOf(job: Job, thermostat: Thermostat, plan: Plan): Finished | Finding {
  const stop = [...stopFindings(thermostat), ...plan.identification.findings].find(isStop);
  if (stop) return stop;
  const taken = plan.options.find(({ method }) => method === plan.taken);
  if (taken?.verdict === 'no') return finding('stop', 'system-unknown', { what: 'no-wiring-after' });
  const left = plan.moves.length > 0;
  const wiring = left ? plan.wiringAfter : plan.wiringNow;
  const control = wiring && controlOf(wiring);
  if (!wiring || !control || control.kind === 'old-thermostat')
    return finding('stop', 'system-unknown', { what: 'no-wiring-after' });
  const all = worldsOf(plan.identification, plan.wiringFound);
  const { stated, family } = plan.identification;
  const worlds = stated ? all.filter(({ world }) => world.family === family) : all;
  if (worlds.length === 0) return finding('stop', 'system-unknown', { what: 'nothing-to-power' });
  return { job, thermostat, plan, wiring, control, worlds, which: left ? 'after' : 'now' };
}

/** Every call and every set of calls that the thermostat can make here, in some believable world. */
export function callsIn({ wiring, worlds }: Pick<Finished, 'wiring' | 'worlds'>): Call[] {
  const single = worlds.flatMap(({ world }) => reachableCalls(wiring, world));
  const sets = worlds.flatMap(({ world }) => reachableSets(wiring, world));
  return [...new Set([...single, ...sets])];
}

/** What every world says alike, or null where they differ. */
export function agreed<T>(worlds: readonly WeightedWorld[], of: (world: World) => T): T | null {
  const said = worlds.map(({ world }) => of(world));
  const [first] = said;
  return first !== undefined && said.every((candidate) => candidate === first) ? first : null;
}
