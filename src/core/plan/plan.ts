/** The plan of one thermostat: all options proven and ranked, and the moves, parts and rows of the one that is taken. */
import type { Finding } from '../findings/finding';
import type { CallResult } from '../circuit/simulate';
import { identify, type Identification } from '../identify/identify';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Minds, Thermostat } from '../job/schema';
import { ANY_CONNECTED, findDevice } from '../match/catalogue';
import { optionsFor, type Option } from '../supply/options';
import type { Prover } from '../supply/proof-memory';
import { compareOptions, whyAbove, type RankFacts } from '../supply/rank';
import type { Part, Variant } from '../supply/types';
import { impliedSupplies } from '../safety/supplies';
import { VERDICTS, type MethodId, type Verdict } from '../trade/vocabulary';
import { worldOfDevice } from '../devices/world';
import type { LogEntry } from '../job/log-schema';
import type { ProofNeighbour } from '../supply/prove';
import { assumeUnseenEnds, wiringOf } from '../wiring/from-job';
import type { Wiring } from '../wiring/graph';
import { jointName } from '../wiring/joint';
import { readIn } from '../wiring/meaning';
import { nowOf } from '../wiring/now';
import { worldsOf } from '../identify/worlds';
import { costOf, minutesFor, type Band } from './effort';
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
  /** What is left to do from the house as it is now. */
  readonly moves: readonly Move[];
  /** What has been done, and stands. */
  readonly done: readonly LogEntry[];
  /** What was done and no longer fits the record, since that was put right. */
  readonly misfits: readonly LogEntry[];
  readonly parts: readonly Part[];
  /** As recorded. */
  readonly wiringBefore: Wiring;
  /** As found, with unseen ends taken to be on the same mark: what is proven and moved starts here. */
  readonly wiringFound: Wiring;
  /** As it is now: found, with what has been done. */
  readonly wiringNow: Wiring;
  readonly wiringAfter: Wiring | null;
  readonly before: readonly CallResult[];
  readonly after: readonly CallResult[];
}

export interface PlanRequest {
  readonly device?: DeviceFacts | null;
  readonly method?: MethodId | null;
  readonly variant?: string | null;
  /** What proves the options; one that remembers serves where many plans share their circuits. */
  readonly prover?: Prover | undefined;
  /** The other thermostats on the same machines; those of the job, unless said otherwise. */
  readonly neighbours?: readonly ProofNeighbour[];
}

/** Plans with the device and method asked for, else with those chosen in the job, else with the stand-in device and the best way. */
export function planFor(job: Job, thermostat: Thermostat, request: PlanRequest = {}): Plan {
  const chosen = thermostat.choice.device === null ? undefined : findDevice(job, thermostat.choice.device);
  const device = request.device ?? chosen ?? ANY_CONNECTED;
  const neighbours = request.neighbours ?? neighboursOf(job, thermostat, request.prover);
  const { identification, options, before } = optionsFor(job, thermostat, device, {
    prover: request.prover,
    neighbours
  });
  const others = impliedSupplies(job, thermostat, identification, before).filter(
    (one) => !before.devices.some((device) => device.id === one.id)
  );
  const wanted = request.method ?? thermostat.choice.method;
  const variant = request.variant ?? (wanted === thermostat.choice.method ? thermostat.choice.variant : null);
  const [first] = options;
  const done = first ? nowOf(first.before, thermostat.log).done : [];
  const planned = rankOptions(options, others, { wanted, variant, minds: thermostat.minds, done });
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
    ...standing(taken.before, thermostat),
    parts: taken.parts,
    wiringBefore: before,
    wiringFound: taken.before,
    wiringNow: taken.now,
    wiringAfter: taken.after,
    before: world?.before ?? [],
    after: world?.after ?? []
  };
}

/** What each thermostat will be wired like if nobody changes his mind: kept as long as its part of the record is the same. */
const ends = new WeakMap<
  Thermostat,
  { readonly equipment: Job['equipment']; readonly devices: Job['devices']; readonly wiring: Wiring }
>();

/** The other thermostats on the same machines: as they will be where one has chosen a device for them, else as they are. */
export function neighboursOf(job: Job, thermostat: Thermostat, prover?: Prover): ProofNeighbour[] {
  const here = new Set<string>(thermostat.equipment);
  return job.thermostats
    .filter((one) => one.id !== thermostat.id && one.equipment.some((id) => here.has(id)))
    .map((one) => asNeighbour(job, one, wantedWiring(job, one, prover)));
}

