import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../trade/findings';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Loss, type Method } from '../types';

/** A thermostat that lives on batteries, or charges itself, takes the old one's place as it is. */
export const noCNeeded: Method = {
  id: 'no-c-needed',
  title: 'No common at all',
  how: 'The thermostat lives without a common; every conductor moves over as it is.',
  standing: 'exists',
  offer(situation) {
    const { device } = situation;
    if (device.supply === 'common-required') {
      return refused(
        finding('stop', 'device-needs-supply', `The ${device.model} needs a constant supply.`, [device.id])
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
      // One that could have a common does with less than it was made for.
      standing: device.supply === 'battery' ? 'exists' : 'given-up'
    };
  }
};

function losses(device: DeviceFacts): Loss[] {
  const cells = { text: 'cells have to be changed, about once a year' };
  return device.supply === 'common-or-battery'
    ? [{ text: 'its radio sleeps: it is not reached from outside' }, cells]
    : [cells];
}

/** What the circuit does not know: how boards take an idle current, and what a device does on cells. */
function remarks(device: DeviceFacts): Finding[] {
  if (device.supply === 'self-charging')
    return [
      finding(
        'warn',
        'supply-not-proven',
        `The ${device.model} draws through an idle call. Some boards take that for a call or chatter: ask its maker about this board, and listen to the relays after power-up.`,
        [device.id]
      )
    ];
  if (device.supply === 'common-or-battery')
    return [
      finding('warn', 'needs-common', `On cells the ${device.model} works with its radio asleep.`, [
        device.id
      ])
    ];
  return [];
}
