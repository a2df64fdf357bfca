/** What a call is meant to start in a system that is whole: the measure for "dead" and for "runs uncalled". */
import type { MachineWorld } from '../devices/world';
import { requestsOf, type Call } from '../trade/calls';
import type { LoadId, Request } from '../trade/vocabulary';

/** Of a call that asks for several things: all that any of them starts. */
export function expectedLoads(call: Call, world: MachineWorld): LoadId[] {
  return [...new Set(requestsOf(call).flatMap((request) => loadsFor(request, world)))];
}

function loadsFor(request: Request, world: MachineWorld): LoadId[] {
  switch (request) {
    case 'heat1':
      return heatLoads(world);
    case 'heat2':
      return world.family === 'electric-furnace' ? heatLoads(world) : [...heatLoads(world), 'burner2'];
    case 'cool1':
      return ['compressor', 'blower', ...valve(world, 'O')];
    case 'cool2':
      return ['compressor', 'compressor2', 'blower'];
    case 'fan':
      return ['blower'];
    case 'aux':
      if (world.family === 'dual-fuel') return ['burner', 'blower'];
      return ['compressor', 'blower', 'strips', ...valve(world, 'B')];
    case 'emergency':
      return world.family === 'dual-fuel' ? ['burner', 'blower'] : ['strips', 'blower'];
    case 'humidify':
      return ['humidifier'];
    case 'dehumidify':
      return ['dehumidifier'];
    case 'ventilate':
      return ['ventilator'];
    case 'hot-water':
    case 'heating':
      return [];
  }
}

function heatLoads(world: MachineWorld): LoadId[] {
  switch (world.family) {
    case 'heat-pump':
    case 'dual-fuel':
      return ['compressor', 'blower', ...valve(world, 'B')];
    case 'boiler':
    case 'boiler-plus-ac':
      return ['boiler', 'circulator'];
    case 'steam':
      return ['boiler'];
    case 'electric-furnace':
      return ['strips', 'blower'];
    case 'cooling-only':
      return [];
    default:
      return ['burner', 'blower'];
  }
}

function valve(world: MachineWorld, when: 'O' | 'B'): LoadId[] {
  return world.reversing === when ? ['reversing-valve'] : [];
}

/** The loads that run in a result. */
export function running(loads: readonly { readonly id: LoadId; readonly energised: boolean }[]): LoadId[] {
  return loads.filter((load) => load.energised).map((load) => load.id);
}

/** Loads that hurt when they run without being called for. */
const MUST_BE_CALLED: ReadonlySet<LoadId> = new Set(['burner', 'boiler', 'compressor', 'strips']);

/** Of the loads that run in a call, those that must not: nobody has called for them. */
export function uncalledIn(loads: readonly LoadId[], call: Call, world: MachineWorld): LoadId[] {
  const expected = expectedLoads(call, world);
  return loads.filter((load) => MUST_BE_CALLED.has(load) && !expected.includes(load));
}
