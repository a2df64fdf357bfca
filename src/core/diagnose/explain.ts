/** What a solved call shows, in words: what runs, what does not and why, as far as the circuit itself tells. */
import { expectedLoads, running } from '../circuit/expected';
import type { Meter } from '../circuit/meter';
import { netlistOf } from '../circuit/netlist';
import type { CallResult } from '../circuit/simulate';
import { rolesCalled } from '../devices/calls';
import type { Coil, Element } from '../devices/elements';
import { roleOf } from '../devices/roles';
import type { World } from '../devices/world';
import { LOAD_NAMES } from '../trade/loads';
import { CALL_NAMES, type LoadId } from '../trade/vocabulary';
import {
  boards,
  hasMark,
  printedMark,
  splitTerminal,
  terminalId,
  type Board,
  type Wiring
} from '../wiring/graph';

export interface Explanation {
  /** One sentence: what runs and what does not. */
  readonly headline: string;
  /** Why not, one sentence each. */
  readonly reasons: readonly string[];
}

export interface Solved {
  readonly wiring: Wiring;
  readonly world: World;
  readonly result: CallResult;
  readonly meter: Meter;
}

/** Below this a terminal counts as dead, volts. */
const DEAD = 5;

export function explain(solved: Solved): Explanation {
  const { result, world } = solved;
  const expected = expectedLoads(result.call, world);
  const on = running(result.loads);
  const missing = expected.filter((load) => !on.includes(load));
  const uncalled = on.filter((load) => !expected.includes(load));
  const reasons = [
    ...missing.map((load) => `${capital(LOAD_NAMES[load])}: ${whyNot(load, solved)}.`),
    ...uncalled.map((load) => `${capital(LOAD_NAMES[load])} runs though nobody called for it.`),
    ...displayReasons(solved)
  ];
  return { headline: headlineOf(result, expected, missing), reasons: [...new Set(reasons)] };
}

function headlineOf({ call }: CallResult, expected: readonly LoadId[], missing: readonly LoadId[]): string {
  const name = capital(CALL_NAMES[call]);
  const list = (loads: readonly LoadId[]) => loads.map((load) => LOAD_NAMES[load]).join(', ');
  if (expected.length === 0) return 'Nothing is called.';
  if (missing.length === 0) return `${name} works: ${list(expected)}.`;
  const runs = expected.filter((load) => !missing.includes(load));
  if (runs.length === 0)
    return `${name} is dead: ${list(missing)} ${missing.length > 1 ? 'do' : 'does'} not start.`;
  return `${capital(list(runs))} ${runs.length > 1 ? 'run' : 'runs'}, ${list(missing)} ${missing.length > 1 ? 'do' : 'does'} not.`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function whyNot(load: LoadId, { wiring, world, result, meter }: Solved): string {
  const sound = netlistOf({ ...wiring, upsets: [] }, world);
  const now = new Set(netlistOf(wiring, world)?.elements.map((one) => one.id));
  const coils = (sound?.loads ?? [])
    .filter((rule) => rule.load === load)
    .flatMap((rule) =>
      rule.coils.flatMap(
        (id) => sound?.elements.find((one): one is Coil => one.id === id && one.kind === 'coil') ?? []
      )
    );
  const called = rolesCalled(result.call, world);
  const roleCalled = (coil: Element) => {
    const role = roleOf(splitTerminal(coil.a).mark, world);
    return role !== null && called.includes(role);
  };
  const coil = coils.find(roleCalled) ?? coils[0];
  if (!coil) return 'no terminal at the equipment starts it';
  if (!now.has(coil.id)) return 'its coil is open';
  const volts = meter.volts(coil.a, coil.b) ?? 0;
  if (volts > 0.25 * coil.pullIn)
    return `its coil gets only ${volts.toFixed(1)} V of the ${coil.pullIn} V that it needs`;
  const board = boards(wiring).find((one) => coil.id.startsWith(`${one.id}:`));
  const dead = board ? deadFeed(board, result, meter) : null;
  if (dead) return dead;
  const terminal = terminalId(splitTerminal(coil.a).device, splitTerminal(coil.a).mark);
  return `nothing drives ${printedMark(wiring, terminal)}`;
}

/** Why a machine has nothing to give, or null where it has. */
function deadFeed(board: Board, result: CallResult, meter: Meter): string | null {
  const hot = ['R', 'RH', 'RC', 'T1', 'T'].find((mark) => hasMark(board, mark)) ?? 'R';
  const volts = meter.volts(terminalId(board.id, hot), terminalId(board.id, 'C')) ?? 0;
  if (volts >= DEAD) return null;
  const supply = result.supplies.find((one) => one.id === `${board.id}:secondary`);
  if (supply?.fuseOpen) return `the fuse of ${board.name} has opened`;
  return `${board.name} has no voltage between ${hot} and common`;
}

function displayReasons({ wiring, world, result, meter }: Solved): string[] {
  if (result.thermostatFed !== false) return [];
  const volts = result.thermostatVolts ?? 0;
  if (volts > DEAD)
    return [`The thermostat gets ${volts.toFixed(1)} V at its electronics: outside its window.`];
  const fed = netlistOf({ ...wiring, upsets: [] }, world)?.fed[0];
  const sound = netlistOf({ ...wiring, upsets: [] }, world)?.elements.find((one) => one.id === fed?.element);
  const source = result.supplies.map((one) => one.id.slice(0, one.id.lastIndexOf(':')));
  const reaches = (node: string | undefined, mark: string) =>
    node !== undefined && source.some((device) => (meter.volts(node, terminalId(device, mark)) ?? 0) >= DEAD);
  if (!sound) return ['The display is dark.'];
  if (reaches(sound.a, 'C')) return [`The display is dark: its hot side is there, and no common reaches it.`];
  if (result.supplies.some((one) => one.fuseOpen)) return ['The display is dark: a fuse has opened.'];
  return ['The display is dark: no hot side reaches it.'];
}
