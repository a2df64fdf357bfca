import type { Loss } from '../../words/losses';
import { ref } from '../../findings/refs';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method } from '../types';

/** A thermostat that runs on batteries, or charges itself, takes the old one's place as it is. */
export const noCNeeded: Method = {
  id: 'no-c-needed',
  title: 'No common at all',
  how: 'The thermostat works without a C wire; every wire moves over as it is.',
  standing: 'exists',
  offer(situation) {
    const { device } = situation;
    if (device.supply === 'common-required') {
      return refused(
        finding('stop', 'device-needs-supply', { model: device.model }, [ref.device(device.id)])
      );
    }
    const selfCharging = device.supply === 'self-charging';
    const { wiring, findings } = swapThermostat(situation);
    return {
      after: wiring,
      findings: [...findings, ...remarks(device)],
      loses: selfCharging ? [] : losses(device),
      parts: selfCharging
        ? []
        : [{ id: 'cells', name: 'Cells as its sheet says', quantity: 1, unit: 'set', cost: 4 }],
      extraMinutes: 0,
      // One that could have a common does with less than it was made for, unless its sheet allows it to charge itself.
      standing: device.supply === 'battery' || device.chargesThrough === 'any' ? 'exists' : 'given-up'
    };
  }
};

function losses(device: DeviceFacts): Loss[] {
  const cells: Loss = { what: 'cells' };
  return device.supply === 'common-or-battery' ? [{ what: 'radio-asleep' }, cells] : [cells];
}

/** What the circuit does not know: how boards take an idle current, and what a device does on cells. */
function remarks(device: DeviceFacts): Finding[] {
  const because = [ref.device(device.id)];
  const { model } = device;
  if (device.supply === 'self-charging') {
    const { chargesThrough } = device;
    if (chargesThrough === 'none') return [finding('stop', 'device-needs-supply', { model }, because)];
    const level = chargesThrough === 'any' ? 'note' : 'warn';
    return [finding(level, 'supply-not-proven', { what: 'method', model }, because)];
  }
  return device.supply === 'common-or-battery'
    ? [finding('warn', 'needs-common', { what: 'asleep', model }, because)]
    : [];
}
