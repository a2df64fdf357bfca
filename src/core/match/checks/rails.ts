import { ref, type Ref } from '../../findings/refs';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
import { deviceOf, landedMark, landedTerminal, type Strand, type Wiring } from '../../wiring/graph';
import { reachable } from '../../wiring/trace';
import type { MatchCheck } from '../types';

/** Two supplies need two hot terminals with nothing between them. */
export const rails: MatchCheck = {
  id: 'rails',
  check({ device, wiring }) {
    const hot = wiring.strands.filter(
      ({ near, far }) =>
        ['R', 'RH', 'RC'].includes(landedMark(wiring, near) ?? '') &&
        (far.state === 'landed' || far.state === 'unseen')
    );
    const pair = pairOfSupplies(wiring, hot);
    if (pair) return twoSupplies(device, [...pair.map(({ id }) => ref.conductor(id)), ref.device(device.id)]);
    if (hot.length > 1 && hot.some(({ far }) => far.state === 'unseen')) return maybeTwo(device, hot);
    return hot.some(({ far }) => far.state === 'landed') ? oneSupply(device) : [];
  }
};

/** Two hot wires that were followed to two machines, with nothing between their terminals. */
function pairOfSupplies(wiring: Wiring, hot: readonly Strand[]): [Strand, Strand] | null {
  const [first, ...others] = hot.filter(({ far }) => far.state === 'landed');
  const from = first && landedTerminal(first.far);
  if (!from) return null;
  const together = reachable({ links: wiring.links, strands: [] }, from);
  const boardOf = deviceOf(wiring, from)?.id;
  const second = others.find((strand) => {
    const terminal = landedTerminal(strand.far);
    return terminal !== null && !together.has(terminal) && deviceOf(wiring, terminal)?.id !== boardOf;
  });
  return second ? [first, second] : null;
}

const joinsInside = ({ rails: how }: DeviceFacts) => how === 'one-r' || how === 'joined-inside';

function twoSupplies(device: DeviceFacts, because: readonly Ref[]): Finding[] {
  if (joinsInside(device)) {
    const fact = { what: 'joined-inside', model: device.model } as const;
    return [finding('stop', 'link-must-suit-supplies', fact, because)];
  }
  if (device.rails === 'link-to-be-cut') return [finding('warn', 'link-to-be-cut', {}, because)];
  return [finding('warn', 'link-must-suit-supplies', { what: 'must-be-out' }, because)];
}

/** Nobody has seen where one of them comes from: a device that joins them cannot be said to fit, and no jumper to stay in. */
function maybeTwo(device: DeviceFacts, hot: readonly Strand[]): Finding[] {
  const fact = {
    what: joinsInside(device) ? 'may-be-joined' : 'may-have-to-be-out',
    model: device.model,
    conductors: hot.map(({ name }) => name)
  } as const;
  const because = [...hot.map(({ id }) => ref.conductor(id)), ref.device(device.id)];
  return [finding('warn', 'link-must-suit-supplies', fact, because)];
}

function oneSupply(device: DeviceFacts): Finding[] {
  if (device.rails === 'one-r') return [];
  const what = device.rails === 'joined-inside' ? 'one-supply-joined' : 'one-supply-clip';
  return [finding('note', 'set-up', { what }, [ref.device(device.id)])];
}
