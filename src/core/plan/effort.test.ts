import { describe, expect, it } from 'vitest';
import { findDevice } from '../match/catalogue';
import { house } from '../houses/builder';
import { furnaceFourWires, furnaceWithSpare } from '../houses/houses';
import { tripsIn, walksIn } from './effort';
import { planFor } from './plan';
import { bagFor } from './tools';

const optionOf = (method: string, path: 'free' | 'unknown' = 'free') => {
  const base = furnaceFourWires();
  const { job, thermostat } =
    path === 'free'
      ? base
      : house({
          strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'],
          board: ['R', 'C', 'W', 'Y', 'G'],
          observed: base.thermostat.observed,
          path
        });
  const plan = planFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null });
  return plan.options.find((option) => option.method === method)!;
};

describe('minutes', () => {
  it('count a second visit to the machine where a new cable has to be landed after it was pulled', () => {
    expect(tripsIn(optionOf('repurpose-g').moves)).toBe(1);
    expect(tripsIn(optionOf('new-cable').moves)).toBe(2);
    expect(optionOf('new-cable').walks).toBe(walksIn(optionOf('new-cable').moves));
  });

  it('count the ways as the list is walked, each direction, and one more there and back for each further check', () => {
    const at = (
      end: 'wall' | 'equipment',
      place: string,
      action: 'land' | 'check' | 'power-off' = 'land'
    ) => ({
      end,
      place,
      action
    });
    const there = at('equipment', 'furnace');
    expect(walksIn([at('equipment', 'furnace', 'power-off'), at('wall', 'wall'), at('wall', 'wall')])).toBe(
      0
    );
    expect(walksIn([there, there, at('wall', 'wall')])).toBe(2);
    expect(walksIn([there, at('equipment', 'air handler'), at('wall', 'wall')])).toBe(3);
    const check = at('equipment', 'furnace', 'check');
    expect(walksIn([check, at('wall', 'wall')])).toBe(2);
    expect(walksIn([check, check, check, at('wall', 'wall')])).toBe(6);
    expect(tripsIn([])).toBe(1);
  });

  it('reach to half a day where nobody knows whether the cable moves, and not where it does', () => {
    const [sure, unsure] = [optionOf('new-cable'), optionOf('new-cable', 'unknown')];
    expect(unsure.minutesBand.usual).toBe(sure.minutesBand.usual);
    expect(unsure.minutesBand.high - sure.minutesBand.high).toBeGreaterThan(60);
    expect(unsure.minutesBand.high).toBeGreaterThan(240);
  });

  it('lie inside their band, and cost does too', () => {
    for (const method of ['repurpose-g', 'signal-splitter', 'new-cable']) {
      const { minutes, minutesBand, cost, costBand } = optionOf(method);
      expect([minutesBand.low, minutes, minutesBand.high]).toEqual(
        [minutesBand.low, minutes, minutesBand.high].sort((a, b) => a - b)
      );
      expect([costBand.low, cost, costBand.high]).toEqual(
        [costBand.low, cost, costBand.high].sort((a, b) => a - b)
      );
    }
  });
});

describe('what the hands need', () => {
  const plan = planFor(furnaceWithSpare().job, furnaceWithSpare().thermostat, {
    device: findDevice(furnaceWithSpare().job, 'de-fellgate') ?? null
  });

  it('says how much to strip where an end is landed, and nowhere else', () => {
    for (const move of plan.moves) expect(move.strip !== null, move.text).toBe(move.action === 'land');
    expect(plan.moves.find((move) => move.action === 'land')?.tools).toContain('wire stripper');
    expect(plan.moves.find((move) => move.action === 'power-off')?.tools).toEqual(['meter']);
  });

  it('packs each tool once, and a torch whatever is done', () => {
    const bag = bagFor(plan.moves);
    expect(new Set(bag).size).toBe(bag.length);
    expect(bag[0]).toBe('torch');
    for (const tool of plan.moves.flatMap((move) => move.tools)) expect(bag).toContain(tool);
    expect(bagFor(optionOf('new-cable').moves)).toContain('pull line');
  });
});
