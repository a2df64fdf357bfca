/** Beliefs are what they say, in houses of a table of their own that hang together, are half seen, and may be of no known kind. */
import { describe, expect, it } from 'vitest';
import { halfSeenHouse } from '../houses/half-seen-houses';
import { house } from '../houses/builder';
import { planFor } from '../plan/plan';
import { binOf, calibrationOf, type StatedBelief } from './calibration';
import { identify } from './identify';

const COUNT = 700;

function statedOf(seed: number): StatedBelief {
  const { job, thermostat, truth } = halfSeenHouse(seed);
  const { family, probability } = identify(job, thermostat);
  return { truth, stated: family, probability };
}

describe('what is stated', () => {
  const beliefs = Array.from({ length: COUNT }, (_, seed) => statedOf(seed + 1));

  it('at 95 % or more is right in at least 95 of 100 houses', () => {
    const sure = binOf(beliefs, 0.95);
    expect(sure.count).toBeGreaterThan(COUNT / 2);
    expect(sure.right).toBeGreaterThanOrEqual(0.95);
  });

  it('with less is right less often', () => {
    const bins = calibrationOf(beliefs).filter(({ count }) => count > 20);
    expect(bins.length).toBeGreaterThan(3);
    for (const [at, bin] of bins.slice(1).entries()) expect(bin.right).toBeGreaterThan(bins[at]!.right - 0.1);
  });
});

describe('the dangerous classes', () => {
  it.each(['millivolt', 'line-voltage', 'mains-hydronic'] as const)(
    'are never passed over: %s, however little was looked at',
    (family) => {
      for (let seed = 1; seed <= 60; seed += 1) {
        const { job, thermostat } = halfSeenHouse(seed, family);
        const where = `${family} ${seed} ${JSON.stringify(thermostat.observed)}`;
        expect(identify(job, thermostat).voltageClass, where).not.toBe('24v');
        const plan = planFor(job, thermostat);
        const open = plan.options.filter(
          ({ method, verdict }) => method !== 'none' && (verdict === 'go' || verdict === 'care')
        );
        expect(
          open.map(({ method }) => method),
          where
        ).toEqual([]);
      }
    }
  );
});

describe('an O that is landed at the wall', () => {
  const beliefIn = (strands: readonly string[]) => {
    const { job, thermostat } = house({
      strands,
      observed: { 'conductor-build': 'thin', 'heat-from': 'registers' }
    });
    return identify(job, thermostat).beliefs['heat-pump'];
  };
  const others = ['RD R unseen', 'YE Y unseen', 'GN G unseen'];

  it('speaks for a heat pump though its other end is unseen, less than one that was read at both', () => {
    const without = beliefIn(others);
    const unseen = beliefIn([...others, 'OG O unseen']);
    const read = beliefIn([...others, 'OG O O']);
    expect(unseen).toBeGreaterThan(without * 2);
    expect(read).toBeGreaterThan(unseen);
  });
});
