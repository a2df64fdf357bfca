/**
 * The voltage class comes before the family: mains kills, a millivolt heater burns on 24 V, data conductors burn a board. What is dangerous
 * is taken from its evidence at once and from beliefs early; 24 V has to be proven.
 */
import type { Ref } from '../findings/refs';
import { finding, type Finding } from '../findings/finding';
import type { VoltageClass } from '../trade/vocabulary';
import { ref } from '../findings/refs';
import { voltageBand } from './evidence/measured-volts';
import type { Situation } from './types';
import type { Beliefs, Weighed } from './beliefs';

/** Below this a class is not called known. */
const CLASS_DECIDED_AT = 0.9;
/** A dangerous class that is at least this likely is taken for it. */
const TAKEN_AT = 0.5;
/** Mains that is at least this likely stops everything until a reading or a licensed person has settled it. */
export const MAINS_STOPS_AT = 0.05;
/** The same for millivolt and data, which hurt equipment rather than people. */
export const OTHERS_STOP_AT = 0.1;

interface Shares {
  readonly line: number;
  readonly millivolt: number;
  readonly data: number;
}

function sharesOf(beliefs: Beliefs): Shares {
  return {
    line: beliefs['line-voltage'] + beliefs['mains-hydronic'],
    millivolt: beliefs.millivolt,
    data: beliefs.communicating
  };
}

function valueOf(weighed: readonly Weighed[], id: string): string | undefined {
  return weighed.find((candidate) => candidate.evidence.id === id)?.reading.value;
}

export function voltageClassOf(weighed: readonly Weighed[], beliefs: Beliefs): VoltageClass {
  const read = valueOf(weighed, 'measured-volts');
  if (read === 'line') return 'line';
  if (
    [valueOf(weighed, 'plate-marks'), valueOf(weighed, 'equipment-marks')].includes('data') &&
    read !== 'millivolt'
  )
    return beliefs['mains-hydronic'] >= TAKEN_AT ? 'line' : 'data';
  if (read === 'millivolt') return 'millivolt';
  const { line, millivolt, data } = sharesOf(beliefs);
  if (read === '24v') return data >= TAKEN_AT ? 'data' : '24v';
  if (line >= TAKEN_AT) return 'line';
  if (millivolt >= TAKEN_AT) return 'millivolt';
  if (data >= TAKEN_AT) return 'data';
  return 1 - line - millivolt - data - beliefs.unknown >= CLASS_DECIDED_AT ? '24v' : 'unknown';
}

const CLASS_EVIDENCE = [
  'measured-volts',
  'conductor-build',
  'plate-marks',
  'equipment-marks',
  'heat-from',
  'power-cut',
  'pilot',
  'programmer'
];

/** What stops, and what is not settled yet, about the class. */
export function voltageFindings(
  voltageClass: VoltageClass,
  beliefs: Beliefs,
  weighed: readonly Weighed[]
): Finding[] {
  const about = weighed
    .filter((candidate) => CLASS_EVIDENCE.includes(candidate.evidence.id))
    .flatMap((weighed) => weighed.reading.because);
  switch (voltageClass) {
    case 'line':
      return beliefs['mains-hydronic'] > beliefs['line-voltage']
        ? [finding('stop', 'mains-controls', {}, about)]
        : [finding('stop', 'line-voltage', {}, about)];
    case 'millivolt':
      return beliefs.millivolt >= TAKEN_AT
        ? [finding('stop', 'millivolt', {}, about)]
        : [finding('stop', 'voltage-class-unsettled', { what: 'under-one-volt' }, about)];
    case 'data':
      return [finding('stop', 'data-conductors', {}, about)];
    default:
      return openClass(voltageClass, sharesOf(beliefs), about);
  }
}

function openClass(voltageClass: VoltageClass, shares: Shares, about: readonly Ref[]): Finding[] {
  const over = (share: number, least: number) => (share >= least ? share : null);
  const line = over(shares.line, MAINS_STOPS_AT);
  const millivolt = over(shares.millivolt, OTHERS_STOP_AT);
  const data = over(shares.data, OTHERS_STOP_AT);
  if (line !== null || millivolt !== null || data !== null)
    return [
      finding('stop', 'voltage-class-unsettled', { what: 'still-possible', line, millivolt, data }, about)
    ];
  if (voltageClass === '24v') return [];
  return [finding('warn', 'voltage-class-unsettled', { what: 'not-settled' }, about)];
}

/** Machines that are no heater with a standing pilot. */
const NOT_MILLIVOLT: ReadonlySet<string> = new Set([
  'furnace',
  'air-handler',
  'boiler',
  'zone-panel',
  'zone-pump-panel',
  'hydro-air',
  'fan-coil'
]);

/** A heater with a standing pilot that is at least this likely has to be measured for, where the house has its two wires. */
const MILLIVOLT_ASKS_AT = 0.01;

/** Readings between the classes, and two wires at a machine that may make its own millivolts: a meter comes first. */
export function unsettledVolts({ job, thermostat }: Situation, beliefs: Beliefs): Finding[] {
  const volts = thermostat.observed['measured-volts'];
  const because = [ref.observation('measured-volts')];
  if (typeof volts === 'number') {
    return voltageBand(volts) === 'between'
      ? [finding('stop', 'voltage-class-unsettled', { what: 'between' }, because)]
      : [];
  }
  const machines = job.equipment.filter(({ id }) => thermostat.equipment.includes(id));
  const known = machines.some(({ kind }) => NOT_MILLIVOLT.has(kind));
  if (known || thermostat.conductors.length !== 2 || beliefs.millivolt < MILLIVOLT_ASKS_AT) return [];
  const about = thermostat.conductors.map((conductor) => ref.conductor(conductor.id));
  return [finding('stop', 'voltage-class-unsettled', { what: 'two-wires' }, about)];
}
