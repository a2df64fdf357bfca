/**
 * The one next step: what is most worth doing now, and at which station. What stops comes first, then what keeps the record from being read,
 * then the look that may better the way most, then the choices, then the work.
 */
import type { Hub } from '../trade/mains-hub';
import { SYSTEM_SETTINGS } from '../trade/setting-ids';
import { isLit } from '../job/lit';
import type { Standing, StandingFacts } from './standing';
import type { Look, LookAt } from './looks';
import { isFeedable, isTooMuchTogether } from './outlook';
import { untestedCalls } from './untested';

/** A station of the work, as the addresses name it. */
export type StationId =
  | 'survey'
  | 'safe'
  | 'sheet'
  | 'system'
  | 'thermostat'
  | 'supply'
  | 'bench'
  | 'moves'
  | 'together'
  | 'power'
  | 'set-up'
  | 'test'
  | 'why'
  | 'keep'
  /** Stations of mains heating controls. */
  | 'strip'
  | 'layout'
  | 'controller'
  | 'work'
  | 'fault'
  | 'trial'
  | 'built';

/** What there is to do, as a fact; `station`: where it is done. */
export type NextStep = { readonly station: StationId } & (
  | {
      readonly what:
        | 'stopped'
        | 'put-right'
        | 'wrong-already'
        | 'record-wires'
        | 'choose-thermostat'
        | 'does-not-fit'
        | 'way-closed'
        | 'none-open'
        | 'too-much-together'
        | 'licensed'
        | 'nothing-to-do'
        | 'power-up'
        | 'set-up'
        | 'test'
        | 'hand-over'
        | 'closed'
        | 'find-out';
    }
  | { readonly what: 'mains-devices' | 'mains-choose' | 'mains-who' | 'mains-work' }
  /** `count`: ends that nobody has read; 0 where no wire is recorded at all. */
  | { readonly what: 'mains-wires'; readonly count: number; readonly hub: Hub }
  /** `first`: nothing is recorded yet, so the cover is still on. */
  | { readonly what: 'power-off'; readonly first: boolean }
  | { readonly what: 'read-wall'; readonly count: number }
  | { readonly what: 'read-equipment'; readonly count: number; readonly machine: string }
  | { readonly what: 'look'; readonly at: LookAt }
  | { readonly what: 'answer'; readonly ask: string }
  | { readonly what: 'choose-way'; readonly title: string }
  /** `count`: ways that wait for something nobody has looked at; none that feeds it is open. */
  | { readonly what: 'undecided'; readonly count: number }
  | { readonly what: 'do'; readonly move: string; readonly left: number }
);

export interface NextStepFacts extends StandingFacts {
  readonly standing: Standing;
  /** What is worth looking at, best first. */
  readonly looks: readonly Look[];
  /** The job is handed over and closed. */
  readonly closed: boolean;
  /** Names of this thermostat's machines, in their order. */
  readonly machines: readonly string[];
}

/**
 * Whether looks that may open a better way are weighed. Once a wire has been moved for a way that still stands, a better one is no reason to
 * stop half way; where mains controls are recorded no look at a 24 V wire is worth anything.
 */
export function mayChangeTheWay(
  thermostat: StandingFacts['thermostat'],
  plan: StandingFacts['plan']
): boolean {
  const begun = plan.done.some(({ change }) => change !== null);
  const stands = begun && (taken(plan)?.verdict ?? 'no') !== 'no';
  return thermostat.mains === null && !stands;
}

export function nextStep(facts: NextStepFacts): NextStep {
  if (facts.closed && !facts.safety.locked) return { what: 'closed', station: 'keep' };
  return stopped(facts) ?? reading(facts) ?? choosing(facts) ?? working(facts);
}

function stopped({ safety, identification, recordFindings, plan, standing }: NextStepFacts): NextStep | null {
  if (safety.locked) return { what: 'stopped', station: 'safe' };
  const stops = new Set(standing.stops);
  if (identification.findings.some((finding) => stops.has(finding)))
    return { what: 'stopped', station: 'system' };
  if (recordFindings.some((finding) => stops.has(finding))) return { what: 'put-right', station: 'sheet' };
  // A repair is a way as well: once one is chosen, the work goes on.
  const harmed = plan.today.some((finding) => stops.has(finding));
  return harmed && taken(plan)?.verdict === 'no' ? { what: 'wrong-already', station: 'supply' } : null;
}

