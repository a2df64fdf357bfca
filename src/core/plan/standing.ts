/** Where a thermostat's place stands: what stops, and what is open. What nobody has looked at yet is open, and no alarm. */
import { sortFindings, type Finding } from '../findings/finding';
import type { Identification } from '../identify/identify';
import type { Thermostat } from '../job/schema';
import type { SafetyStanding } from '../safety/standing';
import type { Match } from '../match/matched';
import type { Plan } from './plan';

export interface StandingFacts {
  readonly thermostat: Thermostat;
  readonly identification: Identification;
  readonly safety: SafetyStanding;
  readonly recordFindings: readonly Finding[];
  readonly plan: Plan;
  /** How the chosen thermostat fits; null where none is chosen. */
  readonly match: Match | null;
}

export interface Standing {
  readonly stops: readonly Finding[];
  readonly open: readonly Finding[];
}

export function standingOf(facts: StandingFacts): Standing {
  const { thermostat, identification, safety, recordFindings, plan, match } = facts;
  const chosen = thermostat.choice.method !== null;
  const taken = plan.options.find(({ method }) => method === plan.taken);
  const all = sortFindings([
    ...recordFindings,
    ...safety.findings.filter(({ level }) => level === 'stop'),
    ...identification.findings,
    ...plan.today,
    ...(match?.findings ?? []),
    ...(chosen ? (taken?.findings ?? []) : [])
  ]);
  const isOpen = (finding: Finding) =>
    finding.level === 'warn' ||
    (finding.level === 'stop' && (isUntold(finding, identification) || isRecorded(finding, thermostat)));
  return {
    stops: all.filter((finding) => finding.level === 'stop' && !isOpen(finding)),
    open: all.filter(isOpen)
  };
}

/** Before anybody has seen or answered anything, that the voltage may be any is no news. No way is open meanwhile, all the same. */
function isUntold({ code }: Finding, { evidence }: Identification): boolean {
  return code === 'voltage-class-unsettled' && evidence.length === 0;
}

/** That it is mains is no news either where it is recorded as such: its own pages say who may open what. */
function isRecorded({ code }: Finding, { mains }: Thermostat): boolean {
  return code === 'mains-controls' && mains !== null;
}
