import { describe, expect, it } from 'vitest';
import { FERRY_HOUSE } from '../../demo/ferry-house';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { takeWays } from '../job/choices';
import { apply } from '../job/steps';
import { choosing, zonedHouse } from '../houses/zoned-houses';
import { simulate } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { worldOf } from '../houses/hand-wired';
import { jointWiring } from '../wiring/joint';
import { sortedWiring } from '../wiring/graph';
import { applyMoves } from './moves';
import { planFor } from './plan';
import { planTogether } from './together';

const DEVICE = 'de-fellgate';
const FERRY_WITH_ENOUGH = {
  ...FERRY_HOUSE,
  equipment: FERRY_HOUSE.equipment.map((machine) => ({ ...machine, plannedVa: 50 }))
};
const zones = (count: number, va: number | null = 40) =>
  choosing(zonedHouse(count, va), DEVICE, 'spare-conductor');
const shared = (job: Parameters<typeof planTogether>[0]) => planTogether(job).shared[0];

describe('thermostats on one transformer', () => {
  it('draw together what the circuit says, not what each draws alone', () => {
    const plan = planFor(zones(1), zones(1).thermostats[0]!);
    const alone = plan.after.find((row) => row.call === 'heat1')?.supplies[0]?.va ?? 0;
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
      const option = planFor(job, thermostat).options.find(
        (plannedOption) => plannedOption.method === 'spare-conductor'
      );
      const said = option?.findings.find((finding) => finding.code === 'overloaded-together');
      expect(option?.verdict).toBe('no');
      expect(said?.params).toMatchObject({ thermostats: 5 });
      const alone = planFor(job, thermostat, { neighbours: [] });
      expect(
        alone.options.find((plannedOption) => plannedOption.method === 'spare-conductor')?.verdict
      ).not.toBe('no');
    }
  });

  it('open again with one bigger transformer, which a licensed person puts in, once', () => {
    const small = zones(5);
    const job = { ...small, equipment: small.equipment.map((machine) => ({ ...machine, plannedVa: 75 })) };
    const together = planTogether(job);
    expect(together.shared[0]).toMatchObject({ overloaded: false, plannedVa: 75 });
    expect(together.places.map((place) => place.option.verdict)).toEqual(Array(5).fill('care'));
    for (const { option } of together.places)
      expect(option.findings.map((finding) => finding.code)).toContain('transformer-exchange');
    const exchange = together.moves.filter((move) => move.change?.kind === 'transformer');
    expect(exchange).toHaveLength(1);
    expect(exchange[0]?.thermostats).toHaveLength(5);
    expect(together.parts.filter((part) => part.id.startsWith('transformer-'))).toHaveLength(1);
  });

  it('take an unread size for 40 VA and say so', () => {
    expect(shared(zones(2, null))).toMatchObject({ ratedVa: 40, assumed: true });
  });

  it('are left out of it where they share no machine', () => {
    expect(planTogether(SCHOOLHOUSE).shared).toEqual([]);
  });
});

describe('what is on offer for several', () => {
  const devices = ['de-fellgate', 'de-moistly'] as const;
  /** Each number with each size, the devices in turn. */
  const cases = [2, 4, 6].flatMap((count, row) =>
    [20, 40, null].map((va, at) => ({ count, va, device: devices[(row + at) % 2]! }))
  );
  const planned = cases.map((size) => planTogether(choosing(zonedHouse(size.count, size.va), size.device)));

  it('holds with all of them at once, in the circuit of all', () => {
    planned.forEach(({ places }, at) => {
      const ends = places.map(({ thermostat, option, works }) => ({
        thermostat: thermostat.id,
        wiring: (works ? option.after : null) ?? option.before
      }));
      const joint = jointWiring(ends[0]!.wiring, ends.slice(1));
      const working = places.filter((place) => place.works).length;
      for (const call of callsOf(worldOf('boiler'), joint)) {
        const made = simulate(joint, worldOf('boiler'), call);
        if (!made.ok) throw new Error(made.why);
        const { supplies, feeds } = made.result;
        const where = JSON.stringify([cases[at], call]);
        if (working > 0)
          expect(
            supplies.every((supply) => !supply.fuseOpen && supply.amps * 24 <= supply.ratedVa),
            where
          ).toBe(true);
        expect(feeds.filter((feed) => feed.fed).length, where).toBeGreaterThanOrEqual(working);
      }
    });
  });

  it('was put to the test: some are open, and some are closed', () => {
    expect(new Set(planned.map(({ places }) => places.every((place) => place.works)))).toEqual(
      new Set([true, false])
    );
  });
});

