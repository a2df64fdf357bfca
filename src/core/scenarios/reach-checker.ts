/**
 * A second opinion on what runs, by reachability alone: what hangs together by copper and closed contacts, and whether a coil stands between
 * the two sides of one transformer. Written without the solver and without the devices' circuits, from a table of what each terminal of a
 * machine starts, so that the two cannot share a mistake. It knows nothing of volts; a house with long thin cables is not for it.
 */
import type { World } from '../devices/world';
import { canonicalMark } from '../trade/terminals';
import { requestsOf, type Call } from '../trade/calls';
import type { Family, LoadId, Request } from '../trade/vocabulary';
import { landedTerminal, type Device, type Wiring } from '../wiring/graph';

/** What a call is, by the letters of a thermostat: the first that it has is closed. */
type Letters = readonly (readonly string[])[];

const heatPumps: ReadonlySet<Family> = new Set(['heat-pump', 'dual-fuel']);

/** By the letters that are printed, without asking what anybody says that they mean. */
function lettersOn(device: Device): string[] {
  return device.screws.map((screw) => canonicalMark(screw.mark));
}

function screwWith(device: Device, letter: string): string {
  return device.screws.find((screw) => canonicalMark(screw.mark) === letter)?.id ?? `${device.id}:${letter}`;
}

function lettersOf(call: Request, world: World): Letters {
  const pump = heatPumps.has(world.family);
  const w = ['W1', 'T2', 'TT'];
  const valve = (letter: 'O' | 'B') => (world.reversing === letter ? [['OB', 'O', 'B']] : []);
  const fan = world.family === 'heat-pump' || world.family === 'electric-furnace' ? [['G']] : [];
  switch (call) {
    case 'heat1':
      if (world.family === 'cooling-only') return [];
      return pump ? [['Y1'], ['G'], ...valve('B')] : [w, ...fan];
    case 'heat2':
      return [w, ['W2', 'AUX'], ...fan];
    case 'cool1':
      return [['Y1'], ['G'], ...valve('O')];
    case 'cool2':
      return [['Y1'], ['Y2'], ['G'], ...valve('O')];
    case 'fan':
      return [['G']];
    case 'aux':
      return world.family === 'dual-fuel'
        ? [['AUX', 'W2', 'W1']]
        : [['Y1'], ['G'], ['AUX', 'W2', 'W1'], ...valve('B')];
    case 'emergency':
      return [['E', 'AUX', 'W2'], ...fan];
    default:
      return [];
  }
}

/** What each terminal of a machine starts when it is driven. */
function startsOf(family: Family, world: World, marks: readonly string[]): [mark: string, loads: LoadId[]][] {
  const air = (load: LoadId): LoadId[] => [load];
  const inHeat: LoadId[] = world.blowerInHeat === 'board' ? ['blower'] : [];
  const cooling: [string, LoadId[]][] = world.compressor
    ? [
        ['Y1', air('compressor')],
        ['Y2', air('compressor2')]
      ]
    : [];
  const heatMark = ['W1', 'T2', 'TT'].find((candidate) => marks.includes(candidate)) ?? 'W1';
  const water: [string, LoadId[]] = [heatMark, ['boiler', 'circulator']];
  switch (family) {
    case 'furnace':
    case 'furnace-ac':
      return [['W1', ['burner', ...inHeat]], ['W2', ['burner2']], ['G', ['blower']], ...cooling];
    case 'electric-furnace':
      return [['W1', ['strips', ...inHeat]], ['W2', ['strips', ...inHeat]], ['G', ['blower']], ...cooling];
    case 'heat-pump':
      return [
        ['Y1', ['compressor']],
        ['G', ['blower']],
        ...['O', 'B', 'OB'].map((word): [string, LoadId[]] => [word, ['reversing-valve']]),
        ...['W1', 'W2', 'AUX', 'E'].map((word): [string, LoadId[]] => [word, ['strips']])
      ];
    case 'boiler':
      return [water];
    case 'steam':
      return [[heatMark, ['boiler']]];
    case 'boiler-plus-ac':
      // One machine may have the terminals of both; of two, each has its own.
      return ['Y1', 'G'].some((candidate) => marks.includes(candidate))
        ? [['G', ['blower']], ['Y1', ['compressor']], ...(marks.includes(heatMark) ? [water] : [])]
        : [water];
    case 'cooling-only':
      return [['G', ['blower']], ...cooling];
    case 'contact-heater':
      return [[heatMark, ['burner', 'blower']]];
    default:
      return [];
  }
}

