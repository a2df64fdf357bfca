import { mainsMatchReport } from '$core/formats/mains-reports';
import { matchReport } from '$core/formats/reports';
import { ASPECT_NAMES, byAspect } from '$core/match/aspects';
import { deviceName } from '$core/match/catalogue';
import { matchAll } from '$core/match/match';
import { planMains } from '$core/plan/mains/plan';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import type { Outcome } from '../outcome';
import { findingLines } from '../page';
import { matchLines } from './mains/identify';

const KNOWN = { 'so-far': 'as far as is read', nothing: 'not known yet' } as const;

/** Every model of the catalogue and of the job against each thermostat's place. */
export async function match({ file }: Arguments): Promise<Outcome> {
  const job = await loadJob(file);
  if (!isJob(job)) return job;
  const results = job.thermostats.map((thermostat) => ({
    thermostat: thermostat,
    matches: matchAll(job, thermostat)
  }));
  const page = results.flatMap(({ thermostat, matches }) => [
    thermostat.name,
    ...(thermostat.mains === null ? [] : [...matchLines(thermostat.mains), '']),
    ...(thermostat.mains === null ? matches : []).flatMap((match) => [
      `  ${match.verdict.padEnd(4)}  ${deviceName(match.device)} (${match.device.id})${match.known === 'read' ? '' : `, ${KNOWN[match.known]}`}`,
      ...byAspect(match.findings).flatMap(({ aspect, findings }) => [
        `        ${ASPECT_NAMES[aspect]}:`,
        ...findingLines(findings, '          ')
      ])
    ]),
    ''
  ]);
  return {
    kind: 'result',
    json: {
      thermostats: results.map(({ thermostat, matches }) =>
        thermostat.mains === null
          ? matchReport(thermostat.id, matches)
          : mainsMatchReport(thermostat.id, planMains(thermostat.mains).matches)
      )
    },
    page: page.join('\n').trimEnd()
  };
}
