/**
 * Whether the device may report a wiring fault though everything works: many look for a voltage between each hot terminal and C. Put to the
 * solved circuit: a hot terminal whose supply has no tie to that of C has no voltage against it at all.
 */
import { ref } from '../findings/refs';
import { powerUp } from '../circuit/simulate';
import type { World } from '../devices/world';
import { finding, type Finding } from '../findings/finding';
import { canonicalMark, isHot } from '../trade/terminals';
import { deviceAtEnd, landedMark, sheetTerminal, wallThermostat, type Wiring } from '../wiring/graph';

export function complaintFindings(after: Wiring, world: World): Finding[] {
  const device = after.devices.find((candidate) => candidate.kind === 'new-thermostat');
  if (device?.kind !== 'new-thermostat' || device.id !== wallThermostat(after).id) return [];
  const rails = after.strands
    .filter((strand) => deviceAtEnd(after, strand.near)?.id === device.id)
    .map((strand) => landedMark(after, strand.near) ?? '')
    .filter(isHot);
  const own = canonicalMark(device.facts.electronicsFrom);
  const others = [...new Set(rails)].filter((mark) => mark !== own);
  if (others.length === 0 || !rails.includes(own)) return [];
  const idle = powerUp(after, world, 'idle');
  if (!idle.ok) return [];
  const common = sheetTerminal(device.facts, 'C');
  const blind = others.filter((mark) => idle.meter.volts(sheetTerminal(device.facts, mark), common) === null);
  return blind.map((mark) =>
    finding('note', 'device-may-complain', { model: device.facts.model, mark }, [ref.device(device.id)])
  );
}
