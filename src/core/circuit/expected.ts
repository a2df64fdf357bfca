/** What a call is meant to start in a system that is whole: the measure for "dead" and for "runs uncalled". */
import type { World } from '../devices/world';
import type { Call, LoadId } from '../trade/vocabulary';

export function expectedLoads(call: Call, world: World): LoadId[] {
  if (world.family === 'heat-pump') return heatPumpLoads(call, world);
  const heat: LoadId[] =
    world.family === 'boiler'
      ? ['boiler', 'circulator']
      : [world.family === 'electric-furnace' ? 'strips' : 'burner', 'blower'];
  switch (call) {
    case 'heat1':
      return heat;
    case 'heat2':
      return world.family === 'electric-furnace' ? heat : [...heat, 'burner2'];
    case 'cool1':
      return ['compressor', 'blower'];
    case 'cool2':
      return ['compressor', 'compressor2', 'blower'];
    case 'fan':
      return ['blower'];
    default:
      return [];
  }
}

function heatPumpLoads(call: Call, world: World): LoadId[] {
  const inHeat: LoadId[] = world.reversing === 'B' ? ['reversing-valve'] : [];
  const inCooling: LoadId[] = world.reversing === 'O' ? ['reversing-valve'] : [];
  switch (call) {
    case 'heat1':
      return ['compressor', 'blower', ...inHeat];
    case 'cool1':
      return ['compressor', 'blower', ...inCooling];
    case 'aux':
      return ['compressor', 'blower', 'strips', ...inHeat];
    case 'emergency':
      return ['strips', 'blower'];
    case 'fan':
      return ['blower'];
    default:
      return [];
  }
}

/** The loads that run in a result. */
export function running(loads: readonly { readonly id: LoadId; readonly energised: boolean }[]): LoadId[] {
  return loads.filter((one) => one.energised).map((one) => one.id);
}
