/** Marks that mean one thing on some plates and another on others: they carry their readings until the other end decides. */
import { finding, type Finding } from '../trade/findings';
import { MARK_READINGS, markClass, type MarkReading } from '../trade/terminals';
import { landedTerminal, splitTerminal, type Strand } from '../wiring/graph';
import type { Situation } from './types';

/** The readings still open for the mark that a conductor is on at the wall; empty where the mark has one meaning. */
export function openReadings(strand: Strand): readonly MarkReading[] {
  const wall = landedTerminal(strand.wall);
  if (wall === null) return [];
  const readings = MARK_READINGS[splitTerminal(wall).mark] ?? [];
  const far = landedTerminal(strand.equipment);
  if (far === null) return readings;
  const decided = readings.filter((one) => one.id === readingAt(splitTerminal(far).mark));
  return decided.length > 0 ? [] : readings;
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

/** A second heat stage and auxiliary heat are told apart by the system, not by the other end. */
const BY_SYSTEM = new Set(['W2']);

export function ambiguousMarks({ wiring }: Situation): Finding[] {
  return wiring.strands.flatMap((strand) => {
    const wall = landedTerminal(strand.wall);
    const mark = wall === null ? '' : splitTerminal(wall).mark;
    const open = BY_SYSTEM.has(mark) ? [] : openReadings(strand);
    if (open.length < 2) return [];
    const readings = open.map((one) => `${one.means} (if ${one.decidedBy})`).join('; or ');
    return [
      finding(
        'warn',
        'mark-ambiguous',
        `The ${strand.name} conductor is on ${mark}, which may be: ${readings}. Read its other end before anything rests on it.`,
        [strand.id]
      )
    ];
  });
}
