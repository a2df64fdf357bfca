import { finish } from '$core/circuit/long-run';
import { prepareRun, type Prepared } from '$core/diagnose/diagnosis';
import { diagnosisRequest } from '$core/diagnose/from-plan';
import { stateOf, type DiagnosisState, type OwnReading } from '$core/diagnose/state';
import { diagnoseReport } from '$core/formats/diagnose-report';
import { readReading, readSeen, seenCodes } from '$core/formats/diagnose-words';
import { percentText } from '$core/trade/figures';
import { findingText } from '$core/words/findings/table';
import type { Arguments } from '../arguments';
import { isJob, loadJob, pickThermostat } from '../load';
import { wrongUse, type Outcome } from '../outcome';
import { table, wrap } from '../page';
import { diagnoseOutcome } from './mains/after';
import { isMains } from './mains/plan';
import { planFromArguments } from './plan';
import { whichAndCall } from './simulate';

/** What is wrong, from what was seen and read, and what to look at next. */
export async function diagnose(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const wanted = whichAndCall({ ...args, wiring: args.wiring ?? 'now' });
  if ('kind' in wanted) return wanted;
  const point = pickThermostat(job, args);
  if (!('kind' in point) && isMains(point)) return diagnoseOutcome(point, args, wanted.which);
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const bad = (path: string, found: string): Outcome => ({
    kind: 'bad-file',
    faults: [{ path, expected: 'a circuit that can be solved', found }]
  });
  const request = diagnosisRequest(made.plan, made.thermostat, wanted.which);
  if ('code' in request) return bad(made.thermostat.id, findingText(request));
  const readings: OwnReading[] = [];
  for (const text of args.readings) {
    const reading = readReading(request.wiring, text);
    if ('why' in reading) return wrongUse(`--reading: ${reading.why}.`);
    readings.push(reading);
  }
  const run = prepareRun({ ...request, points: readings.map(({ point }) => point) });
  if ('ok' in run) return bad(run.at, run.why);
  const prepared = finish(run);
  const seen = [];
  for (const code of args.seen) {
    const read = readSeen(prepared, code);
    if ('why' in read) return wrongUse(`--seen: ${read.why}. Known: ${seenCodes(prepared).join(' ')}`);
    seen.push(read);
  }
  const state = stateOf(prepared, seen, { meter: readings.length > 0, helper: false }, readings);
  return {
    kind: 'result',
    json: diagnoseReport(made.thermostat.id, wanted.which, prepared, state),
    page: pageOf(made.thermostat.id, wanted.which, prepared, state)
  };
}

function pageOf(thermostat: string, which: string, prepared: Prepared, state: DiagnosisState): string {
  const report = diagnoseReport(thermostat, which, prepared, state);
  const { stop, nextTest, settled } = report;
  return [
    `${thermostat}, wiring ${which}`,
    ...(stop ? wrap(`STOP: ${stop.ask}. ${stop.then}`, '  ', '    ') : []),
    ...table(
      report.causes.slice(0, 6).map(({ probability, says }) => [percentText(probability), says.join('; or ')])
    ),
    ...report.against.flatMap(({ ask, label }) => wrap(`Does not fit: ${ask} ${label}`, '  ', '    ')),
    ...(settled
      ? [
          ...wrap(`Remedy: ${settled.remedy.says}`, '  ', '    '),
          ...[...settled.remedy.moves.map(({ text }) => text), ...settled.remedy.steps].flatMap((text, at) =>
            wrap(`${at + 1}. ${text}`, '  ', '     ')
          )
        ]
      : []),
    ...(nextTest
      ? [
          ...wrap(
            `Next: ${nextTest.ask} (${nextTest.gainBits.toFixed(2)} bit, about ${Math.ceil(nextTest.minutes)} min)`,
            '  ',
            '    '
          ),
          ...nextTest.answers.map(({ code, label }) => `    --seen ${code}   ${label}`)
        ]
      : [])
  ].join('\n');
}
