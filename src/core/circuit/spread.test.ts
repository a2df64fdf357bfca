import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { callsOf } from '../devices/calls';
import { PLAIN_CASE, type CornerId } from '../devices/world';
import { splitterHouse, type PoweredHouse } from '../houses/half-wave-houses';
import { boardOf, worldOf } from '../houses/hand-wired';
import { plannedHouse, twoSupplyHouse, zonedHouse } from '../houses/powered-houses';
import { chanceFrom } from '../trade/random';
import type { Call } from '../trade/calls';
import { circuitOf, isCircuit, through } from './circuit';
import { finish } from './long-run';
import { netlistOf } from './netlist';
import { relaysOf, settle } from './settle';
import { simulate } from './simulate';
import { drawnFrom, spreadValues } from './spread';
import { toleranceRun } from './tolerance';

const classroom = plannedHouse(
  SCHOOLHOUSE,
  SCHOOLHOUSE.thermostats.find((thermostat) => thermostat.id === 'th-classroom')!
);
const houses: [string, PoweredHouse][] = [
  ['a planned classroom', classroom],
  ['two supplies', twoSupplyHouse()],
  ['a panel of four zones', zonedHouse(4)],
  ['a splitter', splitterHouse()]
];

function reading({ wiring, world }: PoweredHouse, call: Call, corner?: CornerId) {
  const made = simulate(wiring, world, call, corner ? { ...PLAIN_CASE, corner } : PLAIN_CASE);
  if (!made.ok) throw new Error(made.why);
  return made.result;
}

const amps = (where: PoweredHouse, call: Call, corner?: CornerId) =>
  Math.max(...reading(where, call, corner).supplies.map((supply) => supply.amps));

describe('the corners of all tolerances', () => {
  it.each(houses)('hold every house that is drawn between them: %s', (_, where) => {
    const calls = callsOf(where.world, where.wiring);
    const run = toleranceRun({ ...where, calls, draws: 800, seed: 11 });
    if ('ok' in run) throw new Error(run.why);
    for (const { call, volts } of finish(run).calls) {
      const [low, high] = (['weak', 'strong'] as const).map(
        (corner) => reading(where, call, corner).feeds[0]?.volts
      );
      expect(Math.min(...volts)).toBeGreaterThan(low!);
      expect(Math.max(...volts)).toBeLessThan(high!);
    }
  });

  it.each(houses.slice(0, 3))(
    'hold the current of every house that is drawn, within a hundredth: %s',
    (_, where) => {
      const circuit = circuitOf(netlistOf(where.wiring, where.world)!, 'complex');
      if (!isCircuit(circuit)) throw new Error(circuit.why);
      const relays = relaysOf(circuit);
      const draw = drawnFrom(chanceFrom(5));
      for (const call of callsOf(where.world, where.wiring)) {
        const drawn = Array.from({ length: 1500 }, () => {
          spreadValues(circuit, draw);
          settle(relays, call, PLAIN_CASE);
          return Math.max(...Array.from(circuit.sources, (at) => through(circuit, at)));
        });
        // A turned current drops less on its way than the resistance of its size: a little more of it flows.
        expect(Math.max(...drawn), call).toBeLessThan(1.01 * amps(where, call, 'loaded'));
      }
    }
  );

  it.each(houses)(
    'give more current than nominal values, and then the nominal ones again: %s',
    (_, where) => {
      const fresh = structuredClone(where);
      for (const call of callsOf(where.world, where.wiring)) {
        expect(amps(where, call, 'loaded')).toBeGreaterThan(amps(where, call) * 1.1);
        reading(where, call, 'strong');
        expect(reading(where, call)).toEqual(reading(fresh, call));
      }
    }
  );

  it('take a transformer whose plate nobody has read for the smallest in the weak corner only', () => {
    const with_ = (transformerVa: number | null): PoweredHouse => ({
      world: worldOf('furnace'),
      wiring: {
        ...twoSupplyHouse().wiring,
        devices: twoSupplyHouse().wiring.devices.map((device) =>
          device.id === 'eq' ? boardOf('eq', ['R', 'C', 'W', 'G'], { transformerVa }) : device
        )
      }
    });
    const burner = (va: number | null, corner?: CornerId) => {
      const { wiring, world } = with_(va);
      const aimed = corner ? { ...PLAIN_CASE, corner, aim: { element: 'eq:coil-W1' } } : PLAIN_CASE;
      const made = simulate(wiring, world, 'heat1', aimed);
      if (!made.ok) throw new Error(made.why);
      return made.result.loads.find((load) => load.id === 'burner')!.volts;
    };
    expect(burner(null)).toBe(burner(40));
    expect(burner(null, 'weak')).toBeCloseTo(burner(20, 'weak'), 9);
    expect(burner(null, 'weak')).toBeLessThan(burner(40, 'weak') - 0.9);
  });
});
