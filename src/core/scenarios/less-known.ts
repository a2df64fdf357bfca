/** Records with one fact taken away: knowing less never makes a plan bolder. */
import type { Finding } from '../findings/finding';
import { ref, refId, type Ref } from '../findings/refs';
import type { Conductor } from '../job/schema';
import type { House } from '../houses/builder';
import { withConductor, withJob, withThermostat } from '../houses/changed';
import { findDevice } from '../match/catalogue';
import type { Match } from '../match/matched';
import { planFor, type Plan } from '../plan/plan';
import { situationOf } from '../supply/situation';
import { isHot } from '../trade/terminals';
import { VERDICTS, type MethodId } from '../trade/vocabulary';
import { landedTerminal, meansAt, type Landing, type Strand, type Wiring } from '../wiring/graph';

export interface LessKnown {
  readonly what: string;
  /** The facts that were taken away: what rested on one of them may change. */
  readonly gone: ReadonlySet<string>;
  readonly house: House;
}

const ids = (...refs: readonly Ref[]) => new Set(refs.map(refId));

/**
 * Wires that were seen to end elsewhere than the wall says, on nothing or on a screw of another meaning: faults. Unseen, such an end is
 * taken to be sound, under the condition that it is read first.
 */
function faultsIn({ job, thermostat }: House): ReadonlySet<string> {
  const { found } = situationOf(job, thermostat);
  const differs = ({ near, far }: Strand) =>
    near.state === 'landed' &&
    (far.state === 'loose' ||
      (meansOf(found, far).length > 0 && !isSame(meansOf(found, near), meansOf(found, far))));
  return new Set(found.strands.filter(differs).map(({ id }) => id));
}

const meansOf = (wiring: Wiring, end: Landing) => meansAt(wiring, landedTerminal(end));
const isSame = (near: readonly string[], far: readonly string[]) =>
  near.some((mark) => far.includes(mark) || (isHot(mark) && far.some(isHot)));

/** Every record that knows one thing less: an end unread, a mark unknown, a plate unread, an answer gone. */
export function lessKnown(house: House): LessKnown[] {
  const { job, thermostat } = house;
  const unread: Conductor['far'] = { state: 'unseen', on: [] };
  const faults = faultsIn(house);
  return [
    ...thermostat.conductors
      .filter(({ id, far }) => far.state !== 'unseen' && !faults.has(id))
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
  'wrong-voltage-class',
  'no-circuit',
  'not-for-this-family'
]);

type Option = Plan['options'][number];

/** Findings of a proof rest on a call; those about a supply rest on its plate as well. */
function restsOn({ because }: Finding, gone: ReadonlySet<string>): boolean {
  return because.some(
    (cause) =>
      gone.has(refId(cause)) ||
      (cause.kind === 'part' && cause.device !== null && gone.has(refId(ref.machine(cause.device))))
  );
}

/** What is said of one and not of the other, notes left out. */
const newIn = (said: Option, other: Option): readonly Finding[] =>
  said.findings.filter(
    (finding) => finding.level !== 'note' && !other.findings.some((it) => isSameWord(it, finding))
  );

/** Of a repair it matters what is put right. */
function isSameWord(a: Finding, b: Finding): boolean {
  const about = ({ because }: Finding) => because.map(refId).sort().join();
  return a.code === b.code && a.level === b.level && (a.code !== 'repair' || about(a) === about(b));
}

/** Plans the fuller record again, with this variant of this method taken: a plan shows one variant of each. */
type WithVariant = (method: MethodId, variant: string | null) => Plan;

/** Ways that are judged better with less known, though no fact that is gone had caused what closed them. */
export function bolder(fullWith: WithVariant, full: Plan, less: Plan, gone: ReadonlySet<string>): string[] {
  const better = (option: Option, was: Option) =>
    VERDICTS.indexOf(option.verdict) < VERDICTS.indexOf(was.verdict);
  return less.options.flatMap((option) => {
    const best = full.options.find(({ method }) => method === option.method);
    if (!best || option.method === 'none' || !better(option, best)) return [];
    const variant = option.variant?.id ?? null;
    const same = best.variant?.id === variant ? full : fullWith(option.method, variant);
    const was = same.options.find(({ method }) => method === option.method) ?? best;
    // What closed it and no longer does: each has to be gone because of the fact that is.
    const vanished = newIn(was, option);
    // What is put right with it in one of the two alone makes another circuit, in which other things are wrong.
    if ([...vanished, ...newIn(option, was)].some((it) => it.code === 'repair' && restsOn(it, gone)))
      return [];
    const excused = vanished.every(
      (finding) => restsOn(finding, gone) || OF_BELIEF.has(finding.code) || finding.worlds
    );
    return excused && vanished.length > 0
      ? []
      : [`${option.method} ${variant ?? ''}: ${was.verdict} becomes ${option.verdict}`];
  });
}

/**
 * Ways that are open with more known and refused for good with less: a look would have opened them, so the refusal was bold. To leave it as it
 * is stays what it is: a house that is harmed by what is known of it is no house to leave.
 */
export function refusedForGood(full: Plan, less: Plan): string[] {
  const isOpen = (method: MethodId) =>
    full.options.some((option) => option.method === method && option.verdict !== 'no');
  return less.options
    .filter(({ method, closing }) => method !== 'none' && closing?.what === 'settled' && isOpen(method))
    .map(({ method }) => `${method}: refused for good`);
}

/**
 * Thermostats that are judged better with less known, though what was said against them does not rest on what is gone; and those that are
 * said to fit, though something that decides it is open.
 */
export function bolderMatches(
  full: readonly Match[],
  less: readonly Match[],
  gone: ReadonlySet<string>
): string[] {
  const before = new Map(full.map((match) => [match.device.id, match]));
  return less.flatMap((match) => {
    const was = before.get(match.device.id);
    if (match.verdict === 'go' && match.known !== 'read')
      return [`${match.device.id}: fits past what is open`];
    if (!was || VERDICTS.indexOf(match.verdict) >= VERDICTS.indexOf(was.verdict)) return [];
    const vanished = was.findings.filter(
      ({ level, code }) =>
        level !== 'note' && !match.findings.some((said) => said.code === code && said.level === level)
    );
    const excused = vanished.every(
      (said) => restsOn(said, gone) || OF_BELIEF.has(said.code) || said.code === 'set-up'
    );
    return excused && vanished.length > 0
      ? []
      : [
          `${match.device.id}: ${was.verdict} becomes ${match.verdict}: ${vanished.map(({ code }) => code).join()}`
        ];
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
  /** Ways that one of them opened wider or refused for good, in words. */
  readonly bold: readonly string[];
}

/** Takes the facts of a house away one by one, and plans it without each for the same thermostat. */
export function walkLessKnown(house: House, { step, from }: Every, model = 'de-fellgate'): LessKnownWalk {
  const device = (job: House['job']) => findDevice(job, model) ?? null;
  const planned = ({ job, thermostat }: House) => planFor(job, thermostat, { device: device(job) });
  const full = planned(house);
  const fullWith: WithVariant = (method, variant) =>
    planFor(house.job, house.thermostat, { device: device(house.job), method, variant });
  const facts = lessKnown(house).filter((_, at) => at % step === from % step);
  return {
    facts: facts.length,
    bold: facts.flatMap(({ what, gone, house: less }) => {
      const plan = planned(less);
      return [...bolder(fullWith, full, plan, gone), ...refusedForGood(full, plan)].map(
        (word) => `${what}: ${word}`
      );
    })
  };
}
