/**
 * What every single fault, and every pair of faults, does in every call: the table that diagnosis reads. A row is a fault or a pair, a
 * column a call; the cells are plain numbers, so that the table crosses a worker without being copied part by part.
 */
import { circuitOf, fuseAt, isCircuit } from '../circuit/circuit';
import { rmsBetween } from '../circuit/half-waves';
import { islandsOf } from '../circuit/islands';
import type { LongRun } from '../circuit/long-run';
import { netlistOf, type Netlist } from '../circuit/netlist';
import {
  coilsOfLoad,
  coilVolts,
  elementAmps,
  elementVolts,
  HUMS_FROM,
  relaysOf,
  settle,
  type Relays
} from '../circuit/settle';
import type { SimulateFailure } from '../circuit/simulate';
import type { Coil, Sense, Source } from '../devices/elements';
import { supplyCases, type SupplyCase, type World } from '../devices/world';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { TerminalId, Wiring } from '../wiring/graph';
import { faultsOf } from './faults/registry';
import { independent, layOver, overlayOf, takeOff, type Edit } from './overlay';
import type { Fault, FaultHit, FaultKind } from './types';

export interface FaultTable {
  readonly calls: readonly Call[];
  readonly loads: readonly LoadId[];
  readonly faults: readonly {
    readonly id: string;
    readonly kind: FaultKind;
    readonly hits: FaultHit;
    readonly says: string;
  }[];
  /** The least that the electronics of the thermostats ask for, volts; null where none is fed. */
  readonly windowMin: number | null;
  /** Faults of each row, by number: none (the sound house, row 0), one, or two; -1 fills up. */
  readonly rows: Int16Array;
  /** Whether each load runs in the plain case of supplies: `runWords` words of 32 loads for each cell (`loadRuns`). */
  readonly runs: Uint32Array;
  readonly runWords: number;
  /** The cases of polarity and earth that are solved; the first is the plain one. */
  readonly cases: readonly SupplyCase[];
  /** Least volts at the thermostat over all cases of supplies; NaN where none is fed. */
  readonly volts: Float32Array;
  /** The case, by its place in `cases`, in which that is so. */
  readonly worstCase: Uint8Array;
  /** Least volts across a coil that is called, gets some and does not pull in, in the plain case; NaN where there is none. */
  readonly starvedVolts: Float32Array;
  /** Bits of `FLAGS`, in any case of supplies. */
  readonly flags: Uint8Array;
  /** Between which screws volts are read. */
  readonly points: readonly ReadingPoint[];
  /** Volts AC of each point in each cell, cell by cell, in the plain case; NaN where nothing defines any. */
  readonly readings: Float32Array;
}

/** Two screws that a meter is put on. */
export type ReadingPoint = readonly [from: TerminalId, to: TerminalId];

/** `burns`: a short with no fuse that anybody has seen. `starved`: a coil gets some volts, and too little to pull in. */
export const FLAGS = { fuseOpen: 1, overloaded: 2, chatter: 4, burns: 8, starved: 16 } as const;

/** Whether a load runs in a cell; both by number. */
export function loadRuns({ runs, runWords }: FaultTable, cell: number, load: number): boolean {
  const word = runs[cell * runWords + (load >>> 5)] ?? 0;
  return ((word >>> (load & 31)) & 1) === 1;
}

/** Whether the same loads run in two cells. */
export function sameRuns({ runs, runWords }: FaultTable, cell: number, other: number): boolean {
  for (let word = 0; word < runWords; word += 1)
    if (runs[cell * runWords + word] !== runs[other * runWords + word]) return false;
  return true;
}

export interface FaultTableRequest {
  readonly wiring: Wiring;
  readonly world: World;
  readonly calls: readonly Call[];
  readonly pairs: boolean;
  /** Points at which volts are read as well; none where they are left out. */
  readonly points?: readonly ReadingPoint[];
}

