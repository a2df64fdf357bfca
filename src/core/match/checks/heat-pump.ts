import { ref } from '../../findings/refs';
import { isHeatPump } from '../../devices/roles';
import { finding } from '../../findings/finding';
import type { MatchCheck } from '../types';

/** A heat pump needs a thermostat that knows the reversing valve. */
export const heatPump: MatchCheck = {
  id: 'heat-pump',
  check({ device, worlds }) {
    const pump = worlds.find((world) => isHeatPump(world.family));
    if (!pump || device.heatPump) return [];
    const sure = worlds.every((world) => isHeatPump(world.family));
    const fact = { sure, model: device.model };
    return [finding(sure ? 'stop' : 'warn', 'no-heat-pump', fact, [ref.device(device.id)])];
  }
};
