/** What the verbs and the server say of mains heating controls, as plain JSON. */
import type { MainsDiagnosis } from '../diagnose/mains/diagnose';
import { triedCode } from '../diagnose/mains/causes';
import { PROBE_WORDS } from '../diagnose/mains/looks';
import { TRIED_STILL } from '../diagnose/tried-code';
import type { MainsFinding } from '../findings/mains';
import type { LayoutIdentification } from '../identify/mains/layout';
import { controllerName } from '../match/mains/controllers';
import type { ControllerHere } from '../plan/mains/controllers-here';
import type { MainsPlan, MainsWay } from '../plan/mains/plan';
import { rowId } from '../proof/mains/rows';
import { rowText } from '../proof/mains/row-text';
import type { TruthTable } from '../proof/mains/truth-table';
import type { RowOutcome, RowState } from '../proof/mains/ways';
import type { Wiring } from '../wiring/graph';
import { mainsText } from '../words/mains-findings';

export function mainsFindingReport({ code, level, because, ...rest }: MainsFinding) {
  return { code, level, sentence: mainsText({ code, level, because, ...rest } as MainsFinding), because };
}

export function layoutReport(identified: LayoutIdentification, questions: readonly MainsFinding[]) {
  return {
    layout: identified.layout,
    layoutProbability: identified.probability,
    layouts: identified.candidates.map(({ layout, probability }) => ({ layout, probability })),
    zones: identified.zones,
    layoutEvidence: identified.readings.map(({ question, value, sentence, because }) => ({
      id: question.id,
      value,
      sentence,
      because
    })),
    layoutNext: identified.next.map(({ question, gain }) => ({
      id: question.id,
      ask: question.ask,
      effort: question.effort,
      gainBits: gain
    })),
    layoutFindings: questions.map(mainsFindingReport)
  };
}

export function mainsMatchReport(thermostat: string, matches: readonly ControllerHere[]) {
  return {
    thermostat,
    models: matches.map(({ facts, verdict, fits, methods, known, closing }) => ({
      model: facts.id,
      name: controllerName(facts),
      verdict,
      fits,
      known,
      closing,
      methods: methods.map((match) => ({
        method: match.method,
        verdict: match.verdict,
        findings: match.findings.map(mainsFindingReport)
      }))
    }))
  };
}

function outcomeReport({ row, heatingWay, waterWay, boiler, pump }: RowOutcome) {
  return { row: rowId(row), heatingWay, waterWay, boiler, pump };
}

export function rowReport({ result, ...state }: RowState) {
  return {
    ...outcomeReport(state),
    call: result.call,
    loads: result.loads.map(({ id, energised, volts }) => ({ id, energised, volts })),
    supplies: result.supplies.map(({ id, va, amps, ratedVa, fuseOpen }) => ({
      id,
      va,
      amps,
      ratedVa,
      fuseOpen
    }))
  };
}

export function tableReport(table: TruthTable | null) {
  return (
    table?.rows.map(({ state, expected, amiss }) => ({ ...outcomeReport(state), expected, amiss })) ?? null
  );
}

export function wayReport(way: MainsWay) {
  return {
    method: way.method,
    variant: way.variant.id,
    verdict: way.verdict,
    closing: way.closing,
    findings: way.findings.map(mainsFindingReport),
    minutes: way.effort.minutes[1],
    minutesBand: { low: way.effort.minutes[0], high: way.effort.minutes[2] },
    cost: way.effort.price,
    changedRows: way.changed.map(rowId),
    proof: tableReport(way.table)
  };
}

export function mainsPlanReport(thermostat: string, plan: MainsPlan) {
  const { taken } = plan;
  return {
    thermostat,
    layout: plan.identification.layout,
    controller: plan.controller?.id ?? null,
    questions: plan.questions.map(mainsFindingReport),
    today: plan.today.map(mainsFindingReport),
    recommended: plan.recommended?.method ?? null,
    taken: taken?.method ?? null,
    waiting: plan.waiting.map(mainsFindingReport),
    options: plan.ways.map(wayReport),
    moves: taken?.moves.map(({ change: _change, ...move }) => move) ?? [],
    parts: taken?.effort.parts ?? [],
    before: tableReport(plan.table),
    after: tableReport(taken?.table ?? null)
  };
}

/** A remedy that was done and changed nothing, as `--seen` takes it. */
export function triedSaying(cause: Parameters<typeof triedCode>[0]): string | null {
  const code = triedCode(cause);
  return code === null ? null : `${code}=${TRIED_STILL}`;
}

export function mainsDiagnosisReport(thermostat: string, found: MainsDiagnosis) {
  return {
    thermostat,
    causes: found.causes.slice(0, 12).map(({ causes, probability }) => ({
      probability,
      causes: causes.map(({ id, kind, text, remedy }) => ({
        id,
        kind,
        text,
        remedy,
        /** What to say where it was put right, and it is as before; null for what has no remedy. */
        tried: triedSaying({ id, kind })
      }))
    })),
    sound: found.sound,
    nextTest:
      found.next === null
        ? null
        : {
            id: found.next.look.id,
            ask: found.next.look.ask,
            state: PROBE_WORDS[found.next.look.probe],
            how: found.next.look.how,
            minutes: found.next.look.minutes,
            openCover: found.next.look.openCover,
            gainBits: found.next.gain,
            answers: found.next.look.answers.map(({ value, label }) => ({
              code: `${found.next?.look.id}=${value}`,
              label
            }))
          }
  };
}

/** The table as lines: the state, then what runs. */
export function tableLines(
  table: TruthTable,
  found: Wiring,
  runs: (state: RowOutcome) => string
): string[][] {
  return table.rows.map(({ state, amiss }) => [
    rowText(state.row, found),
    runs(state),
    amiss.length === 0 ? '' : `should not be so: ${amiss.join(', ')}`
  ]);
}
