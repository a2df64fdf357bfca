/** What the recorded facts say about the system behind a thermostat, with everything that this rests on. */
import type { Ref } from '../findings/refs';
import type { Job, Thermostat } from '../job/schema';
import { finding, sortFindings, type Finding } from '../findings/finding';
import type { Family, VoltageClass } from '../trade/vocabulary';
import { wiringOf } from '../wiring/from-job';
import { beliefsFrom, chance, ranked, weigh, type Beliefs, type Ranked, type Weighed } from './beliefs';
import { nextObservations, type NextObservation } from './next';
import { ambiguousMarks } from './ambiguous';
import { traitsOf } from './traits/registry';
import type { Trait } from './traits/types';
import { answerFindings } from './answers';
import { CANDIDATES, WALL_UNSEEN, type Candidate } from './types';
import { unsettledVolts, voltageClassOf, voltageFindings } from './voltage';

/** Below this a family is not called known. */
export const DECIDED_AT = 0.9;
/** Below this no family is named at all. */
export const NAMED_AT = 0.5;
export interface EvidenceWeight {
  readonly id: string;
  readonly sentence: string;
  readonly value: string;
  readonly because: readonly Ref[];
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
  /** Stages, reversing valve, supplies, who runs the blower: each with its own doubt. */
  readonly traits: readonly Trait[];
  readonly findings: readonly Finding[];
}

/** A record is never changed in place, so what was found of it holds as long as it does; every screen and every plan asks. */
const known = new WeakMap<Thermostat, { readonly job: Job; readonly found: Identification }>();

/** What a thermostat is identified by, besides its own record. */
const RESTS_ON = ['equipment', 'places', 'devices', 'survey'] as const;

/** Whether nothing is different between two jobs that a thermostat's identification can rest on: of the others, what they are called. */
function sameAround(job: Job, before: Job): boolean {
  if (job === before) return true;
  return (
    RESTS_ON.every((part) => job[part] === before[part]) &&
    job.thermostats.length === before.thermostats.length &&
    job.thermostats.every(({ id, name }, at) => {
      const was = before.thermostats[at];
      return was?.id === id && was.name === name;
    })
  );
}

export function identify(job: Job, thermostat: Thermostat): Identification {
  const before = known.get(thermostat);
  if (before && sameAround(job, before.job)) return before.found;
  const found = identified(job, thermostat);
  known.set(thermostat, { job, found });
  return found;
}

function identified(job: Job, thermostat: Thermostat): Identification {
  const situation = { job, thermostat, wiring: wiringOf(job, thermostat) };
  const weighed = weigh(situation);
  const beliefs = beliefsFrom(weighed);
  const candidates = ranked(beliefs);
  const top = candidates[0] ?? { family: 'unknown' as const, probability: 1 };
  const stated = thermostat.statedFamily;
  const believed: Family = top.probability >= NAMED_AT ? top.family : 'unknown';
  const family = stated ?? believed;
  const probability = stated ? beliefs[stated] : top.probability;
  const unsettled = unsettledVolts(situation, beliefs);
  const believedClass = voltageClassOf(weighed, beliefs);
  const voltageClass = unsettled.length > 0 && believedClass === '24v' ? 'unknown' : believedClass;
  const traits = traitsOf(situation, stated ? certain(stated) : beliefs);
  return {
    thermostat: thermostat.id,
    family,
    probability,
    decided: family !== 'unknown' && (stated !== null || top.probability >= DECIDED_AT),
    stated: stated !== null,
    voltageClass,
    beliefs,
    candidates,
    evidence: weighed.map((weighed) => weightOf(weighed, beliefs)),
    next: nextObservations(weighed),
    traits,
    findings: sortFindings([
      ...unsettled,
      ...voltageFindings(voltageClass, beliefs, weighed),
      ...disagreements(weighed, stated ?? top.family),
      ...(stated && probability < 0.2 && weighed.length > 0 ? [statedAgainst(stated, top, weighed)] : []),
      ...(family === 'unknown' ? [unknownSystem(candidates)] : []),
      ...ambiguousMarks(situation),
      ...answerFindings(job, thermostat)
    ])
  };
}

function certain(family: Family): Beliefs {
  return Object.fromEntries(
    CANDIDATES.map((candidate) => [candidate, candidate === family ? 1 : 0])
  ) as unknown as Beliefs;
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
  if (reading.value === WALL_UNSEEN) {
    const landed = evidence.values.find((value) => value.value === 'wall-only')?.sentence ?? '';
    return landed.replace(/but on nothing at the equipment/, 'and nobody has seen its other end');
  }
  return evidence.values.find((value) => value.value === reading.value)?.sentence ?? reading.value;
}

/** Both sides by name: what speaks for the family, and what is rare in it. */
function disagreements(weighed: readonly Weighed[], family: Family): Finding[] {
  const candidate = CANDIDATES.find((candidate) => candidate === family);
  if (!candidate || candidate === 'unknown') return [];
  const best = (piece: Weighed) =>
    Math.max(
      ...CANDIDATES.filter((other) => other !== 'unknown').map((other) =>
        chance(piece.evidence, other, piece.reading.value)
      )
    );
  const against = weighed.filter(
    (weighed) =>
      chance(weighed.evidence, candidate, weighed.reading.value) < 0.06 &&
      (best(weighed) > 0.3 || best(weighed) < 0.06)
  );
  const strongest = [...weighed].sort(
    (a, b) =>
      chance(b.evidence, candidate, b.reading.value) / best(b) -
      chance(a.evidence, candidate, a.reading.value) / best(a)
  )[0];
  return against.map((piece) => {
    const fact = {
      evidence: sentenceOf(piece),
      against: strongest && strongest !== piece ? sentenceOf(strongest) : null,
      family: best(piece) < 0.06 ? null : candidate
    };
    const because = [...piece.reading.because, ...(strongest?.reading.because ?? [])];
    return finding('warn', 'evidence-disagrees', fact, because);
  });
}

function statedAgainst(stated: Family, top: Ranked, weighed: readonly Weighed[]): Finding {
  return finding(
    'warn',
    'stated-against-evidence',
    { stated, evident: top.family, probability: top.probability },
    weighed.flatMap((weighed) => weighed.reading.because)
  );
}

function unknownSystem(candidates: readonly Ranked[]): Finding {
  const families = candidates
    .filter((candidate) => candidate.probability >= 0.1 && candidate.family !== 'unknown')
    .map((candidate) => candidate.family);
  return finding(
    'warn',
    'system-unknown',
    families.length === 0 ? { what: 'fits-none' } : { what: 'still-possible', families }
  );
}
