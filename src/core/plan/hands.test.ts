import { describe, expect, it } from 'vitest';
import { furnaceWithSpare } from '../houses/houses';
import type { Job } from '../job/schema';
import { apply } from '../job/steps';
import { doMove } from './doing';
import { cautionOf, gateOf, gateOfLook, movesBack, paceOf, stepsBack, stoppingPoint } from './hands';
import { planFor } from './plan';

const { job: fresh, thermostat } = furnaceWithSpare();
const planOf = (job: Job) => planFor(job, job.thermostats[0]!, { method: 'spare-conductor' });

/** The job with so many steps done, five minutes each. */
function after(steps: number): Job {
  let job = fresh;
  for (let step = 0; step < steps; step += 1) {
    const plan = planOf(job);
    const at = new Date(Date.UTC(2026, 0, 5, 9, 5 * step)).toISOString();
    job = apply(job, doMove(job, thermostat.id, plan, plan.moves[0]!, at));
  }
  return job;
}
const offAt = planOf(fresh).moves.filter(({ action }) => action === 'power-off').length;

describe('beside the hands', () => {
  it('lets power be switched, and no wire be touched before every supply is proven off', () => {
    const plan = planOf(fresh);
    const live = { locked: false, safe: false, supplies: [] };
    expect(gateOf({ action: 'power-off' }, live, plan)).toBe('open');
    for (const action of ['lift', 'land', 'mount', 'check'] as const)
      expect(gateOf({ action }, live, plan)).toBe('prove-off');
    expect(gateOf({ action: 'lift' }, { ...live, safe: true }, plan)).toBe('open');
    expect(gateOf({ action: 'power-off' }, { ...live, locked: true, safe: true }, plan)).toBe('stopped');
  });

  it('takes no proof from before the power came back, and hands no licensed person’s steps to anybody', () => {
    const all = planOf(after(planOf(fresh).moves.length));
    const lastOn = all.done.filter(({ act }) => act.action === 'power-on').at(-1)!.at;
    const provenAt = (at: string) => ({
      locked: false,
      safe: true,
      supplies: [{ record: { cut: 'both', proof: 'meter', at }, off: true, hoursAgo: 1 } as never]
    });
    const minute = (by: number) => new Date(Date.parse(lastOn) + by * 60_000).toISOString();
    expect(gateOf({ action: 'lift' }, provenAt(minute(-30)), all)).toBe('prove-off');
    expect(gateOf({ action: 'lift' }, provenAt(minute(30)), all)).toBe('open');
    const options = all.options.map((option) => ({ ...option, verdict: 'pro' as const }));
    expect(gateOf({ action: 'lift' }, provenAt(minute(30)), { ...all, options })).toBe('licensed');
  });

  it('holds a look with the hands in the machine back like a step, and one with the eyes not', () => {
    const plan = planOf(fresh);
    const live = { locked: false, safe: false, supplies: [] };
    const screws = { power: 'off', needs: 'hands' } as const;
    expect(gateOfLook(screws, live, plan)).toBe('prove-off');
    expect(gateOfLook({ power: 'off', needs: 'eyes' }, live, plan)).toBe('prove-off');
    expect(gateOfLook({ power: 'either', needs: 'hands' }, live, plan)).toBe('prove-off');
    expect(gateOfLook({ power: 'on', needs: 'eyes' }, live, plan)).toBe('open');
    expect(gateOfLook({ power: 'on', needs: 'meter' }, live, plan)).toBe('open');
    expect(gateOfLook(screws, { ...live, safe: true }, plan)).toBe('open');
    expect(gateOfLook({ power: 'on', needs: 'eyes' }, { ...live, locked: true }, plan)).toBe('stopped');
  });

  it('has a caution for each move of a plan', () => {
    for (const move of planOf(fresh).moves) expect(cautionOf(move).length).toBeGreaterThan(10);
  });

  it('says of the middle of the work that the power is off, the house does not heat, and wires hang', () => {
    expect(stoppingPoint(planOf(fresh))).toEqual({ power: 'on', heats: true, cools: true, hanging: 0 });
    const lifted = stoppingPoint(planOf(after(offAt + 4)));
    expect(lifted).toMatchObject({ power: 'off', heats: false });
    expect(lifted.hanging).toBeGreaterThan(0);
    const all = stoppingPoint(planOf(after(planOf(fresh).moves.length)));
    expect(all).toEqual({ power: 'on', heats: true, cools: true, hanging: 0 });
  });

  it('leads back to the house as it was found, from any point', () => {
    for (const steps of [0, offAt + 3, planOf(fresh).moves.length]) {
      const plan = planOf(after(steps));
      const back = movesBack(plan).filter(({ change }) => change !== null);
      expect(back.length === 0).toBe(steps === 0);
      if (steps > offAt + 3)
        expect(back.map(({ text }) => text).join(' ')).toMatch(/old thermostat|Hang|plate/i);
    }
  });

  it('names what was done and no longer fits, the last first, once the record says otherwise', () => {
    const job = after(offAt + 5);
    expect(stepsBack(planOf(job))).toEqual([]);
    const place = job.thermostats[0]!;
    const lifted = place.log.flatMap(({ change }) => (change?.kind === 'end' ? [change.strand] : []));
    const conductors = place.conductors.map((wire) =>
      lifted.includes(wire.id) ? { ...wire, near: { state: 'coiled' as const, on: [] } } : wire
    );
    const changed = { ...job, thermostats: [{ ...place, conductors }] };
    const back = stepsBack(planOf(changed));
    expect(back.length).toBeGreaterThan(0);
    expect(new Set(back).size).toBe(back.length);
  });

  it('measures the pace between ticks, without pauses, once there are enough', () => {
    const at = (minutes: number) => ({ at: new Date(Date.UTC(2026, 0, 5, 9, minutes)).toISOString() });
    expect(paceOf([at(0), at(5)])).toBeNull();
    expect(paceOf([0, 5, 10, 200, 205, 210].map(at))).toBeCloseTo(5);
    // Ticked in one go afterwards: no measure of the work.
    expect(paceOf([0, 0, 0, 0, 0, 0].map(at))).toBeNull();
  });
});
