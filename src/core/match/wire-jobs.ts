/** What each wire of the old thermostat does, in each of the believable worlds. */
import { roleOf, type Role } from '../devices/roles';
import type { World } from '../devices/world';
import { assumeUnseenEnds } from '../wiring/from-job';
import { landedMark, type Strand, type Wiring } from '../wiring/graph';
import { readIn } from '../wiring/meaning';

export interface WireJob {
  readonly mark: string;
  /** What the mark does in this world; null for one that calls nothing. */
  readonly role: Role | null;
}

/** By the id of the strand; those that feed, and those that do nothing, are left out. */
export type WireJobs = ReadonlyMap<string, WireJob>;

export function wireJobs(wiring: Wiring, world: World): WireJobs {
  const assumed = readIn(assumeUnseenEnds(wiring).wiring, world.family);
  const found = new Map<string, WireJob>();
  for (const strand of assumed.strands) {
    const mark = doneBy(assumed, strand);
    if (mark === null) continue;
    const role = roleOf(mark, world);
    if (role !== 'common' && !role?.startsWith('hot')) found.set(strand.id, { mark, role });
  }
  return found;
}

/** What a wire does is what its end at the machine says; as long as nobody knows that, it is taken to be what the old plate says. */
function doneBy(wiring: Wiring, { near, far }: Strand): string | null {
  if (near.state !== 'landed') return null;
  const wall = far.state === 'unseen' || far.state === 'landed' ? landedMark(wiring, near) : null;
  return landedMark(wiring, far) ?? wall;
}
