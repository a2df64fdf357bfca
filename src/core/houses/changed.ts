/** Houses with one thing changed. */
import { makeId } from '../job/ids';
import type { Conductor, Job, ScrewRef, Thermostat } from '../job/schema';
import type { ScrewRole } from '../trade/roles';
import type { House } from './builder';

/** The house with its thermostat changed. */
export function withThermostat({ job, thermostat }: House, change: Partial<Thermostat>): House {
  const changed = { ...thermostat, ...change };
  return {
    job: {
      ...job,
      thermostats: job.thermostats.map((thermostat) => (thermostat.id === changed.id ? changed : thermostat))
    },
    thermostat: changed
  };
}

export function withConductor(made: House, id: string, change: Partial<Conductor>): House {
  return withThermostat(made, {
    conductors: made.thermostat.conductors.map((conductor) =>
      conductor.id === id ? { ...conductor, ...change } : conductor
    )
  });
}

/** The house with a job of its own, the thermostat taken from it. */
export function withJob(made: House, change: Partial<Job>): House {
  const job = { ...made.job, ...change };
  return { job, thermostat: job.thermostats.find((thermostat) => thermostat.id === made.thermostat.id)! };
}

/** A screw of a machine by its print. */
export function screwOn({ job }: House, machine: number, mark: string): ScrewRef | null {
  const found = job.equipment[machine];
  const screw = found?.screws.find((candidate) => candidate.mark === mark);
  return found && screw ? { at: found.id, screw: screw.id } : null;
}

/** The house with the print of a screw changed, and what somebody says that it is for. */
export function withPrint(made: House, ref: ScrewRef, mark: string, means: ScrewRole | null): House {
  const screws = <T extends { readonly screws: Job['equipment'][number]['screws'] }>(holder: T): T => ({
    ...holder,
    screws: holder.screws.map((screw) =>
      screw.id === ref.screw
        ? { ...screw, mark, role: means === null ? null : { means, from: 'diagram' } }
        : screw
    )
  });
  return withJob(made, {
    equipment: made.job.equipment.map((machine) => (machine.id === ref.at ? screws(machine) : machine)),
    thermostats: made.job.thermostats.map((thermostat) =>
      thermostat.id === ref.at ? screws(thermostat) : thermostat
    )
  });
}

export const linkId = (name: string) => makeId('link', name);
