import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../trade/findings';
import { marksMean } from '../../trade/terminals';
import { landedMark } from '../../wiring/graph';
import type { MatchCheck } from '../types';

/** What it lives on, against what is there. */
export const common: MatchCheck = {
  id: 'common',
  check({ device, wiring }) {
    const there = wiring.strands.some((strand) =>
      [strand.near, strand.far].every((end) => landedMark(wiring, end) === 'C')
    );
    switch (device.supply) {
      case 'battery':
        return [note(device, 'It lives on batteries and needs no common.')];
      case 'paired-receiver':
        return [
          note(
            device,
            'Its wired part sits at the equipment, where a common is; the wall part lives on cells and speaks by radio.'
          )
        ];
      case 'common-required':
        return required(device, there);
      default:
        return there ? [] : [optional(device)];
    }
  }
};

function note(device: DeviceFacts, text: string): Finding {
  return finding('note', 'device-needs-no-common', text, [device.id]);
}

function optional(device: DeviceFacts): Finding {
  if (device.supply === 'self-charging')
    return finding(
      'warn',
      'supply-not-proven',
      'Without a common it charges itself through an idle call circuit. How boards take that is not proven here: a common is the better way.',
      [device.id]
    );
  return finding(
    'note',
    'needs-common',
    'It can live on cells, but is fully awake only with a common: see Supply.',
    [device.id]
  );
}

function required(device: DeviceFacts, there: boolean): Finding[] {
  if (!marksMean(device.marks, 'C'))
    return [
      finding(
        'stop',
        'device-has-no-common',
        'Its sheet says that it needs a common, yet names no C terminal: check the entry.',
        [device.id]
      )
    ];
  if (there) return [];
  const text = 'It needs a common, and none is landed at both ends: see Supply.';
  return [finding('warn', 'needs-common', text, [device.id])];
}
