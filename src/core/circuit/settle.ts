/**
 * Relays and fuses make a circuit stepwise: solve, let the coils and fuses answer, solve again until nothing changes. A state that comes
 * back without settling is chatter, which is an answer too.
 */
import { partRef, type Coil, type Contact, type Sense } from '../devices/elements';
import type { CornerAim, CornerId, SupplyCase } from '../devices/world';
import type { PartRef } from '../findings/refs';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import { CONTACT_OHMS, FUSE_OPENS_AT } from '../trade/loads';
import { across, conducts, fuseAt, setCall, solveCircuit, through, type Circuit } from './circuit';
import { goFar, type Aim } from './bounds';
import { putCorner } from './spread';
import { halfWavesFor, rmsBetween, solveHalfWaves, withPulses, type HalfWaves } from './half-waves';
import { islandsOf } from './islands';

/** Longer than any chain of relays in a house; a cycle is noticed before that. */
const MOST_STEPS = 64;

/** A released coil that gets this share of what pulls it in hums: less is nothing that anybody would hear. */
export const HUMS_FROM = 0.25;

/** State and scratch of settling one circuit, reused from call to call. */
export interface Relays {
  readonly circuit: Circuit;
  /** Coils, then sensing relays, by their place in the netlist. */
  readonly coils: Int32Array;
  readonly parts: readonly PartRef[];
  /** Number of a coil or sensing relay in `coils`, by its id. */
  readonly numberOf: ReadonlyMap<string, number>;
  readonly energised: Uint8Array;
  readonly openFuses: Uint8Array;
  /** The highest current that an opened fuse saw, amps. */
  readonly fuseAmps: Float64Array;
  readonly chattering: Uint8Array;
  readonly waves: HalfWaves | null;
  /** Per contact: the place of its coil in `coils`, or -1 where that coil is not there, and 1 where it closes when energised. */
  readonly contacts: Int32Array;
  readonly contactCoil: Int32Array;
  readonly contactCloses: Uint8Array;
  readonly history: Uint8Array;
}

export function relaysOf(circuit: Circuit): Relays {
  const { elements } = circuit.netlist;
  const coils = Int32Array.from([...circuit.coils, ...circuit.senses]);
  const numberOf = new Map(Array.from(coils, (place, number) => [elements[place]?.id ?? '', number]));
  const contacts = circuit.switching.filter((place) => elements[place]?.kind === 'contact');
  const contact = (place: number) => elements[place] as Contact;
  const width = coils.length + circuit.fuses.length;
  return {
    circuit,
    coils,
    parts: Array.from(coils, (place) => partRef(elements[place] as Coil)),
    numberOf,
    energised: new Uint8Array(coils.length),
    openFuses: new Uint8Array(circuit.fuses.length),
    fuseAmps: new Float64Array(circuit.fuses.length),
    chattering: new Uint8Array(coils.length),
    waves: circuit.halfWaves ? halfWavesFor(circuit) : null,
    contacts,
    contactCoil: contacts.map((place) => numberOf.get(contact(place).coil) ?? -1),
    contactCloses: Uint8Array.from(contacts, (place) => (contact(place).closedWhen === 'energised' ? 1 : 0)),
    history: new Uint8Array(MOST_STEPS * width)
  };
}

/** Numbers of the coils of which any one makes a load run. */
export function coilsOfLoad({ circuit, numberOf }: Relays, load: LoadId): Int32Array {
  const rules = circuit.netlist.loads.filter((rule) => rule.load === load);
  return Int32Array.from(rules.flatMap((rule) => rule.coils.flatMap((id) => numberOf.get(id) ?? [])));
}

/**
 * Solves a call to its fixed point, from rest or from the coils that `from` has pulled in. Returns the number of solves; the state is in `relays`
 * and the circuit.
 */