describe('ways that are not chosen yet', () => {
  const job = choosing(zonedHouse(3, 40), 'de-moistly');
  const together = planTogether(job);

  it('are weighed against each other: as many wired as the transformer carries, the rest with a supply of their own', () => {
    expect(together.places.map((place) => place.option.method)).toEqual([
      'spare-conductor',
      'spare-conductor',
      'plug-in-transformer'
    ]);
    expect(together.places.every((place) => place.works)).toBe(true);
    expect(together.shared[0]).toMatchObject({ overloaded: false, tooSmallForAll: true, enough: 75 });
  });

  it('are the ways of each by itself once they are taken', () => {
    const taken = apply(
      job,
      takeWays(
        job,
        together.places.map(({ thermostat, option }) => ({
          thermostat: thermostat.id,
          method: option.method,
          variant: option.variant?.id ?? null
        }))
      )
    );
    for (const thermostat of taken.thermostats) {
      const plan = planFor(taken, thermostat);
      const option = plan.options.find((plannedOption) => plannedOption.method === plan.taken);
      expect(option?.verdict, thermostat.name).not.toBe('no');
    }
    expect(planTogether(taken).moves.map((move) => move.text)).toEqual(
      together.moves.map((move) => move.text)
    );
  });

  it('stay what the user chose, even where that is too much, and it is said', () => {
    const wired = choosing(job, 'de-moistly', 'spare-conductor');
    const { shared, places } = planTogether(wired);
    expect(shared[0]).toMatchObject({ overloaded: true, tooSmallForAll: true, enough: 75 });
    expect(places.every((place) => place.option.verdict === 'no')).toBe(true);
  });
});

describe('one trip for all', () => {
  const job = zones(3);
  const together = planTogether(job);

  it('cuts the power once, does everything at the panel in one visit, and then each wall', () => {
    const { moves } = together;
    expect(moves.filter((move) => move.action === 'power-off')).toHaveLength(1);
    expect(moves.filter((move) => move.action === 'power-on')).toHaveLength(1);
    const ends = moves.filter((move) => !move.action.startsWith('power')).map((move) => move.end);
    expect(ends.lastIndexOf('equipment')).toBeLessThan(ends.indexOf('wall'));
  });

  it('leads each thermostat from its wiring before to that after', () => {
    for (const { thermostat, option } of together.places) {
      const own = together.moves.filter((move) => move.thermostats.includes(thermostat.id));
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
    const ends = mixed.moves.filter((move) => !move.action.startsWith('power')).map((move) => move.end);
    const visits = ends.filter((end, at) => end === 'equipment' && ends[at - 1] !== 'equipment');
    expect(visits).toHaveLength(2);
    for (const { thermostat, option } of mixed.places) {
      const own = mixed.moves.filter((move) => move.thermostats.includes(thermostat.id));
      expect(sortedWiring(applyMoves(option.before, own))).toEqual(sortedWiring(option.after!));
    }
  });

  it('never joins the supplies that two thermostats have of their own', () => {
    const own = planTogether(choosing(zonedHouse(2), DEVICE, 'plug-in-transformer'));
    expect(own.moves.filter((move) => move.what === 'plug-in' && move.action === 'power-on')).toHaveLength(2);
    expect(own.parts.find((part) => part.id === 'plug-in-supply')?.quantity).toBe(2);
  });

  it('cuts the cable of all from common rolls', () => {
    const cabled = planTogether(
      choosing(zonedHouse(3, 75, { strands: ['RD R R', 'WH W W'] }), DEVICE, 'new-cable')
    );
    const metres = cabled.cuts.rolls.flatMap((roll) => roll.runs).map((run) => run.lengthM);
    expect(metres).toEqual([17, 17, 17]);
    expect(cabled.cuts.rolls.map((roll) => roll.lengthM)).toEqual([75]);
    expect(cabled.cuts.piecesFromRest).toBe(true);
  });
});
