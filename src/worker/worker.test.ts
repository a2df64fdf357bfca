import { describe, expect, it } from 'vitest';
import { finish } from '$core/circuit/long-run';
import { toleranceRun, type ToleranceRequest } from '$core/circuit/tolerance';
import { faultTableRun } from '$core/diagnose/fault-table';
import { twoSupplyHouse } from '$core/houses/powered-houses';
import { planFor } from '$core/plan/plan';
import { savingPrices } from '$core/plan/saving-prices';
import { planTogether } from '$core/plan/together';
import { FERRY_HOUSE } from '$demo/ferry-house';
import { worldOf } from '$core/houses/hand-wired';
import { clientOf } from './client';
import { inThisThread } from './queue';

const bigger = FERRY_HOUSE.equipment.map((machine) => ({ ...machine, plannedVa: 50 }));

/** A clock that moves on by a millisecond whenever it is looked at: slices end, and nothing hangs on the machine. */
function surroundings() {
  let time = 0;
  return { now: () => (time += 1), soon: (next: () => void) => void setImmediate(next), slice: 6 };
}

const { wiring, world } = twoSupplyHouse();
const request: ToleranceRequest = { wiring, world, calls: ['idle', 'heat1'], draws: 600, seed: 5 };

describe('work in another thread', () => {
  it('gives what the same work gives here, and tells how far it is', async () => {
    const shares: number[] = [];
    const outcome = await clientOf(inThisThread(surroundings())).run('tolerance', request, {
      onProgress: (share) => shares.push(share)
    });
    const direct = toleranceRun(request);
    if ('ok' in direct || !outcome.ok) throw new Error('not run');
    expect(outcome.result).toEqual(finish(direct));
    expect(shares.length).toBeGreaterThan(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.every((share) => share > 0 && share < 1)).toBe(true);
  });

  it('keeps two tasks apart', async () => {
    const client = clientOf(inThisThread(surroundings()));
    const faults = { wiring, world, calls: ['heat1'] as const, pairs: false };
    const [first, second] = await Promise.all([
      client.run('tolerance', request),
      client.run('faults', faults)
    ]);
    const direct = faultTableRun(faults);
    if ('ok' in direct || !first.ok || !second.ok) throw new Error('not run');
    expect(first.result.draws).toBe(600);
    expect(second.result).toEqual(finish(direct));
  });

  it('plans a whole job, and again after an edit, as it would be planned here', async () => {
    const client = clientOf(inThisThread(surroundings()));
    const [first, second] = [
      await client.run('together', FERRY_HOUSE),
      await client.run('together', { ...FERRY_HOUSE, equipment: bigger })
    ];
    if (!first.ok || !second.ok) throw new Error('not run');
    expect(first.result).toEqual(planTogether(FERRY_HOUSE));
    expect(second.result).toEqual(planTogether({ ...FERRY_HOUSE, equipment: bigger }));
    expect([first.result, second.result].map((together) => together.moves.length > 0)).toEqual([false, true]);
  });

  it('makes the plan of one thermostat as it would be made here, as plain data, and says where there is none', async () => {
    const client = clientOf(inThisThread(surroundings()));
    const [landing] = FERRY_HOUSE.thermostats;
    const made = await client.run('plan', { job: FERRY_HOUSE, thermostat: landing!.id });
    if (!made.ok) throw new Error('not run');
    expect(made.result.plan).toEqual(planFor(FERRY_HOUSE, landing!));
    expect(made.result.study.thermostats).toBe(savingPrices(FERRY_HOUSE).length);
    expect(structuredClone(made.result)).toEqual(made.result);
    expect(await client.run('plan', { job: FERRY_HOUSE, thermostat: 'th-gone' })).toMatchObject({
      ok: false,
      at: 'th-gone'
    });
  });

  it('stops when asked, and before it begins when asked in time', async () => {
    const client = clientOf(inThisThread(surroundings()));
    const stop = new AbortController();
    const outcome = await client.run(
      'tolerance',
      { ...request, draws: 100_000 },
      {
        signal: stop.signal,
        onProgress: () => stop.abort()
      }
    );
    expect(outcome).toEqual({ ok: false, reason: 'cancelled' });
    expect(await client.run('tolerance', request, { signal: stop.signal })).toEqual({
      ok: false,
      reason: 'cancelled'
    });
  });

  it('hands an expected failure over with what is at fault', async () => {
    const outcome = await clientOf(inThisThread(surroundings())).run('tolerance', {
      ...request,
      world: worldOf('millivolt')
    });
    expect(outcome).toMatchObject({ ok: false, reason: 'failed', at: 'millivolt' });
  });

  it('throws a mistake of ours on the side that asked', async () => {
    const broken = { ...request, wiring: null as unknown as ToleranceRequest['wiring'] };
    await expect(clientOf(inThisThread(surroundings())).run('tolerance', broken)).rejects.toThrow(
      /null|devices|weak map/
    );
  });
});
