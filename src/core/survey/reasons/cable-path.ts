import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { landedTerminal } from '../../wiring/graph';
import { cableAdvice, MOST_DROP_V } from '../cable-path';
import { FINE, type Reason } from '../types';

/** What the path of a new cable says before one is bought. */
export const cablePath: Reason = {
  id: 'cable-path',
  weigh({ thermostat, wiring }) {
    if (thermostat.path.stretches.length === 0) return FINE;
    const used = wiring.strands.filter((strand) => landedTerminal(strand.near) !== null).length;
    const advice = cableAdvice(thermostat.path, used + 1);
    const because = [ref.thermostat(thermostat.id)];
    const found = [];
    if (advice.stapled.length > 0)
      found.push(finding('warn', 'path-stapled', { stretches: advice.stapled }, because));
    if (advice.gauge === null)
      found.push(
        finding('warn', 'gauge-too-thin', { lengthM: advice.lengthM, mostDropV: MOST_DROP_V }, because)
      );
    return found.length === 0 ? FINE : { asks: 'nothing', findings: found };
  }
};
