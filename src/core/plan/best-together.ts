/**
 * Which way each of several thermostats takes on a transformer that is too small for all of them in the way that is best for each alone. What a
 * choice is worth is the sum over its places, whether it holds the circuit says. So the combinations are tried from the best on, and the first
 * that holds is the best of all: exact up to `MOST_COMBINATIONS`, which is a panel of usual size.
 */
import type { Job } from '../job/schema';
import type { Wiring } from '../wiring/graph';
import { worthOf } from './looks';
import type { Place } from './place';
import type { PlannedOption } from './plan';
import { overloadedMachines } from './shared-supply';

/** More than this are not tried; then the places are settled one after the other. */
export const MOST_COMBINATIONS = 1024;

export interface Combination {
  /** By place, in their order: the option taken, or null for one that stays as it is. */
  readonly options: readonly (PlannedOption | null)[];
  readonly worth: number;
}

/** Every combination of ways that a place may take, the best first; null where there are too many. `fixed`: places whose way is chosen. */
export function combinationsOf(
  places: readonly Place[],
  fixed: (place: Place) => boolean
): Combination[] | null {
  const choices = places.map((place) => (fixed(place) ? [place.option] : openWays(place)));
  const count = choices.reduce((product, { length }) => product * length, 1);
  if (count > MOST_COMBINATIONS) return null;
  let combinations: Combination[] = [{ options: [], worth: 0 }];
  for (const ways of choices)
    combinations = combinations.flatMap(({ options, worth }) =>
      ways.map((option) => ({ options: [...options, option], worth: worth + worthOf(option) }))
    );
  // Sums that differ by rounding only are the same: the first in the order of the places stays first.
  return combinations.sort((a, b) => Math.round((b.worth - a.worth) * 1e6));
}

/** What a place may do by itself; where nothing is open, what it does now. */
function openWays({ plan, option }: Place): readonly PlannedOption[] {
  const open = plan.options.filter(
    ({ verdict, method, after }) => verdict !== 'no' && method !== 'none' && after !== null
  );
  const best = open.filter(({ verdict }) => verdict !== 'pro');
  return best.length > 0 ? best : open.length > 0 ? open : [option];
}

/** The best combination with which no shared transformer is overloaded; null where none is, or where there are too many to try. */
export function bestTogether(
  job: Job,
  places: readonly Place[],
  fixed: (place: Place) => boolean
): Combination | null {
  const combinations = combinationsOf(places, fixed);
  return combinations?.find((combination) => holds(job, places, combination)) ?? null;
}

export function holds(job: Job, places: readonly Place[], { options }: Combination): boolean {
  const wiringOf = (place: Place): Wiring => {
    const option = options[places.findIndex(({ thermostat }) => thermostat.id === place.thermostat.id)];
    return option && option.verdict !== 'no' && option.after ? option.after : place.option.before;
  };
  return overloadedMachines(job, places, wiringOf).length === 0;
}
