import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import type { Thermostat } from '../job/schema';
import { planFor } from '../plan/plan';
import { FAMILY_HOUSES } from '../houses/families';
import { furnaceWithSpare, heatOnly } from '../houses/houses';
import type { House } from '../houses/builder';
import { wiringOf } from '../wiring/from-job';
import { safetyOf, stopFindings } from './standing';
import { STOP_QUESTIONS } from './stops';

const AT = '2026-02-01T10:00:00.000Z';
const standing = ({ job, thermostat }: House, change: Partial<Thermostat> = {}, now: string | null = AT) => {
  const whole = { ...thermostat, ...change };
  return safetyOf(job, whole, identify(job, whole), wiringOf(job, whole), now);
};
const codes = (result: ReturnType<typeof standing>) => result.findings.map((finding) => finding.code);
const allNo = Object.fromEntries(
  STOP_QUESTIONS.map((question) => [question.id, { answer: 'no' as const, at: AT, resolved: null }])
);
const off = { cut: 'both', proof: 'both', at: AT } as const;

describe('the supplies that a record implies', () => {
  it('are the machine, and the outdoor unit where a compressor is called', () => {
    const ids = (house: House) => standing(house).supplies.map((supply) => supply.supply.id);
    expect(ids(heatOnly())).toEqual(['eq-1']);
    expect(ids(furnaceWithSpare())).toEqual(['eq-1', 'outdoor-unit']);
  });

  it('are two where two machines feed the wall, and an outdoor unit of the inventory is not counted twice', () => {
    const house = FAMILY_HOUSES['boiler-plus-ac'].plain();
    expect(standing(house).supplies.map((supply) => supply.supply.id)).toEqual([
      'eq-1',
      'eq-2',
      'outdoor-unit'
    ]);
    const unit = { ...house.job.equipment[1]!, id: 'eq-3' as never, kind: 'outdoor-unit' as const };
    const job = { ...house.job, equipment: [...house.job.equipment, unit] };
    const thermostat = { ...house.thermostat, equipment: [...house.thermostat.equipment, unit.id] };
    expect(standing({ job, thermostat }).supplies.map((supply) => supply.supply.id)).toEqual([
      'eq-1',
      'eq-2',
      'eq-3'
    ]);
  });

  it('are the ones that the move list begins with', () => {
    const house = furnaceWithSpare();
    const first = planFor(house.job, house.thermostat).moves.filter((move) => move.action === 'power-off');
    expect(first.map((move) => move.what).sort()).toEqual(
      standing(house)
        .supplies.map((supply) => supply.supply.id)
        .sort()
    );
  });
});

describe('making safe', () => {
  it('is done when every question is answered and every supply proven off', () => {
    expect(standing(heatOnly()).safe).toBe(false);
    const done = standing(heatOnly(), { stops: allNo, off: { 'eq-1': off } });
    expect(done.safe).toBe(true);
    expect(done.findings).toEqual([]);
  });

  it('takes a dark display for no proof, and says so', () => {
    const result = standing(heatOnly(), { stops: allNo, off: { 'eq-1': { ...off, proof: 'display-dark' } } });
    expect(result.safe).toBe(false);
    expect(codes(result)).toEqual(['proves-nothing']);
  });

  it('does not trust yesterday’s proof', () => {
    const late = standing(heatOnly(), { stops: allNo, off: { 'eq-1': off } }, '2026-02-02T10:00:00.000Z');
    expect(late.safe).toBe(false);
    expect(codes(late)).toEqual(['off-long-ago']);
    expect(standing(heatOnly(), { stops: allNo, off: { 'eq-1': off } }, null).safe).toBe(true);
  });

  it('tells of mercury and of batteries', () => {
    expect(codes(standing(heatOnly(), { mercury: 'yes', oldSupply: 'battery' }))).toEqual(
      expect.arrayContaining(['mercury', 'proves-nothing'])
    );
  });
});

describe('a stop', () => {
  it.each(STOP_QUESTIONS.map((question) => question.id))(
    'closes every way until it is resolved: %s',
    (id) => {
      const house = furnaceWithSpare();
      const yes = { answer: 'yes' as const, at: AT, resolved: null };
      const locked = { ...house.thermostat, stops: { ...allNo, [id]: yes } };
      const plan = planFor({ ...house.job, thermostats: [locked] }, locked);
      expect(plan.moves).toEqual([]);
      expect(
        plan.options.filter((option) => option.method !== 'none').every((option) => option.verdict === 'no')
      ).toBe(true);
      expect(stopFindings(locked)[0]?.params).toMatchObject({ call: expect.any(String) as string });
      const resolved = {
        ...locked,
        stops: { ...allNo, [id]: { ...yes, resolved: { at: AT, how: 'mended' } } }
      };
      expect(planFor({ ...house.job, thermostats: [resolved] }, resolved).moves.length).toBeGreaterThan(0);
    }
  );
});
