/**
 * The look that is worth most: not the one that tells most of the family, but the one that may open a better way. Each open question about the
 * record is answered in every way that it may be, the plan is made with each answer, and a look is worth what the best way gains on the one
 * that would be taken without it, over the effort.
 */
import { worthAsking, type Effort } from '../belief/bayes';
import { newScrew } from '../job/screws';
import type { Conductor, Job, Thermostat } from '../job/schema';
import { isHot } from '../trade/terminals';
import { ROLE_MARKS, SCREW_ROLES } from '../trade/roles';
import type { MethodId } from '../trade/vocabulary';
import { situationOf } from '../supply/situation';
import { landedMark, landedTerminal, terminalAt, terminalOfScrew } from '../wiring/graph';
import { planFor, type Plan, type PlannedOption, type PlanRequest } from './plan';

/** What there is to look at, as a fact. */
export type LookAt =
  | { readonly what: 'spares'; readonly conductors: readonly string[] }
  | { readonly what: 'ends'; readonly conductors: readonly string[] }
  | { readonly what: 'outlet' }
  | { readonly what: 'path' }
  | { readonly what: 'mark'; readonly mark: string; readonly machine: string }
  | { readonly what: 'same-wire'; readonly conductors: readonly string[] }
  | { readonly what: 'question'; readonly id: string; readonly ask: string };

export interface Look {
  readonly at: LookAt;
  readonly effort: Effort;
  /** How much better the way is expected to be, in the weights of `worthOf`. */
  readonly gain: number;
  /** The way that a good answer would open; null where it would be the same one. */
  readonly opens: MethodId | null;
}

interface Answer {
  readonly chance: number;
  readonly job: Job;
}

interface Candidate {
  readonly at: LookAt;
  readonly effort: Effort;
  readonly answers: readonly Answer[];
}

/** Looks that are worth their effort, the best first. `request`: as the plan was made. */
export function looksFor(job: Job, thermostat: Thermostat, request: PlanRequest = {}): Look[] {
  const steps = looksSteps(job, thermostat, request);
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}

/** As `looksFor`, plan by plan. */
export function* looksSteps(
  job: Job,
  thermostat: Thermostat,
  request: PlanRequest = {}
): Generator<void, Look[]> {
  const now = planFor(job, thermostat, request);
  yield;
  const looks: Look[] = [];
  for (const candidate of candidates(job, thermostat, now)) {
    const plans: { readonly chance: number; readonly plan: Plan }[] = [];
    for (const { chance, job: after } of candidate.answers) {
      const place = after.thermostats.find(({ id }) => id === thermostat.id);
      if (place) plans.push({ chance, plan: planFor(after, place, request) });
      yield;
    }
    const gain = plans.reduce(
      (sum, { chance, plan }) => sum + chance * (bestWorth(plan) - worthOfMethod(plan, now.recommended)),
      0
    );
    const [better] = plans.filter(({ plan }) => plan.recommended !== now.recommended).map(({ plan }) => plan);
    looks.push({ at: candidate.at, effort: candidate.effort, gain, opens: better?.recommended ?? null });
  }
  return worthAsking(
    looks.filter((look) => look.gain >= LEAST_GAIN),
    (look) => look.effort
  );
}

/** Less than a quarter of an hour's work is worth no look of its own. */
const LEAST_GAIN = 0.5;

/**
 * What a way is worth, in half hours of work. The weights are estimates that keep the order of `supply/rank.ts`: to give up the aim or a function
 * counts far more than any work. They decide which look comes first, and nothing about a way.
 */
export function worthOf(option: PlannedOption): number {
  if (option.verdict === 'no') return -100;
  const standing = { exists: 0, spare: 1, added: 5, 'given-up': 8, left: 40 }[option.standing];
  const lost = option.loses.filter((loss) => loss.what === 'function' || loss.what === 'stays-dead').length;
  const verdict = { go: 0, care: 2, pro: 30 }[option.verdict];
  return -(standing + 10 * lost + verdict + option.minutes / 30 + option.cost / 25);
}

