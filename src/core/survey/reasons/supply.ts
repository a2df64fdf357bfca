import { ref } from '../../findings/refs';
import { finding, type Finding } from '../../findings/finding';
import { FINE, type Reason, type SupplyOutlook } from '../types';

/** Whether it could be fed: nothing is bought for a house that is being hurt, nor for wires that nobody has read to their ends. */
export const supply: Reason = {
  id: 'supply',
  weigh({ identification, thermostat, device, supply: outlook }) {
    const { harms, unfit, open } = outlook;
    // Of another voltage and of mains controls the system speaks.
    if (thermostat.mains !== null || identification.voltageClass !== '24v') return FINE;
    const asked = [...harms, ...unfit, ...open].map(asCaution);
    if (asked.length > 0) return { asks: 'prepare', findings: asked };
    if (outlook.feedable) return FINE;
    const fact = { model: device?.model ?? null, why: whyOf(outlook) };
    return {
      asks: 'prepare',
      findings: [finding('warn', 'no-way-open', fact, [ref.thermostat(thermostat.id)])]
    };
  }
};

function whyOf({ tooMuchTogether, hangsOnDevice }: SupplyOutlook): 'together' | 'device' | 'closed' {
  if (tooMuchTogether) return 'together';
  return hangsOnDevice ? 'device' : 'closed';
}

/** What stops the work is a reason here to settle it first. */
function asCaution(said: Finding): Finding {
  return { ...said, level: 'warn' };
}
