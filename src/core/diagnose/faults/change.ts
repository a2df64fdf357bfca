/** Small steps that faults are made of. */
import {
  landedTerminal,
  printedMark,
  splitTerminal,
  type Landing,
  type Strand,
  type TerminalId,
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

/** Device name and mark. */
export function terminalName(wiring: Wiring, terminal: TerminalId): string {
  const { device } = splitTerminal(terminal);
  const name = wiring.devices.find((one) => one.id === device)?.name ?? device;
  return `${printedMark(wiring, terminal)} of the ${name}`;
}

export function markAt(landing: Landing): string | null {
  const terminal = landedTerminal(landing);
  return terminal === null ? null : splitTerminal(terminal).mark;
}
