import { ref } from '../findings/refs';
import type { Call } from '../trade/calls';
import { describe, expect, it } from 'vitest';
import { makeId } from '../job/ids';
import type { Equipment } from '../job/schema';
import { findDevice } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { house, type House } from '../houses/builder';
import { furnaceWithCommon } from '../houses/houses';
import type { MethodId } from '../trade/vocabulary';

const option = ({ job, thermostat }: House, model: string, method: MethodId = 'existing-c') =>
  planFor(job, thermostat, { device: findDevice(job, model) ?? null }).options.find(
    (plannedOption) => plannedOption.method === method
  )!;
const row = (where: House, model: string, call = 'cool1') =>
  option(where, model).proof?.worlds[0]?.rows.find((proofRow) => proofRow.call === call);
const said = (where: House, model: string, code: string) =>
  option(where, model).findings.filter((finding) => finding.code === code);

/** The house with a common, and a device of this window and draw. */
function withDevice(facts: { voltsMin?: number; voltsMax?: number; drawVa?: number }, base: House): House {
  const device = { ...findDevice(base.job, 'de-fellgate')!, id: makeId('device', 'own'), ...facts };
  return { job: { ...base.job, devices: [device] }, thermostat: base.thermostat };
}

const withWindow = (voltsMin: number, voltsMax: number) =>
  withDevice({ voltsMin, voltsMax }, furnaceWithCommon());

/** A furnace with a common, heat only, with this transformer. */
const heated = (equipment: Partial<Equipment>, lengthM = 15) =>
  house({
    strands: ['RD R R', 'WH W W', 'BU C C'],
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed: { 'outdoor-unit': 'none', flue: 'burner', 'heat-from': 'registers', 'conductor-build': 'thin' },
    equipment,
    lengthM
  });

describe('the tolerances of a house', () => {
  it('take the voltage further than the mains alone would', () => {
    const { voltsLow, voltsAfter, voltsHigh } = row(furnaceWithCommon(), 'de-fellgate')!;
    expect(voltsLow).toBeLessThan(0.9 * voltsAfter!);
    expect(voltsLow).toBeGreaterThan(20);
    expect(voltsHigh).toBeGreaterThan(1.1 * voltsAfter!);
    expect(voltsHigh).toBeLessThan(1.1 * 27.5);
  });

  it('are a condition where they take the thermostat over what its sheet stands, and none where they do not', () => {
    const narrow = withWindow(21, 28);
    const [high] = said(narrow, 'de-own', 'volts-at-limits');
    expect(high?.params).toMatchObject({ side: 'high', volts: 30.6 });
    expect(high?.level).toBe('warn');
    expect(option(narrow, 'de-own').verdict).toBe('care');
    expect(said(furnaceWithCommon(), 'de-fellgate', 'volts-at-limits')).toEqual([]);
    expect(option(furnaceWithCommon(), 'de-fellgate').verdict).toBe('go');
  });

  it('are not asked of what fails with nominal values already', () => {
    // 26 V: met by an idle house and by the fan alone, not in heating and cooling.
    const where = withWindow(26.3, 30);
    const { verdict, findings } = option(where, 'de-own');
    expect(verdict).toBe('no');
    expect(
      findings.flatMap((finding) => (finding.code === 'thermostat-unfed' ? finding.params.calls : []))
    ).toEqual(['heat1', 'cool1', 'heat1+fan']);
    expect(said(where, 'de-own', 'volts-at-limits')).toEqual([]);
    expect(row(where, 'de-own')).toMatchObject({ voltsLow: null, voltsHigh: null, ampsMost: null });
  });

  it('name each call once in which they are too much', () => {
    const [low] = said(withWindow(22.8, 31), 'de-own', 'volts-at-limits');
    const calls = ['heat1', 'cool1', 'heat1+fan'] as const;
    expect(low?.params).toEqual({ side: 'low', volts: 21.9, calls });
    expect(low?.because).toEqual(calls.map((call) => ref.call(call as Call)));
  });

  it('show the most that the transformer gives, and the fuse behind it', () => {
    const { ampsMost, fuse, vaAfter } = row(furnaceWithCommon(), 'de-fellgate')!;
    expect(fuse).toMatchObject({ rating: 3, open: false });
    expect(ampsMost! / fuse!.amps).toBeGreaterThan(1.25);
    expect(ampsMost! / fuse!.amps).toBeLessThan(1.1 * 1.3);
    expect(vaAfter).toBeGreaterThan(0);
  });
});

describe('a transformer in the worst case', () => {
  it('is a condition where only the new thermostat takes it over its rating', () => {
    // 10 VA of the gas valve and 5 of the thermostat: within 20 VA as the sheets have it, not with everything above its plate.
    const house = withDevice({ drawVa: 5 }, heated({ transformerVa: 20 }));
    const [over] = said(house, 'de-own', 'overloaded-at-limits');
    expect(over?.level).toBe('warn');
    expect(over?.params).toMatchObject({ ratedVa: 20, read: true, todayAmps: null });
    expect(over?.because).toContainEqual(ref.call('heat1'));
    expect(option(house, 'de-own').verdict).toBe('care');
    expect(said(withDevice({ drawVa: 5 }, heated({})), 'de-own', 'overloaded-at-limits')).toEqual([]);
  });

  it('is a note where it is so today', () => {
    const small = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: furnaceWithCommon().thermostat.observed,
      equipment: { transformerVa: 16 }
    });
    const [over] = said(withDevice({ drawVa: 1 }, small), 'de-own', 'overloaded-at-limits');
    expect(over?.level).toBe('note');
    expect(over?.params).toMatchObject({ todayAmps: expect.closeTo(0.7, 0) as number });
  });

  it('is to be read first where nobody has, and one of the smallest would not do', () => {
    const unread = (drawVa: number, transformerVa: number | null) =>
      said(withDevice({ drawVa }, heated({ transformerVa })), 'de-own', 'transformer-unread');
    const [first] = unread(5, null);
    expect(first?.level).toBe('warn');
    expect(first?.params).toMatchObject({ leastVa: 20 });
    expect(unread(2, null)).toEqual([]);
    expect(unread(5, 40)).toEqual([]);
  });

  it('starves a coil that pulls in today, and that is said of the coil', () => {
    const weak = withDevice({ drawVa: 5 }, heated({ transformerVa: 24 }, 60));
    const { findings, verdict } = option(weak, 'de-own');
    const codes = findings.map((finding) => finding.code);
    expect([verdict, codes]).toEqual(['care', expect.arrayContaining(['load-at-limits'])]);
  });
});
