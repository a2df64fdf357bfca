/**
 * Two members of one list with one id cannot both be meant by it: a page could not tell them apart, and an edit would change the wrong one.
 * What comes in gets ids of its own, with a word for each; what referred to the id means the first that has it.
 */
import { pathText } from '../job/faults';
import { nextNumbered } from '../job/ids';
import type { Job } from '../job/schema';

export interface UniqueIds {
  readonly job: Job;
  /** A sentence for each id that was changed; empty where all were unique. */
  readonly words: readonly string[];
}

/** The same job where all ids of a list differ already: then nothing is written anew, however large it is. */
export function withUniqueIds(job: Job): UniqueIds {
  if (!hasTwice(job)) return { job, words: [] };
  const words: string[] = [];
  return { job: walk(job, [], words) as Job, words };
}

/** Whether some list holds one id twice. */
function hasTwice(value: unknown): boolean {
  if (value === null || typeof value !== 'object') return false;
  if (!Array.isArray(value)) {
    for (const key in value) if (hasTwice((value as Record<string, unknown>)[key])) return true;
    return false;
  }
  const seen = new Set<string>();
  for (const member of value) {
    const id = idOf(member);
    if (id !== null && seen.has(id)) return true;
    if (id !== null) seen.add(id);
    if (hasTwice(member)) return true;
  }
  return false;
}

type Place = readonly (string | number)[];

function walk(value: unknown, at: Place, words: string[]): unknown {
  if (Array.isArray(value))
    return unique(value, at, words).map((member, index) => walk(member, [...at, index], words));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, entry]) => [key, walk(entry, [...at, key], words)])
  );
}

function unique(list: readonly unknown[], at: Place, words: string[]): unknown[] {
  const taken = new Set(list.flatMap((member) => idOf(member) ?? []));
  const seen = new Set<string>();
  return list.map((member, index) => {
    const id = idOf(member);
    if (id === null) return member;
    if (!seen.has(id)) {
      seen.add(id);
      return member;
    }
    const fresh = nextNumbered(id.split('-')[0] ?? '', taken);
    taken.add(fresh);
    seen.add(fresh);
    words.push(`${pathText([...at, index])}: ${id} was there twice; this one is ${fresh} now.`);
    return { ...(member as object), id: fresh };
  });
}

function idOf(member: unknown): string | null {
  const id = (member as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id : null;
}
