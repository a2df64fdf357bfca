/**
 * What a screw means here. A print is a word of the trade that has usual meanings (`trade/terminals.ts`); in a house it may mean something
 * else, or nobody may know. One function decides, from what somebody stated, the other end of the conductor on it, the family, and the
 * table, in that order; it may answer that nobody knows.
 */
import { ROLE_MARKS, type ScrewRole } from '../trade/roles';
import { canonicalMark, isHot, MARK_READINGS, usualMeanings, type MarkReading } from '../trade/terminals';
import type { Family } from '../trade/vocabulary';
import { landedTerminal, terminalAt, type Device, type Screw, type TerminalId, type Wiring } from './graph';

export interface MeaningClues {
  /** What somebody says that the screw is for. */
  readonly stated: ScrewRole | null;
  /** Canonical marks at the other ends of the conductors on it, as far as those are known by themselves. */
  readonly otherEnds: readonly string[];
  /** The family that is taken for true; null while none is. */
  readonly family: Family | null;
}

export interface Meaning {
  /** Canonical marks that it stands for, all of them at once; empty where nobody knows. */
  readonly means: readonly string[];
  readonly from: 'stated' | 'other-end' | 'family' | 'table' | 'nobody';
}

const heatPumps: ReadonlySet<Family> = new Set(['heat-pump', 'dual-fuel']);

/** A second heat stage and auxiliary heat are told apart by the system, not by the other end. */
export const BY_SYSTEM: ReadonlySet<string> = new Set(['W2']);

/** Marks at the other end that decide for a reading, where those are more than its own. */
const DECIDED_BY: Partial<Readonly<Record<MarkReading['id'], readonly string[]>>> = {
  reversing: ['B', 'O', 'OB'],
  hot: ['R', 'RH', 'RC'],
  emergency: ['E', 'AUX', 'W2']
};

/** What a screw with this print means. */
export function meaningOf(print: string, { stated, otherEnds, family }: MeaningClues): Meaning {
  if (stated !== null) {
    const mark = ROLE_MARKS[stated];
    return { means: mark === null ? [] : [mark], from: 'stated' };
  }
  const mark = canonicalMark(print);
  // What is joined to the cabinet is seen in the diagram alone: a wire on C at the wall may have been put on earth.
  const readings = BY_SYSTEM.has(mark) || mark === 'GND' ? [] : (MARK_READINGS[mark] ?? []);
  const byOther = readings.find((reading) =>
    (DECIDED_BY[reading.id] ?? [reading.mark]).some((other) => other !== null && otherEnds.includes(other))
  );
  if (byOther?.mark && (byOther.mark !== mark || usualMeanings(print).length === 0))
    return { means: [byOther.mark], from: 'other-end' };
  if (mark === 'B' && family !== null && heatPumps.has(family)) return { means: ['B'], from: 'family' };
  const usual = usualMeanings(print);
  return usual.length > 0 ? { means: usual, from: 'table' } : { means: [], from: 'nobody' };
}

/** Marks whose reading hangs on the other end: what they mean says nothing of what is at theirs. */
function saysByItself(screw: Screw): string[] {
  if (screw.role !== null) {
    const mark = ROLE_MARKS[screw.role];
    return mark === null ? [] : [mark];
  }
  return canonicalMark(screw.mark) in MARK_READINGS ? [] : [...usualMeanings(screw.mark)];
}

/** Every screw of the wiring with what it means in a family (or before any is known). The same wiring where nothing changes. */
export function readIn(wiring: Wiring, family: Family | null): Wiring {
  let perFamily = known.get(wiring);
  if (perFamily === undefined) known.set(wiring, (perFamily = new Map()));
  const before = perFamily.get(family);
  if (before) return before;
  const read = withMeanings(wiring, family);
  perFamily.set(family, read);
  return read;
}

const known = new WeakMap<Wiring, Map<Family | null, Wiring>>();

