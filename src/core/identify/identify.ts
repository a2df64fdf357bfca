/** What the recorded facts say about the system behind a thermostat, with everything that this rests on. */
import type { Job, Thermostat } from '../job/schema';
import { EVIDENCE } from './evidence/registry';
import { finding, sortFindings, type Finding } from '../trade/findings';
import { FAMILY_NAMES, type Family, type VoltageClass } from '../trade/vocabulary';
import { wiringOf } from '../wiring/from-job';
import { beliefsFrom, chance, ranked, weigh, type Beliefs, type Ranked, type Weighed } from './beliefs';
import { nextObservations, type NextObservation } from './next';
import { CANDIDATES, type Candidate } from './types';

/** Below this a family is not called known. */
export const DECIDED_AT = 0.9;
/** Below this no family is named at all. */
export const NAMED_AT = 0.5;
/** Mains that is at least this likely stops everything until a reading or a licensed person has settled it. */
export const MAINS_STOPS_AT = 0.05;

export interface EvidenceWeight {
  readonly id: string;
  readonly sentence: string;
  readonly value: string;
  readonly because: readonly string[];
  /** Bits for or against each family, against the average of all: log2 of the likelihood ratio. */
  readonly bits: Readonly<Record<Candidate, number>>;
  readonly source: string;
}

export interface Identification {
  readonly thermostat: string;
  readonly family: Family;
  readonly probability: number;
  readonly decided: boolean;
  /** The user said so, whatever the evidence. */
  readonly stated: boolean;
  readonly voltageClass: VoltageClass;
  readonly beliefs: Beliefs;
  readonly candidates: readonly Ranked[];
  readonly evidence: readonly EvidenceWeight[];
  readonly next: readonly NextObservation[];
  readonly findings: readonly Finding[];
}

export function identify(job: Job, thermostat: Thermostat): Identification {
  const weighed = weigh({ job, thermostat, wiring: wiringOf(job, thermostat) });
  const beliefs = beliefsFrom(weighed);
  const candidates = ranked(beliefs);
  const top = candidates[0] ?? { family: 'unknown' as const, probability: 1 };
  const stated = thermostat.statedFamily;
  const believed: Family = top.probability >= NAMED_AT ? top.family : 'unknown';
  const family = stated ?? believed;
  const probability = stated ? ((beliefs as Record<string, number>)[stated] ?? 0) : top.probability;
  const voltageClass = voltageClassOf(weighed, beliefs);
  return {
    thermostat: thermostat.id,
    family,
    probability,
    decided: family !== 'unknown' && (stated !== null || top.probability >= DECIDED_AT),
    stated: stated !== null,
    voltageClass,
    beliefs,
    candidates,
    evidence: weighed.map((one) => weightOf(one, beliefs)),
    next: nextObservations(weighed),
    findings: sortFindings([
      ...voltageFindings(voltageClass, beliefs, weighed),
      ...disagreements(weighed, stated ?? top.family),
      ...(stated && probability < 0.2 && weighed.length > 0 ? [statedAgainst(stated, top, weighed)] : []),
      ...(family === 'unknown' ? [unknownSystem(candidates)] : []),
      ...unknownObservations(thermostat)
    ])
  };
}

/** The class comes before the family: a reading settles it; marks and the build of the conductors make it likely. */
function voltageClassOf(weighed: readonly Weighed[], beliefs: Beliefs): VoltageClass {
  const read = weighed.find((one) => one.evidence.id === 'measured-volts')?.reading.value;
  if (read === '24v' || read === 'line' || read === 'millivolt') return read;
  if (beliefs['line-voltage'] >= NAMED_AT) return 'line';
  const lowVoltage = 1 - beliefs['line-voltage'] - beliefs.unknown;
  return lowVoltage >= DECIDED_AT ? '24v' : 'unknown';
}

