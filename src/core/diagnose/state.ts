/** Where a diagnosis stands after all that was seen: the causes, what does not fit, and what to look at next; or a stop. */
import {
  beliefAfter,
  chancesOfAnswer,
  ownReading,
  rankedCauses,
  SETTLED,
  type CauseBelief,
  type Prepared,
  type Seen
} from './diagnosis';
import {
  abilityOf,
  circumstancesAfter,
  nextLooks,
  startAt,
  type Circumstances,
  type NextLook
} from './next-look';
import { againstOf, type Answered } from './contradictions';
import { opensAgain, triedCauses, triedLook, worthAgain } from './observations/tried';
import type { Observation } from './observations/types';
import { stopSign, type StopSign } from './stop-signs';
import type { Call } from '../trade/calls';
import type { ReadingPoint } from './fault-table';

/** A reading at screws of somebody's own choice. */
export interface OwnReading {
  readonly point: ReadingPoint;
  readonly call: Call;
  readonly headOff: boolean;
  readonly volts: number;
}

export interface DiagnosisState {
  /** Nothing more is asked: off, and whom to call. */
  readonly stop: StopSign | null;
  /** What was seen that stops it, by the id of the look or of the sign. */
  readonly stoppedBy: string | null;
  /** The likeliest first; those that no look tells apart are one. */
  readonly causes: readonly CauseBelief[];
  /** Likely enough that its remedy is worth more than another look. */
  readonly settled: CauseBelief | null;
  /** Looks worth making, the best first. */
  readonly looks: readonly NextLook[];
  /** Answers that the likeliest cause does not explain: one of them, or the other side, is wrong. */
  readonly against: readonly Seen[];
  /** Answers to nothing that this house has: they were left out. */
  readonly unknown: readonly Seen[];
  readonly circumstances: Circumstances;
  /** Share of each hypothesis, by its number. */
  readonly belief: Float64Array;
}

export interface Hands {
  readonly meter: boolean;
  readonly helper: boolean;
}

export function stateOf(
  prepared: Prepared,
  seen: readonly Seen[],
  { meter, helper }: Hands,
  readings: readonly OwnReading[] = []
): DiagnosisState {
  const known = seen.flatMap((entry) => {
    const observation = observationNamed(prepared, entry.observation);
    return observation && chancesOfAnswer(observation, entry.answer)
      ? [{ observation, answer: entry.answer }]
      : [];
  });
  const read = readings.map(({ point, call, headOff, volts }) => ({
    observation: ownReading(prepared, point, call, headOff),
    answer: volts
  }));
  const all = [...known, ...read];
  const circumstances = all.reduce(
    (before: Circumstances, { observation }) => circumstancesAfter(observation, before),
    { ...startAt(prepared.situation.wiring), meter, helper }
  );
  const belief = beliefAfter(prepared, all);
  const ability = abilityOf(circumstances);
  const tried = triedCauses(prepared, all);
  const causes = rankedCauses(prepared, belief, ability, tried);
  const stoppedBy =
    seen.find(({ observation }) => stopSign(observation) !== null)?.observation ??
    opensAgain(prepared, known) ??
    null;
  const stop = stoppedBy === null ? null : (stopSign(stoppedBy) ?? stopSign('fuse-again'));
  const again = worthAgain(prepared, known);
  const answered = new Set(all.map(({ observation }) => observation.id).filter((id) => !again.has(id)));
  const looks = stop ? [] : nextLooks(prepared, belief, circumstances, answered);
  const [first] = causes;
  const settled =
    !stop && first && all.length > 0 && isNamed(first) && (first.probability >= SETTLED || looks.length === 0)
      ? first
      : null;
  return {
    stop,
    stoppedBy,
    causes,
    settled,
    looks,
    against: againstOf(all, belief)
      .filter((entry) => !wasPutRight(prepared, tried, entry))
      .map(({ observation, answer }) => ({
        observation: observation.id,
        answer
      })),
    unknown: seen.filter(
      ({ observation, answer }) =>
        stopSign(observation) === null &&
        !known.some((entry) => entry.observation.id === observation && entry.answer === answer)
    ),
    circumstances,
    belief
  };
}

/** What a cause showed that was put right since is no contradiction: it was so, and is no more. */
function wasPutRight(
  { situation: { causes, list } }: Prepared,
  tried: ReadonlySet<string>,
  { observation, answer }: Answered
): boolean {
  return list.some(
    ({ causes: [only, second] }, at) =>
      second === undefined &&
      tried.has(causes[only!]!.id) &&
      (chancesOfAnswer(observation, answer)?.[at] ?? 0) > 0.5
  );
}

/** The look of this id, if this house has it. */
export function observationNamed(prepared: Prepared, id: string): Observation | undefined {
  return (
    prepared.observations.find((candidate) => candidate.id === id) ??
    triedLook(prepared, id) ??
    keptReading(prepared, id)
  );
}

/** A reading that was kept from elsewhere, such as a test: at screws that the table knows, in a call that is asked about nowhere. */
function keptReading(prepared: Prepared, id: string): Observation | undefined {
  const [, first, second, word, headOff] = /^([^:]+):([^@]+)@([^/]+)(\/head-off)?$/.exec(id) ?? [];
  const { points, calls } = prepared.situation.table;
  const point = points.find(([a, b]) => a === first && b === second);
  const call = calls.find((candidate) => candidate === word);
  return point && call ? ownReading(prepared, point, call, headOff !== undefined) : undefined;
}

/** "Something else" is no cause that a remedy can be given for. */
function isNamed({ cause }: CauseBelief): boolean {
  return cause.kind !== 'something-else';
}
