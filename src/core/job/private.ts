/** What is the owner's alone: it goes into no export, print or code unless he says so that time. */
import { NOTHING_PRIVATE } from './after-schema';
import type { Job, Thermostat } from './schema';

/** The job without registration codes, hardware addresses and the photos that show them. */
export function withoutPrivate(job: Job): Job {
  return job.thermostats.some(hasPrivate)
    ? { ...job, thermostats: job.thermostats.map(placeWithoutPrivate) }
    : job;
}

function placeWithoutPrivate(thermostat: Thermostat): Thermostat {
  const own = new Set<string>(thermostat.private.photos);
  return {
    ...thermostat,
    photos: thermostat.photos.filter(({ id }) => !own.has(id)),
    private: NOTHING_PRIVATE
  };
}

export function hasPrivate({ private: own }: Pick<Thermostat, 'private'>): boolean {
  return own.registration !== '' || own.hardwareAddress !== '' || own.photos.length > 0;
}
