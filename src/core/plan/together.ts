/**
 * All thermostats of a job as one piece of work: what they draw together from a transformer that they share, one trip to each machine, one
 * list of parts, cable cut from common rolls.
 */
import { finish, type LongRun } from '../circuit/long-run';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import { OUTDOOR_ID } from '../safety/supplies';
import type { Part } from '../supply/types';
import { cutsFor, type Cuts } from './cuts';
import {
  costOf,
  extraBand,
  handsOn,
  rounded,
  scaleBand,
  sumBands,
  tripsIn,
  walksIn,
  WAY_TO_EQUIPMENT,
  type Band
} from './effort';
import { jointMoves, type JointMove } from './joint-moves';
import { JointChoice } from './joint-choice';
import type { Place } from './place';
import type { PlannedOption } from './plan';
import { sharedSupplies, type SharedSupply } from './shared-supply';

/** A place without what only its own screens ask for. */
export interface TakenWay {
  readonly thermostat: Pick<Thermostat, 'id' | 'name'>;
  readonly device: DeviceFacts;
  readonly assumedDevice: boolean;
  readonly option: Omit<PlannedOption, 'proof' | 'variants'>;
  readonly works: boolean;
}

export interface Together {
  readonly places: readonly TakenWay[];
  readonly shared: readonly SharedSupply[];
  readonly moves: readonly JointMove[];
  readonly parts: readonly Part[];
  readonly cuts: Cuts;
  readonly minutes: Band;
  /** One after the other, each with its own way to the machine. */
  readonly minutesApart: Band;
  /** Ways between walls and machines as the list is walked. */
  readonly walks: number;
  readonly cost: Band;
}

export function planTogether(job: Job): Together {
  return finish(togetherRun(job));
}

/** A step for each thermostat in each round of the choice; what they have in common comes with the result. */
export function togetherRun(job: Job): LongRun<Together> {
  const choice = new JointChoice(job);
  return {
    total: choice.total,
    done: () => choice.done,
    advance: (steps) => {
      for (let step = 0; step < steps && choice.done < choice.total; step += 1) choice.step();
    },
    result: () => jointPlan(job, choice.result())
  };
}

function jointPlan(job: Job, { places, alone }: ReturnType<JointChoice['result']>): Together {
  const working = places.filter((place) => place.works);
  const moves = jointMoves(working, new Set([...job.equipment.map((machine) => machine.id), OUTDOOR_ID]));
  const parts = mergeParts(working.flatMap((place) => place.option.parts));
  const cuts = cutsFor(
    working.flatMap(({ thermostat, option }) =>
      option.parts.flatMap((part) => (part.run ? [{ ...part.run, for: thermostat.name }] : []))
    ),
    moves.filter((move) => move.action === 'link' && move.tools.includes('short piece of 18 AWG')).length
  );
  return {
    places: places.map(takenWay),
    shared: sharedSupplies(job, places, alone),
    moves,
    parts,
    cuts,
    minutes: minutesTogether(working, moves),
    minutesApart: sumBands(working.map((place) => place.option.minutesBand)),
    walks: walksIn(moves),
    cost: costWithRolls(parts, cuts)
  };
}

function takenWay({ thermostat, plan, option, works }: Place): TakenWay {
  const { proof: _proof, variants: _variants, ...rest } = option;
  return {
    thermostat: { id: thermostat.id, name: thermostat.name },
    device: plan.device,
    assumedDevice: plan.assumedDevice,
    option: rest,
    works
  };
}

function mergeParts(parts: readonly Part[]): Part[] {
  const merged = new Map<string, Part>();
  for (const part of parts) {
    const known = merged.get(part.id);
    if (!known) merged.set(part.id, part);
    // One exchange of a machine's transformer serves all that hang on it.
    else if (part.for === undefined)
      merged.set(part.id, {
        ...known,
        quantity: known.quantity + part.quantity,
        cost: known.cost + part.cost
      });
  }
  return [...merged.values()];
}

function minutesTogether(places: readonly Place[], moves: readonly JointMove[]): Band {
  if (moves.length === 0) return scaleBand(WAY_TO_EQUIPMENT, 0);
  const hands = places.map(({ thermostat, option }) =>
    handsOn(
      moves.filter((move) => move.thermostats[0] === thermostat.id),
      option.before
    )
  );
  return rounded(
    sumBands([
      ...hands,
      scaleBand(WAY_TO_EQUIPMENT, tripsIn(moves)),
      ...places.map((place) => extraBand(place.option.extraMinutes))
    ])
  );
}

/** Parts by the piece, and cable by the roll. */
function costWithRolls(parts: readonly Part[], cuts: Cuts): Band {
  const rest = parts.filter((part) => part.run === undefined);
  const rolls = cuts.rolls.map((roll): Part => ({
    id: 'roll',
    name: '',
    quantity: 1,
    unit: 'roll',
    cost: roll.cost
  }));
  const metre = parts.filter(
    (part) => part.run && cuts.byTheMetre.some((run) => run.lengthM === part.run?.lengthM)
  );
  return costOf([...rest, ...rolls, ...metre]);
}
