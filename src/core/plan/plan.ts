/** The plan of one thermostat: all options proven and ranked, and the moves, parts and rows of the one that is taken. */
import type { CallResult } from '../circuit/simulate';
import type { Identification } from '../identify/identify';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Minds, Thermostat } from '../job/schema';
import { ANY_CONNECTED, findDevice } from '../match/catalogue';
import { optionsFor, type Option } from '../supply/options';
import { compareOptions, whyAbove, type RankFacts } from '../supply/rank';
import type { Part, Variant } from '../supply/types';
import { impliedSupplies } from '../safety/supplies';
import { VERDICTS, type MethodId, type Verdict } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { minutesFor } from './effort';
import { movesBetween, type Move, type OtherSupply } from './moves';

/** A variant as one chooses between them. */
export interface PlannedVariant extends Variant {
  readonly verdict: Verdict;
  readonly minutes: number;
  readonly cost: number;
  /** The stop that closes it, or null. */
  readonly closedBy: string | null;
}

export interface PlannedOption extends Option {
  /** All variants of its method, best first; empty where there is no choice. This option is the one chosen, or the best. */
  readonly variants: readonly PlannedVariant[];
  readonly minutes: number;
  readonly cost: number;
  readonly moves: readonly Move[];
  /** Why it stands above the one that follows it; null for the last. */
  readonly whyAbove: string | null;
}

export interface Plan {
  readonly thermostat: string;
  readonly device: DeviceFacts;
  /** True when no device was chosen and the usual needs of a connected thermostat stand in. */
  readonly assumedDevice: boolean;
  readonly identification: Identification;
  readonly recommended: MethodId;
  /** The option that `moves`, `parts` and the rows belong to: the one asked for, else the recommended. */
  readonly taken: MethodId;
  readonly options: readonly PlannedOption[];
  readonly moves: readonly Move[];
  readonly parts: readonly Part[];
  readonly wiringBefore: Wiring;
  readonly wiringAfter: Wiring | null;
  readonly before: readonly CallResult[];
  readonly after: readonly CallResult[];
}

export interface PlanRequest {
  readonly device?: DeviceFacts | null;
  readonly method?: MethodId | null;
  readonly variant?: string | null;
}

/** Plans with the device and method asked for, else with those chosen in the job, else with the stand-in device and the best way. */
export function planFor(job: Job, thermostat: Thermostat, request: PlanRequest = {}): Plan {
  const chosen = thermostat.choice.device === null ? undefined : findDevice(job, thermostat.choice.device);
  const device = request.device ?? chosen ?? ANY_CONNECTED;
  const { identification, options, before } = optionsFor(job, thermostat, device);
  const others = impliedSupplies(job, thermostat, identification, before).filter(
    (one) => !before.devices.some((device) => device.id === one.id)
  );
  const wanted = request.method ?? thermostat.choice.method;
  const variant = request.variant ?? (wanted === thermostat.choice.method ? thermostat.choice.variant : null);
  const planned = rankOptions(options, others, { wanted, variant, minds: thermostat.minds });
  const recommended = recommend(planned);
  const taken = planned.find((one) => one.method === wanted) ?? recommended;
  const [world] = taken.proof?.worlds ?? [];
  return {
    thermostat: thermostat.id,
    device,
    assumedDevice: device.id === ANY_CONNECTED.id,
    identification,
    recommended: recommended.method,
    taken: taken.method,
    options: planned,
    moves: taken.verdict === 'no' ? [] : taken.moves,
    parts: taken.parts,
    wiringBefore: before,
    wiringAfter: taken.after,
    before: world?.before ?? [],
    after: world?.after ?? []
  };
}

function rankOptions(
  options: readonly Option[],
  others: readonly OtherSupply[],
  { wanted, variant, minds }: { wanted: MethodId | null; variant: string | null; minds: Minds }
): PlannedOption[] {
  const priced = options.map((option) => {
    const moves = option.after === null ? [] : movesBetween(option.before, option.after, others);
    return {
      ...option,
      moves,
      minutes: minutesFor(moves, option.extraMinutes),
      cost: option.parts.reduce((sum, part) => sum + part.cost, 0)
    };
  });
  const all = priced.sort((a, b) => compareOptions(factsOf(a), factsOf(b), minds));
  const sorted = all.filter((option) => {
    // Among the variants of one method, the one with the fewest conditions comes first.
    const warnings = (one: Priced) => one.findings.filter((other) => other.level === 'warn').length;
    const same = all
      .filter((one) => one.method === option.method)
      .sort((a, b) => VERDICTS.indexOf(a.verdict) - VERDICTS.indexOf(b.verdict) || warnings(a) - warnings(b));
    const chosen = option.method === wanted ? same.find((one) => one.variant?.id === variant) : undefined;
    return option === (chosen ?? same[0]);
  });
  return sorted.map((one, index) => {
    const option = { ...one, variants: variantsOf(all.filter((other) => other.method === one.method)) };
    const next = sorted[index + 1];
    return { ...option, whyAbove: next ? whyAbove(factsOf(option), factsOf(next), minds) : null };
  });
}

type Priced = Omit<PlannedOption, 'whyAbove' | 'variants'>;

function variantsOf(same: readonly Priced[]): PlannedVariant[] {
  return same.flatMap(({ variant, verdict, minutes, cost, findings }) => {
    if (variant === null) return [];
    const closedBy = findings.find((one) => one.level === 'stop')?.text ?? null;
    return [{ ...variant, verdict, minutes, cost, closedBy }];
  });
}

function factsOf(option: Priced): RankFacts {
  return {
    ...option,
    functionsLost: option.findings.filter((one) => one.code === 'function-lost').length,
    shows: option.parts.some((one) => one.id === 'raceway')
  };
}

/** The best that may be done at home; else whatever ranks first, which then is to leave it or to have it done. */
function recommend(options: readonly PlannedOption[]): PlannedOption {
  const best =
    options.find((one) => one.verdict === 'go' || one.verdict === 'care') ??
    options.find((one) => one.method === 'none');
  if (!best) throw new Error('The methods hold no way of leaving things alone');
  return best;
}
