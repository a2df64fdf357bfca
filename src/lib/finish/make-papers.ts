/** Makes the papers of the hand-over and hands them to the browser as files. */
import { settled } from '$core/circuit/simulate';
import { PLAIN_CASE } from '$core/devices/world';
import { writeAsBuiltCsv } from '$core/formats/as-built-csv';
import { doorSheet, wallCard } from '$core/formats/door-sheet';
import { handoverReport } from '$core/formats/handover-report';
import { labelPages, labelsAsBuilt } from '$core/formats/labels';
import { writeLeftCodes } from '$core/formats/left-code';
import { spiceOf } from '$core/formats/spice';
import type { AsBuilt } from '$core/handover/as-built';
import type { Photo } from '$core/job/reading-schema';
import type { Job, Thermostat } from '$core/job/schema';
import type { Plan } from '$core/plan/plan';
import { powerable } from '$core/plan/powered';
import { download, downloadBlob, fileName } from '../files/download';
import { jobStore } from '../state/store';

export type PaperId =
  'door-pdf' | 'door-svg' | 'card-pdf' | 'labels-pdf' | 'report-pdf' | 'json' | 'csv' | 'spice';

export interface PaperRequest {
  readonly built: AsBuilt;
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly plan: Plan;
  readonly paper: 'A4' | 'LETTER';
  /** Where the application is served: the codes lead there. */
  readonly origin: string;
  /** Those that go into the report. */
  readonly photos: readonly Photo[];
  readonly withOwn: boolean;
  readonly dayOf: (isoDay: string) => string;
}

export interface Made {
  readonly told: string;
  /** Pages to be looked at, as SVG. */
  readonly shown: readonly string[];
}

const BLANK_LABELS = 6;
const done = (name: string, shown: readonly string[] = []): Made => ({
  told: `${name} is in your downloads.`,
  shown
});

export async function makePaper(id: PaperId, request: PaperRequest): Promise<Made> {
  const { built, paper, dayOf } = request;
  const name = (what: string, ending: string) =>
    fileName(`${built.job.name}-${built.thermostat.name}-${what}`, ending);
  const now = new Date().toISOString();
  switch (id) {
    case 'door-pdf': {
      const pages = doorPages(request, now);
      return asPdf(name('door', 'pdf'), pages, paper, pages);
    }
    case 'door-svg': {
      const pages = doorPages(request, now);
      pages.forEach((page, at) =>
        download(name(pages.length > 1 ? `door-${at + 1}` : 'door', 'svg'), page, 'image/svg+xml')
      );
      return done(name('door', 'svg'), pages);
    }
    case 'card-pdf':
      return asPdf(name('card', 'pdf'), wallCard(built, dayOf, now), 'A6');
    case 'labels-pdf':
      return asPdf(
        name('labels', 'pdf'),
        labelPages(labelsAsBuilt(built, BLANK_LABELS), built.thermostat.name),
        'A4'
      );
    case 'report-pdf':
      return report(name('report', 'pdf'), request);
    case 'json':
      download(
        name('as-built', 'json'),
        `${JSON.stringify(handoverReport(built, codesOf(request)), null, 2)}\n`
      );
      return done(name('as-built', 'json'));
    case 'csv':
      download(name('wires', 'csv'), writeAsBuiltCsv(built), 'text/csv');
      return done(name('wires', 'csv'));
    case 'spice':
      return netlist(name('as-built', 'cir'), request);
  }
}

function codesOf({ job, thermostat, origin }: PaperRequest): string[] {
  return writeLeftCodes(job, thermostat, origin);
}

function doorPages(request: PaperRequest, now: string): string[] {
  const { built, paper, dayOf } = request;
  return doorSheet(built, { paper, codes: codesOf(request), dayOf, now });
}

async function asPdf(
  file: string,
  pages: readonly string[],
  paper: 'A4' | 'LETTER' | 'A6',
  shown: readonly string[] = []
): Promise<Made> {
  const { svgPagesAsPdf } = await import('../files/pdf');
  downloadBlob(file, await svgPagesAsPdf(pages, file, paper));
  return done(file, shown);
}

async function report(
  file: string,
  { built, job, thermostat, plan, paper, photos, withOwn, dayOf }: PaperRequest
): Promise<Made> {
  const { handoverAsPdf } = await import('../files/handover-pdf');
  const pictures: { data: string; caption: string }[] = [];
  for (const photo of photos) {
    const picture = await jobStore().getPhoto(job.id, photo.id);
    if (picture) pictures.push({ data: await asData(picture), caption: photo.caption });
  }
  const own = thermostat.private;
  const privateFacts = withOwn
    ? [
        own.registration === '' ? '' : `Registration code: ${own.registration}`,
        own.hardwareAddress === '' ? '' : `Hardware address: ${own.hardwareAddress}`
      ].filter(Boolean)
    : [];
  downloadBlob(
    file,
    await handoverAsPdf({ built, found: plan.wiringBefore, photos: pictures, privateFacts, dayOf }, paper)
  );
  const left = photos.length - pictures.length;
  return left === 0
    ? done(file)
    : {
        told: `${file} is in your downloads, without ${left} photos that this browser does not keep.`,
        shown: []
      };
}

function asData(picture: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('A photo could not be read'));
    reader.readAsDataURL(picture);
  });
}

function netlist(file: string, { built, plan }: PaperRequest): Made {
  const subject = powerable(plan, 'now');
  const circuit =
    'code' in subject ? null : settled(subject.wiring, subject.world, 'idle', PLAIN_CASE, 'resistive');
  if (!circuit || 'ok' in circuit) return { told: 'No circuit is known for this system.', shown: [] };
  download(
    file,
    spiceOf(circuit, `${built.job.name}, ${built.thermostat.name}, as built, nothing called`).text,
    'text/plain'
  );
  return done(file);
}
