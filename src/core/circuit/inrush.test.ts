import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../match/catalogue';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import type { Wiring } from '../wiring/graph';
import { simulate } from './simulate';

const world = worldOf('furnace-ac');

/** A furnace with an air conditioner on a cable of so many metres of 18 AWG. */
function house(lengthM: number, transformerVa = 40): Wiring {
  return wiringFrom({
    devices: [
      thermostatOf(
        CATALOGUE.find((device) => device.id === 'de-fellgate')!,
        'th'
      ),
      boardOf('eq', ['R', 'C', 'W', 'Y', 'G'], { transformerVa })
    ],
    strands: ['RC R', 'C C', 'W W', 'Y Y', 'G G'].map((pair) => {
      const [wall = '', far = ''] = pair.split(' ');
      return strandOf(far.toLowerCase(), ['th', wall], ['eq', far], lengthM);
    }),
    links: [{ id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }]
  });
}

function cooling(wiring: Wiring) {
  const made = simulate(wiring, world, 'cool1');
  if (!made.ok) throw new Error(made.why);
  return made.result;
}

describe('the moment of pulling in', () => {
  it('dips below what holds afterwards, and leaves a sound house enough', () => {
    const { dipVolts, thermostatVolts, starved } = cooling(house(15));
    expect(starved).toEqual([]);
    expect(dipVolts!).toBeLessThan(thermostatVolts! - 1);
  });

  it('leaves a contactor released on a small transformer and a long cable, where it would hold once it was in', () => {
    const { starved, loads, coils } = cooling(house(150, 20));
    expect(loads.find((load) => load.id === 'compressor')?.energised).toBe(false);
    expect(starved.map((coil) => coil.id)).toContain('eq:coil-Y1');
    const contactor = coils.find(({ part }) => part.id === 'eq:coil-Y1')!;
    expect(contactor.volts).toBeGreaterThan(10);
    expect(contactor.volts).toBeLessThan(contactor.pullIn);
  });

  it('leaves the circuit as it was for the next call', () => {
    const wiring = house(15);
    const first = cooling(wiring).thermostatVolts;
    expect(cooling(wiring).thermostatVolts).toBe(first);
  });

  it('has nothing to dip where no coil pulls in', () => {
    const made = simulate(house(15), world, 'idle');
    expect(made).toMatchObject({ ok: true, result: { dipVolts: null } });
  });
});
