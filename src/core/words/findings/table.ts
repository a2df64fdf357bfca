/** The one place where a finding becomes a sentence. */
import type { Finding, FindingCode } from '../../findings/finding';
import type { FindingParams } from '../../findings/params';
import type { Units } from '../../trade/units';
import { MATCH } from './match';
import { METHODS } from './methods';
import { PROOF } from './proof';
import { RECORD } from './record';
import { SAFETY } from './safety';
import type { Sentences } from './sentences';
import { SURVEY } from './survey';
import { SYSTEM } from './system';

const SENTENCES: Sentences<FindingParams> = {
  ...RECORD,
  ...SYSTEM,
  ...SAFETY,
  ...SURVEY,
  ...MATCH,
  ...METHODS,
  ...PROOF
};

/** Every code that a finding may carry. */
export const FINDING_CODES = Object.keys(SENTENCES) as FindingCode[];

const METRIC: Units = { length: 'm', temperature: 'C' };

/** What is shown of a finding, in the units of the job. */
export function findingText(finding: Finding, units: Units = METRIC): string {
  const write = SENTENCES[finding.code] as (params: unknown, units: Units) => string;
  const sentence = write(finding.params, units);
  const worst = finding.supplyCase === undefined ? '' : ` (Worst case: ${finding.supplyCase}.)`;
  const where = finding.worlds === undefined ? '' : `If it is ${finding.worlds.join(' or ')}: `;
  const unless =
    finding.unless === undefined ? '' : `Unless the ${finding.unless.join(' or ')} wire does it: `;
  return `${finding.today ? 'As it is today: ' : ''}${where}${unless}${sentence}${worst}`;
}
