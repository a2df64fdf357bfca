/** Beside the hands: whether a move may be made now, what to mind in it, where one may stop, and how long the rest takes at this pace. */
import { callsOf } from '../devices/calls';
import { simulate } from '../circuit/simulate';
import type { LogEntry } from '../job/log-schema';
import type { SafetyStanding } from '../safety/standing';
import type { Call } from '../trade/calls';
import { MoveWriter } from './move-writer';
import { movesBetween } from './moves';
import type { Move } from './move-types';
import type { Plan } from './plan';
import { powerable } from './powered';

/**
 * `stopped`: a stop is open. `licensed`: the way is a licensed person's. `prove-off`: not every supply is proven off today, or power was
 * switched on again since, and this move is made with the hands on wires.
 */
export type Gate = 'open' | 'stopped' | 'licensed' | 'prove-off';

const WITHOUT_HANDS: ReadonlySet<Move['action']> = new Set<Move['action']>(['power-off', 'power-on']);

export function gateOf(
  { action }: Pick<Move, 'action'>,
  safety: Pick<SafetyStanding, 'locked' | 'safe' | 'supplies'>,
  { done, options, taken }: Pick<Plan, 'done' | 'options' | 'taken'>
): Gate {
  if (safety.locked) return 'stopped';
  if (options.find(({ method }) => method === taken)?.verdict === 'pro') return 'licensed';
  const proven = safety.safe && !poweredSince(safety, done);
  return proven || WITHOUT_HANDS.has(action) ? 'open' : 'prove-off';
}

/** The same for a look at screws, fuses and wires; what is seen or measured with the power on is held back by a stop alone. */
export function gateOfLook(
  { power, needs }: { readonly power: 'on' | 'off' | 'either'; readonly needs: string },
  safety: Pick<SafetyStanding, 'locked' | 'safe' | 'supplies'>,
  plan: Pick<Plan, 'done' | 'options' | 'taken'>
): Gate {
  if (safety.locked) return 'stopped';
  if (power !== 'off' && needs !== 'hands') return 'open';
  return safety.safe && !poweredSince(safety, plan.done) ? 'open' : 'prove-off';
}

/** Power was switched on, by the steps, after a supply was proven off: that proof is of the past. */
function poweredSince({ supplies }: Pick<SafetyStanding, 'supplies'>, done: Plan['done']): boolean {
  const on = done.filter(({ act }) => act.action === 'power-on').map(({ at }) => Date.parse(at));
  return supplies.some(({ record }) => record !== null && on.some((time) => time > Date.parse(record.at)));
}

const CAUTIONS: Readonly<Record<Move['action'], string>> = {
  'power-off': 'Watch something that runs stop. A dark display proves nothing.',
  lift: 'Label it first. Hold the wire so that it does not slip back into the wall.',
  land: 'No bare copper outside the screw, no insulation under it. Tug it.',
  link: 'The two screws and no third. Tug both ends.',
  unlink: 'Keep the jumper: the old thermostat needs it if you put it back.',
  cap: 'No bare copper may stick out.',
  splice: 'Tug each wire in the joint.',
  mount: 'Push the wires flat into the wall, so that the head seats.',
  pull: 'Stop when it snags: pulling hard tears the old cable.',
  check: 'Power stays off for this.',
  'power-on': 'Covers and doors on first. Watch for a minute: hum, smell or heat means off at once.'
};

/** What to mind in a move, in the words for the hands. */
export function cautionOf({ action }: Pick<Move, 'action'>): string {
  return CAUTIONS[action];
}

/** The house as it stands in the middle of the work. */
export interface StoppingPoint {
  /** By the steps that were done; a house nobody has switched off is on. */
  readonly power: 'on' | 'off';
  /** Whether it would heat and cool as it stands, once there is power; null for what it does not have, or nobody can solve. */
  readonly heats: boolean | null;
  readonly cools: boolean | null;
  /** Ends of wires that hang free and were landed when the house was found. */
  readonly hanging: number;
}

export function stoppingPoint(plan: Plan): StoppingPoint {
  const off = new Set<string>();
  for (const { act } of plan.done) {
    if (act.action === 'power-off') off.add(act.what);
    if (act.action === 'power-on') off.delete(act.what);
  }
  return {
    power: off.size > 0 ? 'off' : 'on',
    heats: serves(plan, 'heat1', ['burner', 'boiler', 'strips', 'zone-valve', 'compressor']),
    cools: serves(plan, 'cool1', ['compressor']),
    hanging: hangingEnds(plan)
  };
}

/** Whether a call runs what it runs in the house as it was found; solved in the wiring as it is now. */
function serves(plan: Plan, call: Call, loads: readonly string[]): boolean | null {
  const [found, now] = [powerable(plan, 'found'), powerable(plan, 'now')];
  if ('code' in found || 'code' in now) return null;
  if (!callsOf(found.world, found.wiring).some((known) => known === call)) return null;
  const runs = ({ wiring, world }: typeof found) => {
    const solved = simulate(wiring, world, call);
    if (!solved.ok) return null;
    return solved.result.loads.some(({ id, energised }) => energised && loads.includes(id));
  };
  return runs(found) ? runs(now) : null;
}

function hangingEnds({ wiringFound, wiringNow }: Plan): number {
  const now = new Map(wiringNow.strands.map((strand) => [strand.id, strand]));
  return wiringFound.strands
    .flatMap((strand) =>
      (['near', 'far'] as const).map((end) => [strand[end], now.get(strand.id)?.[end]] as const)
    )
    .filter(([was, is]) => was.state === 'landed' && is !== undefined && is.state === 'loose').length;
}

/** The way back to the house as it was found, as a list of its own. */
export function movesBack({ wiringNow, wiringFound }: Pick<Plan, 'wiringNow' | 'wiringFound'>): Move[] {
  return movesBetween(wiringNow, wiringFound);
}

/** What was done and no longer fits the record since that was changed: to be looked at, and taken back, the last first. In words. */
export function stepsBack({ wiringFound, misfits }: Pick<Plan, 'wiringFound' | 'misfits'>): string[] {
  const writer = new MoveWriter(wiringFound);
  return [...misfits].reverse().map(({ act }) => writer.words(act));
}

/** Longer between two steps was a pause, minutes. */
const PAUSE_MINUTES = 45;
/** So many steps are needed before a pace says anything. */
const LEAST_STEPS = 4;

/** Minutes for each step, measured from one tick to the next; null before there are enough. */
export function paceOf(done: readonly Pick<LogEntry, 'at'>[]): number | null {
  const times = done.map(({ at }) => Date.parse(at)).sort((first, second) => first - second);
  const gaps = times
    .slice(1)
    .map((time, at) => (time - times[at]!) / 60_000)
    .filter((minutes) => minutes <= PAUSE_MINUTES);
  // Ticks in a row, made afterwards, measure nothing.
  if (gaps.filter((minutes) => minutes > 0.05).length < LEAST_STEPS) return null;
  return gaps.reduce((sum, minutes) => sum + minutes, 0) / gaps.length;
}
