import { isHeatPump } from '../../devices/roles';
import { finding } from '../../trade/findings';
import type { MatchCheck } from '../types';

/** A heat pump needs a thermostat that knows the reversing valve. */
export const heatPump: MatchCheck = {
  id: 'heat-pump',
  check({ device, worlds }) {
    const pump = worlds.find((world) => isHeatPump(world.family));
    if (!pump || device.heatPump) return [];
    const sure = worlds.every((world) => isHeatPump(world.family));
    return [
      finding(
        sure ? 'stop' : 'warn',
        'no-heat-pump',
        sure
          ? `The ${device.model} cannot drive a heat pump.`
          : `The ${device.model} cannot drive a heat pump, and this may still be one: settle the system first.`,
        [device.id]
      )
    ];
  }
};
