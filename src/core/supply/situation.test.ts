/** The gate, and what every way is subject to. */
import { describe, expect, it } from 'vitest';
import { ref } from '../findings/refs';
import { house, type House } from '../houses/builder';
import { FAMILY_HOUSES } from '../houses/families';
import { furnaceWithCommon, oldAdapterHouse } from '../houses/houses';
import { ODD_HOUSES } from '../houses/odd-houses';
import { twoTs } from '../houses/screw-houses';
import { situationOf } from './situation';

const of = ({ job, thermostat }: House) => situationOf(job, thermostat);
const closed = (where: House) => of(where).closed.map((finding) => finding.code);
const conditions = (where: House) => of(where).conditions.map((condition) => condition.code);

describe('the gate', () => {
  it('is open for a house that is read and known', () => {
    expect(closed(furnaceWithCommon())).toEqual([]);
    expect(closed(twoTs())).toEqual([]);
  });

  it.each([
    ['a stop that was answered with yes', ODD_HOUSES['smell of gas'], 'stop-answered'],
    ['findings on a common that disagree', ODD_HOUSES['common traced to two spots'], 'common-traces-disagree']
  ] as const)('is closed by %s', (_, make, code) => {
    expect(closed(make())).toContain(code);
  });

  it('is not closed by a common that is traced once: that is a caution elsewhere', () => {
    expect(closed(ODD_HOUSES['common traced once']())).toEqual([]);
  });

  it('is closed by a record that contradicts itself', () => {
    const { job, thermostat } = furnaceWithCommon();
    const [first, ...rest] = thermostat.conductors;
    const twice = {
      ...thermostat,
      conductors: [
        { ...first!, near: { ...first!.near, on: [...first!.near.on, ...first!.near.on] } },
        ...rest
      ]
    };
    expect(closed({ job: { ...job, thermostats: [twice] }, thermostat: twice })).toEqual(['landed-twice']);
  });

  it('is closed by a machine’s traces only where the thermostat is on that machine', () => {
    const { job, thermostat } = ODD_HOUSES['common traced to two spots']();
    const elsewhere = { ...thermostat, equipment: [] };
    expect(closed({ job: { ...job, thermostats: [elsewhere] }, thermostat: elsewhere })).not.toContain(
      'common-traces-disagree'
    );
  });

  it('is closed while nothing is read, and while nothing is known of the system', () => {
    const empty = closed(house({ strands: [] }));
    expect(empty).toContain('end-not-read');
    expect(empty).toContain('system-unknown');
    const unknown = of(house({ strands: ['RD R R', 'WH W W'], board: ['R', 'W'], stated: 'unknown' }));
    expect(unknown.closed.map((finding) => finding.code)).toContain('system-unknown');
    expect(unknown.closed.map((finding) => finding.code)).not.toContain('end-not-read');
    for (const finding of unknown.closed) expect(finding.level).toBe('stop');
  });
});

describe('what every way is subject to', () => {
  it('is nothing in a house that is known', () => {
    expect(conditions(furnaceWithCommon())).toEqual([]);
  });

  it('is the system, while several are believable', () => {
    const vague = Object.values(FAMILY_HOUSES).map((trio) => of(trio.incomplete()));
    const open = vague.find((situation) => !situation.identification.decided && situation.worlds.length > 1)!;
    const said = open.conditions.find((condition) => condition.code === 'system-unsettled');
    expect(open.worlds.length).toBeGreaterThan(1);
    expect(said).toMatchObject({
      level: 'warn',
      params: { what: 'solved-for', families: [...new Set(open.worlds.map((world) => world.world.family))] }
    });
  });

  it('is each end that nobody has seen, by its wire', () => {
    const half = house({
      strands: ['RD R unseen', 'WH W W', 'BU coiled coiled'],
      board: ['R', 'C', 'W'],
      stated: 'furnace',
      observed: { 'measured-volts': 27, 'conductor-build': 'thin' }
    });
    const { assumed, conditions: all } = of(half);
    expect(assumed).toEqual(['co-1']);
    expect(all).toMatchObject([
      {
        code: 'end-not-read',
        level: 'warn',
        params: { what: 'assumed', conductors: ['red'] },
        because: [ref.conductor('co-1')]
      }
    ]);
  });

  it('is each value that was taken for one nobody read: cable, transformer, or both', () => {
    const values = (make: () => House) =>
      of(make()).conditions.filter((condition) => condition.code === 'values-assumed');
    expect(values(ODD_HOUSES['length not known'])).toMatchObject([
      { level: 'note', params: { cable: true, transformer: false }, because: [ref.cable('ca-1')] }
    ]);
    expect(values(ODD_HOUSES['no plate read'])).toMatchObject([
      { params: { cable: false, transformer: true }, because: [ref.machine('eq-1')] }
    ]);
    const { job, thermostat } = furnaceWithCommon();
    const noGauge = { ...thermostat, cables: thermostat.cables.map((cable) => ({ ...cable, gauge: null })) };
    expect(values(() => ({ job: { ...job, thermostats: [noGauge] }, thermostat: noGauge }))).toMatchObject([
      { params: { cable: true, transformer: false } }
    ]);
  });

  it('is an adapter of the old thermostat, which every method does without', () => {
    const { found, before, conditions: all } = of(oldAdapterHouse());
    expect(all.map((finding) => finding.code)).toContain('old-adapter-in-line');
    expect(found.devices.some((device) => device.kind === 'adapter')).toBe(true);
    expect(before.devices.some((device) => device.kind === 'adapter')).toBe(false);
  });

  it('has a world of its own kind where nothing is believable, so that no step is without one', () => {
    const { world, worlds } = of(house({ strands: ['RD R R'], stated: 'unknown' }));
    if (worlds.length === 0) expect(world).toMatchObject({ family: 'unknown', compressor: false });
    else expect(world).toBe(worlds[0]!.world);
  });
});
