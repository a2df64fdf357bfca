import { describe, expect, it } from 'vitest';
import { mainsOf, type MainsSketch } from '../../houses/mains-builder';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../../houses/mains-houses';
import { TWO_VALVE } from '../../houses/mains-layouts';
import type { MainsControls } from '../../job/mains-schema';
import { wiringFromMains } from '../../wiring/from-mains';
import { pointsOf, unexplained } from './points';

const codes = (mains: MainsControls, level: string) =>
  unexplained(mains).flatMap((finding) => (finding.level === level ? [finding.code] : []));

const withWire = (mains: MainsControls, change: Partial<MainsControls['wires'][number]>): MainsControls => ({
  ...mains,
  wires: mains.wires.map((wire, at) => (at === 0 ? { ...wire, ...change } : wire))
});

/** One of everything, so that any two screws can be put under one number. */
const UNITS: MainsSketch['units'] = {
  ...TWO_VALVE.units,
  upstairs: { part: 'room-thermostat' },
  switch: {
    part: 'timer',
    contacts: 'volt-free',
    screws: [
      ['1', 'water-off'],
      ['3', 'water-on'],
      ['COM', 'heating-common'],
      ['NO', 'heating-on']
    ]
  },
  cylinder: { part: 'cylinder-thermostat' },
  middle: { part: 'mid-position-valve' },
  frost: { part: 'frost-thermostat' },
  pipe: { part: 'pipe-thermostat' },
  boiler: {
    part: 'boiler',
    screws: [
      ['L', 'live'],
      ['SL', 'switched-live'],
      ['PL', 'pump-live'],
      ['N', 'neutral'],
      ['T1', 'contact-a'],
      ['T2', 'contact-b']
    ]
  },
  receiver: {
    part: 'controller',
    screws: [
      ['A', 'low-a'],
      ['B', 'low-b']
    ]
  },
  wall: {
    part: 'wall-part',
    screws: [
      ['A', 'low-a'],
      ['B', 'low-b']
    ]
  }
};

const jobsOf = (...screws: readonly string[]) =>
  pointsOf(wiringFromMains(mainsOf({ units: UNITS, strip: { 1: screws } }))).find(
    ({ terminals }) => terminals.length > 1
  )?.jobs;

describe('two screws under one number', () => {
  it.each([
    ['spur.live', 'pump.neutral'],
    ['spur.live', 'pump.earth'],
    ['pump.neutral', 'pump.earth'],
    ['timer.heating-on', 'pump.neutral'],
    ['timer.water-on', 'timer.heating-on'],
    ['spur.live', 'boiler.contact-a'],
    ['spur.live', 'boiler.contact-b'],
    ['spur.live', 'receiver.low-a'],
    ['receiver.low-a', 'receiver.low-b'],
    ['receiver.low-b', 'pump.neutral'],
    ['spur.live', 'heating-valve.motor'],
    ['spur.live', 'boiler.switched-live'],
    ['spur.live', 'boiler.pump-live'],
    ['heating-valve.switch-in', 'heating-valve.switch-out'],
    ['heating-valve.motor', 'heating-valve.switch-out'],
    ['middle.white', 'middle.grey'],
    ['middle.white', 'middle.orange'],
    ['middle.grey', 'middle.orange'],
    ['cylinder.satisfied', 'cylinder.call'],
    ['cylinder.satisfied', 'boiler.switched-live'],
    ['room.in', 'room.out'],
    ['room.out', 'upstairs.in'],
    ['room.out', 'cylinder.call'],
    ['frost.in', 'frost.out'],
    ['boiler.pump-live', 'boiler.switched-live']
  ])('%s and %s have no job together', (a, b) => {
    expect(jobsOf(a, b)).toEqual([]);
  });

  it.each([
    ['permanent live', ['spur.live', 'timer.live', 'switch.heating-common', 'frost.in']],
    ['permanent live', ['spur.live', 'room.in', 'cylinder.common', 'water-valve.switch-in']],
    ['heating on', ['timer.heating-on', 'room.in', 'pipe.in']],
    ['room calls', ['room.out', 'frost.out', 'pipe.out', 'heating-valve.motor', 'middle.white']],
    ['heating straight to boiler or pump', ['room.out', 'frost.out', 'pump.live', 'boiler.switched-live']],
    ['water on', ['timer.water-on', 'cylinder.common']],
    ['cylinder calls', ['cylinder.call', 'water-valve.motor']],
    ['water straight to the boiler', ['timer.water-on', 'boiler.switched-live']],
    ['cylinder satisfied', ['cylinder.satisfied', 'middle.grey', 'switch.water-off']],
    ['boiler and pump', ['water-valve.switch-out', 'middle.orange', 'boiler.switched-live', 'pump.live']],
    ['pump from the boiler', ['boiler.pump-live', 'pump.live']],
    ['frost to pipe', ['frost.out', 'pipe.in']],
    ['boiler contact, one side', ['switch.heating-common', 'boiler.contact-a']],
    ['boiler contact, other side', ['switch.heating-on', 'boiler.contact-b']],
    ['low voltage', ['receiver.low-a', 'wall.low-a']],
    ['low voltage, other side', ['receiver.low-b', 'wall.low-b']]
  ] as const)('are %s', (job, screws) => {
    expect(jobsOf(...screws)).toContain(job);
  });
});

