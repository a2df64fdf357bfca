/** A call begins where the last one ended: what was pulled in may stay in by less than it took. */
import { describe, expect, it } from 'vitest';
import { callsOf } from '../devices/calls';
import { PLAIN_CASE } from '../devices/world';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { findDevice } from '../match/catalogue';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { heldAtLimits, heldFindings } from '../proof/held';
import type { Family } from '../trade/vocabulary';
import { findingText } from '../words/findings/table';
import { heldOn, holdable } from './history';
import { simulate } from './simulate';

/** A thermostat that charges itself, drawing so many VA, on R and W of a machine. */
function charging(family: Family, drawVa: number) {
  const facts = { ...findDevice(SCHOOLHOUSE, 'de-sipper')!, drawVa };
  const wiring = wiringFrom({
    devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W'])],
    strands: [strandOf('r', ['th', 'R'], ['eq', 'R']), strandOf('w', ['th', 'W'], ['eq', 'W'])]
  });
  const world = worldOf(family);
  return { wiring, world, calls: callsOf(world, wiring) };
}

describe('what the call before leaves', () => {
  it('is a boiler that never stops, where the trickle through its relay is more than lets it go', () => {
    const { wiring, world, calls } = charging('boiler', 2);
    // From rest nothing runs: the released relay draws twice as much and leaves itself 7 V.
    const idle = simulate(wiring, world, 'idle');
    expect(idle.ok && idle.result.loads.some(({ energised }) => energised)).toBe(false);
    const [held, ...others] = heldOn(wiring, world, calls);
    expect(others).toEqual([]);
    expect(held).toMatchObject({ after: 'heat1', call: 'idle', chatters: false });
    expect(held!.loads).toContain('boiler');
    // 27.5 V over 288 ohm of electronics and 192 of the closed relay.
    expect(held!.volts).toBeCloseTo(11, 0);
    const [said] = heldFindings(wiring, world, calls);
    expect(said).toMatchObject({ code: 'held-on', level: 'stop' });
    expect(findingText(said!)).toMatch(/^After heat.*boiler.*never stop/);
  });

  it('is nothing where less flows, and a condition where only the worst values hold it', () => {
    const small = charging('boiler', 1.5);
    expect(heldFindings(small.wiring, small.world, small.calls)).toEqual([]);
    expect(holdable(small.wiring, small.world, small.calls)).toEqual(['eq:coil-W1']);
    expect(heldAtLimits(small.wiring, small.world, small.calls)).toMatchObject([
      { code: 'held-on', level: 'warn' }
    ]);
    const tiny = charging('boiler', 0.3);
    expect(heldAtLimits(tiny.wiring, tiny.world, tiny.calls)).toEqual([]);
  });

  it('is looked for in every case of polarity and earth: here only an earth closes the way of the trickle', () => {
    const facts = { ...findDevice(SCHOOLHOUSE, 'de-sipper')!, drawVa: 1.5 };
    const wiring = wiringFrom({
      devices: [thermostatOf(facts, 'th'), boardOf('eq-1', ['R', 'C']), boardOf('eq-2', ['R', 'C', 'W'])],
      strands: [strandOf('r', ['th', 'R'], ['eq-1', 'R']), strandOf('w', ['th', 'W'], ['eq-2', 'W'])]
    });
    const world = worldOf('boiler');
    const calls = callsOf(world, wiring);
    expect(holdable(wiring, world, calls)).toEqual([]);
    expect(heldAtLimits(wiring, world, calls)).toMatchObject([{ code: 'held-on', level: 'warn' }]);
  });

  it('is nothing on a gas valve, which takes more than a thermostat lets through', () => {
    const { wiring, world, calls } = charging('furnace', 2);
    expect(heldOn(wiring, world, calls)).toEqual([]);
    expect(heldAtLimits(wiring, world, calls)).toEqual([]);
  });

  it('is looked for only where a released coil gets a voltage', () => {
    const facts = findDevice(SCHOOLHOUSE, 'de-fellgate')!;
    const wiring = wiringFrom({
      devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W'])],
      strands: ['R', 'W', 'C'].map((mark) => strandOf(mark, ['th', mark === 'R' ? 'RH' : mark], ['eq', mark]))
    });
    expect(holdable(wiring, worldOf('furnace'), ['idle', 'heat1'])).toEqual([]);
    expect(heldOn(wiring, worldOf('communicating'), ['idle', 'heat1'], PLAIN_CASE)).toEqual([]);
  });
});
