/**
 * Today is judged by the same yardstick as a plan: what the equipment should start for each call, and what hurts it. A house that is being
 * harmed is no house to leave as it is, and what was dead yesterday is no loss of tomorrow's.
 */
import { expectedLoads, running, uncalledIn } from '../circuit/expected';
import { simulate } from '../circuit/simulate';
import { casesIn } from '../circuit/supply-cases';
import { callsOf, combinedCallsOf } from '../devices/calls';
import { worldKey, type World } from '../devices/world';
import { finding, sortFindings, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import type { WeightedWorld } from '../identify/worlds';
import { isCombined, type Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { recently } from '../trade/recent';
import { acrossWorlds } from './across-worlds';
import { circuitKey } from './proof-memory';
import { heldFindings } from './held';
import { worstHarm } from './proof-findings';
import { newWith } from './rows';

/** What is wrong with a wiring in one world. */
export interface Wrongs {
  readonly world: World;
  readonly harms: readonly Finding[];
  /** Loads that a call should start and does not. */
  readonly dead: readonly { readonly call: Call; readonly loads: readonly LoadId[] }[];
}

/** What is wrong in each world; a world without a circuit has nothing to say. `calls`: those of this wiring, unless others are asked for. */
export function wrongsOf(
  wiring: Wiring,
  worlds: readonly WeightedWorld[],
  as: Wiring = wiring
): readonly Wrongs[] {
  const names = worlds.map(({ world }) => `${world.id} ${worldKey(world)} ${world.says}`).join(';');
  const key = `${circuitKey(wiring)} ${as === wiring ? '' : circuitKey(as)} ${names}`;
  return judged(key, () => allWrongs(wiring, worlds, as));
}

/** An edit that moves no wire, and a repair that is tried again, find here what was found of their circuit. */
const judged = recently<readonly Wrongs[]>(300);

function allWrongs(wiring: Wiring, worlds: readonly WeightedWorld[], as: Wiring): Wrongs[] {
  return worlds.flatMap(({ world }) => {
    const made = wrongsIn(wiring, world, [...callsOf(world, as), ...combinedCallsOf(world, as)]);
    return made ? [made] : [];
  });
}

function wrongsIn(wiring: Wiring, world: World, calls: readonly Call[]): Wrongs | null {
  const harms: Finding[] = [];
  const dead: { call: Call; loads: LoadId[] }[] = [];
  const cases = casesIn(wiring, world);
  for (const call of calls) {
    const results = cases.map((supplyCase) => simulate(wiring, world, call, supplyCase));
    const solved = results.flatMap((result) => (result.ok ? [result.result] : []));
    const [plain] = solved;
    if (!plain || solved.length < results.length) return null;
    const expected = expectedLoads(call, world);
    const on = running(plain.loads);
    const missing = expected.filter((load) => !on.includes(load));
    // Of a call that asks for several things: what none of them leaves dead by itself.
    const fresh = missing.filter(
      (load) => !isCombined(call) || !dead.some((candidate) => candidate.loads.includes(load))
    );
    if (fresh.length > 0) dead.push({ call, loads: fresh });
    // In any case of polarity and bonding: an earth that ties two commons lends a coil its way back.
    const ever = [...new Set(solved.flatMap((result) => running(result.loads)))];
    const uncalled = uncalledIn(ever, call, world);
    const own = worstHarm(solved).filter((harm) => harm.level === 'stop');
    if (uncalled.length > 0)
      own.push(finding('stop', 'load-runs-uncalled', { call, loads: uncalled }, [ref.call(call)]));
    harms.push(...newWith(own, harms));
  }
  harms.push(...heldFindings(wiring, world, calls));
  return { world, harms, dead };
}

/** What is said of today: each wrong once, with the worlds in which it is so. */
export function todayFindings(wrongs: readonly Wrongs[]): Finding[] {
  const outcomes = wrongs.map(({ world, harms, dead }) => ({
    world,
    findings: [
      ...harms,
      ...dead.map(({ call, loads }) => finding('warn', 'dead-today', { call, loads }, [ref.call(call)]))
    ]
  }));
  return sortFindings(acrossWorlds(outcomes)).map((found): Finding => ({ ...found, today: true }));
}

/** Whether the second wiring is better than the first: in no world is anything wrong that was not, and in some one thing less is. */
export function isBetter(was: readonly Wrongs[], is: readonly Wrongs[]): boolean {
  const count = (all: readonly Wrongs[]) => all.reduce((sum, wrongs) => sum + keysOf(wrongs).size, 0);
  return isNoWorse(was, is) && count(is) < count(was);
}

/** Whether in no world anything is wrong with the second wiring that is not with the first. */
export function isNoWorse(was: readonly Wrongs[], is: readonly Wrongs[]): boolean {
  if (is.length < was.length) return false;
  return was.every((before) => {
    const after = is.find((wrongs) => wrongs.world.id === before.world.id);
    const old = keysOf(before);
    return after !== undefined && [...keysOf(after)].every((key) => old.has(key));
  });
}

function keysOf({ harms, dead }: Wrongs): Set<string> {
  return new Set([
    ...harms.map((harm) => `${harm.code} ${JSON.stringify('call' in harm.params ? harm.params.call : '')}`),
    ...dead.flatMap(({ call, loads }) => loads.map((load) => `${call} ${load}`))
  ]);
}
