import { finding } from '../../trade/findings';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method } from '../types';

/** A thermostat that lives on batteries takes the old one's place as it is. */
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
    if (device.supply === 'self-charging') {
      return refused(
        finding(
          'stop',
          'supply-not-proven',
          `Whether the ${device.model} can charge itself through this board is not proven: the idle current can hold or chatter some relays. Give it a common, or ask its maker about this board.`,
          [device.id]
        )
      );
    }
    const { wiring, findings } = swapThermostat(situation);
    return {
      after: wiring,
      findings:
        device.supply === 'common-or-battery'
          ? [
              ...findings,
              finding('warn', 'needs-common', `On cells the ${device.model} works with its radio asleep.`, [
                device.id
              ])
            ]
          : findings,
      loses: [{ text: 'cells have to be changed, about once a year' }],
      parts: [{ id: 'cells', name: 'Cells as its sheet says', quantity: 1, unit: 'set', cost: 4 }],
      extraMinutes: 0
    };
  }
};
