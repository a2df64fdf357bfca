/** What a wiring does in a call: which loads run, at what voltage; what the thermostat gets; what each supply gives. */
import { partRef } from '../devices/elements';
import type { PartRef } from '../findings/refs';
import type { Coil, LoadRule, Source } from '../devices/elements';
import {
  circuitWorldKey,
  PLAIN_CASE,
  sameCase,
  worldKey,
  type SupplyCase,
  type World
} from '../devices/world';
import type { Call } from '../trade/calls';
import type { LoadId, VoltageClass } from '../trade/vocabulary';
import { classOfVolts, poweredIslands, type Island } from './islands';
import type { Wiring } from '../wiring/graph';
import { circuitOf, fuseAt, isCircuit, type Circuit, type ImpedanceModel } from './circuit';
import { dipVolts } from './inrush';
import { meterOf, type Meter } from './meter';
import { loadsOf, netlistOf, type Netlist } from './netlist';
import { MOST_TURNABLE, supplyTies } from './supply-ties';
import { tiedSupplies } from './tied-supplies';
import { coilVolts, elementAmps, elementVolts, HUMS_FROM, relaysOf, settle, type Relays } from './settle';

export interface LoadResult {
  readonly id: LoadId;
  readonly energised: boolean;
  /** The best voltage across any of its coils, RMS. */
  readonly volts: number;
}

export interface SupplyResult {
  readonly id: string;
  readonly part: PartRef;
  readonly name: string;
  readonly va: number;
  readonly amps: number;
  /** The machine or small device that it belongs to. */
  readonly device: string;
  /** What it gives at its rated load, volts, and the class that this makes its island. */
  readonly nominalVolts: number;
  readonly voltageClass: VoltageClass;
  readonly ratedVa: number;
  /** What it may give by its rating, amps. */
  readonly ratedAmps: number;
  /** The least that its rating may be, where nobody has read its plate; else the same. */
  readonly leastVa: number;
  /** Rating of the fuse behind it, amps; null where it has none, or nobody has seen one. */
  readonly fuseRating: number | null;
  /** A fuse behind it has opened, or would have if there is one; `fuseAmps` is what it saw, and what goes on flowing where there is none. */
  readonly fuseOpen: boolean;
  readonly fuseAmps: number | null;
}

export interface CoilResult {
  readonly part: PartRef;
  readonly energised: boolean;
  /** RMS; of a sensing relay, its smoothed voltage. */
  readonly volts: number;
  /** What it is sure to pull in at. */
  readonly pullIn: number;
}

/** The electronics of one thermostat, receiver or the like. */
export interface FeedResult {
  readonly device: string;
  readonly volts: number;
  /** Its window, volts. */
  readonly min: number;
  readonly max: number;
  /** Whether they are inside it. */
  readonly fed: boolean;
}

export interface CallResult {
  readonly call: Call;
  readonly supplyCase: SupplyCase;
  readonly loads: readonly LoadResult[];
  readonly feeds: readonly FeedResult[];
  /** Volts at the thermostat's electronics, the least where there are several; null when none would be fed by a common. */
  readonly thermostatVolts: number | null;
  /** Whether that voltage is inside its window; null as above. */
  readonly thermostatFed: boolean | null;
  readonly supplies: readonly SupplyResult[];
  /** What hangs together, with the voltage class that its supplies make it; not read in a corner, nor are `tied` and `dipVolts`. */
  readonly islands: readonly Island[];
  /** Pairs of supplies that copper joins. */
  readonly tied: readonly (readonly [PartRef, PartRef])[];
  readonly chattering: readonly PartRef[];
  /** Coils that get some voltage while called but too little to pull in. */
  readonly starved: readonly PartRef[];
  /** Every coil and sensing relay, with what it gets. */
  readonly coils: readonly CoilResult[];
  /** Volts at the thermostat while all coils of the call pull in; null where none is fed, or none pulls in. */
  readonly dipVolts: number | null;
  /** In a corner: whether it is a bound. With diodes in the circuit it is none (`bounds.ts`). */
  readonly bounded: boolean;
  readonly solves: number;
}