export function settle(relays: Relays, call: Call, supplyCase: SupplyCase, from?: Uint8Array): number {
  const { circuit } = relays;
  const { corner } = supplyCase;
  const aim = corner === undefined ? null : aimOf(circuit, corner, supplyCase.aim);
  if (aim === null) {
    putCorner(circuit, corner ?? null);
    setCall(circuit, call, supplyCase);
    return run(relays, from);
  }
  circuit.model = 'complex';
  circuit.kept.corner = 'searched';
  setCall(circuit, call, supplyCase);
  return goFar(circuit, aim, () => run(relays, from));
}

/** What a corner is about in this circuit; null where it cannot be searched for: with diodes, or with nothing to aim at. */
function aimOf(circuit: Circuit, corner: CornerId, wanted: CornerAim | undefined): Aim | null {
  if (circuit.halfWaves) return null;
  const { netlist, placeOf, sources } = circuit;
  const [fed] = netlist.fed;
  const usual = corner === 'loaded' || !fed ? sources[0] : placeOf.get(fed.element);
  const at = wanted ? placeOf.get(wanted.element) : usual;
  if (at === undefined) return null;
  return {
    at,
    read: corner === 'loaded' ? 'amps' : 'volts',
    far: corner === 'weak' ? 'least' : 'most',
    pulling: wanted?.pulling ?? false
  };
}

/** Steps on until nothing changes. */
function run(relays: Relays, from: Uint8Array | undefined): number {
  const { circuit } = relays;
  if (from) relays.energised.set(from);
  else relays.energised.fill(0);
  relays.openFuses.fill(0);
  relays.fuseAmps.fill(0);
  relays.chattering.fill(0);
  for (let step = 0; ; step += 1) {
    applyState(relays);
    if (relays.waves) solveHalfWaves(circuit, relays.waves);
    else solveCircuit(circuit);
    remember(relays, step);
    if (!answer(relays)) return step + 1;
    const back = sameAsBefore(relays, step);
    if (back >= 0 || step + 1 >= MOST_STEPS) {
      markChatter(relays, Math.max(0, back), step);
      return step + 1;
    }
  }
}

/** Puts contacts and fuses where the state has them, and gives each coil the impedance of its armature, open or closed. */
export function applyState(relays: Relays): void {
  const { circuit, contacts, contactCoil, contactCloses, energised, openFuses } = relays;
  const { coils, times, ratio } = circuit;
  for (let i = 0; i < coils.length; i += 1) times[coils[i]!] = energised[i] === 1 ? 1 : ratio[coils[i]!]!;
  for (let i = 0; i < contacts.length; i += 1) {
    const coil = contactCoil[i]!;
    circuit.on[contacts[i]!] = (coil < 0 ? 0 : energised[coil]!) === contactCloses[i]! ? 1 : 0;
  }
  for (let i = 0; i < circuit.fuses.length; i += 1)
    circuit.on[circuit.fuses[i]!] = openFuses[i] === 1 ? 0 : 1;
}

/** Voltage that coil number `i` answers to. */
export function coilVolts(relays: Relays, i: number): number {
  const { circuit, coils, waves } = relays;
  if (circuit.present[coils[i]!] === 0) return 0;
  if (!waves) return across(circuit, coils[i]!);
  const sense = i - circuit.coils.length;
  return sense >= 0 ? waves.sensed[sense]! : elementVolts(relays, coils[i]!);
}

/** RMS voltage across an element in the state last solved. */
export function elementVolts({ circuit, waves }: Relays, at: number): number {
  if (!waves) return across(circuit, at);
  return rmsBetween(waves, circuit.structure.a[at]!, circuit.structure.b[at]!);
}

/** RMS amps through a lasting element, a contact or a fuse in the state last solved; of a source, what it gives. */
export function elementAmps(relays: Relays, at: number): number {
  const { circuit, waves } = relays;
  if (!waves) return through(circuit, at);
  if (!conducts(circuit, at)) return 0;
  const source = circuit.netlist.elements[at]?.kind === 'source';
  if (!source) return elementVolts(relays, at) * circuit.gRe[at]! * circuit.times[at]!;
  return sourceAmps(circuit, waves, at);
}

