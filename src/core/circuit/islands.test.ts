import { describe, expect, it } from 'vitest';
import { twoSupplyHouse } from '../houses/powered-houses';
import { linkOf } from '../houses/hand-wired';
import type { Wiring } from '../wiring/graph';
import { splitterHouse } from '../houses/half-wave-houses';
import { mainsOf } from '../houses/mains-builder';
import { MAINS_SKETCHES } from '../houses/mains-houses';
import { inputsOf, rowFor } from '../proof/mains/rows';
import { solveRow } from '../proof/mains/ways';
import { wiringFromMains } from '../wiring/from-mains';
import { classOfVolts } from './islands';
import { powerUp, simulate } from './simulate';

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

  it('have no class where supplies of two classes meet: nothing of one is safe in it', () => {
    const free = MAINS_SKETCHES['combination-volt-free'];
    const classes = (first: readonly string[], contact: readonly string[]) => {
      const house = wiringFromMains(mainsOf({ ...free, strip: { ...free.strip, 1: first, 4: contact } }));
      const solved = solveRow(house, rowFor(inputsOf(house), { heating: true, water: false }));
      if ('ok' in solved) throw new Error(solved.why);
      return solved.result.islands.map(({ voltageClass }) => voltageClass);
    };
    const live = free.strip[1] ?? [];
    const contact = free.strip[4] ?? [];
    expect(classes(live, contact)).toEqual(['line', '24v']);
    expect(classes([...live, ...contact], [])).toEqual(['unknown']);
  });

  it('go on behind a diode, which leaks while a meter is on it', () => {
    const house = splitterHouse();
    const resting = powerUp(house.wiring, house.world, 'idle');
    if (!resting.ok) throw new Error(resting.why);
    expect(resting.meter.island('split.Y1')).toBe(resting.meter.island('eq.C'));
    expect(resting.meter.volts('split.Y1', 'eq.C')).toBeCloseTo(0, 2);
    expect(resting.meter.volts('split.Y1', 'adapter.Y')).toBeNull();
  });
});