function voltageFindings(
  voltageClass: VoltageClass,
  beliefs: Beliefs,
  weighed: readonly Weighed[]
): Finding[] {
  const about = weighed
    .filter((one) =>
      ['measured-volts', 'conductor-build', 'plate-marks', 'heat-from'].includes(one.evidence.id)
    )
    .flatMap((one) => one.reading.because);
  if (voltageClass === 'line') {
    return [
      finding(
        'stop',
        'line-voltage',
        'This is mains voltage: shock and fire. Put the cover back on, leave the conductors alone, and have a licensed person fit a thermostat made for line voltage.',
        about
      )
    ];
  }
  if (voltageClass === 'millivolt') {
    return [
      finding(
        'stop',
        'voltage-class-unsettled',
        'Under 1 V: either the supply is off, or this is a millivolt heater. Never connect 24 V to it. Find out which before going on.',
        about
      )
    ];
  }
  if (beliefs['line-voltage'] < MAINS_STOPS_AT && voltageClass === '24v') return [];
  const share = Math.round(beliefs['line-voltage'] * 100);
  const level = beliefs['line-voltage'] >= MAINS_STOPS_AT ? 'stop' : 'warn';
  const text =
    level === 'stop'
      ? `The voltage is not known: mains is still possible (${share} %). Touch no conductor until it is settled.`
      : 'The voltage class is not settled yet: look at the conductors and the marks, or have it measured.';
  return [finding(level, 'voltage-class-unsettled', text, about)];
}

/** How far a piece speaks for each family, against its average over what is believed. */
function weightOf({ evidence, reading }: Weighed, beliefs: Beliefs): EvidenceWeight {
  const average = CANDIDATES.reduce(
    (sum, family) => sum + beliefs[family] * chance(evidence, family, reading.value),
    0
  );
  const mean =
    CANDIDATES.reduce((sum, family) => sum + chance(evidence, family, reading.value), 0) / CANDIDATES.length;
  const base = Math.max(mean, average * 1e-6, 1e-12);
  const bits = Object.fromEntries(
    CANDIDATES.map((family) => [
      family,
      Math.log2(Math.max(chance(evidence, family, reading.value), 1e-12) / base)
    ])
  ) as Record<Candidate, number>;
  return {
    id: evidence.id,
    sentence: sentenceOf({ evidence, reading }),
    value: reading.value,
    because: reading.because,
    bits,
    source: evidence.source
  };
}

function sentenceOf({ evidence, reading }: Weighed): string {
  return evidence.values.find((one) => one.value === reading.value)?.sentence ?? reading.value;
}

/** Both sides by name: what speaks for the family, and what is hardly ever met in it. */
function disagreements(weighed: readonly Weighed[], family: Family): Finding[] {
  const candidate = CANDIDATES.find((one) => one === family);
  if (!candidate || candidate === 'unknown') return [];
  const best = (one: Weighed) =>
    Math.max(...CANDIDATES.map((other) => chance(one.evidence, other, one.reading.value)));
  const against = weighed.filter(
    (one) => chance(one.evidence, candidate, one.reading.value) < 0.06 && best(one) > 0.3
  );
  const strongest = [...weighed].sort(
    (a, b) =>
      chance(b.evidence, candidate, b.reading.value) / best(b) -
      chance(a.evidence, candidate, a.reading.value) / best(a)
  )[0];
  return against.map((one) => {
    const forIt = strongest && strongest !== one ? ` On the other side: ${sentenceOf(strongest)}` : '';
    return finding(
      'warn',
      'evidence-disagrees',
      `${sentenceOf(one)} That is hardly ever met with “${FAMILY_NAMES[candidate]}”. Look again.${forIt}`,
      [...one.reading.because, ...(strongest?.reading.because ?? [])]
    );
  });
}

function statedAgainst(stated: Family, top: Ranked, weighed: readonly Weighed[]): Finding {
  return finding(
    'warn',
    'stated-against-evidence',
    `You say “${FAMILY_NAMES[stated]}”. What is recorded speaks for “${FAMILY_NAMES[top.family]}” (${Math.round(top.probability * 100)} %). Your word is taken; make sure of it at the machine's plate.`,
    weighed.flatMap((one) => one.reading.because)
  );
}

function unknownSystem(candidates: readonly Ranked[]): Finding {
  const still = candidates
    .filter((one) => one.probability >= 0.1 && one.family !== 'unknown')
    .map((one) => FAMILY_NAMES[one.family])
    .join(', ');
  const text =
    still === ''
      ? 'What is recorded fits no system that Ulterum knows.'
      : `The system is not known yet. Still possible: ${still}.`;
  return finding('warn', 'system-unknown', text);
}

function unknownObservations(thermostat: Thermostat): Finding[] {
  return Object.keys(thermostat.observed)
    .filter((id) => !EVIDENCE.some((one) => one.id === id))
    .map((id) =>
      finding(
        'note',
        'unknown-observation',
        `The record holds an answer to “${id}”, which this version does not ask: it is kept and not weighed.`,
        [`observed:${id}`]
      )
    );
}
