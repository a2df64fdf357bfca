import { findingReport } from '$core/formats/reports';
import { recordFindings } from '$core/job/record-findings';
import { counted } from '$core/words/text';
import { chosenFindings } from '$core/match/chosen';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import type { Outcome } from '../outcome';
import { findingLines } from '../page';

/** The file's faults, or that it holds; and records that cannot be, as findings. */
export async function check({ file }: Arguments): Promise<Outcome> {
  const job = await loadJob(file);
  if (!isJob(job)) return job;
  const findings = [
    ...recordFindings(job),
    ...job.thermostats.flatMap((thermostat) => chosenFindings(job, thermostat))
  ];
  const conductors = job.thermostats.reduce((sum, thermostat) => sum + thermostat.conductors.length, 0);
  const held = `${counted(job.thermostats.length, 'thermostat', 'thermostats')}, ${counted(conductors, 'wire', 'wires')}`;
  const head = `${job.name}: the file holds. ${held}.`;
  return {
    kind: 'result',
    json: {
      ok: true,
      job: job.id,
      version: job.version,
      thermostats: job.thermostats.length,
      conductors,
      findings: findings.map(findingReport)
    },
    page: [head, ...findingLines(findings, '  ', job.units)].join('\n')
  };
}