describe('what every joint is for', () => {
  it.each(Object.keys(MAINS_SKETCHES) as MainsHouse[])('is known of %s', (name) => {
    expect(codes(mainsHouse(name), 'stop')).toEqual([]);
  });

  it('stops at an end that nobody has read', () => {
    const mains = withWire(mainsHouse('two-valve'), { far: { state: 'unseen', on: null } });
    expect(codes(mains, 'stop')).toEqual(['mains-end-unread']);
  });

  it('stops at a screw that nobody can name and that carries a wire', () => {
    const mains = mainsHouse('two-valve');
    const unread = (used: boolean): MainsControls => ({
      ...mains,
      devices: mains.devices.map((device) =>
        device.part !== 'timer'
          ? device
          : {
              ...device,
              screws: used
                ? device.screws.map((screw) =>
                    screw.mark === '4' ? { ...screw, does: 'unknown' as const } : screw
                  )
                : [
                    ...device.screws,
                    { id: 'sc-9', mark: '9', does: 'unknown' as const } as (typeof device.screws)[number]
                  ]
            }
      )
    });
    expect(codes(unread(true), 'stop')).toContain('mains-screw-unread');
    expect(codes(unread(false), 'stop')).toEqual([]);
  });

  it('stops at a joint that has no job: heating on beside neutral', () => {
    const mains = mainsOf({
      ...TWO_VALVE,
      strip: { ...TWO_VALVE.strip, 4: ['timer.heating-on', 'room.in', 'pump.neutral'] }
    });
    expect(codes(mains, 'stop')).toContain('mains-point-unexplained');
  });

  it('stops at what has to be fed and is alone under its number, warns of a parked output and of a bare wire', () => {
    const alone = mainsOf({
      ...TWO_VALVE,
      strip: { ...TWO_VALVE.strip, 5: ['room.out'], 9: ['heating-valve.motor'] }
    });
    expect(codes(alone, 'stop').filter((code) => code === 'mains-point-alone')).toHaveLength(2);
    expect(codes(mainsHouse('grey-not-driven'), 'warn')).toEqual(['mains-point-alone']);
    const bare = withWire(mainsHouse('two-valve'), { far: { state: 'loose', on: null } });
    expect(codes(bare, 'warn')).toContain('mains-wire-loose');
  });

  it('stops at green-yellow that is no earth, and warns of blue that is switched live without a sleeve', () => {
    const live = withWire(mainsHouse('two-valve'), { colour: 'GN', stripe: 'YE' });
    expect(codes(live, 'stop')).toEqual(['mains-colour-misleads']);
    const blue = withWire(mainsHouse('two-valve'), { colour: 'BU' });
    expect(codes(blue, 'warn')).toContain('mains-colour-misleads');
    expect(codes(withWire(mainsHouse('two-valve'), { colour: 'BU', sleeve: 'BN' }), 'warn')).toEqual([]);
  });

  it('knows the older colours, cable by cable', () => {
    const mains = mainsHouse('two-valve');
    const recoloured = (cable: string, colours: Record<string, 'RD' | 'BK' | 'GN'>): MainsControls => ({
      ...mains,
      wires: mains.wires.map((wire) => {
        const colour = wire.cable === cable ? colours[wire.colour ?? ''] : undefined;
        return colour === undefined ? wire : { ...wire, colour, stripe: null };
      })
    });
    // Red, black and green in the places of brown, blue and green-yellow: as it was done.
    const old = recoloured('ca-pump', { BN: 'RD', BU: 'BK', GN: 'GN' });
    expect([...codes(old, 'stop'), ...codes(old, 'warn')]).toEqual([]);
    // Black is neutral there: as a switched live it has to be sleeved. In a cable of today it need not be.
    const room = mainsHouse('two-valve');
    expect(codes(room, 'warn')).toEqual([]);
    const oldRoom = recoloured('ca-room', { BN: 'RD', GN: 'GN' });
    expect(codes(oldRoom, 'warn')).toEqual(['mains-colour-misleads']);
    // Brown or red as a neutral misleads by either code.
    expect(codes(recoloured('ca-pump', { BU: 'RD' }), 'warn')).toContain('mains-colour-misleads');
  });

  it('says nothing before the boiler and the spur are written down, nor before the boiler’s input is known', () => {
    const mains = mainsHouse('two-valve');
    const without = (part: string): MainsControls => {
      const gone = mains.devices.find((device) => device.part === part);
      return {
        ...mains,
        devices: mains.devices.filter((device) => device !== gone),
        wires: mains.wires.filter((wire) => wire.near.on?.device !== gone?.id)
      };
    };
    expect(codes(without('boiler'), 'stop')).toContain('mains-nothing-recorded');
    expect(codes(without('supply'), 'stop')).toContain('mains-spur-missing');
    const input: MainsControls = {
      ...mains,
      devices: mains.devices.map((device) =>
        device.part === 'boiler' ? { ...device, input: 'unknown' } : device
      )
    };
    expect(codes(input, 'stop')).toEqual(['mains-boiler-input-unread']);
  });
});