export function faultTableRun(request: FaultTableRequest): LongRun<FaultTable> | SimulateFailure {
  const { wiring, world, calls, pairs, points = [] } = request;
  const sound = netlistOf(wiring, world);
  if (sound === null)
    return { ok: false, reason: 'no-model', at: world.family, why: `no circuit is known for ${world.says}` };
  const faults = faultsOf(wiring, sound);
  const overlay = overlayOf(wiring, world, sound, faults);
  if (overlay === null)
    return { ok: false, reason: 'not-solvable', at: 'the wiring', why: 'the wiring cannot be solved' };
  const cases = casesFor(sound, faults);
  const cells = tableFor({ sound, calls, faults, pairs, cases, points });
  const relays = relaysOf(overlay.circuit);
  const reader = readerFor(relays, cells);
  const single = (row: number, edits: readonly Edit[]) => {
    for (const edit of edits) layOver(overlay.circuit, edit);
    readRow(relays, reader, cells, row, cases);
    for (const edit of edits) takeOff(overlay.circuit, edit);
  };
  const alone = (row: number, hit: readonly Fault[]) => {
    const netlist = netlistOf(
      hit.reduce((before, fault) => fault.apply(before), wiring),
      world
    );
    const circuit = netlist && circuitOf(netlist);
    if (!circuit || !isCircuit(circuit)) return;
    const own = relaysOf(circuit);
    readRow(own, readerFor(own, cells), cells, row, cases);
  };
  let done = 0;
  const total = cells.rows.length / 2;
  return {
    total,
    done: () => done,
    advance: (steps) => {
      for (const end = Math.min(total, done + steps); done < end; done += 1) {
        const hit = [cells.rows[2 * done]!, cells.rows[2 * done + 1]!].filter((candidate) => candidate >= 0);
        const edits = hit.map((index) => overlay.edits[index]!);
        const apart = hit.some((number) => faults[number]!.apart === true);
        if (apart || (edits.length === 2 && !independent(edits[0]!, edits[1]!)))
          alone(
            done,
            hit.map((index) => faults[index]!)
          );
        else single(done, edits);
      }
    },
    result: () => cells
  };
}

/** A fault that touches earth shows where the common is earthed: with one supply, that is a case of its own. */
function casesFor(sound: Netlist, faults: readonly Fault[]): readonly SupplyCase[] {
  const count = sound.elements.filter((element) => element.kind === 'source').length;
  const all = supplyCases(count);
  const earth = faults.some((fault) => fault.kind === 'conductor-to-earth');
  return count === 1 && earth ? [...all, { bonded: true, turned: 0 }] : all;
}

interface TableParts {
  readonly sound: Netlist;
  readonly calls: readonly Call[];
  readonly faults: readonly Fault[];
  readonly pairs: boolean;
  readonly cases: readonly SupplyCase[];
  readonly points: readonly ReadingPoint[];
}

function tableFor({ sound, calls, faults, pairs, cases, points }: TableParts): FaultTable {
  const rows: number[] = [-1, -1];
  faults.forEach((_, fault) => rows.push(fault, -1));
  if (pairs)
    for (let first = 0; first < faults.length; first += 1)
      for (let second = first + 1; second < faults.length; second += 1) rows.push(first, second);
  const cells = (rows.length / 2) * calls.length;
  const loads = [...new Set(sound.loads.map((rule) => rule.load))];
  const runWords = Math.max(1, Math.ceil(loads.length / 32));
  return {
    calls,
    loads,
    faults: faults.map(({ id, kind, hits, says }) => ({ id, kind, hits, says })),
    windowMin: sound.fed.length === 0 ? null : Math.min(...sound.fed.map((fedDevice) => fedDevice.min)),
    rows: Int16Array.from(rows),
    runs: new Uint32Array(cells * runWords),
    runWords,
    cases,
    volts: new Float32Array(cells).fill(NaN),
    worstCase: new Uint8Array(cells),
    starvedVolts: new Float32Array(cells).fill(NaN),
    flags: new Uint8Array(cells),
    points,
    readings: new Float32Array(cells * points.length).fill(NaN)
  };
}

/** Where in a circuit the cells are read: numbers of the coils of each load, places of electronics and sources. */
interface Reader {
  readonly coilsOfLoad: readonly Int32Array[];
  readonly fed: Int32Array;
  readonly ratedAmps: Float64Array;
  /** Numbers of the two nodes of each point, in turn; -1 for one that the circuit does not have. */
  readonly points: Int32Array;
}

function readerFor(relays: Relays, { loads, points }: FaultTable): Reader {
  const { circuit } = relays;
  return {
    coilsOfLoad: loads.map((load) => coilsOfLoad(relays, load)),
    fed: Int32Array.from(circuit.netlist.fed, (fedDevice) => circuit.placeOf.get(fedDevice.element) ?? -1),
    ratedAmps: Float64Array.from(circuit.sources, (at) => ratedAmps(circuit.netlist.elements[at] as Source)),
    points: Int32Array.from(points.flat(), (node) => circuit.structure.numberOf.get(node) ?? -1)
  };
}

