import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import type { MatchCheck } from '../types';

/** A 24 V thermostat belongs on 24 V only. */
export const voltage: MatchCheck = {
  id: 'voltage',
  check({ identification, device }) {
    const { voltageClass } = identification;
    if (voltageClass === '24v') return [];
    const because = [ref.device(device.id)];
    if (voltageClass === 'line' || voltageClass === 'millivolt')
      return [finding('stop', 'wrong-voltage-class', { model: device.model, voltageClass }, because)];
    return [finding('warn', 'voltage-class-unsettled', { what: 'before-buying' }, because)];
  }
};