class Joints {
  private readonly parent = new Map<string, string>();

  find(node: string): string {
    let top = node;
    for (let up = this.parent.get(top); up !== undefined && up !== top; up = this.parent.get(top)) top = up;
    return top;
  }

  join(a: string, b: string): void {
    this.parent.set(this.find(a), this.find(b));
  }

  same(a: string, b: string): boolean {
    return this.find(a) === this.find(b);
  }
}

/** The loads that run, sorted; null where the house holds what reachability cannot tell (half waves, lock-outs, panels). */
export function reachedLoads(wiring: Wiring, world: World, call: Call): LoadId[] | null {
  if (!within(wiring, world)) return null;
  const joints = new Joints();
  for (const strand of wiring.strands) {
    const [a, b] = [landedTerminal(strand.near), landedTerminal(strand.far)];
    if (a && b && strand.continuity !== 'broken') joints.join(a, b);
  }
  for (const link of wiring.links) joints.join(link.a, link.b);
  for (const device of wiring.devices) closeContacts(device, wiring, world, call, joints);
  return loadsOn(wiring, world, joints);
}

function within(wiring: Wiring, world: World): boolean {
  if (world.family === 'dual-fuel') return false;
  return wiring.devices.every((device) => {
    if (device.kind === 'adapter' || device.kind === 'splitter') return false;
    return device.kind !== 'board' || !device.machine.startsWith('zone');
  });
}

function closeContacts(device: Device, wiring: Wiring, world: World, call: Call, joints: Joints): void {
  const switches =
    device.kind === 'old-thermostat' || device.kind === 'new-thermostat' || device.kind === 'receiver';
  if (!switches) return;
  const owned = lettersOn(device);
  const at = (mark: string) => screwWith(device, mark);
  const rail = (order: readonly string[]) => order.find((candidate) => owned.includes(candidate));
  if (device.kind === 'new-thermostat' && device.facts.rails === 'joined-inside') {
    const [first, ...others] = owned.filter((candidate) => ['R', 'RH', 'RC'].includes(candidate));
    for (const other of others) joints.join(at(first ?? other), at(other));
  }
  for (const letters of requestsOf(call).flatMap((request) => lettersOf(request, world))) {
    let mark = letters.find((letter) => owned.includes(letter));
    if (letters[0] === 'E' && mark !== undefined && !inUse(wiring, at(mark)))
      mark = ['AUX', 'W2', 'W1'].find((candidate) => owned.includes(candidate));
    if (mark === undefined) continue;
    const heat = !['Y1', 'Y2', 'G', 'O', 'B', 'OB'].includes(mark);
    const from = rail(heat ? ['RH', 'R', 'RC', 'T1', 'T'] : ['RC', 'R', 'RH', 'T1', 'T']);
    if (from !== undefined) joints.join(at(from), at(mark));
  }
}

function inUse(wiring: Wiring, terminal: string): boolean {
  return (
    wiring.strands.some(
      (strand) => landedTerminal(strand.near) === terminal || landedTerminal(strand.far) === terminal
    ) || wiring.links.some((link) => link.a === terminal || link.b === terminal)
  );
}

/** A coil runs when its terminal hangs on the hot side of a transformer whose other side hangs on the coil's common, and the two do not touch. */
function loadsOn(wiring: Wiring, world: World, joints: Joints): LoadId[] {
  const supplies = wiring.devices.flatMap((device) => {
    if (
      device.kind !== 'board' &&
      device.kind !== 'plug-in-transformer' &&
      device.kind !== 'added-transformer'
    )
      return [];
    const owned = lettersOn(device);
    const hot = ['R', 'RH', 'RC', 'T1', 'T'].find((mark) => owned.includes(mark)) ?? 'R';
    return [{ hot: screwWith(device, hot), common: screwWith(device, 'C') }];
  });
  const alive = supplies.filter((supply) => !joints.same(supply.hot, supply.common));
  const on = new Set<LoadId>();
  for (const board of wiring.devices) {
    if (board.kind !== 'board') continue;
    const owned = lettersOn(board);
    const common = screwWith(board, 'C');
    for (const [mark, loads] of startsOf(world.family, world, owned)) {
      if (!owned.includes(mark)) continue;
      const terminal = screwWith(board, mark);
      const driven = alive.some(
        (candidate) => joints.same(terminal, candidate.hot) && joints.same(common, candidate.common)
      );
      if (driven) for (const load of loads) on.add(load);
    }
  }
  return [...on].sort();
}
