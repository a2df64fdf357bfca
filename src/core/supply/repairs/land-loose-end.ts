import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import {
  boards,
  landed,
  landedMark,
  landedTerminal,
  screwThat,
  type Board,
  type Strand,
  type Wiring
} from '../../wiring/graph';
import { continuityFindings } from '../equipment';
import type { Repair } from './types';

/** On a screw at the wall and on nothing at a machine that has that screw, free: it is landed there, once it is proven to be the one. */
export const landLooseEnd: Repair = {
  id: 'land-loose-end',
  find({ wiring }) {
    return wiring.strands.flatMap((strand) => {
      if (strand.near.state !== 'landed' || strand.far.state !== 'loose' || strand.continuity === 'broken')
        return [];
      const mark = landedMark(wiring, strand.near);
      const board = machineOf(wiring, strand);
      const screw = mark === null || !board ? undefined : screwThat(board, mark);
      if (!screw || !board || isTaken(wiring, screw.id)) return [];
      const fact = { what: 'land-loose-end', conductor: strand.name, mark: screw.mark, machine: board.name };
      return [
        {
          after: withFar(wiring, strand, screw.id),
          findings: [
            finding('warn', 'repair', fact as typeof fact & { what: 'land-loose-end' }, [
              ref.conductor(strand.id),
              ref.machine(board.id)
            ]),
            ...continuityFindings(strand)
          ]
        }
      ];
    });
  }
};

/** The machine that its cable goes to; where nobody knows, the only one. */
export function machineOf(wiring: Wiring, strand: Strand): Board | undefined {
  const all = boards(wiring);
  const goesTo = wiring.cables.find((cable) => cable.id === strand.cable)?.far ?? null;
  const there = all.find((board) => board.at === goesTo);
  return there ?? (goesTo === null && all.length === 1 ? all[0] : undefined);
}

export function isTaken(wiring: Wiring, terminal: string): boolean {
  return wiring.strands.some((strand) => landedTerminal(strand.far) === terminal);
}

export function withFar(wiring: Wiring, strand: Strand, terminal: string): Wiring {
  return {
    ...wiring,
    strands: wiring.strands.map((candidate) =>
      candidate.id === strand.id ? { ...candidate, far: landed(terminal) } : candidate
    )
  };
}
