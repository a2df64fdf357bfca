import { finding } from '../../trade/findings';
import type { MatchCheck } from '../types';

/** A 24 V thermostat belongs on 24 V only. */
export const voltage: MatchCheck = {
  id: 'voltage',
  check({ identification, device }) {
    const { voltageClass } = identification;
    if (voltageClass === '24v') return [];
    if (voltageClass === 'line') {
      const text = `The ${device.model} is made for 24 V. On mains it burns, and so may the wall.`;
      return [finding('stop', 'wrong-voltage-class', text, [device.id])];
    }
    if (voltageClass === 'millivolt') {
      const text = `The ${device.model} is made for 24 V; a millivolt heater works on less than one volt.`;
      return [finding('stop', 'wrong-voltage-class', text, [device.id])];
    }
    return [
      finding(
        'warn',
        'voltage-class-unsettled',
        'Whether this is a 24 V system is not settled: buy nothing before it is.',
        [device.id]
      )
    ];
  }
};
