/**
 * A job on its way to the thread, again and again: only what has changed since the last time goes over. The other side puts it together from
 * the very things that it was given before, so that what it has worked out of a thermostat still holds while that is the same.
 */
import type { Job, Thermostat } from '$core/job/schema';

/** What is not in `changed` is as it was. A thermostat that is as it was goes over as its place in the list before. */
export interface JobParts {
  /** The how-manieth parts these are: they are of no use without all that came before. */
  readonly number: number;
  readonly changed: Partial<Omit<Job, 'thermostats'>>;
  readonly thermostats: readonly (Thermostat | number)[];
}

/** The side that has the job. Its parts have to be joined by one `JobJoiner`, in the order in which they were made. */
export class JobSplitter {
  #last: Job | null = null;
  #number = 0;

  split(job: Job): JobParts {
    const last = this.#last;
    this.#last = job;
    this.#number += 1;
    const { thermostats, ...rest } = job;
    const changed = Object.entries(rest).filter(([key, value]) => value !== last?.[key as keyof Job]);
    const places = new Map(last?.thermostats.map((thermostat, at) => [thermostat, at]));
    return {
      number: this.#number,
      changed: Object.fromEntries(changed) as JobParts['changed'],
      thermostats: thermostats.map((thermostat) => places.get(thermostat) ?? thermostat)
    };
  }
}

/** The side that works on it. */
export class JobJoiner {
  #last: Job | null = null;
  #number = 0;

  /** Throws where parts are missing, or are of a job that was never given whole. */
  join({ number, changed, thermostats }: JobParts): Job {
    if (number !== this.#number + 1) throw new Error('Parts of a job are missing');
    this.#number = number;
    const last = this.#last;
    const joined = {
      ...last,
      ...changed,
      thermostats: thermostats.map((thermostat) => {
        const whole = typeof thermostat === 'number' ? last?.thermostats[thermostat] : thermostat;
        if (!whole) throw new Error('Parts of a job that was never given');
        return whole;
      })
    } as Job;
    this.#last = joined;
    return joined;
  }
}
