import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import type { MatchCheck } from '../types';

/** A 24 V thermostat belongs on 24 V only, and on wires that carry calls, not messages. */
export const voltage: MatchCheck = {
  id: 'voltage',
  check({ identification, device }) {
    const { voltageClass } = identification;
    const because = [ref.device(device.id)];
    if (voltageClass === 'data') return [finding('stop', 'data-conductors', {}, because)];
    if (voltageClass !== 'line' && voltageClass !== 'millivolt') return [];
    return [finding('stop', 'wrong-voltage-class', { model: device.model, voltageClass }, because)];
  }
};
