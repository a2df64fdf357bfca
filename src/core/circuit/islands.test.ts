import { describe, expect, it } from 'vitest';
import { twoSupplyHouse } from '../houses/powered-houses';
import { linkOf } from '../houses/hand-wired';
import type { Wiring } from '../wiring/graph';
import { classOfVolts } from './islands';
import { simulate } from './simulate';

const { wiring, world } = twoSupplyHouse();

function islands(of: Wiring) {
  const made = simulate(of, world, 'idle');
  if (!made.ok) throw new Error(made.why);
  return made.result.islands;
}

describe('the voltage class of a supply', () => {
  it.each([
    [0.75, 'millivolt'],
    [0.99, 'millivolt'],
    [1, 'unknown'],
    [17.9, 'unknown'],
    [18, '24v'],
    [24, '24v'],
    [32, '24v'],
    [32.1, 'unknown'],
    [50, 'unknown'],
    [50.1, 'line'],
    [230, 'line'],
    [-120, 'line']
  ] as const)('that gives %f V is %s', (volts, voltageClass) => {
    expect(classOfVolts(volts)).toBe(voltageClass);
  });
});

describe('the islands of a house', () => {
  it('are one for each supply that nothing joins to another, each with the class of its supply', () => {
    const found = islands({ ...wiring, links: [] });
    expect(found.map((island) => island.supplies.map((supply) => supply.part.device))).toEqual([
      ['eq'],
      ['plug']
    ]);
    expect(found.map((island) => island.voltageClass)).toEqual(['24v', '24v']);
    expect(found[0]!.supplies[0]).toMatchObject({ voltageClass: '24v', part: { part: 'transformer' } });
  });

  it('are one where copper joins two supplies, with the class that both have', () => {
    const tied = islands({ ...wiring, links: [linkOf('wall', 'th.RH', 'th.RC')] });
    expect(tied).toHaveLength(1);
    expect(tied[0]!.supplies).toHaveLength(2);
    expect(tied[0]!.voltageClass).toBe('24v');
  });
});
