/** Options beside each other: what each takes and costs, which is best, and which variant leads each method. */
import type { Finding } from '../findings/finding';
import type { LogEntry } from '../job/log-schema';
import type { Minds } from '../job/schema';
import type { Option } from '../supply/options';
import { compareOptions, whyAbove, type RankFacts } from '../supply/rank';
import type { Variant } from '../supply/types';
import { VERDICTS, type MethodId, type Verdict } from '../trade/vocabulary';
import { closingOf, nearestClosing, type Closing, type OpenFacts } from './undecided';
import { costOf, minutesFor, walksIn, type Band } from './effort';
import type { Move, OtherSupply } from './move-types';
import { movesLeft } from './moves';

/** A variant as one chooses between them. */
export interface PlannedVariant extends Variant {
  readonly verdict: Verdict;
  readonly minutes: number;
  readonly cost: number;
  /** The stop that closes it, or null. */
  readonly closedBy: Finding | null;
}

export interface PlannedOption extends Option {
  /** All variants of its method, best first; empty where there is no choice. This option is the one chosen, or the best. */
  readonly variants: readonly PlannedVariant[];
  readonly minutes: number;
  readonly cost: number;
  /** What it may take and cost when all goes well, and when it does not. */
  readonly minutesBand: Band;
  readonly costBand: Band;
  readonly moves: readonly Move[];
  /** Ways between wall and machine as its list is walked. */
  readonly walks: number;
  /** Why it stands above the one that follows it; null for the last. */
  readonly whyAbove: string | null;
  /** Whether what closes it is settled, of all its variants; null where it is open. */
  readonly closing: Closing | null;
}

export interface Ranking {
  readonly wanted: MethodId | null;
  readonly variant: string | null;
  readonly minds: Minds;
  /** What has been done and stands. */
  readonly done: readonly LogEntry[];
  readonly open: OpenFacts;
}

/** A cord in a channel on the wall. */
export function staysVisible(parts: Option['parts']): boolean {
  return parts.some(({ id }) => id === 'raceway');
}

export function rankOptions(
  options: readonly Option[],
  others: readonly OtherSupply[],
  { wanted, variant, minds, done, open }: Ranking
): PlannedOption[] {
  const all = options
    .map((option) => priced(option, others, done))
    .sort((a, b) => compareOptions(a.facts, b.facts, minds));
  const byMethod = new Map<MethodId, Priced[]>();
  for (const priced of all)
    byMethod.set(priced.option.method, [...(byMethod.get(priced.option.method) ?? []), priced]);
  const leads = new Set(
    [...byMethod].map(([method, same]) => {
      const chosen =
        method === wanted ? same.find((candidate) => candidate.option.variant?.id === variant) : undefined;
      // Among the variants of one method, the one with the fewest conditions comes first; of those that are closed, the one that least closes.
      const [best] = [...same].sort(
        (a, b) =>
          VERDICTS.indexOf(a.option.verdict) - VERDICTS.indexOf(b.option.verdict) ||
          a.stops - b.stops ||
          a.warnings - b.warnings
      );
      return chosen ?? best;
    })
  );
  const sorted = all.filter((candidate) => leads.has(candidate));
  return sorted.map(({ option, facts, moves, minutesBand, costBand }, index) => {
    const next = sorted[index + 1];
    const same = byMethod.get(option.method) ?? [];
    const closings = same.map((priced) => closingOf(priced.option.findings, open));
    return {
      ...option,
      moves,
      walks: walksIn(moves),
      minutes: facts.minutes,
      cost: facts.cost,
      minutesBand,
      costBand,
      variants: variantsOf(same),
      closing: option.verdict === 'no' ? nearestClosing(closings) : null,
      whyAbove: next ? whyAbove(facts, next.facts, minds) : null
    };
  });
}

interface Priced {
  readonly option: Option;
  readonly moves: readonly Move[];
  readonly minutesBand: Band;
  readonly costBand: Band;
  readonly facts: RankFacts;
  readonly stops: number;
  readonly warnings: number;
}

/** What a way rests on and nobody has looked at, besides what all ways rest on. */
const OF_ITS_OWN: ReadonlySet<Finding['code']> = new Set(['outlet-not-known', 'cable-path-unknown']);

/** Old copper that stays, or that a new wire is drawn beside, with a joint that nobody has seen or insulation that cracks. */
function restsOnWornCable({ method, findings }: Option): boolean {
  return (
    method !== 'new-cable' &&
    findings.some(({ code }) => code === 'hidden-splice' || code === 'brittle-insulation')
  );
}

/** What nobody is to do has no moves. */
function priced(option: Option, others: readonly OtherSupply[], done: readonly LogEntry[]): Priced {
  const { method, title, verdict, standing: stands, now, after, findings, parts } = option;
  const moves = after === null || verdict === 'no' ? [] : movesLeft(now, after, others, done);
  const minutesBand = minutesFor(moves, option.extraMinutes, now);
  const costBand = costOf(parts);
  return {
    option,
    moves,
    minutesBand,
    costBand,
    stops: findings.filter((finding) => finding.level === 'stop').length,
    warnings: findings.filter((finding) => finding.level === 'warn').length,
    facts: {
      method,
      title,
      verdict,
      standing: stands,
      functionsLost: findings.filter(({ code }) => code === 'function-lost' || code === 'dead-before').length,
      unread: findings.some(({ code }) => OF_ITS_OWN.has(code)),
      lasts: !staysVisible(parts) && !restsOnWornCable(option),
      minutes: minutesBand.usual,
      cost: costBand.usual,
      shows: staysVisible(parts)
    }
  };
}

function variantsOf(same: readonly Priced[]): PlannedVariant[] {
  return same.flatMap(({ option: { variant, verdict, findings }, facts: { minutes, cost } }) => {
    if (variant === null) return [];
    const closedBy = findings.find((finding) => finding.level === 'stop') ?? null;
    return [{ ...variant, verdict, minutes, cost, closedBy }];
  });
}

/** The best that may be done at home; else whatever ranks first, which then is to leave it or to have it done. */
export function recommend(options: readonly PlannedOption[]): PlannedOption {
  const best =
    options.find((option) => option.verdict === 'go' || option.verdict === 'care') ??
    options.find((option) => option.method === 'none');
  if (!best) throw new Error('The methods hold no way of leaving things alone');
  return best;
}