describe('a question about a strip', () => {
  const sound = mainsHouse('two-valve');
  const wireOf = (device: string, does: string) => {
    const unit = sound.devices.find(({ id }) => id === `md-${device}`)!;
    const screw = unit.screws.find((candidate) => candidate.does === does);
    return sound.wires.find(({ near }) => near.on?.device === unit.id && near.on.screw === screw?.id)!;
  };
  const changed = (id: string, change: Partial<MainsControls['wires'][number]>): MainsControls => ({
    ...sound,
    wires: sound.wires.map((wire) => (wire.id === id ? { ...wire, ...change } : wire))
  });

  it('names the wire, the cable and the screw, and leads to them', () => {
    const { id } = wireOf('pump', 'live');
    const about = { wire: expect.stringContaining('brown') as string, cable: 'pump' };
    expect(unexplained(changed(id, { near: { state: 'unseen', on: null } }))).toContainEqual(
      expect.objectContaining({ code: 'mains-end-unread', params: about, because: [id] })
    );
    expect(unexplained(changed(id, { far: { state: 'loose', on: null } }))).toContainEqual(
      expect.objectContaining({ code: 'mains-wire-loose', params: about, because: [id] })
    );
  });

  it('is none about a wire that is off at both ends', () => {
    const off = { state: 'loose' as const, on: null };
    expect(codes(changed(wireOf('pump', 'earth').id, { near: off, far: off }), 'warn')).not.toContain(
      'mains-wire-loose'
    );
  });

  it('is about a colour at the device that it ends on', () => {
    const said = (device: string, does: string, change: Partial<MainsControls['wires'][number]>) => {
      const { id } = wireOf(device, does);
      return unexplained(changed(id, change)).map(({ level, code, because }) => [
        level,
        code,
        ...because.map((it) => it === id)
      ]);
    };
    const misleads = ['warn', 'mains-colour-misleads', true];
    expect(said('pump', 'earth', { colour: 'BN', stripe: null })).toEqual([misleads]);
    expect(said('pump', 'earth', { colour: 'BN', stripe: null, sleeve: 'GN' })).toEqual([]);
    expect(said('pump', 'live', { colour: 'YE' })).toEqual([misleads]);
    expect(said('pump', 'live', { colour: 'BU' })).toEqual([misleads]);
    expect(said('pump', 'live', { colour: 'BK' })).toEqual([]);
    expect(said('pump', 'live', { colour: null })).toEqual([]);
    expect(said('pump', 'neutral', { colour: 'BN' })).toEqual([misleads]);
    expect(said('pump', 'neutral', { colour: 'BK' })).toEqual([]);
    expect(said('pump', 'live', { colour: 'GN', stripe: 'YE' })).toEqual([
      ['stop', 'mains-colour-misleads', true]
    ]);
    // What the screw does is the question there; the colour of its wire says nothing yet.
    const unknown: MainsControls = {
      ...changed(wireOf('pump', 'live').id, { colour: 'BU' }),
      devices: sound.devices.map((device) =>
        device.part === 'pump'
          ? {
              ...device,
              screws: device.screws.map((screw) =>
                screw.does === 'live' ? { ...screw, does: 'unknown' } : screw
              )
            }
          : device
      )
    };
    expect(unexplained(unknown).map(({ code }) => code)).toEqual(['mains-screw-unread']);
  });

  it('names what meets and has no job, and what stands alone', () => {
    const met = unexplained(
      mainsOf({
        ...TWO_VALVE,
        strip: { ...TWO_VALVE.strip, 4: ['timer.heating-on', 'room.in', 'pump.neutral'] }
      })
    ).find(({ code }) => code === 'mains-point-unexplained');
    expect(met?.params).toMatchObject({ screws: expect.arrayContaining(['pump N', 'timer 4']) as string[] });
    expect(met?.because).toEqual(expect.arrayContaining(['md-timer', 'md-room', 'md-pump']));
    const alone = unexplained(
      mainsOf({ ...TWO_VALVE, strip: { ...TWO_VALVE.strip, 5: ['room.out'], 9: ['heating-valve.motor'] } })
    ).filter(({ code }) => code === 'mains-point-alone');
    expect(alone.map(({ params }) => params)).toContainEqual({
      wire: expect.stringContaining('brown') as string,
      screw: 'heating valve BROWN'
    });
    expect(alone.every(({ because }) => because.length === 1 && because[0]?.startsWith('co-'))).toBe(true);
  });

  it('says what nothing can be worked out without', () => {
    const none = unexplained({ ...sound, devices: [], wires: [], cables: [] });
    expect(none).toEqual([
      expect.objectContaining({
        level: 'stop',
        code: 'mains-nothing-recorded',
        params: { missing: ['supply', 'boiler'] }
      })
    ]);
    expect(codes({ ...sound, wires: [] }, 'stop')).toEqual(['mains-nothing-recorded']);
  });
});
