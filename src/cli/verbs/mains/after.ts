/** `diagnose`, `settings`, `tests` and `handover` of mains controls. */
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { causesIn } from '$core/diagnose/mains/causes';
import { diagnoseMains, type NamedCause } from '$core/diagnose/mains/diagnose';
import { looksIn, PROBE_WORDS, readMainsSeen } from '$core/diagnose/mains/looks';
import { isCompetent } from '$core/job/mains-edits';
import { writeLeftCodes } from '$core/formats/left-code';
import { mainsDiagnosisReport, triedSaying } from '$core/formats/mains-reports';
import { writeStripCsv } from '$core/formats/strip-csv';
import { stripSheet } from '$core/formats/strip-sheet';
import type { WiringState } from '$core/job/bench-schema';
import type { Job } from '$core/job/schema';
import { mainsAsBuilt, numberName, type MainsAsBuilt } from '$core/handover/mains/as-built';
import { settingsFor } from '$core/handover/mains/settings';
import { testsFor } from '$core/handover/mains/tests';
import { mainsWiring } from '$core/plan/mains/powered';
import { percentText } from '$core/trade/figures';
import { LAYOUT_NAMES } from '$core/trade/mains';
import type { Arguments } from '../../arguments';
import { wrongUse, type Outcome } from '../../outcome';
import { table, wrap } from '../../page';
import { isPlan, mainsPlanFor, type MainsPoint } from './plan';

export function diagnoseOutcome(point: MainsPoint, args: Arguments, which: WiringState): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  const wiring = mainsWiring(plan, which);
  const read = readMainsSeen(wiring, plan.inputs, args.seen);
  if ('unknown' in read) {
    const known = looksIn(wiring, plan.inputs).flatMap(({ id, answers }) =>
      answers.map(({ value }) => `${id}=${value}`)
    );
    return wrongUse(`--seen: no look ${read.unknown}. Known: ${known.join(' ')}`);
  }
  const found = diagnoseMains({
    wiring,
    inputs: plan.inputs,
    seen: read.seen,
    touched: new Set(plan.now.done.map(({ act }) => act.what)),
    competent: isCompetent(point.mains)
  });
  return {
    kind: 'result',
    json: mainsDiagnosisReport(point.id, found),
    page: [
      `${point.name}, wiring ${which}: ${causesIn(wiring).length} causes`,
      ...(found.sound ? ['  Sound wiring would show the same.'] : []),
      ...table(
        found.causes.slice(0, 6).map(({ causes, probability }) => [
          percentText(probability),
          causes
            .map(({ text }) => text)
            .join(' Or: ')
            .slice(0, 160)
        ])
      ),
      ...(found.next
        ? [
            ...wrap(
              `Next, with ${PROBE_WORDS[found.next.look.probe]}: ${found.next.look.ask} (${found.next.gain.toFixed(2)} bit, ${found.next.look.minutes} min)`,
              '  ',
              '    '
            ),
            ...found.next.look.answers.map(
              ({ value, label }) => `    --seen ${found.next?.look.id}=${value}   ${label}`
            )
          ]
        : remedyLines(found.causes[0]?.causes[0]))
    ].join('\n')
  };
}

function remedyLines(cause: NamedCause | undefined): string[] {
  if (!cause) return [];
  const tried = triedSaying(cause);
  return [
    ...wrap(`Remedy: ${cause.remedy}`, '  ', '    '),
    ...(tried === null ? [] : [`    --seen ${tried}   Done, and it is as before`])
  ];
}

/** A code that leads nowhere: the application's own reader takes it, a camera by itself opens nothing. */
const NOWHERE = 'https://ulterum.invalid';

/** The wiring that the work ends with: what there is now where all is done, else the plan's. */
export function settingsOutcome(point: MainsPoint, args: Arguments): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  if (plan.controller === null)
    return wrongUse('No controller fits here, or none is known to: nothing can be set up. See match.');
  const settings = settingsFor(
    plan.taken?.after ?? plan.now.wiring,
    plan.identification.layout,
    plan.controller,
    point.mains
  );
  return {
    kind: 'result',
    json: { thermostat: point.id, controller: plan.controller.id, settings },
    page: [
      `${point.name}: set it up before anything runs`,
      '',
      ...settings.flatMap(({ name, value, reason }) => [`${name}: ${value}`, ...wrap(reason, '  ', '  ')])
    ].join('\n')
  };
}

export function testsOutcome(point: MainsPoint, args: Arguments): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  const tests = testsFor(plan.taken?.after ?? plan.now.wiring, plan.inputs, point.mains.tests);
  return {
    kind: 'result',
    json: { thermostat: point.id, tests },
    page: [
      `${point.name}: tests, in this order`,
      '',
      ...tests.flatMap((test, at) => [
        `${at + 1}. ${test.name}`,
        ...wrap(test.how, '   ', '   '),
        ...wrap(`must run: ${test.mustRun.join(', ') || 'nothing'}`, '   ', '     '),
        ...wrap(`must not run: ${test.mustNot.join(', ') || '–'}`, '   ', '     '),
        ...wrap(test.wait, '   ', '   '),
        `   supply ${test.volts.least} to ${test.volts.most} V`
      ])
    ].join('\n')
  };
}

export async function handoverOutcome(job: Job, point: MainsPoint, args: Arguments): Promise<Outcome> {
  const built = mainsAsBuilt(point.mains);
  if (args.out === undefined)
    return { kind: 'result', json: { thermostat: point.id, ...built }, page: builtPage(point, built) };
  const day = new Date().toISOString().slice(0, 10);
  const files: (readonly [string, string])[] = [
    ['as-built.json', `${JSON.stringify({ thermostat: point.id, ...built }, null, 2)}\n`],
    ['as-built.csv', writeStripCsv(built)],
    ...stripSheet(built, {
      paper: args.paper?.toLowerCase() === 'letter' ? 'LETTER' : 'A4',
      title: point.name,
      codes: writeLeftCodes(job, point, args.origin ?? NOWHERE),
      under: [job.name, job.place, day].filter((word) => word !== '').join(' · ')
    }).map(
      (page, at, all) => [all.length > 1 ? `strip-sheet-${at + 1}.svg` : 'strip-sheet.svg', page] as const
    )
  ];
  const dir = args.out;
  await mkdir(dir, { recursive: true });
  await Promise.all(files.map(([name, text]) => writeFile(join(dir, name), text)));
  const names = files.map(([name]) => join(dir, name));
  return { kind: 'result', json: { thermostat: point.id, ...built, files: names }, page: names.join('\n') };
}

function builtPage(point: MainsPoint, built: MainsAsBuilt): string {
  return [
    `${point.name}: ${LAYOUT_NAMES[built.layout]}, as built`,
    ...table([
      ['no.', 'wire', 'to', 'does'],
      ...built.numbers.flatMap((number) => {
        const { wires, linked } = number;
        const mark = numberName(number);
        return [
          ...wires.map((wire, at) => [at === 0 ? mark : '', wire.colour, wire.to, wire.does]),
          ...(linked.length > 0
            ? [[wires.length === 0 ? mark : '', 'link', `to ${linked.join(', ')}`, '']]
            : [])
        ];
      })
    ]),
    ...built.dead.map(({ cable, wire }) => `  not in use: ${wire} (cable of the ${cable})`),
    ...(built.changes.length > 0 ? ['Changed:'] : []),
    ...built.changes.flatMap(({ at, text }) => wrap(`${at.slice(0, 10)} ${text}`, '  ', '    '))
  ].join('\n');
}
