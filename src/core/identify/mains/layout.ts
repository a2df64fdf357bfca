/** Which layout it is: Bayes' rule over the evidence, what disagrees, and the look that would tell most. */
import { expectedFrom, posterior, worthAsking } from '../../belief/bayes';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import type { MainsControls } from '../../job/mains-schema';
import { LAYOUTS, type Layout } from '../../trade/mains';
import { wiringFromMains } from '../../wiring/from-mains';
import {
  KNOWN_LAYOUTS,
  LAYOUT_EVIDENCE,
  LAYOUT_PRIOR,
  questionOf,
  type LayoutEvidence,
  type LayoutQuestion
} from './evidence';

export interface LayoutReading {
  readonly question: LayoutQuestion;
  readonly value: string;
  readonly sentence: string;
  readonly because: readonly string[];
}

export interface LayoutLook {
  readonly question: LayoutQuestion;
  /** Expected loss of doubt, bits. */
  readonly gain: number;
}

export interface LayoutBelief {
  readonly layout: Layout;
  readonly probability: number;
}

export interface LayoutIdentification {
  /** `unknown` until one is believed at `DECIDED_AT` or more. */
  readonly layout: Layout;
  readonly decided: boolean;
  readonly probability: number;
  readonly candidates: readonly LayoutBelief[];
  readonly readings: readonly LayoutReading[];
  readonly next: readonly LayoutLook[];
  /** Heating zones: room thermostats, or one where none is. */
  readonly zones: number;
  readonly findings: readonly MainsFinding[];
}

/** From here on a layout counts as known. */
export const DECIDED_AT = 0.9;
/** Below this nobody need speak of a layout. */
const STILL_POSSIBLE = 0.05;

const known = new WeakMap<MainsControls, LayoutIdentification>();

export function identifyLayout(mains: MainsControls): LayoutIdentification {
  const before = known.get(mains);
  if (before) return before;
  const made = identify(mains);
  known.set(mains, made);
  return made;
}

function identify(mains: MainsControls): LayoutIdentification {
  const readings = readingsOf(mains);
  const prior = Float64Array.from(LAYOUTS, (layout) => LAYOUT_PRIOR[layout]);
  const beliefs = readings.reduce<Float64Array>((now, reading) => posterior(now, chancesOf(reading)), prior);
  const candidates = LAYOUTS.map((layout, at) => ({ layout, probability: beliefs[at] ?? 0 })).sort(
    (a, b) => b.probability - a.probability
  );
  const [top] = candidates;
  const decided = top !== undefined && top.layout !== 'unknown' && top.probability >= DECIDED_AT;
  const made = new Set(readings.map(({ question }) => question.id));
  const open = LAYOUT_EVIDENCE.filter((evidence) => !made.has(evidence.id)).map((evidence) => ({
    question: questionOf(evidence),
    gain: expectedFrom(beliefs, tableOf(evidence)).gain
  }));
  return {
    layout: decided ? top.layout : 'unknown',
    decided,
    probability: top?.probability ?? 0,
    candidates,
    readings,
    next: worthAsking(open, (look) => look.question.effort),
    zones: Math.max(1, mains.devices.filter(({ part }) => part === 'room-thermostat').length),
    findings: findingsOf(mains, readings, candidates, decided)
  };
}

/** What somebody answered goes before what the record only suggests; where the two differ, both are said (`findingsOf`). */
function readingsOf(mains: MainsControls): LayoutReading[] {
  const wiring = wiringFromMains(mains);
  return LAYOUT_EVIDENCE.flatMap((evidence): LayoutReading[] => {
    const read = evidence.read?.(mains, wiring) ?? null;
    const answer = mains.observed[evidence.id];
    const answered = evidence.values.find((candidate) => candidate.value === answer);
    const chosen = read ?? (answered ? { value: answered.value, because: [evidence.id] } : null);
    const sentence = evidence.values.find((candidate) => candidate.value === chosen?.value)?.sentence;
    return chosen === null || sentence === undefined
      ? []
      : [{ question: questionOf(evidence), sentence, ...chosen }];
  });
}

function rowOf(evidence: LayoutEvidence, at: number): Float64Array {
  return Float64Array.from(LAYOUTS, (layout) =>
    layout === 'unknown' ? 1 / evidence.values.length : (evidence.likelihood[layout][at] ?? 0)
  );
}

function evidenceOf({ question }: LayoutReading): LayoutEvidence {
  const found = LAYOUT_EVIDENCE.find(({ id }) => id === question.id);
  if (!found) throw new Error(`No evidence ${question.id}`);
  return found;
}

function chancesOf(reading: LayoutReading): Float64Array {
  const [evidence, { value }] = [evidenceOf(reading), reading];
  return rowOf(
    evidence,
    evidence.values.findIndex((candidate) => candidate.value === value)
  );
}

function tableOf(evidence: LayoutEvidence): Float64Array[] {
  return evidence.values.map((_, at) => rowOf(evidence, at));
}

function findingsOf(
  mains: MainsControls,
  readings: readonly LayoutReading[],
  candidates: readonly LayoutBelief[],
  decided: boolean
): MainsFinding[] {
  const findings: MainsFinding[] = [];
  const wiring = wiringFromMains(mains);
  for (const reading of readings) {
    const [evidence, { value }] = [evidenceOf(reading), reading];
    const answer = mains.observed[evidence.id];
    const read = evidence.read?.(mains, wiring);
    const said = evidence.values.find((candidate) => candidate.value === answer);
    if (read && said && said.value !== value)
      findings.push(
        mainsFinding(
          'warn',
          'mains-layout-disagrees',
          { stated: said.sentence, layout: candidates[0]?.layout ?? 'unknown' },
          [evidence.id]
        )
      );
  }
  if (!decided)
    findings.push(
      mainsFinding('warn', 'mains-layout-open', {
        layouts: candidates
          .filter(({ layout, probability }) => layout !== 'unknown' && probability >= STILL_POSSIBLE)
          .map(({ layout }) => layout)
      })
    );
  // One piece that speaks strongly against what all the others say is told: it may be the one that is right.
  const [top] = candidates;
  if (decided && top && top.layout !== 'unknown') {
    const layout = top.layout as (typeof KNOWN_LAYOUTS)[number];
    for (const reading of readings) {
      const [evidence, { value, sentence }] = [evidenceOf(reading), reading];
      const at = evidence.values.findIndex((candidate) => candidate.value === value);
      const best = Math.max(...KNOWN_LAYOUTS.map((layout) => evidence.likelihood[layout][at] ?? 0));
      if ((evidence.likelihood[layout][at] ?? 0) < 0.1 * best)
        findings.push(
          mainsFinding('warn', 'mains-layout-disagrees', { stated: sentence, layout }, [evidence.id])
        );
    }
  }
  return findings;
}
