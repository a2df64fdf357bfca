import { deviceAtEnd, landed as landedOn, landedMark, screwThat, type Wiring } from '../../wiring/graph';
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
      const device = deviceAtEnd(wiring, strand.near);
      const mark = landedMark(wiring, strand.near);
      if (!device || mark === null) return [];
      return (mistaken[mark] ?? []).flatMap((other) => {
        const screw = screwThat(device, other);
        if (!screw) return [];
        return [
          {
            id: `wrong-terminal:${strand.id}:${other}`,
            kind: 'wrong-terminal' as const,
            hits: { strands: [strand.id], end: 'near' as const },
            says: `the ${strand.name} wire is on ${other} instead of ${mark} at the wall`,
            apply: (before: Wiring) =>
              withStrand(before, strand.id, (it) => ({ ...it, near: landedOn(screw.id) }))
          }
        ];
      });
    })
};
