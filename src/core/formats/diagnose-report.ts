/** A diagnosis as plain data: for the command line and the server. */
import type { Prepared, Seen } from '../diagnose/diagnosis';
import { bitsOf, type NextLook } from '../diagnose/next-look';
import { triedId } from '../diagnose/tried-code';
import { remedyOf } from '../diagnose/remedy';
import { observationNamed, type DiagnosisState } from '../diagnose/state';
import { stopSign } from '../diagnose/stop-signs';

/** Causes that are told; the rest of the list has next to no share. */
const MOST_CAUSES = 12;

export function diagnoseReport(
  thermostat: string,
  wiring: string,
  prepared: Prepared,
  state: DiagnosisState
) {
  const { stop, stoppedBy, causes, settled, looks, against, unknown } = state;
  return {
    thermostat,
    wiring,
    stop,
    stoppedBy,
    causes: causes.slice(0, MOST_CAUSES).map(({ id, says, probability, touched }) => ({
      fault: id,
      says,
      probability,
      touched
    })),
    nextTest: looks[0] ? lookReport(prepared, state, looks[0]) : null,
    otherTests: looks.slice(1, 4).map((look) => lookReport(prepared, state, look)),
    settled: settled
      ? { fault: settled.id, tried: triedId(settled.cause.id), remedy: remedyReport(prepared, settled) }
      : null,
    against: against.map((entry) => seenReport(prepared, entry)),
    unknown
  };
}

/** An answer with its words. */
export function seenReport(prepared: Prepared, { observation, answer }: Seen) {
  const found = observationNamed(prepared, observation);
  const sign = stopSign(observation);
  return {
    observation,
    answer,
    ask: found?.ask ?? sign?.ask ?? observation,
    /** What may be answered, where it is looked at once more. */
    answers: found?.answers ?? [],
    label:
      typeof answer === 'number'
        ? `${answer} V`
        : (found?.answers.find(({ value }) => value === answer)?.label ?? answer)
  };
}

export type LookReport = ReturnType<typeof lookReport>;
export type SeenReport = ReturnType<typeof seenReport>;
export type DiagnoseReport = ReturnType<typeof diagnoseReport>;

function lookReport(
  prepared: Prepared,
  { belief, circumstances }: DiagnosisState,
  { observation, minutes, answers: outcomes }: NextLook
) {
  const { situation } = prepared;
  const { id, ask, how, place, power, needs, answers, volts } = observation;
  return {
    id,
    ask,
    how,
    place,
    power,
    needs,
    minutes,
    /** A figure in volts may be answered. */
    reading: volts !== null,
    gainBits: bitsOf(prepared, belief, circumstances, observation),
    answers: answers.map(({ value, label }) => {
      const outcome = outcomes.find((found) => found.value === value);
      const likeliest = outcome && situation.list[outcome.likeliest];
      return {
        code: `${id}-${value}`,
        value,
        label,
        /** What would be likeliest after it, with its share. */
        then: likeliest
          ? {
              says: likeliest.causes.map((cause) => situation.causes[cause]!.says).join(', and '),
              probability: outcome.share
            }
          : null
      };
    })
  };
}

function remedyReport(prepared: Prepared, settled: NonNullable<DiagnosisState['settled']>) {
  const { says, moves, steps, proven, pro } = remedyOf(prepared, settled);
  return {
    says,
    proven,
    pro,
    steps,
    setUp: settled.cause.kind.startsWith('set-up'),
    moves: moves.map(({ action, place, text }) => ({ action, place, text }))
  };
}
