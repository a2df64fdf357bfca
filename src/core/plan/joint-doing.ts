/** What the hands do for several thermostats at once, written down: into the log of each whose move it is, and taken back from each. */
import type { LogId } from '../job/ids';
import type { Job, Thermostat } from '../job/schema';
import { batch, type Step } from '../job/steps';
import { doMove, takeBack } from './doing';
import { nowOf } from '../wiring/now';
import { isForAll, type JointMove } from './joint-moves';
import { moveKey, movesDone, type DoneMove } from './moves';
import type { TakenWay } from './together';

export interface JointDone {
  readonly move: DoneMove;
  /** The entry of the log of each thermostat whose move it was. */
  readonly entries: readonly { readonly thermostat: string; readonly entry: LogId }[];
}

/** Writes a move of the list of all down as done at `at` (ISO time), for each thermostat whose move it is. */
export function doJointMove(job: Job, places: readonly TakenWay[], move: JointMove, at: string): Step {
  const key = moveKey(move);
  const steps = move.thermostats.flatMap((id) => {
    const place = places.find(({ thermostat }) => thermostat.id === id);
    const own = place?.option.moves.find((candidate) => moveKey(candidate) === key);
    if (!place || !own) return [];
    return [
      doMove(job, place.thermostat.id, { wiringNow: place.option.now, moves: place.option.moves }, own, at)
    ];
  });
  return batch('Move done', steps);
}

/** Takes a done move back for all whose move it was. */
export function takeJointBack(job: Job, places: readonly TakenWay[], done: JointDone, at: string): Step {
  const steps = done.entries.flatMap(({ thermostat, entry }) => {
    const place = places.find((takenWay) => takenWay.thermostat.id === thermostat);
    const step = place && takeBack(job, place.thermostat.id, { wiringFound: place.option.before }, entry, at);
    return step ? [step] : [];
  });
  return batch('Move not done after all', steps);
}

/** What has been done and stands, for all thermostats; what was done once for several stands there once. */
export function jointDone(job: Job, places: readonly TakenWay[]): JointDone[] {
  const machines = new Set<string>(job.equipment.map((machine) => machine.id));
  const all = places.flatMap((place) => doneOf(job.thermostats, place));
  const joined: JointDone[] = [];
  for (const item of all) {
    const known = isForAll(item.move, machines)
      ? joined.findIndex((other) => sameAct(other.move, item.move) && !ownersOf(other).includes(item.owner))
      : -1;
    const entry = { thermostat: item.owner, entry: item.move.entry.id };
    const before = joined[known];
    if (before) joined[known] = { ...before, entries: [...before.entries, entry] };
    else joined.push({ move: item.move, entries: [entry] });
  }
  return joined.sort((a, b) => a.move.entry.at.localeCompare(b.move.entry.at));
}

function doneOf(
  thermostats: readonly Thermostat[],
  { thermostat, option }: TakenWay
): { readonly owner: string; readonly move: DoneMove }[] {
  const log = thermostats.find((candidate) => candidate.id === thermostat.id)?.log ?? [];
  return movesDone(option.before, nowOf(option.before, log).done).map((move) => ({
    owner: thermostat.id,
    move
  }));
}

const ownersOf = (done: JointDone) => done.entries.map(({ thermostat }) => thermostat);
const sameAct = (a: DoneMove, b: DoneMove) => a.action === b.action && a.what === b.what && a.to === b.to;
