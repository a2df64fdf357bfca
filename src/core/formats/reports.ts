/** What the command line and the server give back: the plan, the match and the rest as plain JSON with the words of the contract. */
import type { CallResult } from '../circuit/simulate';
import type { Identification } from '../identify/identify';
import type { Trait } from '../identify/traits/types';
import type { WiringState } from '../job/bench-schema';
import { aspectOf } from '../match/aspects';
import type { Match } from '../match/matched';
import type { Move } from '../plan/move-types';
import type { Together } from '../plan/together';
import { lookText } from '../plan/look-words';
import type { Look } from '../plan/looks';
import { nextLooks, type NextLook } from '../plan/next-look';
import type { Plan, PlannedOption } from '../plan/plan';
import type { Finding } from '../findings/finding';
import { refId } from '../findings/refs';
import { findingText } from '../words/findings/table';
import { lossText } from '../words/losses';

/** A finding as scripts read it: with its sentence, and with what it rests on as ids. */
export function findingReport(finding: Finding) {
  const { code, level, params, because, path } = finding;
  const report = { code, level, text: findingText(finding), params, because: because.map(refId) };
  return path === undefined ? report : { ...report, path };
}

export function identifyReport(identification: Identification, looks: readonly Look[] = []) {
  return {
    thermostat: identification.thermostat,
    family: identification.family,
    probability: identification.probability,
    decided: identification.decided,
    stated: identification.stated,
    voltageClass: identification.voltageClass,
    candidates: identification.candidates,
    evidence: identification.evidence.map((piece) => ({ ...piece, because: piece.because.map(refId) })),
    traits: identification.traits.map(traitReport),
    next: nextLooks(identification, looks).map(nextReport),
    findings: identification.findings.map(findingReport)
  };
}

/** `gain`: bits of doubt about the family; `way`: what it would change in the recommended way, in half hours of work. */
function nextReport({ at, effort, bits, gain, opens, question }: NextLook) {
  return {
    observation: at.what === 'question' ? at.id : at.what,
    ask: lookText(at),
    how: question?.evidence.how ?? null,
    effort,
    gain: bits,
    way: { gain, opens },
    answers: question?.answers.map((answer) => ({ ...answer, value: answer.value.value })) ?? []
  };
}

function traitReport(trait: Trait) {
  return {
    ...trait,
    clues: trait.clues.map((clue) => ({ ...clue, because: clue.because.map(refId) }))
  };
}

export function matchReport(thermostat: string, matches: readonly Match[]) {
  return {
    thermostat,
    models: matches.map(({ device, verdict, known, findings }) => ({
      model: device.id,
      maker: device.maker,
      name: device.model,
      verdict,
      known,
      findings: findings.map((finding) => ({ ...findingReport(finding), aspect: aspectOf(finding) }))
    }))
  };
}

function proofReport(option: PlannedOption) {
  if (option.proof === null) return null;
  return {
    solves: option.proof.solves,
    worlds: option.proof.worlds.map(({ world, weight, rows }) => ({
      world: world.id,
      family: world.family,
      weight,
      rows
    }))
  };
}

export function planReport(plan: Plan) {
  return {
    thermostat: plan.thermostat,
    model: plan.device.id,
    assumedModel: plan.assumedDevice,
    family: plan.identification.family,
    probability: plan.identification.probability,
    today: plan.today.map(findingReport),
    recommended: plan.recommended,
    undecided: plan.undecided,
    waiting: plan.waiting.map(({ question, methods }) => ({ question: findingReport(question), methods })),
    method: plan.taken,
    options: plan.options.map((option) => ({
      method: option.method,
      title: option.title,
      variant: option.variant?.id ?? null,
      variants: option.variants.map((variant) => ({
        ...variant,
        closedBy: variant.closedBy === null ? null : findingText(variant.closedBy)
      })),
      verdict: option.verdict,
      closing: option.closing?.what ?? null,
      findings: option.findings.map(findingReport),
      loses: option.loses.map(lossText),
      minutes: option.minutes,
      minutesBand: option.minutesBand,
      cost: option.cost,
      costBand: option.costBand,
      whyAbove: option.whyAbove,
      proof: proofReport(option)
    })),
    moves: plan.moves.map(moveReport),
    parts: plan.parts,
    before: plan.before.map((result) => callReport(result)),
    after: plan.after.map((result) => callReport(result))
  };
}

/** All thermostats of a job as one piece of work. */
export function togetherReport({
  places,
  shared,
  moves,
  parts,
  cuts,
  minutes,
  minutesApart,
  cost
}: Together) {
  return {
    thermostats: places.map(({ thermostat, device, option, works }) => ({
      thermostat: thermostat.id,
      model: device.id,
      method: option.method,
      variant: option.variant?.id ?? null,
      verdict: option.verdict,
      works
    })),
    shared,
    moves: moves.map((move) => ({ ...moveReport(move), thermostats: move.thermostats })),
    parts,
    cuts,
    minutes,
    minutesApart,
    cost
  };
}

function moveReport({ end, place, action, what, from, to, text, tools, strip }: Move) {
  return { end, place, action, what, from, to, text, tools, strip };
}

export function callReport(result: CallResult, findings: readonly Finding[] = []) {
  return {
    call: result.call,
    loads: result.loads,
    thermostatVolts: result.thermostatVolts,
    supplies: result.supplies.map(({ id, name, va, amps, ratedVa, fuseOpen }) => ({
      id,
      name,
      va,
      amps,
      ratedVa,
      fuseOpen
    })),
    findings: findings.map(findingReport)
  };
}

export function simulateReport(
  thermostat: string,
  wiring: WiringState,
  calls: ReturnType<typeof callReport>[],
  extra: readonly Finding[]
) {
  return { thermostat, wiring, calls, findings: extra.map(findingReport) };
}

/** Looks that may open a better way, the best first. `gain`: how much better, in half hours of work. */
export function lookReports(looks: readonly Look[]) {
  return looks.map(({ at, effort, gain, opens }) => ({ ...at, says: lookText(at), effort, gain, opens }));
}
