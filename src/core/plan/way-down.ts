/**
 * A plan as one way down: the situation, the offers of all methods in it, each proven, then ranked, and the moves of the one that is taken.
 * Each step takes what the one before it made.
 */
import type { CallResult } from '../circuit/simulate';
import type { Finding } from '../findings/finding';
import type { Identification } from '../identify/identify';
import type { DeviceFacts } from '../job/device-facts';
import type { LogEntry } from '../job/log-schema';
import type { Thermostat } from '../job/schema';
import { ANY_CONNECTED } from '../match/catalogue';
import { impliedSupplies } from '../safety/supplies';
import { offersIn, provenOptions, type ProofMeans } from '../supply/options';
import type { Situation } from '../supply/situation';
import type { Part } from '../supply/types';
import type { MethodId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import type { Move } from './move-types';
import { rankOptions, recommend, type PlannedOption } from './ranking';
import { unreadFact, waitingWays, type OpenFacts, type Waiting } from './undecided';

export interface Plan {
  readonly thermostat: string;
  readonly device: DeviceFacts;
  /** True when no device was chosen and the usual needs of a connected thermostat stand in. */
  readonly assumedDevice: boolean;
  readonly identification: Identification;
  /** What is wrong with the house as it is; the worst first. */
  readonly today: readonly Finding[];
  readonly recommended: MethodId;
  /** The option that `moves`, `parts` and the rows belong to: the one asked for, else the recommended. */
  readonly taken: MethodId;
  readonly options: readonly PlannedOption[];
  /** What somebody has to look at or to answer before the ways that wait for it are judged. */
  readonly waiting: readonly Waiting[];
  /** Nothing but leaving it is open, and some ways wait: then the recommendation holds only until they are judged. */
  readonly undecided: boolean;
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

/** What is asked of a plan in a situation: a thermostat, a way where somebody has one in mind, and what proves it. */
export interface Asked extends ProofMeans {
  readonly device: DeviceFacts;
  readonly method: MethodId | null;
  readonly variant: string | null;
}

export function planIn(situation: Situation, asked: Asked): Plan {
  const { thermostat, done } = situation;
  const offers = offersIn(situation, asked.device);
  const options = provenOptions(situation, asked.device, offers, asked);
  const ranked = rankOptions(options, suppliesBeside(situation), {
    wanted: asked.method,
    variant: variantAsked(asked, thermostat),
    minds: thermostat.minds,
    done,
    open: openFacts(situation, asked.device)
  });
  const recommended = recommend(ranked);
  const taken = ranked.find((option) => option.method === asked.method) ?? recommended;
  return planOf(situation, asked.device, ranked, { recommended, taken });
}

function openFacts({ conditions, recorded }: Situation, device: DeviceFacts): OpenFacts {
  return {
    device: isAssumed(device),
    system: conditions.find(({ code }) => code === 'system-unsettled') ?? null,
    unread: unreadFact(recorded)
  };
}

function isAssumed({ id }: DeviceFacts): boolean {
  return id === ANY_CONNECTED.id;
}

/** A variant that was chosen for another method is none of this one's. */
function variantAsked({ method, variant }: Asked, { choice }: Thermostat): string | null {
  return variant ?? (method === choice.method ? choice.variant : null);
}

/** Supplies that have to be off and that the wiring does not show. */
function suppliesBeside({ job, thermostat, identification, recorded }: Situation) {
  return impliedSupplies(job, thermostat, identification, recorded).filter(
    (supply) => !recorded.devices.some((device) => device.id === supply.id)
  );
}

function planOf(
  situation: Situation,
  device: DeviceFacts,
  options: readonly PlannedOption[],
  { recommended, taken }: { readonly recommended: PlannedOption; readonly taken: PlannedOption }
): Plan {
  const [world] = taken.proof?.worlds ?? [];
  const waiting = waitingWays(options);
  return {
    thermostat: situation.thermostat.id,
    device,
    assumedDevice: isAssumed(device),
    identification: situation.identification,
    today: situation.today,
    recommended: recommended.method,
    taken: taken.method,
    options,
    waiting,
    undecided: recommended.standing === 'left' && waiting.length > 0,
    moves: taken.verdict === 'no' ? [] : taken.moves,
    done: situation.done,
    misfits: situation.misfits,
    parts: taken.parts,
    wiringBefore: situation.recorded,
    wiringFound: situation.found,
    wiringNow: situation.now,
    wiringAfter: taken.after,
    before: world?.before ?? [],
    after: world?.after ?? []
  };
}
