/**
 * What the product says about a house: one record for every remark, caution and stop. A finding is a fact: a code, what it is about, and what
 * it rests on. The sentence is made of it where it is shown (`words/findings`).
 */
import type { FindingParams } from './params';
import { refId, type Ref } from './refs';

export type FindingLevel = 'stop' | 'warn' | 'note';
export type FindingCode = keyof FindingParams;

/** Holds in these of several believable worlds only, or in the worst case of polarity and bonding. */
export interface Qualified {
  /** What the house is in the worlds in which it holds; absent where it holds in all. */
  readonly worlds?: readonly string[];
  readonly supplyCase?: string;
  /** Wires that nobody can explain, by name: it holds unless one of them does what it says is missing. */
  readonly unless?: readonly string[];
  /** Said of the house as it is, before anything is done. */
  readonly today?: true;
}

export interface FindingOf<C extends FindingCode> extends Qualified {
  readonly code: C;
  readonly level: FindingLevel;
  readonly params: FindingParams[C];
  /** What it rests on. */
  readonly because: readonly Ref[];
  /** Where in the job's file the fact is, for findings about the record itself. */
  readonly path?: string;
}
export type Finding = { [C in FindingCode]: FindingOf<C> }[FindingCode];

export function finding<C extends FindingCode>(
  level: FindingLevel,
  code: C,
  params: FindingParams[C],
  because: readonly Ref[] = [],
  path?: string
): Finding {
  const made: FindingOf<C> =
    path === undefined ? { code, level, params, because } : { code, level, params, because, path };
  return made as unknown as Finding;
}

/** The same for what says the same of the same things: the code with its parameters, whatever it rests on. */
export function factKey(fact: Finding): string {
  return JSON.stringify([
    fact.code,
    fact.params,
    fact.worlds ?? null,
    fact.supplyCase ?? null,
    fact.unless ?? null,
    fact.today ?? null
  ]);
}

/** The same for what concerns the same things, whatever the call that shows it. */
export function subjectKey(fact: Finding): string {
  const about = fact.because.filter((it) => it.kind !== 'call').map(refId);
  return JSON.stringify([fact.code, ...about]);
}

const rank: Readonly<Record<FindingLevel, number>> = { stop: 0, warn: 1, note: 2 };

/** Stops first, then cautions, then notes; within a level as they came. What is said twice is said once. */
export function sortFindings(findings: readonly Finding[]): Finding[] {
  const seen = new Set<string>();
  return findings
    .filter((candidate) => {
      const key = factKey(candidate);
      return !seen.has(key) && seen.add(key);
    })
    .sort((a, b) => rank[a.level] - rank[b.level]);
}

export function isStop(finding: Finding): boolean {
  return finding.level === 'stop';
}

export function hasStop(findings: readonly Finding[]): boolean {
  return findings.some((candidate) => candidate.level === 'stop');
}

export function hasWarning(findings: readonly Finding[]): boolean {
  return findings.some((candidate) => candidate.level === 'warn');
}
