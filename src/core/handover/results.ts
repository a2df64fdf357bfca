/** What came of the tests: which are done, what a reading outside its band points to, and what is still due. */
import { asksOf, callName, type Call } from '../trade/calls';
import type { TakenReading, TestDone } from '../job/after-schema';
import type { LogEntry } from '../job/log-schema';
import type { Thermostat } from '../job/schema';
import type { TestPlan, TestStep } from './test-plan';

export interface StepStanding {
  readonly step: TestStep;
  /** What came of it last; null where it was not tested. */
  readonly last: TestDone | null;
  readonly readings: readonly TakenReading[];
  /** Readings of the house before the first wire was moved. */
  readonly before: readonly TakenReading[];
  /** What was read between R and C when the house was looked at, with nothing called, volts; null where nobody did. */
  readonly measured: number | null;
  readonly outside: readonly OutsideBand[];
}

export type OutsideBand = {
  readonly reading: TakenReading;
  readonly side: 'below' | 'above';
  /** Where a reading like this usually leads. */
  readonly points: 'no-common' | 'weak-supply' | 'high-supply' | 'little-air' | 'no-heat' | 'little-cold';
};

export function standingsOf({ steps }: TestPlan, thermostat: Thermostat): StepStanding[] {
  const changed = firstChange(thermostat.log);
  return steps.map((step) => {
    const of = thermostat.readings.filter(({ call, what }) => call === step.call && what !== 'outdoors');
    // Where nothing is changed yet, all that was read is of the house as it was found.
    const isBefore = ({ at }: TakenReading) => changed === null || at < changed;
    const readings = of.filter((reading) => !isBefore(reading));
    return {
      step,
      last: thermostat.tests.findLast(({ call }) => call === step.call) ?? null,
      readings,
      before: of.filter(isBefore),
      measured: step.call === 'idle' ? measuredVolts(thermostat) : null,
      outside: outsideOf(step, readings)
    };
  });
}

function measuredVolts({ observed }: Pick<Thermostat, 'observed'>): number | null {
  const volts = observed['measured-volts'];
  return typeof volts === 'number' ? volts : null;
}

/** When the first wire was moved; null before. */
function firstChange(log: readonly LogEntry[]): string | null {
  return log.find(({ change }) => change !== null)?.at ?? null;
}

/** What a plain meter may be off, volts. */
const METER_VOLTS = 0.5;
const FED_VOLTS = 10;

/** The last reading of each kind against what it should be. */
function outsideOf(step: TestStep, readings: readonly TakenReading[]): OutsideBand[] {
  const found: OutsideBand[] = [];
  const volts = readings.findLast(({ what, between }) => what === 'volts' && isSupplyPair(between));
  // Where no wire is on C there is nothing that a reading against it could be held to.
  const band = step.volts;
  if (volts && band) {
    if (volts.value < band.low - METER_VOLTS)
      found.push({
        reading: volts,
        side: 'below',
        points: volts.value < FED_VOLTS ? 'no-common' : 'weak-supply'
      });
    if (volts.value > band.high + METER_VOLTS)
      found.push({ reading: volts, side: 'above', points: 'high-supply' });
  }
  const difference = airDifference(step, readings);
  if (difference && step.air && 'low' in step.air) {
    const { low, high, way } = step.air;
    const { reading, kelvin } = difference;
    if (kelvin < low)
      found.push({ reading, side: 'below', points: way === 'rise' ? 'no-heat' : 'little-cold' });
    if (kelvin > high) found.push({ reading, side: 'above', points: 'little-air' });
  }
  return found;
}

/** Between the hot side and C: what the band of the proof is about. */
function isSupplyPair(between: string): boolean {
  const [first = '', second = ''] = between.toUpperCase().split('-');
  return ['R', 'RH', 'RC'].includes(first) && second === 'C';
}

/** Supply air over (or under, in cooling) return air, by the last reading of each; kelvin. */
export function airDifference(
  { air }: Pick<TestStep, 'air'>,
  readings: readonly TakenReading[]
): { readonly reading: TakenReading; readonly kelvin: number } | null {
  const supply = readings.findLast(({ what }) => what === 'supply-air');
  const back = readings.findLast(({ what }) => what === 'return-air');
  if (!supply || !back || !air || air.way === 'pipe') return null;
  const rise = supply.value - back.value;
  return { reading: supply, kelvin: air.way === 'fall' ? -rise : rise };
}

/** Names of the controls in a call, for a person. */
export function callInWords(call: Call, nameOf: (control: string) => string): string {
  const controls = [...new Set(asksOf(call).flatMap(({ control }) => control ?? []))];
  if (controls.length === 0) return callName(call);
  return `${callName(call.replace(/th-[a-z0-9-]+:/g, '').split('+')[0] as Call)} in all zones at once: ${controls.map(nameOf).join(', ')}`;
}
