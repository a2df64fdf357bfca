import { finding } from '../../trade/findings';
import { landedTerminal } from '../../wiring/graph';
import { cableAdvice, MOST_DROP_V } from '../cable-path';
import { FINE, type Reason } from '../types';

/** What the path of a new cable says before one is bought. */
export const cablePath: Reason = {
  id: 'cable-path',
  weigh({ thermostat, wiring }) {
    if (thermostat.path.stretches.length === 0) return FINE;
    const used = wiring.strands.filter((one) => landedTerminal(one.near) !== null).length;
    const advice = cableAdvice(thermostat.path, used + 1);
    const found = [];
    if (advice.stapled.length > 0)
      found.push(
        finding(
          'warn',
          'path-stapled',
          `Stapled on the way (${advice.stapled.join(', ')}): the old cable cannot lead a new one there. Another way, or another method.`,
          [thermostat.id]
        )
      );
    if (advice.gauge === null)
      found.push(
        finding(
          'warn',
          'gauge-too-thin',
          `On ${advice.lengthM} m even 16 AWG drops more than ${MOST_DROP_V} V: a shorter way, or a supply near the thermostat.`,
          [thermostat.id]
        )
      );
    return found.length === 0 ? FINE : { asks: 'nothing', findings: found };
  }
};
