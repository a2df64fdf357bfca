import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { GOOD_DBM, MARGINAL_DBM, summariseSignal } from '../signal';
import { FINE, type Reason } from '../types';

/** A thermostat that drops off the network twice a day is sent back. */
export const signal: Reason = {
  id: 'signal',
  weigh({ thermostat, device }) {
    if (device?.wifiBands.startsWith('none')) return FINE;
    const { grade, median, worst } = summariseSignal(thermostat.signal);
    const because = [ref.thermostat(thermostat.id)];
    switch (grade) {
      case 'good':
        return FINE;
      case 'not-read':
        return {
          asks: 'nothing',
          findings: [finding('note', 'signal-not-read', {}, because)]
        };
      case 'marginal': {
        const fact = { medianDbm: median ?? 0, worstDbm: worst ?? 0, goodDbm: GOOD_DBM };
        return { asks: 'nothing', findings: [finding('warn', 'signal-marginal', fact, because)] };
      }
      case 'poor': {
        const fact = { medianDbm: median ?? 0, leastDbm: MARGINAL_DBM };
        return { asks: 'prepare', findings: [finding('warn', 'signal-poor', fact, because)] };
      }
    }
  }
};