/** A source's current follows the drop inside it; the drop is read at the four instants like any voltage. */
function sourceAmps(circuit: Circuit, waves: HalfWaves, at: number): number {
  const { structure, emf, turn, gRe } = circuit;
  const shares = [Math.SQRT2, Math.SQRT1_2, -Math.SQRT2, -Math.SQRT1_2];
  const nodes = shares.map((share, instant) => {
    const over = waves.nodes[instant]![structure.a[at]!]! - waves.nodes[instant]![structure.b[at]!]!;
    return Float64Array.of(emf[at]! * turn[at]! * share - over, 0);
  });
  const amps = rmsBetween({ nodes }, 0, 1) * gRe[at]!;
  return withPulses(waves, amps, sensesOf(circuit, at));
}

/** Numbers of the sensing relays that hang on a source: all of them where it is the only one. */
function sensesOf(circuit: Circuit, source: number): number[] {
  const { senses, sources, structure } = circuit;
  const all = Array.from(senses.keys());
  if (sources.length === 1) return all;
  const islands = islandsOf(circuit);
  const island = (at: number) => islands[structure.a[at]!];
  return all.filter((number) => island(senses[number]!) === island(source));
}

/** The next state: the worst overloaded fuse opens alone; only when none does, the coils follow their voltage. True when it differs. */
function answer(relays: Relays): boolean {
  const { circuit, coils, energised, openFuses, fuseAmps } = relays;
  let worst = -1;
  let excess = 1;
  for (let i = 0; i < circuit.fuses.length; i += 1) {
    if (openFuses[i] === 1 || circuit.present[circuit.fuses[i]!] === 0) continue;
    const amps = elementVolts(relays, circuit.fuses[i]!) / CONTACT_OHMS;
    const ratio = amps / (fuseAt(circuit, circuit.fuses[i]!).amps * FUSE_OPENS_AT);
    if (ratio <= excess) continue;
    worst = i;
    excess = ratio;
    fuseAmps[i] = amps;
  }
  if (worst >= 0) {
    openFuses[worst] = 1;
    return true;
  }
  let changed = false;
  for (let i = 0; i < coils.length; i += 1) {
    const coil = circuit.netlist.elements[coils[i]!] as Coil | Sense;
    const volts = coilVolts(relays, i);
    const next = volts >= (energised[i] === 1 ? coil.dropOut : coil.pullIn) ? 1 : 0;
    if (next === energised[i]) continue;
    energised[i] = next;
    changed = true;
  }
  return changed;
}

function remember({ energised, openFuses, history }: Relays, step: number): void {
  const width = energised.length + openFuses.length;
  history.set(energised, step * width);
  history.set(openFuses, step * width + energised.length);
}

/** The earlier step that had the state now reached, or -1. */
function sameAsBefore({ energised, openFuses, history }: Relays, step: number): number {
  const coils = energised.length;
  const width = coils + openFuses.length;
  for (let back = step; back >= 0; back -= 1) {
    let same = true;
    for (let i = 0; same && i < coils; i += 1) same = history[back * width + i] === energised[i];
    for (let i = 0; same && i < openFuses.length; i += 1)
      same = history[back * width + coils + i] === openFuses[i];
    if (same) return back;
  }
  return -1;
}

/** Coils that are not the same in all states from `first` to `last` keep pulling in and letting go. */
function markChatter(
  { energised, openFuses, history, chattering }: Relays,
  first: number,
  last: number
): void {
  const width = energised.length + openFuses.length;
  for (let i = 0; i < energised.length; i += 1)
    for (let step = first; step < last; step += 1)
      if (history[step * width + i] !== history[(step + 1) * width + i]) chattering[i] = 1;
}
