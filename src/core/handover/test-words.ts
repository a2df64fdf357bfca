/** Tests in words: what to do, what must run, how long, when to stop, and why one cannot be begun now. */
import { callName } from '../trade/calls';
import { LOAD_NAMES } from '../trade/loads';
import type { Units } from '../trade/units';
import { shownText } from '../trade/units';
import type { LoadId } from '../trade/vocabulary';
import { and, capital } from '../words/text';
import { callInWords, type OutsideBand } from './results';
import { LEAST_COOLING_C, type TestGate } from './season';
import type { Band, StopWhen, TestStep } from './test-plan';

export function testTitle(
  { call, kind }: Pick<TestStep, 'call' | 'kind'>,
  nameOf: (control: string) => string
): string {
  if (kind === 'off') return 'Off';
  return capital(kind === 'zones' ? callInWords(call, nameOf) : callName(call));
}

export function whatToDo({ call, kind }: Pick<TestStep, 'call' | 'kind'>): string {
  switch (kind) {
    case 'heat':
      return 'Set the thermostat to heat, and 3 degrees above the room.';
    case 'off':
      return 'Set the thermostat to off. Wait until the blower or the pump has stopped.';
    case 'cool':
      return 'Set the thermostat to cool, and 3 degrees below the room.';
    case 'fan':
      return 'System off, fan on.';
    case 'stage':
      return STAGES[call] ?? `Make it call for ${callName(call)}.`;
    case 'accessory':
      return `Turn the setting of ${callName(call)} so far up that it calls. The blower has to run for it.`;
    case 'together':
      return `Make it call for ${callName(call)} at once: the transformer carries most then.`;
    case 'zones':
      return 'Set every thermostat of this machine to heat, one after the other, and leave all of them calling.';
  }
}

const STAGES: Readonly<Record<string, string>> = {
  heat2: 'Set it 5 degrees above the room: the second stage follows after some minutes.',
  cool2: 'Set it 5 degrees below the room: the second stage follows after some minutes.',
  aux: 'Set it 5 degrees above the room: auxiliary heat joins in.',
  emergency: 'Set the system to emergency heat.'
};

export function loadNames(loads: readonly LoadId[]): string {
  return loads.length === 0 ? 'nothing' : and(loads.map((load) => LOAD_NAMES[load]));
}

/** `between`: the hot screw of the electronics and C, as printed: `RC-C`. */
export function voltsText({ volts }: Pick<TestStep, 'volts'>, between = 'R-C'): string {
  return volts === null
    ? ''
    : `${volts.nominal.toFixed(1)} V at the thermostat between ${between.replace('-', ' and ')} (${volts.low.toFixed(1)} to ${volts.high.toFixed(1)} V)`;
}

/** A difference of temperatures, in the job's scale. */
function differenceText({ low, high }: Band, { temperature }: Pick<Units, 'temperature'>): string {
  const shown = (kelvin: number) => Math.round(temperature === 'F' ? kelvin * 1.8 : kelvin);
  return `${shown(low)} to ${shown(high)} ${temperature === 'F' ? '°F' : 'K'}`;
}

export function airText({ air }: Pick<TestStep, 'air'>, units: Pick<Units, 'temperature'>): string {
  switch (air?.way) {
    case undefined:
      return '';
    case 'pipe':
      return 'The pipe from the boiler gets warm.';
    case 'warm':
      return 'The air at the register is warmer than at the return; it need not feel hot.';
    case 'rise':
      return `Air at the register ${differenceText(air as Band, units)} warmer than at the return.`;
    case 'fall':
      return `Air at the register ${differenceText(air as Band, units)} cooler than at the return; the thick pipe outdoors cold and wet.`;
  }
}

/** `90 s`, `12 min`. */
export function waitText(seconds: number): string {
  return seconds <= 150 && seconds % 60 !== 0 ? `${seconds} s` : `${Math.round(seconds / 60)} min`;
}

const STOPS: Readonly<Record<StopWhen, string>> = {
  gas: 'a smell of gas',
  flame: 'flame outside the burner',
  limit: 'it goes out and tries again and again',
  'no-air': 'no air at the registers after two minutes',
  ice: 'ice on the pipe',
  noise: 'a bang, a grinding or a hum without a start',
  leak: 'water where none should be',
  fuse: 'the fuse opens',
  'hot-transformer': 'a transformer too hot to hold'
};

export function stopText({ stopWhen }: Pick<TestStep, 'stopWhen'>): string {
  return `Off at once, at the breaker, with: ${and(
    stopWhen.map((stop) => STOPS[stop]),
    'or'
  )}.`;
}

/** Why a test cannot be begun now; empty where it can. */
export function gateText(gate: TestGate, units: Units, clockOf: (time: string) => string): string {
  if (gate.open) return '';
  const least = shownText(LEAST_COOLING_C, 'temperature', units, 0);
  switch (gate.why) {
    case 'stopped':
      return 'A stop is open: nothing is tested before it is resolved.';
    case 'steps-left':
      return 'Steps are still to do: tests come after them.';
    case 'not-lit':
      return 'Power it up first, and say what you see there.';
    case 'settings-left':
      return 'Set it up first: it would call for the wrong thing.';
    case 'outdoors-unknown':
      return `How warm is it outdoors? Cooling is not tested below ${least}: the outdoor unit would freeze.`;
    case 'too-cold':
      return `${shownText(gate.outdoorC, 'temperature', units, 1)} outdoors: below ${least} cooling is not tested, it harms the outdoor unit. Put it off.`;
    case 'running':
      return 'Another test is running: end that first.';
    case 'counting':
      return `A compressor rests five minutes after each stop: until ${clockOf(gate.until)}.`;
  }
}

const POINTS: Readonly<Record<OutsideBand['points'], string>> = {
  'no-common': 'hardly any voltage: C or R does not reach the thermostat',
  'weak-supply': 'a weak or loaded transformer, a thin long wire, or a loose screw',
  'high-supply': 'mains that are high, or another transformer than was recorded',
  'little-air': 'too little air: a dirty filter, closed registers, a blower that is slow',
  'no-heat': 'little fire or much air: the burner, or it was read too early',
  'little-cold': 'little cold: too early, too little refrigerant, or the blower without the outdoor unit'
};

export function pointsText({ points }: OutsideBand): string {
  return POINTS[points];
}
