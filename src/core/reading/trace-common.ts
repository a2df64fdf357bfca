/**
 * The common of a board that has no C mark. The transformer's low-voltage side has two leads: one goes to R, the other is common. A single
 * finding can be a mistake; two that were made in different ways and agree may be landed on, and two that differ stop.
 */
import { ref } from '../findings/refs';
import type { TRACE_WAYS, TraceFinding } from '../job/reading-schema';
import type { Equipment } from '../job/schema';
import { finding, type Finding } from '../findings/finding';
import { ROLE_MARKS } from '../trade/roles';
import { canonicalMark, usualMeanings } from '../trade/terminals';

export type TraceWay = (typeof TRACE_WAYS)[number];

export interface TraceStep {
  readonly way: TraceWay;
  readonly title: string;
  readonly how: string;
}

/** The ways of finding it, in the order in which they are safest and easiest. */
export const TRACE_STEPS: readonly TraceStep[] = [
  {
    way: 'followed',
    title: 'Follow the transformer’s leads',
    how: 'With the power off: find the transformer, the block with two thin leads on its low-voltage side. One goes to R (often through the fuse). Follow the other to the screw or joint where it ends.'
  },
  {
    way: 'diagram',
    title: 'Read the diagram inside the door',
    how: 'Find the transformer on it. The side that is not R runs to one side of every coil: the contactor, the gas valve, the relays. That line is common; read where it ends on the strip.'
  },
  {
    way: 'meter-to-r',
    title: 'Measure to R, power on',
    how: 'Only with the door switch as the maker means it, one hand, meter on AC: between R and the spot it reads 22 to 30 V, and the same in every call. Then the power off again.'
  },
  {
    way: 'meter-to-earth',
    title: 'Continuity to the transformer’s lead, power off',
    how: 'Power off and R lifted: continuity (near 0 ohm) between the spot and the transformer’s other low-voltage lead. To the cabinet alone it proves nothing: some commons are earthed and some are not.'
  }
];

export interface CommonTrace {
  readonly state: 'marked' | 'none' | 'one' | 'agreed' | 'disagree';
  /** Where common is, when it may be landed on. */
  readonly spot: string | null;
  readonly findings: readonly Finding[];
}

const spotKey = (found: TraceFinding) => canonicalMark(found.spot.replace(/\s+/g, ' '));

function meansCommon({ mark, role }: Equipment['screws'][number]): boolean {
  return role === null ? usualMeanings(mark).includes('C') : ROLE_MARKS[role.means] === 'C';
}

/** What the findings recorded for a machine come to. */
export function traceOf(machine: Equipment): CommonTrace {
  if (machine.screws.some((screw) => meansCommon(screw))) return { state: 'marked', spot: 'C', findings: [] };
  const because = [ref.machine(machine.id)];
  if (machine.trace.length === 0) return { state: 'none', spot: null, findings: [] };
  const spots = new Set(machine.trace.map(spotKey));
  if (spots.size > 1) {
    const fact = { spots: [...new Set(machine.trace.map((step) => step.spot))], machine: machine.name };
    return {
      state: 'disagree',
      spot: null,
      findings: [finding('stop', 'common-traces-disagree', fact, because)]
    };
  }
  const ways = new Set(machine.trace.map((step) => step.way));
  const [first] = machine.trace;
  if (ways.size < 2 || !first) {
    const fact = { spot: first?.spot ?? 'a spot', machine: machine.name };
    return { state: 'one', spot: null, findings: [finding('warn', 'common-not-traced', fact, because)] };
  }
  return { state: 'agreed', spot: first.spot, findings: [] };
}