export type SimulateFailure = {
  readonly ok: false;
  readonly reason: 'no-model' | 'not-solvable';
  readonly at: string;
  readonly why: string;
};
export type SimulateResult = { readonly ok: true; readonly result: CallResult } | SimulateFailure;
export type PowerResult =
  { readonly ok: true; readonly result: CallResult; readonly meter: Meter } | SimulateFailure;

export function simulate(
  wiring: Wiring,
  world: World,
  call: Call,
  supplyCase: SupplyCase = PLAIN_CASE,
  model: ImpedanceModel = 'resistive'
): SimulateResult {
  const subject = subjectOf(wiring, world, model);
  if ('ok' in subject) return subject;
  return { ok: true, result: resultOf(readingOf(subject.bench, call, supplyCase), subject) };
}

/** Coils and sensing relays as a call settles them from rest, by number. */
export interface RestingCoils {
  readonly parts: readonly PartRef[];
  readonly energised: Uint8Array;
  /** RMS; of a sensing relay, its smoothed voltage. */
  readonly volts: readonly number[];
}

/** As `simulate`, of the coils alone; null where the wiring has no circuit. */
export function coilsAtRest(
  wiring: Wiring,
  world: World,
  call: Call,
  supplyCase: SupplyCase
): RestingCoils | null {
  const subject = subjectOf(wiring, world, 'resistive');
  if ('ok' in subject) return null;
  const { energised, volts } = readingOf(subject.bench, call, supplyCase);
  return { parts: subject.bench.relays.parts, energised, volts };
}

function readingOf({ relays, readings }: Bench, call: Call, supplyCase: SupplyCase): Reading {
  let ofCall = readings.get(call);
  if (ofCall === undefined) readings.set(call, (ofCall = []));
  let reading = ofCall.find(({ common }) => sameCase(common.supplyCase, supplyCase));
  if (reading === undefined) {
    const steps = settle(relays, call, supplyCase);
    ofCall.push((reading = readOut(relays, call, supplyCase, steps)));
  }
  return reading;
}

/** As `simulate`, with a meter on what was solved. */
export function powerUp(
  wiring: Wiring,
  world: World,
  call: Call,
  supplyCase: SupplyCase = PLAIN_CASE,
  model: ImpedanceModel = 'resistive'
): PowerResult {
  const subject = subjectOf(wiring, world, model);
  if ('ok' in subject) return subject;
  const { relays } = subject.bench;
  const steps = settle(relays, call, supplyCase);
  const meter = meterOf(relays);
  return { ok: true, result: resultOf(readOut(relays, call, supplyCase, steps), subject), meter };
}

/** The circuit of a wiring, settled in a call: for reading its state element by element. */
export function settled(
  wiring: Wiring,
  world: World,
  call: Call,
  supplyCase: SupplyCase = PLAIN_CASE,
  model: ImpedanceModel = 'resistive'
): Relays | SimulateFailure {
  const subject = subjectOf(wiring, world, model);
  if ('ok' in subject) return subject;
  settle(subject.bench.relays, call, supplyCase);
  return subject.bench.relays;
}

/** The circuit of a wiring in whatever state it stands: for asking what there is in it. */
export function relaysFor(wiring: Wiring, world: World): Relays | SimulateFailure {
  const subject = subjectOf(wiring, world, 'resistive');
  return 'ok' in subject ? subject : subject.bench.relays;
}

/** One circuit, and what was read of it in the calls and cases that were asked for. */
interface Bench {
  readonly relays: Relays;
  readonly readings: Map<Call, Reading[]>;
}

/** A wiring in a world: its circuit, and what the coils in it mean there. */
interface Subject {
  readonly bench: Bench;
  /** Each load once, with the numbers of the coils of which any makes it run: two machines that both have a blower make one. */
  readonly loads: readonly { readonly id: LoadId; readonly coils: readonly number[] }[];
}

