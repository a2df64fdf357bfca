import { layoutReport } from '$core/formats/mains-reports';
import { identifyReport } from '$core/formats/reports';
import { unexplained } from '$core/explain/mains/points';
import { identifyLayout } from '$core/identify/mains/layout';
import { looksFor, type Look } from '$core/plan/looks';
import { lookText } from '$core/plan/look-words';
import { nextLooks } from '$core/plan/next-look';
import { identify as identifySystem, type Identification } from '$core/identify/identify';
import { FAMILY_NAMES } from '$core/trade/vocabulary';
import { percentText } from '$core/trade/figures';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import type { Outcome } from '../outcome';
import { findingLines, table, wrap } from '../page';
import { layoutLines } from './mains/identify';

/** What the record says about the system behind each thermostat. */
export async function identify({ file }: Arguments): Promise<Outcome> {
  const job = await loadJob(file);
  if (!isJob(job)) return job;
  const results = job.thermostats.map((thermostat) => ({
    name: thermostat.name,
    mains: thermostat.mains,
    result: identifySystem(job, thermostat),
    looks: looksFor(job, thermostat)
  }));
  return {
    kind: 'result',
    json: {
      thermostats: results.map(({ result, looks, mains }) => ({
        ...identifyReport(result, looks),
        ...(mains === null ? {} : layoutReport(identifyLayout(mains), unexplained(mains)))
      }))
    },
    page: results
      .flatMap((result) => [
        ...pageOf(result.name, result.result, result.looks),
        ...(result.mains === null ? [] : layoutLines(result.mains)),
        ''
      ])
      .join('\n')
      .trimEnd()
  };
}

function pageOf(name: string, identification: Identification, looks: readonly Look[]): string[] {
  const [next] = nextLooks(identification, looks);
  return [
    `${name}: ${FAMILY_NAMES[identification.family]} (${percentText(identification.probability)}), voltage class ${identification.voltageClass}`,
    ...findingLines(identification.findings),
    ...table(
      identification.candidates
        .slice(0, 4)
        .map((other) => [percentText(other.probability), FAMILY_NAMES[other.family]])
    ),
    ...identification.evidence.map((other) => `  - ${other.sentence}`),
    ...identification.traits.map((trait) => {
      const [best] = [...trait.values].sort((a, b) => b.probability - a.probability);
      return `  ${trait.name}: ${best?.label ?? ''} (${percentText(best?.probability ?? 0)}${trait.decided === null ? ', not settled' : ''})`;
    }),
    ...(next
      ? wrap(
          `Next: ${lookText(next.at)} (${next.opens === null ? '' : `may open ${next.opens}, `}${next.bits.toFixed(2)} bit, a ${next.effort})`,
          '  ',
          '    '
        )
      : [])
  ];
}
