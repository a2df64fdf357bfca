/** Pulling something along the old path: how long, and what the path allows. */
import { ref } from '../findings/refs';
import { WORST_LENGTH_M } from '../trade/cable';
import { runPrice } from '../trade/cable-prices';
import { finding, type Finding } from '../findings/finding';
import { wallPlace, type Board, type Wiring } from '../wiring/graph';
import type { Part, SupplySituation } from './types';

/** For stripping at both ends and for the way round corners. */
const SLACK_M = 2;

/** Metres to buy for a run along the longest of the old cables. */
export function newCableLength(before: Wiring): number {
  return Math.max(...before.cables.map((cable) => cable.lengthM ?? WORST_LENGTH_M), 1) + SLACK_M;
}

/** The places that a new cable from the wall to a machine joins. */
export function endsOf(wiring: Wiring, board: Pick<Board, 'at'> | undefined) {
  return { near: wallPlace(wiring), far: board?.at ?? null };
}

const GAUGE = 18;

/** A run of solid 18 AWG cable, at the price of the roll that it is cut from. */
export function cablePart(conductors: number, lengthM: number): Part {
  const metres = Math.ceil(lengthM);
  const what = conductors === 1 ? 'Thermostat wire, one' : `Thermostat cable, ${conductors} wires`;
  return {
    id: `cable-${conductors}`,
    name: `${what}, ${GAUGE} AWG solid, listed for walls`,
    quantity: metres,
    unit: 'metre',
    cost: runPrice(metres, conductors),
    run: { conductors, gauge: GAUGE, lengthM: metres }
  };
}

/** Left behind in the path, for whoever pulls next. */
export function pullLine(lengthM: number): Part {
  return {
    id: 'pull-line',
    name: 'Pull line, left behind in the path',
    quantity: Math.ceil(lengthM),
    unit: 'metre',
    cost: 3
  };
}

/** What the path of the old cable allows, and what to try first. */
export function pathConditions({ before }: SupplySituation): Finding[] {
  const found: Finding[] = [];
  const stapled = before.cables.filter((cable) => cable.path === 'stapled');
  if (stapled.length > 0) {
    found.push(
      finding(
        'stop',
        'cable-stapled',
        { cables: stapled.map((strand) => strand.name) },
        stapled.map((strand) => ref.cable(strand.id))
      )
    );
  }
  const unknown = before.cables.filter((cable) => cable.path === 'unknown');
  if (unknown.length > 0) {
    found.push(
      finding(
        'warn',
        'cable-path-unknown',
        {},
        unknown.map((cable) => ref.cable(cable.id))
      )
    );
  }
  if (before.strands.some((strand) => strand.spliced !== 'no')) {
    found.push(
      finding(
        'warn',
        'hidden-splice',
        { what: 'on-the-way' },
        before.strands.filter((strand) => strand.spliced !== 'no').map((strand) => ref.conductor(strand.id))
      )
    );
  }
  return found;
}
