import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { writeAsBuiltCsv } from '$core/formats/as-built-csv';
import { doorSheet, wallCard } from '$core/formats/door-sheet';
import { handoverReport } from '$core/formats/handover-report';
import { writeLeftCodes } from '$core/formats/left-code';
import { labelPages, labelsAsBuilt } from '$core/formats/labels';
import { spiceOf } from '$core/formats/spice';
import { asBuilt, type AsBuilt } from '$core/handover/as-built';
import {
  cautionText,
  endText,
  hasSeveralMachines,
  jumperText,
  resultText,
  supplyText,
  wireNote
} from '$core/handover/as-built-words';
import { settled } from '$core/circuit/simulate';
import { PLAIN_CASE } from '$core/devices/world';
import { powerable } from '$core/plan/powered';
import type { Plan } from '$core/plan/plan';
import type { Arguments } from '../arguments';
import { isJob, loadJob, pickThermostat } from '../load';
import { wrongUse, type Outcome } from '../outcome';
import { table, wrap } from '../page';
import { handoverOutcome } from './mains/after';
import { isMains } from './mains/plan';
import { planFromArguments } from './plan';

/** A code that leads nowhere: the application's own reader takes it, a camera by itself opens nothing. */
const NOWHERE = 'https://ulterum.invalid';
const BLANK_LABELS = 6;

/** The record as built; with --out its sheets and files. */
export async function handover(args: Arguments): Promise<Outcome> {
  const paper = { a4: 'A4', letter: 'LETTER' }[(args.paper ?? 'A4').toLowerCase()] as
    'A4' | 'LETTER' | undefined;
  if (!paper) return wrongUse(`--paper is A4 or Letter, not ${args.paper}.`);
  if (args.origin !== undefined && !/^https?:\/\/[^/\s#]+$/.test(args.origin))
    return wrongUse(`--origin is where the application is served, such as https://host, not ${args.origin}.`);
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const point = pickThermostat(job, args);
  if (!('kind' in point) && isMains(point)) return handoverOutcome(job, point, args);
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const built = asBuilt(job, made.thermostat, made.plan);
  const codes = writeLeftCodes(job, made.thermostat, args.origin ?? NOWHERE);
  const report = handoverReport(built, codes);
  if (args.out === undefined) return { kind: 'result', json: report, page: pageOf(built, codes.length) };
  const now = new Date().toISOString();
  const dayOf = (day: string) => day;
  const files: (readonly [string, string])[] = [
    ['as-built.json', `${JSON.stringify(report, null, 2)}\n`],
    ['as-built.csv', writeAsBuiltCsv(built)],
    ...pagesAs('door-sheet', doorSheet(built, { paper, codes, dayOf, now })),
    ...pagesAs('wall-card', wallCard(built, dayOf, now)),
    ...pagesAs('labels', labelPages(labelsAsBuilt(built, BLANK_LABELS), built.thermostat.name)),
    ...netlistOf(made.plan, built)
  ];
  await mkdir(args.out, { recursive: true });
  await Promise.all(files.map(([name, text]) => writeFile(join(args.out!, name), text)));
  const names = files.map(([name]) => join(args.out!, name));
  return {
    kind: 'result',
    json: { ...report, files: names },
    page: [
      ...names,
      ...(args.origin === undefined && codes.length > 0
        ? ['The codes name no server: read them in the application, or give --origin.']
        : [])
    ].join('\n')
  };
}

function pagesAs(name: string, pages: readonly string[]): (readonly [string, string])[] {
  return pages.map((page, at) => [pages.length > 1 ? `${name}-${at + 1}.svg` : `${name}.svg`, page] as const);
}

/** The circuit as it is now with nothing called; no file where none is known. */
function netlistOf(plan: Plan, { job, thermostat }: AsBuilt): (readonly [string, string])[] {
  const subject = powerable(plan, 'now');
  if ('code' in subject) return [];
  const circuit = settled(subject.wiring, subject.world, 'idle', PLAIN_CASE, 'resistive');
  if ('ok' in circuit) return [];
  return [
    ['as-built.cir', spiceOf(circuit, `${job.name}, ${thermostat.name}, as built, nothing called`).text]
  ];
}

function pageOf(built: AsBuilt, codes: number): string {
  const several = hasSeveralMachines(built);
  return [
    `${built.job.name}, ${built.thermostat.name}: as built`,
    ...built.cautions.flatMap((caution) => wrap(`! ${cautionText(caution)}`, '', '  ')),
    '',
    ...table([
      ['wire', 'wall', 'machine', ''],
      ...built.wires.map((wire) => [
        wire.name,
        endText(wire.wall, false),
        endText(wire.machine, several),
        wireNote(wire)
      ])
    ]),
    ...built.jumpers.map(jumperText),
    ...built.supplies.flatMap((supply) => wrap(supplyText(supply), '', '  ')),
    ...(built.tests.length > 0
      ? [
          '',
          'Tests:',
          ...table(built.tests.map((test) => [test.call, test.at.slice(0, 10), resultText(test)]))
        ]
      : []),
    ...(built.changes.length > 0
      ? [
          '',
          'Changed:',
          ...built.changes.flatMap(({ at, text }) => wrap(`${at.slice(0, 10)} ${text}`, '  ', '    '))
        ]
      : []),
    ...(built.differences.length > 0
      ? ['', 'Not as planned:', ...built.differences.flatMap(({ text }) => wrap(text, '  ', '    '))]
      : []),
    '',
    codes === 0
      ? 'The record is too large for codes on a sheet.'
      : `${codes} code${codes === 1 ? '' : 's'} on the sheet (--out DIR).`
  ].join('\n');
}
