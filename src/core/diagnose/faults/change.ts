/** Small steps that faults are made of. */
import {
  landedTerminal,
  splitTerminal,
  type Landing,
  type Strand,
  type Upset,
  type Wiring
} from '../../wiring/graph';
import type { EndSide } from '../../trade/vocabulary';

export function withStrand(wiring: Wiring, id: string, change: (strand: Strand) => Strand): Wiring {
  return { ...wiring, strands: wiring.strands.map((one) => (one.id === id ? change(one) : one)) };
}

export function withUpset(wiring: Wiring, upset: Upset): Wiring {
  return { ...wiring, upsets: [...(wiring.upsets ?? []), upset] };
}

export function landed(strand: Strand): boolean {
  return (
    strand.wall.state === 'landed' && strand.equipment.state === 'landed' && strand.continuity !== 'broken'
  );
}

export const LOOSE: Landing = { state: 'loose' };

/** "wall" or "equipment" as one says it. */
export function endName(side: EndSide): string {
  return side === 'wall' ? 'the wall' : 'the equipment';
}

export function markAt(landing: Landing): string | null {
  const terminal = landedTerminal(landing);
  return terminal === null ? null : splitTerminal(terminal).mark;
}
