import { finding } from '../../trade/findings';
import { GOOD_DBM, MARGINAL_DBM, summariseSignal } from '../signal';
import { FINE, type Reason } from '../types';

/** A thermostat that drops off the network twice a day is sent back. */
export const signal: Reason = {
  id: 'signal',
  weigh({ thermostat, device }) {
    if (device?.wifiBands.startsWith('none')) return FINE;
    const { grade, median, worst } = summariseSignal(thermostat.signal);
    const because = [thermostat.id];
    switch (grade) {
      case 'good':
        return FINE;
      case 'not-read':
        return {
          asks: 'nothing',
          findings: [
            finding(
              'note',
              'signal-not-read',
              'The signal at the wall was not read yet: a phone held against the old plate is enough.',
              because
            )
          ]
        };
      case 'marginal': {
        const text = `The signal at the wall is marginal (${median} dBm in the middle, ${worst} at worst; better than ${GOOD_DBM} is good). Read again at another hour, doors closed; moving the router or a repeater may be needed.`;
        return { asks: 'nothing', findings: [finding('warn', 'signal-marginal', text, because)] };
      }
      case 'poor': {
        const text = `The signal at the wall is poor (${median} dBm in the middle; below ${MARGINAL_DBM} devices drop off). Improve it before buying: move the router, add a repeater, or choose a model with another band.`;
        return { asks: 'prepare', findings: [finding('warn', 'signal-poor', text, because)] };
      }
    }
  }
};
