import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { tickMove, chooseMethod } from '../job/edits';
import { apply, invert } from '../job/steps';
import { house } from '../houses/builder';
import { planFor } from './plan';
import { moveKey } from './moves';
import { powerPlan } from './powered';

const place = (id: string) => SCHOOLHOUSE.thermostats.find((one) => one.id === id)!;

describe('a plan powered up', () => {
  it('gives every call before and after, and one alone when asked', () => {
    const plan = planFor(SCHOOLHOUSE, place('th-classroom'));
    expect(powerPlan(plan, 'before').calls.map((one) => one.result.call)).toEqual([
      'idle',
      'heat1',
      'cool1',
      'fan'
    ]);
    const [after] = powerPlan(plan, 'after', 'cool1').calls;
    expect(after?.result.thermostatFed).toBe(true);
    expect(after?.findings).toEqual([]);
  });

  it('says why nothing can be powered up, instead of an empty list', () => {
    const mains = planFor(SCHOOLHOUSE, place('th-bell-room'));
    expect(powerPlan(mains, 'before').findings.map((one) => one.code)).toEqual(['no-circuit']);
    const blank = house({ strands: [] });
    const idle = powerPlan(planFor(blank.job, blank.thermostat), 'before').calls;
    expect(idle.flatMap((one) => one.result.loads).filter((one) => one.energised)).toEqual([]);
  });
});

describe('a move ticked off', () => {
  const index = SCHOOLHOUSE.thermostats.findIndex((one) => one.id === 'th-classroom');
  const [move] = planFor(SCHOOLHOUSE, place('th-classroom')).moves;
  const key = moveKey(move!);
  const at = '2026-03-01T09:00:00.000Z';

  it('is kept with its time, goes again when touched again, and can be undone', () => {
    const tick = tickMove(SCHOOLHOUSE, index, key, at);
    const ticked = apply(SCHOOLHOUSE, tick);
    expect(ticked.thermostats[index]?.done).toEqual([{ key, at }]);
    expect(apply(ticked, tickMove(ticked, index, key, at)).thermostats[index]?.done).toEqual([]);
    expect(apply(ticked, invert(tick))).toEqual(SCHOOLHOUSE);
  });

  it('keeps its key when the plan is made anew for another way', () => {
    const chosen = apply(SCHOOLHOUSE, chooseMethod(SCHOOLHOUSE, index, 'new-cable'));
    const again = planFor(chosen, chosen.thermostats[index]!).moves;
    expect(again.map(moveKey)).toContain(key);
    expect(new Set(again.map(moveKey)).size).toBe(again.length);
  });
});