function withMeanings(wiring: Wiring, family: Family | null): Wiring {
  const others = otherEndsOf(wiring);
  const used = usedIn(wiring);
  let changed = false;
  const devices = wiring.devices.map((device) => {
    // What a mains screw does is recorded with it: the marks of the 24 V table say nothing of it.
    if (device.kind === 'mains') return device;
    const read = contactPairs(
      device.screws.map((screw) => {
        const { means } = meaningOf(screw.mark, {
          stated: screw.role,
          otherEnds: others.get(screw.id) ?? [],
          family
        });
        // A screw that no print names has what the reading of the house gave it: a common that was traced.
        return means.length === 0 && screw.mark === '' && screw.role === null ? screw : { ...screw, means };
      })
    );
    const screws = device.kind === 'board' ? loneSide(aloneOnSecond(read, used, others), others) : read;
    const same = screws.every((screw, at) => screw.means.join() === device.screws[at]?.means.join());
    if (same) return device;
    changed = true;
    return { ...device, screws } as Device;
  });
  return changed ? { ...wiring, devices } : wiring;
}

/**
 * A cooling wire that is on Y at the wall and on Y2 at a board whose Y1 nobody uses is the one cooling wire that there is: the unit starts on
 * it, whatever the board calls it.
 */
function aloneOnSecond(
  screws: readonly Screw[],
  used: ReadonlySet<TerminalId>,
  others: ReadonlyMap<TerminalId, readonly string[]>
): readonly Screw[] {
  const isUsed = (screw: Screw) => used.has(screw.id);
  if (screws.some((screw) => screw.means.includes('Y1') && isUsed(screw))) return screws;
  return screws.map((screw) =>
    screw.means.length === 1 && screw.means[0] === 'Y2' && others.get(screw.id)?.includes('Y1')
      ? { ...screw, means: ['Y1'] }
      : screw
  );
}

/** The only T (or TT) that is read on a board is the side of the contact that its wire has at the wall: hot by R, switched by W. */
function loneSide(
  screws: readonly Screw[],
  others: ReadonlyMap<TerminalId, readonly string[]>
): readonly Screw[] {
  const sides = screws.filter(({ means }) => means.length === 1 && (means[0] === 'T' || means[0] === 'TT'));
  const [lone] = sides;
  const atWall = lone && sides.length === 1 ? (others.get(lone.id) ?? []) : [];
  const sidesSaid = [...(atWall.some(isHot) ? ['T1'] : []), ...(atWall.includes('W1') ? ['T2'] : [])];
  if (sidesSaid.length === 0) return screws;
  // Two wires that say different things of it: nobody knows.
  const means = sidesSaid.length === 1 ? sidesSaid : [];
  return screws.map((screw) => (screw === lone ? { ...screw, means } : screw));
}

/** Screws that a wire or a link is on. */
function usedIn(wiring: Wiring): Set<TerminalId> {
  const ends = wiring.strands.flatMap((strand) => [landedTerminal(strand.near), landedTerminal(strand.far)]);
  return new Set([
    ...ends.filter((end) => end !== null),
    ...wiring.links.flatMap((link) => [link.a, link.b])
  ]);
}

/** Two screws that both say T (or TT) are the two sides of one contact. */
function contactPairs(screws: readonly Screw[]): readonly Screw[] {
  for (const mark of ['T', 'TT']) {
    const pair = screws.filter((screw) => screw.means.length === 1 && screw.means[0] === mark);
    if (pair.length !== 2) continue;
    return screws.map((screw) =>
      screw === pair[0]
        ? { ...screw, means: ['T1'] }
        : screw === pair[1]
          ? { ...screw, means: ['T2'] }
          : screw
    );
  }
  return screws;
}

function otherEndsOf(wiring: Wiring): Map<TerminalId, string[]> {
  const ends = new Map<TerminalId, string[]>();
  const add = (terminal: TerminalId, other: TerminalId) => {
    const screw = terminalAt(wiring, other)?.screw;
    if (screw) ends.set(terminal, [...(ends.get(terminal) ?? []), ...saysByItself(screw)]);
  };
  for (const strand of wiring.strands) {
    const [near, far] = [landedTerminal(strand.near), landedTerminal(strand.far)];
    if (near === null || far === null) continue;
    add(near, far);
    add(far, near);
  }
  return ends;
}
