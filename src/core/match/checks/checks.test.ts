/** Each check in a house where it must speak and in one where it must not, for devices that differ in nothing else. */
import { describe, expect, it } from 'vitest';
import type { DeviceFacts } from '../../job/device-facts';
import { ref } from '../../findings/refs';
import { makeId } from '../../job/ids';
import { house, type House, type HouseSketch } from '../../houses/builder';
import { FAMILY_HOUSES } from '../../houses/families';
import { boilerPlusAcHouse, furnaceFourWires, furnaceWithCommon, heatPumpHouse } from '../../houses/houses';
import { worldOf } from '../../houses/hand-wired';
import type { World } from '../../devices/world';
import { identify } from '../../identify/identify';
import { wiringOf } from '../../wiring/from-job';
import { findDevice } from '../catalogue';
import { matchDevice } from '../match';
import { wireJobs } from '../wire-jobs';
import { terminals } from './terminals';

const base = findDevice(furnaceWithCommon().job, 'de-fellgate')!;
/** A device that would suit any house, but for what is said. */
const device = (facts: Partial<DeviceFacts> = {}): DeviceFacts => ({
  ...base,
  id: makeId('device', 'own'),
  model: 'Own',
  marks: ['RH', 'RC', 'C', 'W', 'W2', 'Y', 'Y2', 'G', 'O/B', 'AUX', 'E'],
  heatStages: 2,
  coolStages: 2,
  heatPump: true,
  ...facts
});
const matched = ({ job, thermostat }: House, facts: Partial<DeviceFacts> = {}) =>
  matchDevice(job, thermostat, device(facts));
const found = (where: House, code: string, facts: Partial<DeviceFacts> = {}) =>
  matched(where, facts).findings.filter((finding) => finding.code === code);
const staged = (sketch: Partial<HouseSketch>): House =>
  house({
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
    board: ['R', 'C', 'W', 'W2', 'Y', 'Y2', 'G'],
    stated: 'furnace-ac',
    observed: { 'measured-volts': 27, 'outdoor-unit': 'rests' },
    ...sketch
  });

describe('heat pump', () => {
  const plain = (family: 'heat-pump' | 'dual-fuel' | 'furnace-ac') => FAMILY_HOUSES[family].plain();

  it.each(['heat-pump', 'dual-fuel'] as const)('a device that drives none is refused on a %s', (family) => {
    const [finding] = found(plain(family), 'no-heat-pump', { heatPump: false });
    expect(finding?.level).toBe('stop');
    expect(matched(plain(family), { heatPump: false }).verdict).toBe('no');
    expect(found(plain(family), 'no-heat-pump')).toEqual([]);
  });

  it('the same device is none the worse on a furnace with an air conditioner', () => {
    expect(found(plain('furnace-ac'), 'no-heat-pump', { heatPump: false })).toEqual([]);
  });

  it('is doubted, not refused, while a heat pump is only one of what it may be', () => {
    const open = house({
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'WH W W'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: { 'conductor-build': 'thin', 'heat-from': 'registers', 'outdoor-unit': 'unsure' }
    });
    const levels = found(open, 'no-heat-pump', { heatPump: false }).map((finding) => finding.level);
    expect(levels.every((level) => level === 'warn')).toBe(true);
  });
});

describe('stages', () => {
  it('of heat and of cooling are each said that the device leaves unused', () => {
    const unused = found(staged({}), 'too-few-stages', { heatStages: 1, coolStages: 1 });
    expect(unused.map((finding) => finding.params)).toMatchObject([
      { stage: 'heat' },
      { stage: 'compressor' }
    ]);
    expect(found(staged({}), 'too-few-stages')).toEqual([]);
    expect(found(staged({ board: ['R', 'C', 'W', 'Y', 'G'] }), 'too-few-stages', { heatStages: 1 })).toEqual(
      []
    );
  });

  it('are no matter of W2 on a heat pump or with a burner for help: it is their auxiliary heat', () => {
    expect(found(heatPumpHouse(), 'too-few-stages', { heatStages: 1 })).toEqual([]);
    expect(found(FAMILY_HOUSES['dual-fuel'].plain(), 'too-few-stages', { heatStages: 1 })).toEqual([]);
  });
});

