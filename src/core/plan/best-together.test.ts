/** The best of all combinations on one transformer, held against trying every one of them. */
import { describe, expect, it } from 'vitest';
import { choosing, zonedHouse } from '../houses/zoned-houses';
import { bestTogether, combinationsOf, holds, MOST_COMBINATIONS } from './best-together';
import { placeOf, type Place } from './place';
import { planTogether } from './together';

function placesOf(zones: number, va: number) {
  const job = choosing(zonedHouse(zones, va), 'de-fellgate');
  return {
    job,
    places: job.thermostats.map((thermostat) => placeOf(job, thermostat, { neighbours: [] }))
  };
}
const free = () => false;

describe('ways on one transformer that is too small for all', () => {
  it.each([
    [2, 20],
    [3, 40],
    [4, 40]
  ])('are the best that hold, of all combinations: %i zones on %i VA', (zones, va) => {
    const { job, places } = placesOf(zones, va);
    const all = combinationsOf(places, free)!;
    const best = bestTogether(job, places, free);
    const bruteForce = Math.max(
      ...all.filter((combination) => holds(job, places, combination)).map(({ worth }) => worth)
    );
    expect(best!.worth).toBeCloseTo(bruteForce, 6);
    expect(all.length).toBe(places.reduce((count, place) => count * waysOf(place), 1));
  });

  it('leave alone what is chosen, and say nothing where there are too many to try', () => {
    const { job, places } = placesOf(3, 40);
    const [first] = places;
    const best = bestTogether(job, places, (place) => place === first);
    expect(best!.options[0]).toBe(first!.option);
    const many = placesOf(9, 40);
    expect(combinationsOf(many.places, free)?.length ?? Infinity).toBeGreaterThan(MOST_COMBINATIONS);
    expect(bestTogether(many.job, many.places, free)).toBeNull();
  });

  it('say what a bigger transformer would save', () => {
    const [shared] = planTogether(choosing(zonedHouse(4, 40), 'de-fellgate')).shared;
    expect(shared).toMatchObject({ tooSmallForAll: true, enough: 75 });
    // One supply in an outlet less, its work and its price, against the exchange.
    expect(shared!.exchangeSaves).not.toBeNull();
    expect(Number.isFinite(shared!.exchangeSaves!.minutes + shared!.exchangeSaves!.dollars)).toBe(true);
    const [enough] = planTogether(choosing(zonedHouse(2, 75), 'de-fellgate')).shared;
    expect(enough!.exchangeSaves).toBeNull();
  });
});

function waysOf({ plan }: Place): number {
  const open = plan.options.filter(
    ({ verdict, method, after }) => verdict !== 'no' && method !== 'none' && after !== null
  );
  return open.filter(({ verdict }) => verdict !== 'pro').length || open.length;
}
