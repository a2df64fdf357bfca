import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import { makeId } from '../job/ids';
import type { Thermostat } from '../job/schema';
import { planFor } from '../plan/plan';
import { FAMILY_HOUSES } from '../houses/families';
import { furnaceWithSpare, heatOnly } from '../houses/houses';
import type { House } from '../houses/builder';
import { wiringOf } from '../wiring/from-job';
import { safetyOf, stopFindings } from './standing';
import { knownSupplies } from './known-supplies';
import { STOP_QUESTIONS } from './stops';

const AT = '2026-02-01T10:00:00.000Z';
const standing = ({ job, thermostat }: House, change: Partial<Thermostat> = {}, now: string | null = AT) => {
  const whole = { ...thermostat, ...change };
  const [identification, wiring] = [identify(job, whole), wiringOf(job, whole)];
  return safetyOf(whole, knownSupplies(job, whole, identification, wiring), now);
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

describe('a proof that is dated later than now', () => {
  it('proves nothing, but for the little by which two clocks differ', () => {
    const at = (when: string) => standing(heatOnly(), { off: { 'eq-1': { ...off, at: when } } });
    const tomorrow = at('2026-02-02T10:00:00.000Z');
    expect(tomorrow.supplies[0]!.off).toBe(false);
    expect(codes(tomorrow)).toContain('off-in-future');
    const aMinute = at('2026-02-01T10:01:00.000Z');
    expect(aMinute.supplies[0]!.off).toBe(true);
    expect(codes(aMinute)).not.toContain('off-in-future');
  });
});

describe('supplies that are tied', () => {
  /** A boiler and an air conditioner, RH and RC, with the jumper left in. */
  const tied = () => {
    const house = FAMILY_HOUSES['boiler-plus-ac'].plain();
    const screw = (mark: string) => house.thermostat.screws.find((candidate) => candidate.mark === mark)!.id;
    const at = house.thermostat.id;
    const link = {
      id: makeId('link', 'left'),
      at,
      a: { at, screw: screw('RH') },
      b: { at, screw: screw('RC') },
      kind: 'clip' as const
    };
    const thermostat = { ...house.thermostat, links: [link] };
    return { job: { ...house.job, thermostats: [thermostat] }, thermostat };
  };

  it('are not dead when one of them is off: both are named, with volts at the screws and at the mains side', () => {
    const found = standing(tied()).findings.flatMap((finding) =>
      finding.code === 'off-is-not-dead' ? [finding] : []
    );
    expect(found.map(({ because }) => because.map((ref) => ('id' in ref ? ref.id : '')).sort())).toEqual([
      ['eq-1', 'eq-2'],
      ['eq-1', 'eq-2']
    ]);
    for (const { params } of found) {
      expect(params.volts).toBeGreaterThan(24);
      // Close to 120 V at a plug or a switch that is thought dead.
      expect(params.mainsVolts).toBeGreaterThan(105);
      expect(params.mainsVolts).toBeLessThan(121);
    }
    expect(codes(standing(FAMILY_HOUSES['boiler-plus-ac'].plain()))).not.toContain('off-is-not-dead');
  });

  it('stop where one of them cannot be switched off, and so does every plan', () => {
    const cannot = { 'eq-2': { ...off, cut: 'cannot' as const } };
    const result = standing(tied(), { off: { 'eq-1': off, ...cannot } });
    const [stop] = result.findings.filter(({ code }) => code === 'supply-cannot-be-off');
    expect(stop).toMatchObject({ level: 'stop', params: { feeds: [expect.any(String)] } });
    expect([result.locked, result.safe]).toEqual([true, false]);
    const { job, thermostat } = tied();
    const stopped = { ...thermostat, off: cannot };
    const plan = planFor({ ...job, thermostats: [stopped] }, stopped);
    expect(plan.options.filter(({ verdict }) => verdict === 'go' || verdict === 'care')).toEqual(
      plan.options.filter(({ method, verdict }) => method === 'none' && verdict !== 'no' && verdict !== 'pro')
    );
  });
});
