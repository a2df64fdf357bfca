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

/** The same job where all ids of a list differ already. */
export function withUniqueIds(job: Job): UniqueIds {
  const words: string[] = [];
  const next = walk(job, [], words) as Job;
  return { job: words.length === 0 ? job : next, words };
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
