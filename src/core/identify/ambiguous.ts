/** Marks that mean one thing on some plates and another on others: they carry their readings until the other end decides. */
import { ref } from '../findings/refs';
import { finding, type Finding } from '../findings/finding';
import { canonicalMark, MARK_READINGS, markClass, type MarkReading } from '../trade/terminals';
import {
  landedTerminal,
  printedMark,
  terminalAt,
  type Landing,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { BY_SYSTEM } from '../wiring/meaning';
import type { Situation } from './types';

/** The readings still open for the mark that a conductor is on at the wall; empty where the mark has one meaning. */
export function openReadings(wiring: Wiring, strand: Strand): readonly MarkReading[] {
  const mark = printAt(wiring, strand.near);
  if (mark === null) return [];
  const readings = MARK_READINGS[mark] ?? [];
  const far = printAt(wiring, strand.far);
  if (far === null) return readings;
  const decided = readings.filter((reading) => reading.id === readingAt(far));
  return decided.length > 0 ? [] : readings;
}

/** The mark as it is printed, in its canonical form; null for an end on nothing, and for a screw whose meaning was stated. */
function printAt(wiring: Wiring, landing: Landing): string | null {
  const terminal = landedTerminal(landing);
  const screw = terminal === null ? undefined : terminalAt(wiring, terminal)?.screw;
  return screw && screw.role === null ? canonicalMark(screw.mark) : null;
}

/** What the mark at the equipment shows a conductor to be, or null where that mark is ambiguous itself. */
function readingAt(mark: string): MarkReading['id'] | null {
  const direct: Readonly<Record<string, MarkReading['id']>> = {
    C: 'common',
    O: 'reversing',
    B: 'reversing',
    OB: 'reversing',
    E: 'emergency',
    X2: 'emergency',
    R: 'hot',
    RH: 'hot',
    RC: 'hot',
    W1: 'call',
    Y1: 'call',
    G: 'call',
    W2: 'auxiliary',
    AUX: 'auxiliary',
    L: 'lamp'
  };
  return markClass(mark) === 'data' ? 'data' : (direct[mark] ?? null);
}

export function ambiguousMarks({ wiring }: Situation): Finding[] {
  return wiring.strands.flatMap((strand) => {
    const wall = landedTerminal(strand.near);
    const open =
      wall === null || BY_SYSTEM.has(printAt(wiring, strand.near) ?? '') ? [] : openReadings(wiring, strand);
    if (wall === null || open.length < 2) return [];
    const fact = {
      conductor: strand.name,
      mark: printedMark(wiring, wall),
      readings: open.map(({ means, decidedBy }) => ({ means, decidedBy }))
    };
    return [finding('warn', 'mark-ambiguous', fact, [ref.conductor(strand.id)])];
  });
}