function ratedAmps({ ratedVa, nominalVolts }: Source): number {
  return ratedVa / nominalVolts;
}

function readRow(
  relays: Relays,
  reader: Reader,
  cells: FaultTable,
  row: number,
  cases: readonly SupplyCase[]
): void {
  const { calls } = cells;
  for (let call = 0; call < calls.length; call += 1) {
    const cell = row * calls.length + call;
    for (let at = 0; at < cases.length; at += 1) {
      settle(relays, calls[call]!, cases[at]!);
      if (at === 0) {
        noteRunning(relays, reader, cells, cell);
        noteStarved(relays, cells, cell);
        if (cells.points.length > 0) noteReadings(relays, reader, cells, cell);
      }
      cells.flags[cell]! |= flagsOf(relays, reader);
      const volts = leastVolts(relays, reader);
      if (cells.volts[cell]! <= volts || Number.isNaN(volts)) continue;
      cells.volts[cell] = volts;
      cells.worstCase[cell] = at;
    }
  }
}

function noteRunning(
  { energised }: Relays,
  { coilsOfLoad }: Reader,
  { runs, runWords }: FaultTable,
  cell: number
): void {
  for (let load = 0; load < coilsOfLoad.length; load += 1) {
    const coils = coilsOfLoad[load]!;
    let any = false;
    for (let i = 0; !any && i < coils.length; i += 1) any = energised[coils[i]!] === 1;
    const word = cell * runWords + (load >>> 5);
    if (any) runs[word] = (runs[word]! | (1 << (load & 31))) >>> 0;
  }
}

/** Coils that get a quarter of what they need and more, and do not pull in: they hum. */
function noteStarved(relays: Relays, { flags, starvedVolts }: FaultTable, cell: number): void {
  const { circuit, coils, energised } = relays;
  for (let number = 0; number < coils.length; number += 1) {
    if (energised[number] === 1) continue;
    const coil = circuit.netlist.elements[coils[number]!] as Coil | Sense;
    const volts = coilVolts(relays, number);
    if (volts <= HUMS_FROM * coil.pullIn) continue;
    flags[cell]! |= FLAGS.starved;
    if (!(starvedVolts[cell]! <= volts)) starvedVolts[cell] = volts;
  }
}

/** What a meter shows between screws that the circuit joins; between others nothing defines a voltage. */
function noteReadings(
  { circuit, waves }: Relays,
  { points }: Reader,
  { readings }: FaultTable,
  cell: number
): void {
  const islands = islandsOf(circuit);
  const { xRe, xIm } = circuit.numbers;
  for (let at = 0; at < points.length; at += 2) {
    const [first, second] = [points[at]!, points[at + 1]!];
    if (first < 0 || second < 0 || islands[first] !== islands[second]) continue;
    readings[(cell * points.length + at) / 2] = waves
      ? rmsBetween(waves, first, second)
      : Math.hypot(xRe[first]! - xRe[second]!, xIm[first]! - xIm[second]!);
  }
}

function flagsOf(relays: Relays, { ratedAmps }: Reader): number {
  const { circuit, openFuses, chattering } = relays;
  let flags = 0;
  for (let i = 0; i < openFuses.length; i += 1) {
    if (openFuses[i] !== 1) continue;
    flags |= FLAGS.fuseOpen;
    if (!fuseAt(circuit, circuit.fuses[i]!).seen) flags |= FLAGS.burns;
  }
  for (let i = 0; i < chattering.length; i += 1) if (chattering[i] === 1) flags |= FLAGS.chatter;
  for (let i = 0; i < ratedAmps.length; i += 1)
    if (elementAmps(relays, circuit.sources[i]!) > ratedAmps[i]!) flags |= FLAGS.overloaded;
  return flags;
}

/** A part that a fault took out gives nothing. */
function leastVolts(relays: Relays, { fed }: Reader): number {
  let least = NaN;
  for (let i = 0; i < fed.length; i += 1) {
    const at = fed[i]!;
    const volts = at < 0 || relays.circuit.present[at] === 0 ? 0 : elementVolts(relays, at);
    if (!(least <= volts)) least = volts;
  }
  return least;
}
