/** What the corners are about: not only the thermostat and the first transformer, but each coil that runs near its limit and each other supply. */
import { describe, expect, it } from 'vitest';
import { simulate, type CallResult } from '../circuit/simulate';
import { casesIn } from '../circuit/supply-cases';
import { PLAIN_CASE, type SupplyCase, type World } from '../devices/world';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { splitterHouse } from '../houses/half-wave-houses';
import { CATALOGUE } from '../match/catalogue';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';
import { atLimits, type AtLimits } from './limits';

const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
const cooled = worldOf('furnace-ac', { compressor: true });

function solved(wiring: Wiring, world: World, call: Call, supplyCase: SupplyCase = PLAIN_CASE): CallResult {
  const made = simulate(wiring, world, call, supplyCase);
  if (!made.ok) throw new Error(made.why);
  return made.result;
}

/** The limits of a wiring in a call. `before`: as it is today; the same, unless another is given. */
function limitsOf(after: Wiring, call: Call, before = after, world = cooled): AtLimits {
  const cases = casesIn(after, world).map((supplyCase) => solved(after, world, call, supplyCase));
  const nominal = { world, call, was: solved(before, world, call), cases, crowd: null };
  const limits = atLimits({ before, allAfter: after, shared: false }, nominal);
  if (limits === null) throw new Error('no solution');
  return limits;
}

/** A furnace with its C wire, whose call wires have so many ohms. */
const furnace = (transformerVa: number, callOhms: number): Wiring =>
  wiringFrom({
    devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W', 'Y', 'G'], { transformerVa })],
    strands: ['R', 'C', 'W', 'Y', 'G'].map((mark) => ({
      ...strandOf(mark, ['th', mark === 'R' ? 'RC' : mark], ['eq', mark]),
      ohms: mark === 'W' || mark === 'Y' ? callOhms : 0.2
    })),
    links: [linkOf('wall', 'th.RH', 'th.RC')]
  });

describe('a coil that runs near what it pulls in at', () => {
  it('has a worst case of its own: thin wire of its call takes from it what it gives the thermostat', () => {
    const { lost, tooLow } = limitsOf(furnace(20, 1.6), 'heat1', furnace(20, 0.2));
    expect(lost).toEqual(['burner', 'blower']);
    expect(tooLow).toBe(false);
  });

  it('is not lost where it would be so today as well, nor where it is well clear', () => {
    expect(limitsOf(furnace(20, 1.6), 'heat1').lost).toEqual([]);
    expect(limitsOf(furnace(40, 1.6), 'heat1', furnace(40, 0.2)).lost).toEqual([]);
  });
});

describe('the most that each transformer gives', () => {
  const FURNACE = boardOf('eq', ['R', 'C', 'W'], { transformerVa: 40 });
  const outdoors = (transformerVa: number) => boardOf('ac', ['R', 'C', 'Y', 'G'], { transformerVa });
  const two = (boards: readonly ReturnType<typeof boardOf>[], links: Wiring['links'] = []): Wiring =>
    wiringFrom({
      devices: [thermostatOf(facts, 'th'), ...boards],
      strands: [
        strandOf('rh', ['th', 'RH'], ['eq', 'R']),
        strandOf('w', ['th', 'W'], ['eq', 'W']),
        ...['R', 'Y', 'G', 'C'].map((mark) =>
          strandOf(mark, ['th', mark === 'R' ? 'RC' : mark], ['ac', mark])
        )
      ],
      links
    });

  it('is the same in whichever order the machines were written down', () => {
    for (const va of [10, 20, 40])
      for (const call of ['heat1', 'cool1'] as const) {
        const forth = limitsOf(two([FURNACE, outdoors(va)]), call);
        const back = limitsOf(two([outdoors(va), FURNACE]), call);
        expect(back.amps, `${va} VA, ${call}`).toBeCloseTo(forth.amps, 4);
        expect(back.excess.map(({ supply }) => supply.id)).toEqual(
          forth.excess.map(({ supply }) => supply.id)
        );
      }
  });

  it('is beyond a plate of 15 VA in cooling and within one of 20, and beyond it today as well', () => {
    const [over] = limitsOf(two([FURNACE, outdoors(15)]), 'cool1').excess;
    expect(over?.supply).toMatchObject({ id: 'ac:secondary', ratedVa: 15 });
    expect(over?.ampsToday).toBeCloseTo(over!.supply.amps, 6);
    expect(limitsOf(two([FURNACE, outdoors(20)]), 'cool1').excess).toEqual([]);
  });

  it('is looked for in every case of polarity where two supplies touch, and in one where they do not', () => {
    const apart = limitsOf(two([FURNACE, outdoors(40)]), 'heat1');
    const joined = limitsOf(two([FURNACE, outdoors(40)], [linkOf('wall', 'th.RH', 'th.RC')]), 'heat1');
    expect(casesIn(two([FURNACE, outdoors(40)]), cooled)).toHaveLength(1);
    expect(joined.solves).toBeGreaterThan(2 * apart.solves);
    expect(joined.amps).toBeGreaterThan(apart.amps);
  });
});

describe('figures', () => {
  it('are bounds, except where diodes are in the circuit', () => {
    expect(limitsOf(furnace(40, 0.2), 'heat1').bounded).toBe(true);
    const { wiring, world } = splitterHouse();
    expect(limitsOf(wiring, 'cool1', wiring, world).bounded).toBe(false);
  });

  it('lie on both sides of what the sheets give, in every call', () => {
    for (const call of ['idle', 'heat1', 'cool1', 'fan'] as const) {
      const wiring = furnace(40, 0.5);
      const nominal = solved(wiring, cooled, call);
      const { low, high, amps, today } = limitsOf(wiring, call);
      expect(low).toBeLessThan(nominal.thermostatVolts!);
      expect(high).toBeGreaterThan(nominal.thermostatVolts!);
      expect(amps).toBeGreaterThan(nominal.supplies[0]!.amps);
      expect(today.get('eq:secondary')).toBeCloseTo(nominal.supplies[0]!.amps, 9);
    }
  });
});