function bestWorth(plan: Plan): number {
  return worthOfMethod(plan, plan.recommended);
}

function worthOfMethod(plan: Plan, method: MethodId): number {
  const option = plan.options.find((plannedOption) => plannedOption.method === method);
  return option ? worthOf(option) : -100;
}

function candidates(job: Job, thermostat: Thermostat, plan: Plan): Candidate[] {
  const withPlace = (change: Partial<Thermostat>): Job => ({
    ...job,
    thermostats: job.thermostats.map((candidate) =>
      candidate.id === thermostat.id ? { ...candidate, ...change } : candidate
    )
  });
  return [
    ...spareLooks(thermostat, withPlace),
    ...endLooks(job, thermostat, withPlace),
    ...(thermostat.outlet === 'unknown'
      ? [evenly({ what: 'outlet' }, 'look', [withPlace({ outlet: 'near' }), withPlace({ outlet: 'none' })])]
      : []),
    ...pathLooks(thermostat, withPlace),
    ...markLooks(job, thermostat),
    ...sameWireLooks(job, thermostat, withPlace),
    ...questionLooks(thermostat, plan, withPlace)
  ];
}

type WithPlace = (change: Partial<Thermostat>) => Job;

function evenly(at: LookAt, effort: Effort, jobs: readonly Job[]): Candidate {
  return { at, effort, answers: jobs.map((job) => ({ chance: 1 / jobs.length, job })) };
}

/** Chance that a wire that is free in the wall is free at the machine as well: estimate. */
const SPARE_IS_THERE = 0.7;

/** Wires coiled in the wall whose other end nobody has seen: the first thing to look at at the machine. */
function spareLooks(thermostat: Thermostat, withPlace: WithPlace): Candidate[] {
  const isOpen = ({ near, far }: Conductor) =>
    near.state !== 'landed' && near.state !== 'unseen' && far.state === 'unseen';
  const open = thermostat.conductors.filter(isOpen);
  if (open.length === 0) return [];
  const withFar = (state: 'coiled' | 'loose', continuity: Conductor['continuity']) =>
    withPlace({
      conductors: thermostat.conductors.map((conductor) =>
        isOpen(conductor) ? { ...conductor, far: { state, on: [] }, continuity } : conductor
      )
    });
  return [
    {
      at: { what: 'spares', conductors: open.map((conductor) => conductor.id) },
      effort: 'climb',
      answers: [
        { chance: SPARE_IS_THERE, job: withFar('coiled', 'untested') },
        { chance: 1 - SPARE_IS_THERE, job: withFar('coiled', 'broken') }
      ]
    }
  ];
}

/** Chance that an end which nobody has read is where the wall says: estimate. */
const END_IS_AS_TAKEN = 0.9;

/** Ends that the proof takes to be where the wall says. A screw that is not recorded is seen with the end that is on it. */
function endLooks(job: Job, thermostat: Thermostat, withPlace: WithPlace): Candidate[] {
  const { assumed, found } = situationOf(job, thermostat);
  if (assumed.length === 0) return [];
  const ends = new Map<string, Conductor['far']>();
  let { equipment } = job;
  for (const strand of found.strands) {
    const far = assumed.includes(strand.id) ? landedTerminal(strand.far) : null;
    const terminal = far === null ? undefined : terminalAt(found, far);
    const machine = equipment.find(({ id }) => id === terminal?.device.id);
    if (far === null || !terminal || !machine) continue;
    const known = machine.screws.find((screw) => terminalOfScrew(machine.id, screw.id) === far);
    const screw = known ?? newScrew(machine.screws, terminal.screw.mark);
    if (!known)
      equipment = equipment.map((candidate) =>
        candidate === machine ? { ...machine, screws: [...machine.screws, screw] } : candidate
      );
    ends.set(strand.id, { state: 'landed', on: [{ at: machine.id, screw: screw.id }] });
  }
  const conductors = thermostat.conductors.map((conductor): Conductor => {
    const far = ends.get(conductor.id);
    return far ? { ...conductor, far } : conductor;
  });
  return [
    {
      at: { what: 'ends', conductors: assumed },
      effort: 'climb',
      answers: [
        { chance: END_IS_AS_TAKEN, job: { ...withPlace({ conductors }), equipment } },
        { chance: 1 - END_IS_AS_TAKEN, job }
      ]
    }
  ];
}

