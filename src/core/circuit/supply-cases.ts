/**
 * Which cases of polarity and earth are worth solving. Supplies that nothing joins do not see each other: turning one round, or tying both
 * commons to one earth, moves no current, because a tie is then the only way between them and a current needs a way back. So only supplies
 * that touch are turned against each other, and what does not touch is not multiplied out.
 */
import { PLAIN_CASE, type SupplyCase, type World } from '../devices/world';
import type { Wiring } from '../wiring/graph';
import { sourcesOf, type Netlist } from './netlist';
import { relaysFor } from './simulate';
import { supplyTies } from './supply-ties';

/** The cases of a circuit; the plain one alone where no two supplies touch. */
export function casesOf(netlist: Netlist): readonly SupplyCase[] {
  let cases = known.get(netlist);
  if (!cases) known.set(netlist, (cases = allCases(netlist)));
  return cases;
}

/** The cases of a wiring in a world; the plain one alone where it has no circuit. */
export function casesIn(wiring: Wiring, world: World): readonly SupplyCase[] {
  const relays = relaysFor(wiring, world);
  return 'ok' in relays ? [PLAIN_CASE] : casesOf(relays.circuit.netlist);
}

const known = new WeakMap<Netlist, readonly SupplyCase[]>();

function allCases(netlist: Netlist): SupplyCase[] {
  const { turnable, earthed } = supplyTies(netlist);
  if (turnable.length === 0 && !(earthed && sourcesOf(netlist.elements).length > 1)) return [PLAIN_CASE];
  // Groups are multiplied with each other: what two loads do together may come from one case here and another there.
  const ways = turnable.reduce<number[]>(
    (some, bit) => [...some, ...some.map((turned) => turned | bit)],
    [0]
  );
  ways.sort((a, b) => a - b);
  return [false, true].flatMap((bonded) => ways.map((turned) => ({ bonded, turned })));
}
