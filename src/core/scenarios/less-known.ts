/** Records with one fact taken away: knowing less never makes a plan bolder. */
import type { Finding } from '../findings/finding';
import { ref, refId, type Ref } from '../findings/refs';
import type { Conductor } from '../job/schema';
import type { House } from '../houses/builder';
import { withConductor, withJob, withThermostat } from '../houses/changed';
import { findDevice } from '../match/catalogue';
import { planFor, type Plan } from '../plan/plan';
import { VERDICTS } from '../trade/vocabulary';

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

/** Stops that come from what is believed of a system: each piece of evidence may be what raised them. */
const OF_BELIEF: ReadonlySet<Finding['code']> = new Set([
  'data-conductors',
  'line-voltage',
  'mains-controls',
  'millivolt',
  'voltage-class-unsettled',
  'system-unknown',
  'system-unsettled',
  'no-circuit',
  'not-for-this-family'
]);

/** Ways that are judged better with less known, though no fact that is gone had caused what closed them. */
function bolder(full: Plan, less: Plan, gone: ReadonlySet<string>): string[] {
  const rests = (because: readonly Ref[]) => because.some((cause) => gone.has(refId(cause)));
  return less.options.flatMap((option) => {
    const was = full.options.find((plannedOption) => plannedOption.method === option.method);
    if (!was || option.method === 'none') return [];
    if (VERDICTS.indexOf(option.verdict) >= VERDICTS.indexOf(was.verdict)) return [];
    // What closed it and no longer does: each has to be gone because of the fact that is.
    const vanished = was.findings.filter(
      (finding) =>
        finding.level !== 'note' &&
        !option.findings.some((it) => it.code === finding.code && it.level === finding.level)
    );
    const excused = vanished.every(
      (finding) => rests(finding.because) || OF_BELIEF.has(finding.code) || finding.worlds
    );
    return excused && vanished.length > 0
      ? []
      : [`${option.method}: ${was.verdict} becomes ${option.verdict}`];
  });
}

/** Facts that a walk takes: every `step`-th, from the one at `from` on. */
export interface Every {
  readonly step: number;
  readonly from: number;
}

export interface LessKnownWalk {
  /** Records that knew one thing less. */
  readonly facts: number;
  /** Ways that one of them made bolder, in words. */
  readonly bold: readonly string[];
}

/** Takes the facts of a house away one by one, and plans it without each for the same thermostat. */
export function walkLessKnown(house: House, { step, from }: Every, model = 'de-fellgate'): LessKnownWalk {
  const planned = ({ job, thermostat }: House) =>
    planFor(job, thermostat, { device: findDevice(job, model) ?? null });
  const full = planned(house);
  const facts = lessKnown(house).filter((_, at) => at % step === from % step);
  return {
    facts: facts.length,
    bold: facts.flatMap(({ what, gone, house: less }) =>
      bolder(full, planned(less), gone).map((word) => `${what}: ${word}`)
    )
  };
}