interface KnownWiring {
  /** What was asked for last: most asks come in rows. */
  last: { readonly world: World; readonly model: ImpedanceModel; readonly subject: Subject } | null;
  readonly subjects: Map<string, Subject | SimulateFailure>;
  /** By what of a world bears on the circuit: where that is the same, its elements are not made and compared. */
  readonly benches: Map<string, Bench>;
}

/** The record is never changed in place, so it may serve as the key. */
const known = new WeakMap<Wiring, KnownWiring>();

function subjectOf(wiring: Wiring, world: World, model: ImpedanceModel): Subject | SimulateFailure {
  let here = known.get(wiring);
  if (here === undefined) known.set(wiring, (here = { last: null, subjects: new Map(), benches: new Map() }));
  if (here.last?.world === world && here.last.model === model) return here.last.subject;
  const key = `${model} ${worldKey(world)}`;
  let subject = here.subjects.get(key);
  if (!subject) here.subjects.set(key, (subject = build(wiring, world, model, here.benches)));
  if (!('ok' in subject)) here.last = { world, model, subject };
  return subject;
}

function build(
  wiring: Wiring,
  world: World,
  model: ImpedanceModel,
  benches: KnownWiring['benches']
): Subject | SimulateFailure {
  const key = `${model} ${circuitWorldKey(world)}`;
  const likeIt = benches.get(key);
  if (likeIt) return subjectOn(likeIt, loadsOf(wiring, world));
  const netlist = netlistOf(wiring, world);
  if (netlist === null)
    return { ok: false, reason: 'no-model', at: world.family, why: `no circuit is known for ${world.says}` };
  const ties = supplyTies(netlist);
  if (ties.turnable.length > MOST_TURNABLE || ties.turnable.some((bit) => bit <= 0))
    return { ok: false, reason: 'not-solvable', at: 'supplies', why: TOO_MANY_TOUCH };
  // Other worlds may have the same circuit as well: those that differ only in what a coil brings on.
  let bench = [...benches.values()].find(({ relays: { circuit } }) => sameCircuit(circuit, netlist, model));
  if (bench === undefined) {
    const circuit = circuitOf(netlist, model);
    if (!isCircuit(circuit)) return { ...circuit, reason: 'not-solvable' };
    bench = { relays: relaysOf(circuit), readings: new Map() };
  }
  benches.set(key, bench);
  return subjectOn(bench, netlist.loads);
}

function sameCircuit({ netlist, asked }: Circuit, other: Netlist, model: ImpedanceModel): boolean {
  return asked === model && elementsKey(netlist) === elementsKey(other);
}

/** Written out only where a wiring is solved in several worlds. */
const elementKeys = new WeakMap<Netlist, string>();

function elementsKey(netlist: Netlist): string {
  let key = elementKeys.get(netlist);
  if (key === undefined) {
    const { elements, fed, grounds } = netlist;
    elementKeys.set(netlist, (key = JSON.stringify([elements, fed, grounds])));
  }
  return key;
}

/** Loads of which a fault has taken out every coil are left out. */
function subjectOn(bench: Bench, rules: readonly LoadRule[]): Subject {
  const byLoad = new Map<LoadId, number[]>();
  for (const { load, coils } of rules) {
    const there = coils.flatMap((id) => bench.relays.numberOf.get(id) ?? []);
    if (there.length > 0) byLoad.set(load, [...(byLoad.get(load) ?? []), ...there]);
  }
  return { bench, loads: Array.from(byLoad, ([id, coils]) => ({ id, coils })) };
}

const TOO_MANY_TOUCH = `more than ${MOST_TURNABLE + 1} transformers hang together, which is more than can be judged`;

/** What is read of a settled circuit, whatever its coils mean. */
interface Reading {
  readonly common: Omit<CallResult, 'loads'>;
  /** By number of coil or sensing relay: whether it is pulled in, and the volts across it. */
  readonly energised: Uint8Array;
  readonly volts: readonly number[];
  /** What it says in the worlds that were asked for: the same object for whoever asks again, which crosses to a page once. */
  readonly results: Map<Subject, CallResult>;
}