/** A thermostat beside another one: its wiring, and how its own machines and its control are. */
export function asNeighbour(job: Job, thermostat: Thermostat, wiring: Wiring): ProofNeighbour {
  const [likeliest] = worldsOf(identify(job, thermostat), wiring);
  const worlds = likeliest
    ? Object.fromEntries(
        wiring.devices.map(({ id }) => [jointName(thermostat.id, id), worldOfDevice(likeliest.world, id)])
      )
    : {};
  return { thermostat: thermostat.id, wiring, worlds };
}

function standing(found: Wiring, thermostat: Thermostat): Pick<Plan, 'done' | 'misfits'> {
  const { done, misfits } = nowOf(found, thermostat.log);
  return { done, misfits };
}

/**
 * The wiring that a place is to end with: of the way taken where a device is chosen, else today's. Taken for itself, so that a way that only
 * its neighbours' load closes still counts as what is wanted.
 */
export function wantedWiring(job: Job, thermostat: Thermostat, prover?: Prover): Wiring {
  const known = ends.get(thermostat);
  if (known && known.equipment === job.equipment && known.devices === job.devices) return known.wiring;
  const { wiring: filled } = assumeUnseenEnds(wiringOf(job, thermostat));
  const [likeliest] = worldsOf(identify(job, thermostat), filled);
  const today = readIn(filled, likeliest?.world.family ?? null);
  const alone =
    thermostat.choice.device === null ? null : planFor(job, thermostat, { neighbours: [], prover });
  const taken = alone?.options.find((one) => one.method === alone.taken);
  const wiring = (taken?.verdict === 'no' ? null : taken?.after) ?? today;
  ends.set(thermostat, { equipment: job.equipment, devices: job.devices, wiring });
  return wiring;
}

interface Ranking {
  readonly wanted: MethodId | null;
  readonly variant: string | null;
  readonly minds: Minds;
  /** What has been done and stands. */
  readonly done: readonly LogEntry[];
}

function rankOptions(
  options: readonly Option[],
  others: readonly OtherSupply[],
  { wanted, variant, minds, done }: Ranking
): PlannedOption[] {
  const all = options
    .map((option) => priced(option, others, done))
    .sort((a, b) => compareOptions(a.facts, b.facts, minds));
  const byMethod = new Map<MethodId, Priced[]>();
  for (const one of all) byMethod.set(one.option.method, [...(byMethod.get(one.option.method) ?? []), one]);
  const leads = new Set(
    [...byMethod].map(([method, same]) => {
      const chosen = method === wanted ? same.find((one) => one.option.variant?.id === variant) : undefined;
      // Among the variants of one method, the one with the fewest conditions comes first.
      const [best] = [...same].sort(
        (a, b) =>
          VERDICTS.indexOf(a.option.verdict) - VERDICTS.indexOf(b.option.verdict) || a.warnings - b.warnings
      );
      return chosen ?? best;
    })
  );
  const sorted = all.filter((one) => leads.has(one));
  return sorted.map(({ option, facts, moves, minutesBand, costBand }, index) => {
    const next = sorted[index + 1];
    return {
      ...option,
      moves,
      minutes: facts.minutes,
      cost: facts.cost,
      minutesBand,
      costBand,
      variants: variantsOf(byMethod.get(option.method) ?? []),
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
  readonly warnings: number;
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
    warnings: findings.filter((one) => one.level === 'warn').length,
    facts: {
      method,
      title,
      verdict,
      standing: stands,
      functionsLost: findings.filter((one) => one.code === 'function-lost').length,
      minutes: minutesBand.usual,
      cost: costBand.usual,
      shows: parts.some((one) => one.id === 'raceway')
    }
  };
}

function variantsOf(same: readonly Priced[]): PlannedVariant[] {
  return same.flatMap(({ option: { variant, verdict, findings }, facts: { minutes, cost } }) => {
    if (variant === null) return [];
    const closedBy = findings.find((one) => one.level === 'stop') ?? null;
    return [{ ...variant, verdict, minutes, cost, closedBy }];
  });
}

/** The best that may be done at home; else whatever ranks first, which then is to leave it or to have it done. */
function recommend(options: readonly PlannedOption[]): PlannedOption {
  const best =
    options.find((one) => one.verdict === 'go' || one.verdict === 'care') ??
    options.find((one) => one.method === 'none');
  if (!best) throw new Error('The methods hold no way of leaving things alone');
  return best;
}
