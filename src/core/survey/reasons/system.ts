import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { FINE, type Reason } from '../types';

/** What may hang there at all: a dangerous class asks to leave it, a system that is not known to find out first. */
export const system: Reason = {
  id: 'system',
  weigh({ identification, thermostat }) {
    const { voltageClass, findings } = identification;
    // Recorded as mains controls, it has a plan of its own and somebody competent to ask for: no reason to buy nothing.
    if (thermostat.mains !== null && voltageClass === 'line')
      return {
        asks: 'prepare',
        findings: [finding('warn', 'mains-controls', {}, [ref.thermostat(thermostat.id)])]
      };
    if (voltageClass === 'line' || voltageClass === 'millivolt' || voltageClass === 'data')
      return { asks: 'leave', findings: findings.filter((candidate) => candidate.level === 'stop') };
    if (identification.decided && voltageClass === '24v') return FINE;
    const because = [ref.thermostat(thermostat.id)];
    return {
      asks: 'prepare',
      findings: [finding('warn', 'system-unsettled', { what: 'before-buying' }, because)]
    };
  }
};
