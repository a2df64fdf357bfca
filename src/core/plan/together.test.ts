import { describe, expect, it } from 'vitest';
import { FERRY_HOUSE } from '../../demo/ferry-house';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { choosing, zonedHouse } from '../scenarios/zoned-houses';
import { sortedWiring } from '../wiring/graph';
import { applyMoves } from './moves';
import { planFor } from './plan';
import { planTogether } from './together';

const DEVICE = 'de-fellgate';
const FERRY_WITH_ENOUGH = {
  ...FERRY_HOUSE,
  equipment: FERRY_HOUSE.equipment.map((one) => ({ ...one, plannedVa: 50 }))
};
const zones = (count: number, va: number | null = 40) =>
  choosing(zonedHouse(count, va), DEVICE, 'spare-conductor');
const shared = (job: Parameters<typeof planTogether>[0]) => planTogether(job).shared[0];

describe('thermostats on one transformer', () => {
  it('draw together what the circuit says, not what each draws alone', () => {
    const one = planFor(zones(1), zones(1).thermostats[0]!);
    const alone = one.after.find((row) => row.call === 'heat1')?.supplies[0]?.va ?? 0;
    const three = shared(zones(3))?.rows.find((row) => row.call === 'heat1');
    expect(three?.after).toBeGreaterThan(2 * alone);
    // Every zone has a valve and a thermostat of its own; the boiler's relay is there once, and the voltage sags.
    expect(three?.after).toBeLessThan(3 * alone);
    expect(three?.before).toBeLessThan(three?.after ?? 0);
  });

  it('refuse every wired way where they overload it together though each alone would do', () => {
    const job = zones(5);
    expect(shared(job)).toMatchObject({ overloaded: true, enough: 75, ratedVa: 40 });
    for (const thermostat of job.thermostats) {
      const option = planFor(job, thermostat).options.find((one) => one.method === 'spare-conductor');
      const said = option?.findings.find((one) => one.code === 'overloaded-together');
      expect(option?.verdict).toBe('no');
      expect(said?.text).toContain('All 5 thermostats on it call at once');
      const alone = planFor(job, thermostat, { neighbours: [] });
      expect(alone.options.find((one) => one.method === 'spare-conductor')?.verdict).not.toBe('no');
    }
  });

  it('open again with one bigger transformer, which a licensed person puts in, once', () => {
    const small = zones(5);
    const job = { ...small, equipment: small.equipment.map((one) => ({ ...one, plannedVa: 75 })) };
    const together = planTogether(job);
    expect(together.shared[0]).toMatchObject({ overloaded: false, plannedVa: 75 });
    expect(together.places.map((one) => one.option.verdict)).toEqual(Array(5).fill('care'));
    for (const { option } of together.places)
      expect(option.findings.map((one) => one.code)).toContain('transformer-exchange');
    const exchange = together.moves.filter((one) => one.change?.kind === 'transformer');
    expect(exchange).toHaveLength(1);
    expect(exchange[0]?.thermostats).toHaveLength(5);
    expect(together.parts.filter((one) => one.id.startsWith('transformer-'))).toHaveLength(1);
  });

  it('take an unread size for 40 VA and say so', () => {
    expect(shared(zones(2, null))).toMatchObject({ ratedVa: 40, assumed: true });
  });

  it('are left out of it where they share no machine', () => {
    expect(planTogether(SCHOOLHOUSE).shared).toEqual([]);
  });
});

describe('one trip for all', () => {
  const job = zones(3);
  const together = planTogether(job);

  it('cuts the power once, does everything at the panel in one visit, and then each wall', () => {
    const { moves } = together;
    expect(moves.filter((one) => one.action === 'power-off')).toHaveLength(1);
    expect(moves.filter((one) => one.action === 'power-on')).toHaveLength(1);
    const ends = moves.filter((one) => !one.action.startsWith('power')).map((one) => one.end);
    expect(ends.lastIndexOf('equipment')).toBeLessThan(ends.indexOf('wall'));
  });

  it('leads each thermostat from its wiring before to that after', () => {
    for (const { thermostat, option } of together.places) {
      const own = together.moves.filter((one) => one.thermostats.includes(thermostat.id));
      expect(sortedWiring(applyMoves(option.before, own))).toEqual(sortedWiring(option.after!));
    }
  });

  it('takes less time than one after the other, within its band', () => {
    const { minutes, minutesApart } = together;
    expect(minutes.usual).toBeLessThan(minutesApart.usual);
    expect(minutes.low).toBeLessThan(minutes.usual);
    expect(minutes.usual).toBeLessThan(minutes.high);
  });

  it('pulls the new cables of all before it goes back to the panel, where some have one and others a spare', () => {
    const mixed = planTogether(FERRY_WITH_ENOUGH);
    const ends = mixed.moves.filter((one) => !one.action.startsWith('power')).map((one) => one.end);
    const visits = ends.filter((one, at) => one === 'equipment' && ends[at - 1] !== 'equipment');
    expect(visits).toHaveLength(2);
    for (const { thermostat, option } of mixed.places) {
      const own = mixed.moves.filter((one) => one.thermostats.includes(thermostat.id));
      expect(sortedWiring(applyMoves(option.before, own))).toEqual(sortedWiring(option.after!));
    }
  });

  it('never joins the supplies that two thermostats have of their own', () => {
    const own = planTogether(choosing(zonedHouse(2), DEVICE, 'plug-in-transformer'));
    expect(own.moves.filter((one) => one.what === 'plug-in' && one.action === 'power-on')).toHaveLength(2);
    expect(own.parts.find((one) => one.id === 'plug-in-supply')?.quantity).toBe(2);
  });

  it('cuts the cable of all from common rolls', () => {
    const cabled = planTogether(
      choosing(zonedHouse(3, 75, { strands: ['RD R R', 'WH W W'] }), DEVICE, 'new-cable')
    );
    const metres = cabled.cuts.rolls.flatMap((one) => one.runs).map((one) => one.lengthM);
    expect(metres).toEqual([17, 17, 17]);
    expect(cabled.cuts.rolls.map((one) => one.lengthM)).toEqual([75]);
    expect(cabled.cuts.piecesFromRest).toBe(true);
  });
});
