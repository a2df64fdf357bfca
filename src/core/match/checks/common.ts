import { ref } from '../../findings/refs';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
import { marksMean } from '../../trade/terminals';
import { landedMark } from '../../wiring/graph';
import type { MatchCheck } from '../types';

/** What feeds it, against what is there. */
export const common: MatchCheck = {
  id: 'common',
  check({ device, wiring }) {
    const there = wiring.strands.some((strand) =>
      [strand.near, strand.far].every((end) => landedMark(wiring, end) === 'C')
    );
    switch (device.supply) {
      case 'battery':
        return [note(device, 'batteries')];
      case 'paired-receiver':
        return [note(device, 'paired')];
      case 'common-required':
        return required(device, there);
      default:
        return there ? [] : [optional(device)];
    }
  }
};

function note(device: DeviceFacts, what: 'batteries' | 'paired'): Finding {
  return finding('note', 'device-needs-no-common', { what }, [ref.device(device.id)]);
}

function optional(device: DeviceFacts): Finding {
  const because = [ref.device(device.id)];
  return device.supply === 'self-charging'
    ? finding('warn', 'supply-not-proven', { what: 'match', model: device.model }, because)
    : finding('note', 'needs-common', { what: 'better-with' }, because);
}

function required(device: DeviceFacts, there: boolean): Finding[] {
  const because = [ref.device(device.id)];
  if (!marksMean(device.marks, 'C'))
    return [finding('stop', 'device-has-no-common', { what: 'sheet' }, because)];
  return there ? [] : [finding('warn', 'needs-common', { what: 'none-landed' }, because)];
}