function pathLooks(thermostat: Thermostat, withPlace: WithPlace): Candidate[] {
  if (!thermostat.cables.some((cable) => cable.path === 'unknown')) return [];
  const all = (path: 'free' | 'stapled') =>
    withPlace({
      cables: thermostat.cables.map((cable) => (cable.path === 'unknown' ? { ...cable, path } : cable))
    });
  return [evenly({ what: 'path' }, 'look', [all('free'), all('stapled')])];
}

/** A mark at a machine that nobody knows: the diagram inside the door tells what it is, most likely what the wall says. */
function markLooks(job: Job, thermostat: Thermostat): Candidate[] {
  const { riddles, recorded } = situationOf(job, thermostat);
  return riddles.flatMap(({ strand: id, riddle }): Candidate[] => {
    const strand = recorded.strands.find((candidate) => candidate.id === id);
    const far = strand ? landedTerminal(strand.far) : null;
    const screw = far === null ? undefined : terminalAt(recorded, far)?.screw;
    const mark = strand && landedMark(recorded, strand.near);
    if (riddle !== 'far-mark' || !screw || !mark) return [];
    const wanted = isHot(mark) ? 'R' : mark;
    const means = SCREW_ROLES.find((role) => ROLE_MARKS[role] === wanted);
    const machine = job.equipment.find((candidate) =>
      candidate.screws.some((it) => terminalOfScrew(candidate.id, it.id) === far)
    );
    if (!means || !machine) return [];
    const told: Job = {
      ...job,
      equipment: job.equipment.map((candidate) =>
        candidate.id === machine.id
          ? {
              ...candidate,
              screws: candidate.screws.map((it) =>
                terminalOfScrew(candidate.id, it.id) === far
                  ? { ...it, role: { means, from: 'diagram' } }
                  : it
              )
            }
          : candidate
      )
    };
    const answers = [
      { chance: END_IS_AS_TAKEN, job: told },
      { chance: 1 - END_IS_AS_TAKEN, job }
    ];
    return [{ at: { what: 'mark', mark: screw.mark, machine: machine.name }, effort: 'climb', answers }];
  });
}

/** Ends that do not fit: whether they are one wire is measured with the power off. */
function sameWireLooks(job: Job, thermostat: Thermostat, withPlace: WithPlace): Candidate[] {
  const { riddles } = situationOf(job, thermostat);
  const differing = riddles
    .filter((riddle) => riddle.riddle === 'ends-differ')
    .map((riddle) => riddle.strand);
  if (differing.length === 0) return [];
  const proven = withPlace({
    conductors: thermostat.conductors.map((conductor) =>
      differing.includes(conductor.id) ? { ...conductor, continuity: 'proven' } : conductor
    )
  });
  return [evenly({ what: 'same-wire', conductors: differing }, 'meter', [proven, job])];
}

/** The questions that tell most of the family, as far as an answer would change the way. */
function questionLooks(thermostat: Thermostat, plan: Plan, withPlace: WithPlace): Candidate[] {
  return plan.identification.next
    .filter((nextObservation) => nextObservation.evidence.kind === 'asked')
    .slice(0, MOST_QUESTIONS)
    .map(({ evidence, answers }) => ({
      at: { what: 'question', id: evidence.id, ask: evidence.ask } as const,
      effort: evidence.effort,
      answers: answers.map(({ value, chance }) => ({
        chance,
        job: withPlace({ observed: { ...thermostat.observed, [evidence.id]: value.value } })
      }))
    }));
}

const MOST_QUESTIONS = 6;