describe('voltage', () => {
  it('on data wires none fits, and no terminal is asked for there', () => {
    const data = matched(FAMILY_HOUSES.communicating.incomplete());
    expect(data.verdict).toBe('no');
    expect(data.findings.map(({ code }) => code)).toEqual(['data-conductors']);
  });

  it.each([
    ['line-voltage', 'line'],
    ['millivolt', 'millivolt']
  ] as const)('on %s it says of which device and which voltage', (family, voltageClass) => {
    expect(found(FAMILY_HOUSES[family].plain(), 'wrong-voltage-class')).toMatchObject([
      { level: 'stop', params: { model: 'Own', voltageClass }, because: [ref.device('de-own')] }
    ]);
  });

  it('on mains nothing else is said, nor is anybody sent to the wires', () => {
    const mains = matched(FAMILY_HOUSES['line-voltage'].plain(), { marks: ['C'] });
    expect(mains.findings.map(({ code }) => code)).toEqual(['wrong-voltage-class']);
    expect(mains.open).toEqual([]);
  });
});

describe('terminals', () => {
  it('are asked for by what the wall says as long as nobody knows what the machine’s screw does', () => {
    const marks = device().marks.filter((mark) => mark !== 'Y');
    const riddle = staged({
      strands: ['RD R R', 'WH W W', 'YE Y QX', 'GN G G', 'BU C C'],
      board: ['R', 'C', 'W', 'QX', 'G']
    });
    expect(found(riddle, 'missing-terminal', { marks })).toMatchObject([{ level: 'stop' }]);
    const nowhere = staged({ strands: ['RD R R', 'WH W W', 'YE Y unseen', 'GN G G'], board: [] });
    expect(found(nowhere, 'missing-terminal', { marks })).toMatchObject([{ level: 'stop' }]);
  });

  it('are not asked for by what feeds, nor by a wire that is free at the wall', () => {
    const marks = ['R', 'C', 'W', 'Y', 'G'];
    expect(found(boilerPlusAcHouse(), 'missing-terminal', { marks })).toEqual([]);
    const free = staged({ strands: ['RD R R', 'WH W W', 'BN coiled W2'] });
    expect(found(free, 'missing-terminal', { marks })).toEqual([]);
  });

  it('rest on the wire, the machine that it was followed to, and the device', () => {
    const marks = device().marks.filter((mark) => mark !== 'Y');
    const [read] = found(furnaceWithCommon(), 'missing-terminal', { marks });
    expect(read?.because).toEqual([ref.conductor('co-3'), ref.machine('eq-1'), ref.device('de-own')]);
    const [unread] = found(staged({ strands: ['RD R R', 'YE Y unseen'] }), 'missing-terminal', { marks });
    expect(unread?.because).toEqual([ref.conductor('co-2'), ref.device('de-own')]);
  });

  it('refuse for what it has to drive in each believable system, and only doubt for what it has to in some', () => {
    const { job, thermostat } = house({
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'BU B B'],
      board: ['R', 'W', 'Y', 'G', 'B'],
      observed: { 'conductor-build': 'thin' }
    });
    const identification = identify(job, thermostat);
    const wiring = wiringOf(job, thermostat);
    const [pump, furnace] = [worldOf('heat-pump', { reversing: 'O' }), worldOf('furnace-ac')];
    const said = (...worlds: World[]) =>
      terminals
        .check({
          identification,
          wiring,
          worlds,
          jobs: worlds.map((world) => wireJobs(wiring, world)),
          device: device({ marks: ['R', 'C', 'W', 'Y', 'G'] })
        })
        .map(({ level, params }) => [level, 'what' in params ? params.what : null]);
    expect(said(pump)).toEqual([['stop', 'role']]);
    expect(said(pump, furnace)).toEqual([['warn', 'role-in-some']]);
  });

  it.each([
    ['the blower', 'G', 'warn'],
    ['the compressor', 'Y', 'stop'],
    ['heat', 'W', 'stop']
  ])('%s has no place where the device has no %s: %s', (spoken, mark, level) => {
    const marks = device().marks.filter((candidate) => candidate !== mark);
    const [finding] = found(furnaceWithCommon(), 'missing-terminal', { marks });
    expect(finding).toMatchObject({ level, params: { what: 'role', role: spoken } });
  });

  it('are asked for by what a wire does at the machine, not by what the old plate called it', () => {
    const renamed = staged({ strands: ['RD R R', 'WH W W', 'YE Y Y', 'BN AUX W2', 'BU C C'] });
    const marks = device().marks.filter((mark) => mark !== 'W2' && mark !== 'AUX');
    expect(found(renamed, 'missing-terminal', { marks })).toMatchObject([
      { params: { role: 'the second heat stage' } }
    ]);
  });

  it('take the one cooling wire for cooling, though the board calls it Y2', () => {
    const alone = staged({ strands: ['RD R R', 'WH W W', 'YE Y Y2', 'GN G G', 'BU C C'] });
    const marks = device().marks.filter((mark) => mark !== 'Y2');
    expect(found(alone, 'missing-terminal', { marks })).toEqual([]);
  });

  it('are not asked for by a spare, nor by a wire that leads nowhere', () => {
    const idle = staged({ strands: ['RD R R', 'WH W W', 'BU C C', 'YE Y loose', 'GN coiled coiled'] });
    const marks = ['RH', 'RC', 'C', 'W'];
    expect(found(idle, 'missing-terminal', { marks })).toEqual([]);
  });

  it('name a mark that the device cannot know', () => {
    const lamp = staged({ strands: ['RD R R', 'WH W W', 'BU C C', 'GN L L'], board: ['R', 'C', 'W', 'L'] });
    expect(found(lamp, 'missing-terminal')).toMatchObject([
      { params: { mark: 'L', means: expect.stringContaining('fault lamp') as string } }
    ]);
  });
});

