import { ref } from '../../findings/refs';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
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
    const because = [ref.conductor(first.id), ref.conductor(second.id), ref.device(device.id)];
    if (device.rails === 'one-r' || device.rails === 'joined-inside') {
      const fact = { what: 'joined-inside', model: device.model } as const;
      return [finding('stop', 'link-must-suit-supplies', fact, because)];
    }
    if (device.rails === 'link-to-be-cut') return [finding('warn', 'link-to-be-cut', {}, because)];
    return [finding('warn', 'link-must-suit-supplies', { what: 'must-be-out' }, because)];
  }
};

function oneSupply(device: DeviceFacts): Finding[] {
  if (device.rails === 'one-r') return [];
  const what = device.rails === 'joined-inside' ? 'one-supply-joined' : 'one-supply-clip';
  return [finding('note', 'set-up', { what }, [ref.device(device.id)])];
}