function readOut(relays: Relays, call: Call, supplyCase: SupplyCase, solves: number): Reading {
  const { circuit, coils, parts, energised, chattering } = relays;
  const { elements, fed } = circuit.netlist;
  const inCorner = supplyCase.corner !== undefined;
  const volts = Array.from(coils, (_, number) => coilVolts(relays, number));
  const feeds = fed.map((fedDevice) => {
    const at = circuit.placeOf.get(fedDevice.element);
    // Electronics that a fault has taken out get nothing.
    const least = at === undefined ? 0 : elementVolts(relays, at);
    const { device, min, max } = fedDevice;
    return { device, volts: least, min, max, fed: least >= min && least <= max };
  });
  const starves = (number: number) =>
    energised[number] === 0 &&
    (volts[number] ?? 0) > HUMS_FROM * (elements[coils[number] ?? 0] as Coil).pullIn;
  const common = {
    call,
    supplyCase,
    feeds,
    thermostatVolts: feeds.length === 0 ? null : Math.min(...feeds.map((feed) => feed.volts)),
    thermostatFed: feeds.length === 0 ? null : feeds.every((feed) => feed.fed),
    supplies: suppliesOf(relays),
    // What copper joins is the same in every corner, and read without one.
    islands: inCorner ? [] : poweredIslands(circuit),
    tied: inCorner ? [] : tiedSupplies(circuit),
    chattering: parts.filter((_, number) => chattering[number] === 1),
    starved: parts.filter((_, number) => starves(number)),
    coils: parts.map((part, number) => ({
      part,
      energised: energised[number] === 1,
      volts: volts[number] ?? 0,
      pullIn: (elements[coils[number] ?? 0] as Coil).pullIn
    })),
    bounded: !circuit.halfWaves,
    // Last: it upsets the arrays.
    dipVolts: inCorner ? null : dipVolts(relays),
    solves
  };
  return { common, energised: energised.slice(), volts, results: new Map() };
}

function resultOf({ common, energised, volts, results }: Reading, subject: Subject): CallResult {
  let result = results.get(subject);
  if (result === undefined) {
    const loads = subject.loads.map(({ id, coils }) => ({
      id,
      energised: coils.some((number) => energised[number] === 1),
      volts: coils.reduce((most, number) => Math.max(most, volts[number] ?? 0), 0)
    }));
    results.set(subject, (result = { ...common, loads }));
  }
  return result;
}

function suppliesOf(relays: Relays): SupplyResult[] {
  const { circuit, openFuses, fuseAmps } = relays;
  const { elements } = circuit.netlist;
  return Array.from(circuit.sources, (at) => {
    const source = elements[at] as Source;
    const device = source.part?.device ?? source.id;
    const fuses = Array.from(circuit.fuses.keys()).filter(
      (number) => elements[circuit.fuses[number] ?? 0]?.part?.device === device
    );
    const opened = fuses.filter((number) => openFuses[number] === 1);
    const [fuse] = fuses.map((number) => fuseAt(circuit, circuit.fuses[number] ?? 0));
    const amps = elementAmps(relays, at);
    return {
      id: source.id,
      part: partRef(source),
      name: source.name,
      va: elementVolts(relays, at) * amps,
      amps,
      device,
      nominalVolts: source.nominalVolts,
      voltageClass: classOfVolts(source.nominalVolts),
      ratedVa: source.ratedVa,
      ratedAmps: source.ratedVa / source.nominalVolts,
      leastVa: source.leastVa,
      fuseRating: fuse?.seen ? fuse.amps : null,
      fuseOpen: opened.length > 0,
      fuseAmps: opened.length > 0 ? Math.max(...opened.map((number) => fuseAmps[number] ?? 0)) : null
    };
  });
}
