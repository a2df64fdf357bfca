/** Calls: which a system has, and what a thermostat that is set up for it closes in each. */
import { callOf, type Call } from '../trade/calls';
import { CALLS, type Request, type SimpleCall } from '../trade/vocabulary';
import { landedTerminal, meansAt, type Wiring } from '../wiring/graph';
import { isHeatPump, isHydronic, type Role } from './roles';
import type { MachineWorld } from './world';

/** The marks that a conductor is on, at either end. */
function marksInUse(wiring: Wiring): ReadonlySet<string> {
  const terminals = wiring.strands.flatMap((strand) => [
    landedTerminal(strand.near),
    landedTerminal(strand.far)
  ]);
  return new Set(terminals.flatMap((terminal) => meansAt(wiring, terminal)));
}

/**
 * The calls that this system has, as far as a conductor is on the terminal of one at either end: one request each. `more`: marks that are in use
 * without one, such as those of a receiver that short pieces of wire join to a board.
 */
export function callsOf(world: MachineWorld, wiring: Wiring, more: readonly string[] = []): SimpleCall[] {
  const used = new Set([...marksInUse(wiring), ...more]);
  const on = (...marks: string[]) => marks.some((mark) => used.has(mark));
  const heatPump = isHeatPump(world.family);
  const combined = on('K');
  const has: Readonly<Record<SimpleCall, boolean>> = {
    idle: true,
    heat1: world.family !== 'cooling-only',
    heat2: !heatPump && world.family !== 'cooling-only' && on('W2'),
    cool1: world.compressor && (heatPump || on('Y1') || combined),
    cool2: world.compressor && !heatPump && on('Y2') && on('Y1'),
    fan: (!isHydronic(world.family) || world.family === 'boiler-plus-ac') && (on('G') || combined),
    aux: heatPump && on('W1', 'W2', 'AUX'),
    emergency: heatPump && on('W1', 'W2', 'AUX', 'E'),
    humidify: on('HUM'),
    dehumidify: on('DEHUM'),
    ventilate: on('V'),
    'hot-water': false,
    heating: false
  };
  return CALLS.filter((call) => has[call]);
}

/** What may go on beside a main call: a fan that is held on with anything, moisture with heat, drying with cooling, fresh air with either. */
const BESIDE: readonly { readonly request: Request; readonly with: readonly Request[] }[] = [
  { request: 'fan', with: ['heat1', 'heat2', 'cool1', 'cool2', 'aux', 'emergency'] },
  { request: 'humidify', with: ['heat1', 'heat2', 'aux', 'emergency'] },
  { request: 'dehumidify', with: ['cool1', 'cool2'] },
  { request: 'ventilate', with: ['heat1', 'heat2', 'cool1', 'cool2', 'aux', 'emergency'] }
];

/**
 * The sets of requests that a thermostat can make at once in this system: of each main call the set with everything that may go on beside
 * it, where that closes more than the main call does. A transformer is judged by these too.
 */
export function combinedCallsOf(world: MachineWorld, wiring: Wiring, more: readonly string[] = []): Call[] {
  const calls = callsOf(world, wiring, more);
  const found: Call[] = [];
  for (const main of calls) {
    if (main === 'idle' || BESIDE.some((candidate) => candidate.request === main)) continue;
    const beside = BESIDE.filter(
      (candidate) => candidate.with.includes(main) && calls.includes(candidate.request)
    );
    const asked = [main, ...beside.map((ask) => ask.request)];
    const closes = (requests: readonly Request[]) =>
      new Set(requests.flatMap((request) => rolesCalled(request, world)));
    if (closes(asked).size > closes([main]).size)
      found.push(callOf(asked.map((request) => ({ control: null, request }))));
  }
  return found;
}

/** What a thermostat set up for this system closes for a request. */
export function rolesCalled(request: Request, world: MachineWorld): Role[] {
  const heatPump = isHeatPump(world.family);
  const fanWithHeat: Role[] =
    world.family === 'heat-pump' || world.family === 'electric-furnace' ? ['fan'] : [];
  const inHeat: Role[] = world.reversing === 'B' ? ['reversing'] : [];
  const inCooling: Role[] = world.reversing === 'O' ? ['reversing'] : [];
  switch (request) {
    case 'heat1':
      if (world.family === 'cooling-only') return [];
      return heatPump ? ['compressor1', 'fan', ...inHeat] : ['heat1', ...fanWithHeat];
    case 'heat2':
      return ['heat1', 'heat2', ...fanWithHeat];
    case 'cool1':
      return ['compressor1', 'fan', ...inCooling];
    case 'cool2':
      return ['compressor1', 'compressor2', 'fan', ...inCooling];
    case 'fan':
      return ['fan'];
    case 'aux':
      // With a burner for help the two never heat at once: the thermostat changes over instead of adding.
      return world.family === 'dual-fuel' ? ['aux'] : ['compressor1', 'fan', 'aux', ...inHeat];
    case 'emergency':
      return ['emergency', ...fanWithHeat];
    case 'humidify':
    case 'dehumidify':
    case 'ventilate':
      return [request];
    case 'hot-water':
    case 'heating':
      return [];
  }
}
