import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { house } from '../houses/builder';
import { planFor } from './plan';
import { powerPlan } from './powered';

const place = (id: string) => SCHOOLHOUSE.thermostats.find((thermostat) => thermostat.id === id)!;

describe('a plan powered up', () => {
  it('gives every call as found and as planned, those asked for at once too, and one alone when asked', () => {
    const plan = planFor(SCHOOLHOUSE, place('th-classroom'));
    expect(powerPlan(plan, 'found').calls.map((call) => call.result.call)).toEqual([
      'idle',
      'heat1',
      'cool1',
      'fan',
      'heat1+fan'
    ]);
    const [after] = powerPlan(plan, 'after', 'cool1').calls;
    expect(after?.result.thermostatFed).toBe(true);
    expect(after?.findings).toEqual([]);
  });

  it('says why nothing can be powered up, instead of an empty list', () => {
    const mains = planFor(SCHOOLHOUSE, place('th-bell-room'));
    expect(powerPlan(mains, 'found').findings.map((finding) => finding.code)).toEqual(['no-circuit']);
    const blank = house({ strands: [] });
    const idle = powerPlan(planFor(blank.job, blank.thermostat), 'found').calls;
    expect(idle.flatMap((poweredCall) => poweredCall.result.loads).filter((load) => load.energised)).toEqual(
      []
    );
  });
});
