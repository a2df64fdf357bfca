import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../trade/findings';
import { deviceOf, landedMark, landedTerminal } from '../../wiring/graph';
import { reachable } from '../../wiring/trace';
import type { MatchCheck } from '../types';

/** Two supplies need two hot terminals with nothing between them. */
export const rails: MatchCheck = {
  id: 'rails',
  check({ device, wiring }) {
    const hot = wiring.strands.filter(
      (strand) =>
        ['R', 'RH', 'RC'].includes(landedMark(wiring, strand.near) ?? '') && strand.far.state === 'landed'
    );
    const [first, ...others] = hot;
    const from = first && landedTerminal(first.far);
    if (!from) return [];
    const together = reachable({ links: wiring.links, strands: [] }, from);
    const boardOf = deviceOf(wiring, from)?.id;
    const second = others.find((strand) => {
      const terminal = landedTerminal(strand.far);
      return terminal !== null && !together.has(terminal) && deviceOf(wiring, terminal)?.id !== boardOf;
    });
    if (!second) return oneSupply(device);
    const because = [first.id, second.id, device.id];
    if (device.rails === 'one-r' || device.rails === 'joined-inside') {
      const text = `Two machines each bring a hot conductor of their own. The ${device.model} joins them inside: two transformers would feed each other.`;
      return [finding('stop', 'link-must-suit-supplies', text, because)];
    }
    if (device.rails === 'link-to-be-cut')
      return [
        finding(
          'warn',
          'link-to-be-cut',
          'Two machines each bring a hot conductor of their own: its link between RH and RC is cut, for good.',
          because
        )
      ];
    return [
      finding(
        'warn',
        'link-must-suit-supplies',
        'Two machines each bring a hot conductor of their own: the link between RH and RC must be out.',
        because
      )
    ];
  }
};

function oneSupply(device: DeviceFacts): Finding[] {
  if (device.rails === 'joined-inside')
    return [
      finding('note', 'set-up', 'Set that one supply feeds both its sides: it joins RH and RC inside.', [
        device.id
      ])
    ];
  if (device.rails === 'one-r') return [];
  const text =
    'One supply: its link between RH and RC stays in, unless the way of supplying it says otherwise.';
  return [finding('note', 'set-up', text, [device.id])];
}
