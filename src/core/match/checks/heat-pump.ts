import { ref } from '../../findings/refs';
import { isHeatPump } from '../../devices/roles';
import { finding, type Finding } from '../../findings/finding';
import type { MatchCheck, MatchSituation } from '../types';

/** A heat pump needs a thermostat that knows the reversing valve. */
export const heatPump: MatchCheck = { id: 'heat-pump', check: heatPumpFindings };

export function heatPumpFindings({ device, worlds }: Pick<MatchSituation, 'device' | 'worlds'>): Finding[] {
  const pump = worlds.find((world) => isHeatPump(world.family));
  if (!pump || device.heatPump) return [];
  const sure = worlds.every((world) => isHeatPump(world.family));
  const fact = { sure, model: device.model };
  return [finding(sure ? 'stop' : 'warn', 'no-heat-pump', fact, [ref.device(device.id)])];
}