function reading({ thermostat, identification, safety, looks, machines }: NextStepFacts): NextStep | null {
  const { conductors, off } = thermostat;
  if (conductors.length === 0)
    return safety.safe || Object.keys(off).length > 0
      ? { what: 'record-wires', station: 'sheet' }
      : { what: 'power-off', first: true, station: 'safe' };
  const unread = (end: 'near' | 'far') =>
    conductors.filter((conductor) => conductor[end].state === 'unseen').length;
  if (unread('near') > 0) return { what: 'read-wall', count: unread('near'), station: 'sheet' };
  const better = looks.find(({ opens }) => opens !== null);
  if (better)
    return { what: 'look', at: better.at, station: better.at.what === 'question' ? 'system' : 'sheet' };
  if (unread('far') > 0)
    return { what: 'read-equipment', count: unread('far'), machine: machines[0] ?? '', station: 'sheet' };
  const [question] = identification.next;
  return !identification.decided && question
    ? { what: 'answer', ask: question.evidence.ask, station: 'system' }
    : null;
}

function choosing({ thermostat, match, plan }: NextStepFacts): NextStep | null {
  if (thermostat.choice.device === null || match === null)
    return { what: 'choose-thermostat', station: 'thermostat' };
  if (match.verdict === 'no') return { what: 'does-not-fit', station: 'thermostat' };
  const chosen = thermostat.choice.method !== null;
  if (chosen && taken(plan)?.verdict !== 'no') return null;
  const feedable = isFeedable(plan.options);
  if (!feedable && isTooMuchTogether(plan.options)) return { what: 'too-much-together', station: 'together' };
  if (chosen && feedable) return { what: 'way-closed', station: 'supply' };
  if (plan.undecided)
    return {
      what: 'undecided',
      count: plan.waiting.reduce((sum, { methods }) => sum + methods.length, 0),
      station: 'supply'
    };
  if (!feedable) return { what: 'none-open', station: 'supply' };
  const title = plan.options.find(({ method }) => method === plan.recommended)?.title ?? '';
  return { what: 'choose-way', title, station: 'supply' };
}

function taken({ options, taken: method }: StandingFacts['plan']) {
  return options.find((option) => option.method === method);
}

function working({ thermostat, safety, plan }: NextStepFacts): NextStep {
  const [move] = plan.moves;
  // No steps are left, or there never were any: the one is no news of the other.
  if (!move)
    return thermostat.log.length > 0
      ? finishing(thermostat, plan)
      : { what: 'nothing-to-do', station: 'keep' };
  if (taken(plan)?.verdict === 'pro') return { what: 'licensed', station: 'moves' };
  if (!safety.safe) return { what: 'power-off', first: false, station: 'safe' };
  return { what: 'do', move: move.text, left: plan.moves.length, station: 'moves' };
}

/** After the last step it is powered up; what was seen then says whether there is something to find out; then set up, tested, handed over. */
function finishing(thermostat: NextStepFacts['thermostat'], plan: NextStepFacts['plan']): NextStep {
  const { seen, settings, tests, testing } = thermostat;
  if (seen.length === 0) return { what: 'power-up', station: 'power' };
  // A call that was tested good since has found its cause.
  const settled = tests.some(({ result, at }) => result === 'good' && seen.every((entry) => entry.at < at));
  if (!isLit(seen) || (seen.length > 1 && !settled)) return { what: 'find-out', station: 'why' };
  // What is the people's comes after the system's: where one of those is made, the system is set.
  if (!settings.some(({ setting }) => !SYSTEM_SETTINGS.has(setting)))
    return { what: 'set-up', station: 'set-up' };
  const last = new Map(tests.map(({ call, result }) => [call, result]));
  const left = untestedCalls(plan, thermostat).length;
  const open = last.size === 0 || left > 0 || testing !== null || [...last.values()].includes('bad');
  return open ? { what: 'test', station: 'test' } : { what: 'hand-over', station: 'keep' };
}
