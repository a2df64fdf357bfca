/** What a call is meant to start in a system that is whole: the measure for "dead" and for "runs uncalled". */
import type { World } from '../devices/world';
import type { Call, LoadId } from '../trade/vocabulary';

export function expectedLoads(call: Call, world: World): LoadId[] {
  switch (call) {
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
    default:
      return [];
  }
}

function heatLoads(world: World): LoadId[] {
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

function valve(world: World, when: 'O' | 'B'): LoadId[] {
  return world.reversing === when ? ['reversing-valve'] : [];
}

/** The loads that run in a result. */
export function running(loads: readonly { readonly id: LoadId; readonly energised: boolean }[]): LoadId[] {
  return loads.filter((one) => one.energised).map((one) => one.id);
}
