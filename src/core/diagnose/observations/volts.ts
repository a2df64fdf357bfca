/**
 * What a meter shows between two screws. A reading is compared with what the solved fault gives, spread by the tolerances of the transformer
 * and the mains and by the meter, never with one number. Where nothing defines a voltage, a meter of 10 megohm shows nothing or a phantom of
 * some volts, picked up from the neighbours in the cable.
 */
import { callName, type Call } from '../../trade/calls';
import { boards, screwThat, wallPlace, wallThermostat, type Wiring } from '../../wiring/graph';
import type { Cause, Hypothesis } from '../causes/types';
import type { FaultTable, ReadingPoint } from '../fault-table';
import { cellOf, displayOf, has } from './predict';
import type { Answer, Observation, ObservationRule, Situation, Volts } from './types';

/** Spread of the volts of a control transformer with load and mains, as a share: 24 V nominal is met from 22 to 28. Usual sheets. */
const SUPPLY_SPREAD = 0.08;
/** What a plain meter adds, volts. */
const METER_VOLTS = 0.4;
/** How often a reading is of another screw, or read wrongly. */
const READING_ERRS = 0.02;
/** Above this no reading of the 24 V class lies. */
const MOST_VOLTS = 45;
/** Phantoms are met up to some 12 V; about half of the loose ends show hardly any. */
const PHANTOM_VOLTS = 12;

/** Bands that a person can answer with, without a figure. */
const EDGES = [2, 10, 19, 32] as const;
export const VOLT_BANDS: readonly Answer[] = [
  { value: '0', label: 'Nothing (under 2 V)' },
  { value: '5', label: '2 to 10 V' },
  { value: '15', label: '10 to 19 V' },
  { value: '25', label: '19 to 32 V' },
  { value: '40', label: 'More than 32 V' }
];

/** The points that are worth a reading: common against each mark that carries something, at each machine and at the wall. */
export function pointsOf(wiring: Wiring): ReadingPoint[] {
  return [...atMachines(wiring), ...atWall(wiring)].map(({ point }) => point);
}

interface Spot {
  readonly point: ReadingPoint;
  readonly place: string;
  readonly mark: string;
  readonly where: string;
  /** Calls in which something should be there; idle for what is always hot. */
  readonly calls: readonly Call[];
}

const CALLS_OF: readonly (readonly [mark: string, calls: readonly Call[]])[] = [
  ['R', ['idle']],
  ['RC', ['idle']],
  ['RH', ['idle']],
  ['W1', ['heat1']],
  ['Y1', ['cool1']],
  ['G', ['fan']]
];

function atMachines(wiring: Wiring): Spot[] {
  return boards(wiring).flatMap((board) => {
    const common = screwThat(board, 'C')?.id;
    return common === undefined ? [] : spotsAt(board, common, board.at, `at ${board.name}`);
  });
}

function atWall(wiring: Wiring): Spot[] {
  const plate = wallThermostat(wiring);
  const common = screwThat(plate, 'C')?.id;
  return common === undefined ? [] : spotsAt(plate, common, plate.at, 'at the wall');
}

function spotsAt(
  device: Parameters<typeof screwThat>[0],
  common: string,
  place: string,
  where: string
): Spot[] {
  return CALLS_OF.flatMap(([mark, calls]) => {
    const screw = screwThat(device, mark)?.id;
    if (screw === undefined) return [];
    return [{ point: [screw, common] as const, place, mark, where, calls }];
  }).filter(({ point }, at, all) => all.findIndex((other) => other.point[0] === point[0]) === at);
}

export const volts: ObservationRule = {
  observationsOf: (situation) =>
    [...atMachines(situation.wiring), ...atWall(situation.wiring)].flatMap(
      ({ point, place, mark, where, calls }) =>
        calls
          .filter((call) => situation.table.calls.includes(call))
          .map((call) =>
            readingOf(situation, { point, call, headOff: false }, place, `${mark} and C ${where}`)
          )
    )
};

/** A reading that somebody took at points of their own choice. */
export function readingOf(
  situation: Situation,
  { point, call, headOff }: Pick<Volts, 'point' | 'call' | 'headOff'>,
  place: string,
  between: string
): Observation {
  const means = Float32Array.from(situation.list, (hypothesis) =>
    meanVolts(situation, hypothesis, point, call, headOff)
  );
  const state = call === 'idle' ? 'with nothing called' : `while it calls for ${callName(call)}`;
  return {
    id: `${point.join(':')}@${call}${headOff ? '/head-off' : ''}`,
    ask: `Volts AC between ${between}, ${state}${headOff ? ', head off' : ''}?`,
    how: 'Meter on AC volts (V~). One probe on each screw, nothing else touched.',
    place,
    power: 'on',
    needs: 'meter',
    call: call === 'idle' ? null : call,
    minutes: 1.5,
    answers: VOLT_BANDS,
    chances: VOLT_BANDS.map((_, band) => Float32Array.from(means, (mean) => bandChance(mean, band))),
    volts: { point, call, headOff, means }
  };
}

