import { mainsMatchReport } from '$core/formats/mains-reports';
import { matchReport } from '$core/formats/reports';
import { matchControllers } from '$core/match/mains/match';
import { ASPECT_NAMES, byAspect } from '$core/match/aspects';
import { deviceName } from '$core/match/catalogue';
import { matchAll } from '$core/match/match';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import type { Outcome } from '../outcome';
import { findingLines } from '../page';
import { matchLines } from './mains/identify';

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
      `  ${match.verdict.padEnd(4)}  ${deviceName(match.device)} (${match.device.id})`,
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
          : mainsMatchReport(thermostat.id, matchControllers(thermostat.mains))
      )
    },
    page: page.join('\n').trimEnd()
  };
}
