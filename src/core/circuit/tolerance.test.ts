import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { callsOf } from '../devices/calls';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { plannedHouse, twoSupplyHouse } from '../houses/powered-houses';
import type { PoweredHouse } from '../houses/half-wave-houses';
import { CATALOGUE } from '../match/catalogue';
import { finish } from './long-run';
import { toleranceRun, type ToleranceResult } from './tolerance';

const classroom = () =>
  plannedHouse(
    SCHOOLHOUSE,
    SCHOOLHOUSE.thermostats.find((thermostat) => thermostat.id === 'th-classroom')!
  );

function runOf({ wiring, world }: PoweredHouse, draws = 400, seed = 1) {
  const run = toleranceRun({ wiring, world, calls: callsOf(world, wiring), draws, seed });
  if ('ok' in run) throw new Error(run.why);
  return run;
}

const call = (result: ToleranceResult, id: string) =>
  result.calls.find((callSpread) => callSpread.call === id)!;

describe('the tolerance run', () => {
  it('spreads round the nominal voltage, and keeps a sound house inside the window', () => {
    const result = finish(runOf(classroom()));
    const idle = [...call(result, 'idle').volts].sort((a, b) => a - b);
    expect(idle[200]).toBeGreaterThan(26);
    expect(idle[200]).toBeLessThan(28);
    expect(idle[0]).toBeLessThan(25.5);
    expect(idle[399]).toBeGreaterThan(28.8);
    expect(call(result, 'cool1')).toMatchObject({ below: 0, dead: 0 });
  });

  it('gives the same numbers for the same seed, in one go or in slices, and others for another', () => {
    const whole = finish(runOf(classroom(), 50, 3));
    const run = runOf(classroom(), 50, 3);
    while (run.done() < run.total) run.advance(7);
    expect(call(run.result(), 'cool1').volts).toEqual(call(whole, 'cool1').volts);
    expect(call(finish(runOf(classroom(), 50, 4)), 'cool1').volts).not.toEqual(call(whole, 'cool1').volts);
  });

  it('reads what is done so far when it is stopped', () => {
    const run = runOf(classroom(), 100);
    run.advance(10);
    expect(run.result()).toMatchObject({ draws: 10 });
    expect(call(run.result(), 'idle').volts).toHaveLength(10);
  });

  it('shows the share of houses in which a long thin cable starves the thermostat', () => {
    const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
    const thin: PoweredHouse = {
      world: worldOf('furnace'),
      wiring: wiringFrom({
        devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W'], { transformerVa: 20 })],
        strands: [
          strandOf('co-1', ['th', 'RC'], ['eq', 'R'], 700),
          strandOf('co-2', ['th', 'W'], ['eq', 'W'], 700),
          strandOf('co-3', ['th', 'C'], ['eq', 'C'], 700)
        ],
        links: [{ id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }]
      })
    };
    const { below, dead } = call(finish(runOf(thin)), 'heat1');
    expect(below).toBeGreaterThan(0.1);
    expect(dead).toBeGreaterThan(0.1);
  });

  it('has a voltage of its own for a thermostat on its own supply', () => {
    const result = finish(runOf(twoSupplyHouse()));
    expect(call(result, 'heat1').volts).toHaveLength(400);
    expect(call(result, 'heat1')).toMatchObject({ below: 0, dead: 0 });
  });
});
