/**
 * The quick look: what somebody can tell within a minute, with the cover off and nothing else touched. It makes an ordinary record of it, with
 * everything that was not seen left open, so that the same core answers, and so that nothing is lost when it is kept as a job.
 */
import { conductorBuild } from '../identify/evidence/conductor-build';
import { heatFrom } from '../identify/evidence/heat-from';
import { outdoorUnit } from '../identify/evidence/outdoor-unit';
import type { Evidence } from '../identify/types';
import { emptyCable, emptyConductor, landedOn, newJob } from '../job/create';
import { nextId, type JobId } from '../job/ids';
import type { Conductor, Job, Thermostat } from '../job/schema';
import { screwNamed, screwsFrom } from '../job/screws';
import { batch, type Step } from '../job/steps';

/** What was answered. */
export interface QuickLook {
  /** Letters of the plate that have a wire, as printed. */
  readonly letters: readonly string[];
  /** Wires that are coiled in the wall; null where nobody has looked. */
  readonly coiled: number | null;
  /** Answers to questions that the system is found by, by their id. */
  readonly answers: Thermostat['observed'];
}

export const NOTHING_SEEN: QuickLook = { letters: [], coiled: null, answers: {} };

/** The questions that tell most within a minute: mains or not, what heats, what stands outdoors. */
export const QUICK_QUESTIONS: readonly Evidence[] = [conductorBuild, heatFrom, outdoorUnit];

/** The most wires that a cable of this kind has. */
const MOST_COILED = 8;

/** A job of what was seen: wires landed at the wall, their other ends unseen; coiled ones free at the wall. */
export function jobOfLook(look: QuickLook, id: JobId, name: string): Job {
  const job = newJob(id, name);
  const [place] = job.thermostats;
  return place
    ? {
        ...job,
        thermostats: [{ ...place, ...wiresOf(look, job, place), observed: look.answers }]
      }
    : job;
}

/** Writes the letters and the coiled wires of a look into a thermostat that has no wires yet. */
export function recordLetters(job: Job, thermostat: Thermostat, look: QuickLook): Step {
  const wires = wiresOf(look, job, thermostat);
  const parts = ['screws', 'cables', 'conductors'] as const;
  return batch(
    'Wires recorded from the letters',
    parts.map((part) => ({
      kind: 'set',
      path: ['thermostats', { id: thermostat.id }, part],
      before: thermostat[part],
      after: wires[part],
      label: 'Wires recorded from the letters'
    }))
  );
}

function wiresOf(
  look: QuickLook,
  job: Job,
  place: Thermostat
): Pick<Thermostat, 'screws' | 'cables' | 'conductors'> {
  const machines = place.equipment.filter((id) => job.equipment.some((machine) => machine.id === id));
  const known = job.thermostats.flatMap(({ cables }) => cables.map((cable) => cable.id));
  const cable = emptyCable(nextId('cable', known), 'thermostat cable', {
    near: place.id,
    // Where several machines are, nobody has said yet to which the cable goes.
    far: machines.length === 1 ? (machines[0] ?? null) : null
  });
  const free: Conductor['near'] = { state: 'coiled', on: [] };
  const ends = [
    ...look.letters.map((letter) => landedAt(place, letter)),
    ...Array.from({ length: Math.min(MOST_COILED, look.coiled ?? 0) }, () => free)
  ];
  const taken = job.thermostats.flatMap(({ conductors }) => conductors.map((wire) => wire.id));
  const conductors: Conductor[] = [];
  for (const near of ends) {
    const id = nextId('conductor', [...taken, ...conductors.map((wire) => wire.id)]);
    conductors.push({ ...emptyConductor(id, cable.id), near });
  }
  const missing = look.letters.filter((letter) => screwNamed(place.screws, letter) === undefined);
  return {
    // What is known of the plate and of other cables already stays.
    screws: [...place.screws, ...screwsFrom(missing)],
    cables: ends.length > 0 ? [...place.cables, cable] : place.cables,
    conductors
  };
}

/** On the screw of this letter that the plate is known to have, or on the one that it gets. */
function landedAt(place: Thermostat, letter: string): Conductor['near'] {
  const known = screwNamed(place.screws, letter);
  return known ? { state: 'landed', on: [{ at: place.id, screw: known.id }] } : landedOn(place.id, letter);
}