describe('rails', () => {
  it.each([
    ['one-r', 'link-must-suit-supplies', 'stop'],
    ['joined-inside', 'link-must-suit-supplies', 'stop'],
    ['link-to-be-cut', 'link-to-be-cut', 'warn'],
    ['link-removable', 'link-must-suit-supplies', 'warn']
  ] as const)('%s with two transformers: %s, %s', (rails, code, level) => {
    expect(found(boilerPlusAcHouse(), code, { rails })).toMatchObject([{ level }]);
    expect(found(furnaceWithCommon(), code, { rails }).filter((finding) => finding.level !== 'note')).toEqual(
      []
    );
  });

  const half = (strands: readonly string[]) => staged({ strands: [...strands, 'WH W W', 'YE Y Y'] });

  it.each([
    ['one-r', 'may-be-joined'],
    ['joined-inside', 'may-be-joined'],
    ['link-removable', 'may-have-to-be-out'],
    ['link-to-be-cut', 'may-have-to-be-out']
  ] as const)('%s with two hot wires of which one was not followed: %s, a caution', (rails, what) => {
    for (const strands of [
      ['RD RH R', 'BK RC unseen'],
      ['RD RH unseen', 'BK RC R']
    ])
      expect(found(half(strands), 'link-must-suit-supplies', { rails })).toMatchObject([
        { level: 'warn', params: { what, conductors: ['red', 'black'] } }
      ]);
  });

  const settings = (where: House, rails: DeviceFacts['rails']) =>
    found(where, 'set-up', { rails }).flatMap(({ params }) => ('what' in params ? [params.what] : []));

  it('with two hot wires on one machine, or a jumper between two, are no matter of two supplies', () => {
    const same = staged({ strands: ['RD RH R', 'BK RC R', 'WH W W'] });
    const joined = house({
      strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2'],
      board: ['R', 'C', 'W'],
      links: ['equipment R R@2'],
      stated: 'boiler-plus-ac',
      observed: { 'measured-volts': 26 },
      equipment: { name: 'boiler', kind: 'boiler' },
      further: [{ name: 'air handler', kind: 'air-handler', marks: ['R', 'C', 'Y', 'G'] }]
    });
    for (const where of [same, joined]) {
      expect(found(where, 'link-must-suit-supplies', { rails: 'one-r' })).toEqual([]);
      expect(settings(where, 'link-removable')).toContain('one-supply-clip');
    }
  });

  it('with one hot wire that was not followed are left open: no jumper is said to stay in', () => {
    const unread = staged({ strands: ['RD R unseen', 'WH W W'] });
    expect(found(unread, 'link-must-suit-supplies', { rails: 'one-r' })).toEqual([]);
    expect(settings(unread, 'link-removable')).not.toContain('one-supply-clip');
  });

  it('rest on the two wires', () => {
    const [both] = found(boilerPlusAcHouse(), 'link-must-suit-supplies', { rails: 'one-r' });
    expect(both?.params).toEqual({ what: 'joined-inside', model: 'Own' });
    expect(both?.because).toEqual([ref.conductor('co-1'), ref.conductor('co-3'), ref.device('de-own')]);
    const [either] = found(half(['RD RH R', 'BK RC unseen']), 'link-must-suit-supplies', { rails: 'one-r' });
    expect(either?.because).toEqual([ref.conductor('co-1'), ref.conductor('co-2'), ref.device('de-own')]);
    expect(either?.params).toMatchObject({ model: 'Own' });
  });

  it('with a second hot wire that was seen to end on nothing are none of two supplies', () => {
    const single = half(['RD RH R', 'BK RC loose']);
    expect(found(single, 'link-must-suit-supplies', { rails: 'one-r' })).toEqual([]);
  });

  it('with one transformer are a setting at most', () => {
    const set = (rails: DeviceFacts['rails']) =>
      found(furnaceWithCommon(), 'set-up', { rails }).map(({ params }) => 'what' in params && params.what);
    expect(set('joined-inside')).toContain('one-supply-joined');
    expect(set('link-removable')).toContain('one-supply-clip');
    expect(set('one-r').filter((what) => String(what).startsWith('one-supply'))).toEqual([]);
  });
});