const NOBODY_KNOWS = -1;

function meanVolts(
  situation: Situation,
  hypothesis: Hypothesis,
  point: ReadingPoint,
  call: Call,
  headOff: boolean
): number {
  const { table, causes } = situation;
  const mine = hypothesis.causes.map((cause) => causes[cause]!);
  if (has(mine, 'something-else')) return NOBODY_KNOWS;
  const at = table.points.findIndex(([first, second]) => first === point[0] && second === point[1]);
  const row = headOff ? rowWithHeadOff(table, hypothesis, mine) : hypothesis.row;
  if (at < 0 || row === null) return NOBODY_KNOWS;
  // A thermostat that is dark calls for nothing, whatever it is set to.
  const display = displayOf(situation, hypothesis, mine);
  if (has(mine, 'set-up-system')) return NOBODY_KNOWS;
  const cell = cellOf(situation, { ...hypothesis, row }, display === 'lit' && !headOff ? call : 'idle');
  return cell < 0 ? NOBODY_KNOWS : (table.readings[cell * table.points.length + at] ?? NaN);
}

/** The row of the same fault with the head off its plate as well; null where the table has none. */
function rowWithHeadOff(table: FaultTable, { row }: Hypothesis, causes: readonly Cause[]): number | null {
  const head = table.faults.findIndex(({ kind }) => kind === 'head-not-seated');
  if (head < 0 || causes.length > 1) return null;
  const own = row === 0 ? -1 : (causes[0]?.fault ?? -1);
  if (own === head) return row;
  const wanted = own < 0 ? [head, -1] : [Math.min(own, head), Math.max(own, head)];
  for (let other = 0; other < table.rows.length; other += 2)
    if (table.rows[other] === wanted[0] && table.rows[other + 1] === wanted[1]) return other / 2;
  return null;
}

/** Chance that a reading falls into a band. */
function bandChance(mean: number, band: number): number {
  const low = band === 0 ? 0 : EDGES[band - 1]!;
  const high = EDGES[band] ?? MOST_VOLTS;
  const stray = (READING_ERRS * (high - low)) / MOST_VOLTS;
  return stray + (1 - READING_ERRS) * (shareBelow(mean, high) - shareBelow(mean, low));
}

/** Chance of a reading of so many volts, as a share for each volt, by what each hypothesis gives. */
export function readingChances({ means }: Volts, reading: number): Float64Array {
  const half = 0.5;
  return Float64Array.from(
    means,
    (mean) =>
      READING_ERRS / MOST_VOLTS +
      (1 - READING_ERRS) * (shareBelow(mean, reading + half) - shareBelow(mean, reading - half))
  );
}

/** Share of the readings that lie below so many volts. */
function shareBelow(mean: number, limit: number): number {
  if (limit <= 0) return 0;
  if (mean === NOBODY_KNOWS) return Math.min(1, limit / MOST_VOLTS);
  if (Number.isNaN(mean))
    return 0.5 * folded(limit, 0, METER_VOLTS) + 0.5 * Math.min(1, limit / PHANTOM_VOLTS);
  return folded(limit, mean, mean * SUPPLY_SPREAD + METER_VOLTS);
}

/** A meter knows no sign: what would lie below nothing is read above it. */
function folded(limit: number, mean: number, spread: number): number {
  return normalBelow((limit - mean) / spread) - normalBelow((-limit - mean) / spread);
}

/** The normal distribution, by the approximation of Abramowitz and Stegun 26.2.17 (error under 1e-7). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    ((((1.330274429 * t - 1.821255978) * t + 1.781477937) * t - 0.356563782) * t + 0.31938153) *
    t *
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI));
  return z >= 0 ? 1 - tail : tail;
}

/** Where the probes are: the wall, or the place of the machine. */
export function placeOfPoint(wiring: Wiring, [word]: ReadingPoint): string {
  return (
    wiring.devices.find((device) => device.screws.some(({ id }) => id === word))?.at ?? wallPlace(wiring)
  );
}
