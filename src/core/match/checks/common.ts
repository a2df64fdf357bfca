import { finding } from '../../trade/findings';
import { hasMark, landedTerminal, splitTerminal } from '../../wiring/graph';
import type { MatchCheck } from '../types';

/** What it lives on, against what is there. */
export const common: MatchCheck = {
  id: 'common',
  check({ device, wiring }) {
    const there = wiring.strands.find((strand) =>
      [strand.wall, strand.equipment].every((end) => {
        const terminal = landedTerminal(end);
        return terminal !== null && splitTerminal(terminal).mark === 'C';
      })
    );
    switch (device.supply) {
      case 'battery':
        return [
          finding('note', 'device-needs-no-common', 'It lives on batteries and needs no common.', [device.id])
        ];
      case 'self-charging':
        return there
          ? []
          : [
              finding(
                'warn',
                'supply-not-proven',
                'Without a common it charges itself through an idle call circuit. Whether that works on this board is not proven here: give it a common.',
                [device.id]
              )
            ];
      case 'common-or-battery':
        return there
          ? []
          : [
              finding(
                'note',
                'needs-common',
                'It can live on cells, but is fully awake only with a common: see Supply.',
                [device.id]
              )
            ];
      case 'common-required':
        if (!hasMark(device, 'C')) {
          return [
            finding(
              'stop',
              'device-has-no-common',
              'Its sheet says that it needs a common, yet names no C terminal: check the entry.',
              [device.id]
            )
          ];
        }
        return there
          ? []
          : [
              finding(
                'warn',
                'needs-common',
                'It needs a common, and none is landed at both ends: see Supply.',
                [device.id]
              )
            ];
    }
  }
};