describe('common', () => {
  it('that is landed at one end only is none', () => {
    const half = staged({ strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C loose'] });
    expect(found(half, 'needs-common', { supply: 'common-required' })).toHaveLength(1);
    expect(found(furnaceWithCommon(), 'needs-common', { supply: 'common-required' })).toEqual([]);
  });

  it.each([
    ['common-required', 'needs-common', 'warn'],
    ['common-or-battery', 'needs-common', 'note'],
    ['self-charging', 'supply-not-proven', 'warn'],
    ['battery', 'device-needs-no-common', 'note'],
    ['paired-receiver', 'device-needs-no-common', 'note']
  ] as const)('for one that lives on %s: %s, %s', (supply, code, level) => {
    expect(found(furnaceFourWires(), code, { supply })).toMatchObject([{ level }]);
  });

  it('that a sheet asks for and gives no terminal for is a slip in the entry', () => {
    const marks = device().marks.filter((mark) => mark !== 'C');
    expect(
      found(furnaceWithCommon(), 'device-has-no-common', { marks, supply: 'common-required' })
    ).toHaveLength(1);
  });
});

describe('set-up', () => {
  const set = (where: House, facts: Partial<DeviceFacts> = {}) =>
    found(where, 'set-up', facts).map((finding) => finding.params);

  it.each([
    ['boiler', 'water (boiler)'],
    ['steam', 'steam'],
    ['dual-fuel', 'heat pump with a burner for help'],
    ['cooling-only', 'cooling only']
  ] as const)('names the kind of system of a %s', (family, words) => {
    const system = set(FAMILY_HOUSES[family].plain()).find((it) => 'systems' in it);
    expect(JSON.stringify(system).toLowerCase()).toBe(`{"what":"system","systems":["${words}"]}`);
  });

  it('names the side of the reversing valve where one is landed, and none where there is none', () => {
    expect(set(heatPumpHouse())).toContainEqual({ what: 'valve', valve: 'O' });
    expect(set(furnaceWithCommon()).filter((it) => 'valve' in it)).toEqual([]);
  });

  it('leaves who runs the blower to the safe side while that is open', () => {
    const electric = FAMILY_HOUSES['electric-furnace'].plain();
    const fans = (where: House) => JSON.stringify(set(where)).match(/fan-[a-z]+/g) ?? [];
    expect(fans(electric)).toHaveLength(1);
    expect(fans(electric)[0]).not.toBe('fan-board');
    expect(fans(FAMILY_HOUSES.boiler.plain())).toEqual([]);
  });
});

describe('accessories', () => {
  const moist = (ownRelay: 'yes' | 'no', kind: 'humidifier' | 'lamp' = 'humidifier'): House => {
    const where = furnaceWithCommon();
    const equipment = where.job.equipment.map((machine) => ({
      ...machine,
      accessories: [{ kind, ownRelay, note: '' }]
    }));
    return { job: { ...where.job, equipment }, thermostat: where.thermostat };
  };

  it.each([
    ['none', 'yes', 1],
    ['unknown', 'no', 1],
    ['powered', 'yes', 1],
    ['powered', 'no', 0],
    ['dry', 'yes', 0]
  ] as const)('outputs: %s, own relay: %s, said %i times', (accessoryOutputs, ownRelay, times) => {
    expect(found(moist(ownRelay), 'accessory-output', { accessoryOutputs })).toHaveLength(times);
  });

  it('that no thermostat works are none of its matter', () => {
    expect(found(moist('yes', 'lamp'), 'accessory-output', { accessoryOutputs: 'none' })).toEqual([]);
  });
});
