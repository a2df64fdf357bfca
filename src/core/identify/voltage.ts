/**
 * The voltage class comes before the family: mains kills, a millivolt heater burns on 24 V, data conductors burn a board. What is dangerous
 * is taken from its evidence at once and from beliefs early; 24 V has to be proven.
 */
import { finding, type Finding } from '../trade/findings';
import type { VoltageClass } from '../trade/vocabulary';
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
  return weighed.find((one) => one.evidence.id === id)?.reading.value;
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

const texts = {
  line: 'This is mains voltage: shock and fire. Put the cover back on, leave the conductors alone, and have a licensed person fit a thermostat made for line voltage.',
  hydronic:
    'These are mains heating controls: 230 V at the room thermostat and the programmer. Leave the covers on. An all-in-one controller for them is planned by function and fitted by a competent person with every supply isolated.',
  millivolt:
    'A millivolt heater: under 1 V from its own flame. Never connect 24 V to it. Only a battery thermostat made for millivolt belongs here.',
  underOneVolt:
    'Under 1 V: either the supply is off, or this is a millivolt heater. Never connect 24 V to it. Find out which before going on.',
  data: 'These conductors carry data between the machine and its own control. No ordinary thermostat belongs on them: stay with its own kind, or have the control board replaced.'
};

/** What stops, and what is not settled yet, about the class. */
export function voltageFindings(
  voltageClass: VoltageClass,
  beliefs: Beliefs,
  weighed: readonly Weighed[]
): Finding[] {
  const about = weighed
    .filter((one) => CLASS_EVIDENCE.includes(one.evidence.id))
    .flatMap((one) => one.reading.because);
  switch (voltageClass) {
    case 'line':
      return beliefs['mains-hydronic'] > beliefs['line-voltage']
        ? [finding('stop', 'mains-controls', texts.hydronic, about)]
        : [finding('stop', 'line-voltage', texts.line, about)];
    case 'millivolt':
      return beliefs.millivolt >= TAKEN_AT
        ? [finding('stop', 'millivolt', texts.millivolt, about)]
        : [finding('stop', 'voltage-class-unsettled', texts.underOneVolt, about)];
    case 'data':
      return [finding('stop', 'data-conductors', texts.data, about)];
    default:
      return openClass(voltageClass, sharesOf(beliefs), about);
  }
}

function openClass(voltageClass: VoltageClass, shares: Shares, about: readonly string[]): Finding[] {
  const still = [
    shares.line >= MAINS_STOPS_AT ? `mains (${Math.round(shares.line * 100)} %)` : '',
    shares.millivolt >= OTHERS_STOP_AT ? `a millivolt heater (${Math.round(shares.millivolt * 100)} %)` : '',
    shares.data >= OTHERS_STOP_AT ? `data conductors (${Math.round(shares.data * 100)} %)` : ''
  ].filter(Boolean);
  if (still.length > 0) {
    const text = `The voltage is not known: still possible: ${still.join(', ')}. Touch no conductor until it is settled.`;
    return [finding('stop', 'voltage-class-unsettled', text, about)];
  }
  if (voltageClass === '24v') return [];
  const text =
    'The voltage class is not settled yet: look at the conductors and the marks, or have it measured.';
  return [finding('warn', 'voltage-class-unsettled', text, about)];
}
