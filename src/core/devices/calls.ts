/** Calls: which a system has, and what a thermostat that is set up for it closes in each. */
import { CALLS, type Call } from '../trade/vocabulary';
import { landedTerminal, splitTerminal, type Wiring } from '../wiring/graph';
import { isHeatPump, isHydronic, type Role } from './roles';
import type { World } from './world';

/** The calls that this system has, as far as a conductor is on the terminal of one at either end. */
export function callsOf(world: World, wiring: Wiring): Call[] {
  const used = new Set(
    wiring.strands
      .flatMap((strand) => [landedTerminal(strand.wall), landedTerminal(strand.equipment)])
      .flatMap((terminal) => (terminal === null ? [] : [splitTerminal(terminal).mark]))
  );
  const on = (...marks: string[]) => marks.some((mark) => used.has(mark));
  const heatPump = isHeatPump(world.family);
  const combined = on('K');
  const has: Readonly<Record<Call, boolean>> = {
    idle: true,
    heat1: world.family !== 'cooling-only',
    heat2: !heatPump && world.family !== 'cooling-only' && on('W2'),
    cool1: world.compressor && (heatPump || on('Y1') || combined),
    cool2: world.compressor && !heatPump && on('Y2') && on('Y1'),
    fan: (!isHydronic(world.family) || world.family === 'boiler-plus-ac') && (on('G') || combined),
    aux: heatPump && on('W1', 'W2', 'AUX'),
    emergency: heatPump && on('W1', 'W2', 'AUX', 'E'),
    humidify: on('HUM'),
    'hot-water': false,
    heating: false
  };
  return CALLS.filter((call) => has[call]);
}

/** What a thermostat set up for this system closes in a call. */
export function rolesCalled(call: Call, world: World): Role[] {
  const heatPump = isHeatPump(world.family);
  const fanWithHeat: Role[] =
    world.family === 'heat-pump' || world.family === 'electric-furnace' ? ['fan'] : [];
  const inHeat: Role[] = world.reversing === 'B' ? ['reversing'] : [];
  const inCooling: Role[] = world.reversing === 'O' ? ['reversing'] : [];
  switch (call) {
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
      return ['humidify'];
    default:
      return [];
  }
}
