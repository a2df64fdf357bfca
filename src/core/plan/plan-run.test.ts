import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { FERRY_HOUSE } from '$demo/ferry-house';
import type { LongRun } from '../circuit/long-run';
import { identify } from '../identify/identify';
import { looksFor } from './looks';
import { neighboursHere } from './neighbours';
import { planFor } from './plan';
import { looksRun, planRun } from './plan-run';

/** Step by step, as a thread does it that looks up in between. */
function stepped<T>(run: LongRun<T>) {
  const totals: number[] = [];
  while (run.done() < run.total) {
    run.advance(1);
    totals.push(run.total);
  }
  return { result: run.result(), steps: run.done(), totals };
}

const [landing] = FERRY_HOUSE.thermostats;

describe('a plan in steps', () => {
  it('takes one for each neighbour and one for itself, and is the plan', () => {
    const { result, steps } = stepped(planRun(FERRY_HOUSE, landing!));
    expect(neighboursHere(FERRY_HOUSE, landing!).length).toBeGreaterThan(0);
    expect(steps).toBe(neighboursHere(FERRY_HOUSE, landing!).length + 1);
    expect(result).toEqual(planFor(FERRY_HOUSE, landing!));
  });

  it('may be given up between two of them, and is made whole where somebody asks for it', () => {
    const run = planRun(FERRY_HOUSE, landing!);
    run.advance(1);
    expect(run.done()).toBe(1);
    expect(run.result()).toEqual(planFor(FERRY_HOUSE, landing!));
  });

  it('is followed by looks, one answer after the other', () => {
    for (const thermostat of SCHOOLHOUSE.thermostats) {
      const { result, steps, totals } = stepped(looksRun(SCHOOLHOUSE, thermostat));
      expect(result).toEqual(looksFor(SCHOOLHOUSE, thermostat));
      expect(totals.at(-1)).toBe(steps);
    }
  });
});

describe('what is known of a thermostat', () => {
  const [first, second] = SCHOOLHOUSE.thermostats;
  const before = identify(SCHOOLHOUSE, first!);

  it('stays while only another one is edited', () => {
    const edited = {
      ...SCHOOLHOUSE,
      thermostats: SCHOOLHOUSE.thermostats.map((thermostat) =>
        thermostat === second ? { ...thermostat, outlet: 'near' as const } : thermostat
      )
    };
    expect(identify(edited, first!)).toBe(before);
  });

  it('is found anew once a machine is another', () => {
    const furnace = SCHOOLHOUSE.equipment.map((machine) => ({ ...machine, kind: 'boiler' as const }));
    const anew = identify({ ...SCHOOLHOUSE, equipment: furnace }, first!);
    expect(anew.probability).not.toBe(before.probability);
  });
});
