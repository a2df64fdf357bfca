/**
 * Proofs by what they rest on: the same two circuits in the same worlds are not solved twice. A record's path, names of cables and other
 * things that carry no current are left out of the key, so that an edit of those finds its proofs again.
 */
import { recently } from '../trade/recent';
import type { Wiring } from '../wiring/graph';
import { prove } from './prove';
import type { Proof, ProofInput, Prover } from './types';

/** A prover that remembers; the one that was not asked for the longest goes when there are more than `most`. */
export function rememberingProver(most: number, solve: Prover = prove): Prover {
  const known = recently<Proof>(most);
  return (input) => known(proofKey(input), () => solve(input));
}

/** What proves unless another is asked for. A job comes again after every edit, and most of its circuits are the same. */
export const remembered: Prover = rememberingProver(400);

function proofKey({ before, after, worlds, needsSupply, calls = [], neighbours = [] }: ProofInput): string {
  const others = neighbours
    .map(
      (neighbour) =>
        `${neighbour.thermostat} ${circuitKey(neighbour.wiring)} ${JSON.stringify(neighbour.worlds)}`
    )
    .join(' ');
  return `${others} ${circuitKey(before)} ${circuitKey(after)} ${JSON.stringify(worlds)} ${needsSupply} ${calls.join(' ')}`;
}

/** The record is never changed in place, so each wiring is written out once. */
const keys = new WeakMap<Wiring, string>();

/** Everything of a wiring that a circuit, or a sentence about it, can depend on. */
export function circuitKey(wiring: Wiring): string {
  const known = keys.get(wiring);
  if (known !== undefined) return known;
  const strands = wiring.strands.map(({ id, name, ohms, continuity, near, far }) => [
    id,
    name,
    ohms,
    continuity === 'broken',
    near,
    far
  ]);
  const key = JSON.stringify([wiring.devices, strands, wiring.links, wiring.upsets ?? []]);
  keys.set(wiring, key);
  return key;
}
