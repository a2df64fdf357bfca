import { canonicalMark } from '../../trade/terminals';
import { landedTerminal, splitTerminal, terminalId } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { landed, withStrand } from './change';

/** Terminals that are taken for each other at the wall, since they stand side by side or read alike. */
const mistaken: Readonly<Record<string, readonly string[]>> = {
  Y1: ['Y2'],
  W1: ['W2', 'AUX'],
  RC: ['RH'],
  RH: ['RC'],
  G: ['Y1'],
  C: ['RC', 'R']
};

/** A conductor sits on the terminal beside the right one at the wall: Y on Y2 of a thermostat with one stage. */
export const wrongTerminal: FaultRule = {
  kind: 'wrong-terminal',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).flatMap((strand) => {
      const wall = landedTerminal(strand.wall);
      if (wall === null) return [];
      const { device, mark } = splitTerminal(wall);
      const owned = new Set(wiring.devices.find((one) => one.id === device)?.marks.map(canonicalMark));
      return (mistaken[mark] ?? [])
        .filter((other) => owned.has(other))
        .map((other) => ({
          id: `wrong-terminal:${strand.id}:${other}`,
          kind: 'wrong-terminal' as const,
          says: `the ${strand.name} conductor is on ${other} instead of ${mark} at the wall`,
          apply: (one) =>
            withStrand(one, strand.id, (it) => ({
              ...it,
              wall: { state: 'landed', terminal: terminalId(device, other) }
            }))
        }));
    })
};
