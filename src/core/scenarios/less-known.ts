/** Records with one fact taken away, for holding that knowing less never makes a plan bolder. */
import type { Conductor } from '../job/schema';
import { refId, type Ref } from '../findings/refs';
import { ref } from '../findings/refs';
import type { House } from '../houses/builder';
import { withConductor, withJob, withThermostat } from '../houses/changed';

export interface LessKnown {
  readonly what: string;
  /** The facts that were taken away: what rested on one of them may change. */
  readonly gone: ReadonlySet<string>;
  readonly house: House;
}

const ids = (...refs: readonly Ref[]) => new Set(refs.map(refId));

/** Every record that knows one thing less: an end unread, a mark unknown, a plate unread, an answer gone. */
export function lessKnown(house: House): LessKnown[] {
  const { job, thermostat } = house;
  const unread: Conductor['far'] = { state: 'unseen', on: [] };
  return [
    ...thermostat.conductors
      .filter((conductor) => conductor.far.state !== 'unseen')
      .map((conductor) => ({
        what: `${conductor.id} is not read at the equipment`,
        gone: ids(ref.conductor(conductor.id)),
        house: withConductor(house, conductor.id, { far: unread })
      })),
    ...thermostat.conductors
      .filter((conductor) => conductor.continuity === 'proven')
      .map((conductor) => ({
        what: `${conductor.id} is not measured`,
        gone: ids(ref.conductor(conductor.id)),
        house: withConductor(house, conductor.id, { continuity: 'untested' })
      })),
    ...job.equipment.flatMap((machine) =>
      machine.screws
        .filter((screw) => screw.mark !== '')
        .map((screw) => ({
          what: `${screw.mark} of ${machine.id} is a mark that nobody knows`,
          gone: ids(ref.machine(machine.id), ref.screw(machine.id, screw.id)),
          house: withJob(house, {
            equipment: job.equipment.map((candidate) =>
              candidate.id === machine.id
                ? {
                    ...candidate,
                    screws: candidate.screws.map((it) =>
                      it.id === screw.id ? { ...it, mark: 'QX', role: null } : it
                    )
                  }
                : candidate
            )
          })
        }))
    ),
    ...job.equipment
      .filter((machine) => machine.transformerVa !== null)
      .map((machine) => ({
        what: `the plate of ${machine.id} is not read`,
        gone: ids(ref.machine(machine.id)),
        house: withJob(house, {
          equipment: job.equipment.map((candidate) =>
            candidate.id === machine.id ? { ...candidate, transformerVa: null } : candidate
          )
        })
      })),
    ...Object.keys(thermostat.observed).map((id) => {
      const { [id]: _, ...observed } = thermostat.observed;
      return {
        what: `${id} is not answered`,
        gone: ids(ref.observation(id)),
        house: withThermostat(house, { observed })
      };
    })
  ];
}
