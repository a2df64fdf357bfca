/** What a solved call shows, in words: what runs, what does not and why, as far as the circuit itself tells. */
import { expectedLoads, running } from '../circuit/expected';
import type { Meter } from '../circuit/meter';
import { netlistOf } from '../circuit/netlist';
import type { CallResult } from '../circuit/simulate';
import { rolesCalled } from '../devices/calls';
import { commonNode, hotNode } from '../devices/boards/board';
import type { Coil, Element } from '../devices/elements';
import { roleOf } from '../devices/roles';
import { worldOfDevice, type World } from '../devices/world';
import { LOAD_NAMES } from '../trade/loads';
import { callName, requestsOf, type Call } from '../trade/calls';
import { HOT_MARKS } from '../trade/terminals';
import type { LoadId } from '../trade/vocabulary';
import {
  boards,
  isSupply,
  printedMark,
  screwThat,
  terminalAt,
  type Board,
  type Wiring
} from '../wiring/graph';
import { readIn } from '../wiring/meaning';

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

/** What anybody in the house sees and hears: which loads run, and which do not though they were called. Nothing of why. */
export function whatRuns({ result, world }: Pick<Solved, 'result' | 'world'>): string {
  const expected = expectedLoads(result.call, world);
  const on = running(result.loads);
  return headlineOf(
    result.call,
    expected,
    expected.filter((load) => !on.includes(load))
  );
}

/** Why what does not run does not, and what runs uncalled: what only the circuit tells. */
export function whyNotRunning(solved: Solved): readonly string[] {
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
  return [...new Set(reasons)];
}

export function explain(solved: Solved): Explanation {
  return { headline: whatRuns(solved), reasons: whyNotRunning(solved) };
}

function headlineOf(call: Call, expected: readonly LoadId[], missing: readonly LoadId[]): string {
  const name = capital(callName(call));
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
  const now = new Set(netlistOf(wiring, world)?.elements.map((element) => element.id));
  const coils = (sound?.loads ?? [])
    .filter((rule) => rule.load === load)
    .flatMap((rule) =>
      rule.coils.flatMap(
        (id) =>
          sound?.elements.find((element): element is Coil => element.id === id && element.kind === 'coil') ??
          []
      )
    );
  const called = requestsOf(result.call).flatMap((request) => rolesCalled(request, world));
  const roleCalled = ({ part }: Element) => {
    const role = roleOf(part?.mark ?? null, worldOfDevice(world, part?.device ?? ''));
    return role !== null && called.includes(role);
  };
  const coil = coils.find(roleCalled) ?? coils[0];
  if (!coil) return 'no terminal at the equipment starts it';
  if (!now.has(coil.id)) return 'its coil is open';
  const volts = meter.volts(coil.a, coil.b) ?? 0;
  if (volts > 0.25 * coil.pullIn)
    return `its coil gets only ${volts.toFixed(1)} V of the ${coil.pullIn} V that it needs`;
  const board = boards(readIn(wiring, world.family)).find((candidate) => candidate.id === coil.part?.device);
  const dead = board ? deadFeed(board, result, meter) : null;
  if (dead) return dead;
  const driven = terminalAt(wiring, coil.a) ? printedMark(wiring, coil.a) : coil.part?.mark;
  return `nothing drives ${driven ?? 'it'}`;
}

/** Why a machine has nothing to give, or null where it has. */
function deadFeed(board: Board, result: CallResult, meter: Meter): string | null {
  const mark = HOT_MARKS.find((candidate) => screwThat(board, candidate)) ?? 'R';
  const volts = meter.volts(hotNode(board), commonNode(board)) ?? 0;
  if (volts >= DEAD) return null;
  const supply = result.supplies.find((supplyResult) => supplyResult.device === board.id);
  if (supply?.fuseOpen) return `the fuse of ${board.name} has opened`;
  return `${board.name} has no voltage between ${mark} and common`;
}

function displayReasons({ wiring, world, result, meter }: Solved): string[] {
  if (result.thermostatFed !== false) return [];
  const volts = result.thermostatVolts ?? 0;
  if (volts > DEAD)
    return [`The thermostat gets ${volts.toFixed(1)} V at its electronics: outside its window.`];
  const fed = netlistOf({ ...wiring, upsets: [] }, world)?.fed[0];
  const sound = netlistOf({ ...wiring, upsets: [] }, world)?.elements.find(
    (element) => element.id === fed?.element
  );
  const commons = readIn(wiring, world.family).devices.flatMap((device) =>
    device.kind === 'board'
      ? [commonNode(device)]
      : isSupply(device)
        ? [screwThat(device, 'C')?.id ?? '']
        : []
  );
  if (!sound) return ['The display is dark.'];
  if (commons.some((common) => (meter.volts(sound.a, common) ?? 0) >= DEAD))
    return [`The display is dark: its hot side is there, and no common reaches it.`];
  if (result.supplies.some((supply) => supply.fuseOpen)) return ['The display is dark: a fuse has opened.'];
  return ['The display is dark: no hot side reaches it.'];
}
