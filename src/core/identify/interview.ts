/** An interview of a house: observations made one after the other until the family is as good as known. */
import { wiringOf } from '../wiring/from-job';
import type { Job, Thermostat } from '../job/schema';
import { beliefsFrom, ranked, type Weighed } from './beliefs';
import { EVIDENCE } from './evidence/registry';
import { nextObservations } from './next';
import type { Candidate, Evidence } from './types';

export interface Interview {
  /** Observations made. */
  readonly asked: readonly string[];
  readonly family: Candidate;
  readonly probability: number;
  /** True when the wanted probability was reached. */
  readonly reached: boolean;
}

export type Order = 'most-useful' | 'fixed';

/**
 * Asks about a house of which everything is known, in the order given, and stops at the probability `enough`. Answers come from the house
 * itself, through the same readers that the screens use.
 */
export function interview(job: Job, thermostat: Thermostat, order: Order, enough = 0.95): Interview {
  const situation = { job, thermostat, wiring: wiringOf(job, thermostat) };
  const weighed: Weighed[] = [];
  const tried = new Set<string>();
  for (;;) {
    const [top] = ranked(beliefsFrom(weighed));
    const family = top?.family ?? 'unknown';
    const probability = top?.probability ?? 0;
    const reached = probability >= enough && family !== 'unknown';
    const next = reached ? undefined : pick(order, weighed, tried);
    if (!next) return { asked: weighed.map((weighed) => weighed.evidence.id), family, probability, reached };
    tried.add(next.id);
    const reading = next.read(situation);
    if (reading) weighed.push({ evidence: next, reading });
  }
}

function pick(order: Order, weighed: readonly Weighed[], tried: ReadonlySet<string>): Evidence | undefined {
  if (order === 'fixed') return EVIDENCE.find((evidence) => !tried.has(evidence.id));
  const next = nextObservations(weighed).find((observation) => !tried.has(observation.evidence.id));
  return EVIDENCE.find((evidence) => evidence.id === next?.evidence.id);
}

export interface InterviewSummary {
  readonly houses: number;
  readonly median: number;
  readonly mean: number;
  /** Share of houses in which the probability was reached. */
  readonly reached: number;
  /** Share of those in which the family named was the true one. */
  readonly right: number;
}

export function summarise(
  interviews: readonly { readonly truth: Candidate; readonly result: Interview }[]
): InterviewSummary {
  const counts = interviews.map((interview) => interview.result.asked.length).sort((a, b) => a - b);
  const reached = interviews.filter((candidate) => candidate.result.reached);
  return {
    houses: interviews.length,
    median: counts[Math.floor(counts.length / 2)] ?? 0,
    mean: counts.reduce((sum, count) => sum + count, 0) / (counts.length || 1),
    reached: reached.length / (interviews.length || 1),
    right:
      reached.filter((candidate) => candidate.result.family === candidate.truth).length /
      (reached.length || 1)
  };
}
