/** Each mains device does at its screws what the trade says that it does: one device on a spur, its screws to numbers of their own. */
import { describe, expect, it } from 'vitest';
import { mainsId, mainsOf, type MainsSketch, type UnitSketch } from '../../houses/mains-builder';
import { CONTROLLERS } from '../../match/mains/controllers';
import { inputsOf, rowFor } from '../../proof/mains/rows';
import { solveRow } from '../../proof/mains/ways';
import type { MainsFunction } from '../../trade/mains';
import { wiringFromMains } from '../../wiring/from-mains';
import type { MainsUnit, Wiring } from '../../wiring/graph';
import { mainsUnits, nodeFor, screwsThat } from './screws';

const supply: UnitSketch = { part: 'supply', fuseAmps: 3 };

/** A device `it` beside the spur; number 1 is live, 2 neutral, 3 earth. */
function beside(unit: UnitSketch, strip: MainsSketch['strip'], more: Partial<MainsSketch> = {}): Wiring {
  const joined = (number: number, own: string) => [own, ...(strip[number] ?? [])];
  const { units = {}, ...rest } = more;
  return wiringFromMains(
    mainsOf({
      units: { spur: supply, it: unit, ...units },
      strip: {
        ...strip,
        1: joined(1, 'spur.live'),
        2: joined(2, 'spur.neutral'),
        3: joined(3, 'spur.earth')
      },
      ...rest
    })
  );
}

interface Asked {
  readonly heating?: boolean;
  readonly water?: boolean;
  readonly room?: boolean;
  readonly cylinder?: boolean;
  readonly frost?: boolean;
}

/** The wiring in a state, and what a tester between a screw and neutral says: volts, 0 where it is dead. */
function read(
  wiring: Wiring,
  { heating = false, water = false, room, cylinder = false, frost = false }: Asked = {}
) {
  const inputs = inputsOf(wiring);
  const row = rowFor(inputs, { heating, water });
  const rooms = Object.fromEntries(inputs.rooms.map((id) => [id, room ?? heating]));
  const state = solveRow(wiring, { ...row, rooms, cylinder, frost });
  if ('ok' in state) throw new Error(state.why);
  const unit = (name: string) => mainsUnits(wiring).find(({ id }) => id === mainsId(name))!;
  const neutral = nodeFor(unit('spur'), 'neutral');
  return {
    ...state,
    unit,
    volts: (does: MainsFunction, name = 'it') =>
      Math.round(state.meter.volts(nodeFor(unit(name), does), neutral) ?? 0),
    pulledIn: (coil: string, name = 'it') => state.coils.has(`${mainsId(name)}:${coil}`)
  };
}

describe('a two-port valve', () => {
  const wired = (live: readonly string[]) =>
    beside({ part: 'two-port-valve' }, { 1: live, 2: ['it.neutral'], 3: ['it.earth'] });

  it('closes its end switch once its motor is live, and opens it again', () => {
    const fed = read(wired(['it.motor', 'it.switch-in']));
    expect(fed.pulledIn('motor')).toBe(true);
    expect(fed.volts('switch-out')).toBe(230);
    const resting = read(wired(['it.switch-in']));
    expect(resting.pulledIn('motor')).toBe(false);
    expect(resting.volts('switch-out')).toBe(0);
  });

  it('has an end switch free of any voltage: with nothing on its one side, nothing comes out of the other', () => {
    expect(read(wired(['it.motor'])).volts('switch-out')).toBe(0);
  });

  it('does not move without its neutral', () => {
    const wiring = beside({ part: 'two-port-valve' }, { 1: ['it.motor', 'it.switch-in'], 3: ['it.earth'] });
    expect(read(wiring).pulledIn('motor')).toBe(false);
    expect(read(wiring).volts('switch-out')).toBe(0);
  });
});

describe('a mid-position valve', () => {
  it.each([
    [[], { orange: 0, white: false, grey: false }, 'rests on hot water'],
    [
      ['it.white'],
      { orange: 0, white: true, grey: false },
      'stands in the middle: something else starts the boiler'
    ],
    [
      ['it.white', 'it.grey'],
      { orange: 230, white: true, grey: true },
      'goes to heating, and starts the boiler itself'
    ],
    [['it.grey'], { orange: 0, white: false, grey: true }, 'is held where it was, and starts nothing']
  ] as [string[], { orange: number; white: boolean; grey: boolean }, string][])(
    'with %j live: %o (%s)',
    (live, { orange, white, grey }) => {
      const valve = read(beside({ part: 'mid-position-valve' }, { 1: live, 2: ['it.neutral'] }));
      expect(valve.volts('orange')).toBe(orange);
      expect(valve.pulledIn('white')).toBe(white);
      expect(valve.pulledIn('grey')).toBe(grey);
    }
  );

  it('takes what it gives out on orange from white, not from grey', () => {
    const wiring = beside(
      { part: 'mid-position-valve' },
      { 1: ['it.grey', 'it.white'], 2: ['it.neutral', 'lamp.neutral'], 4: ['it.orange', 'lamp.live'] },
      { units: { lamp: { part: 'pump' } } }
    );
    const { meter, unit } = read(wiring);
    const white = wiring.strands.find(({ near }) =>
      JSON.stringify(near).includes(nodeFor(unit('it'), 'white'))
    )!;
    const grey = wiring.strands.find(({ near }) =>
      JSON.stringify(near).includes(nodeFor(unit('it'), 'grey'))
    )!;
    expect(meter.amps(white.id)).toBeGreaterThan(meter.amps(grey.id) + 0.05);
  });
});

describe('a timer', () => {
  const screws = [
    ['L', 'live'],
    ['N', 'neutral'],
    ['1', 'water-off'],
    ['2', 'heating-off'],
    ['3', 'water-on'],
    ['4', 'heating-on']
  ] as const;
  const linked = (more: Partial<UnitSketch> = {}) =>
    beside({ part: 'timer', contacts: 'linked', screws, ...more }, { 1: ['it.live'], 2: ['it.neutral'] });

  it.each([
    [{}, { 'heating-on': 0, 'heating-off': 230, 'water-on': 0, 'water-off': 230 }],
    [{ heating: true }, { 'heating-on': 230, 'heating-off': 0, 'water-on': 0, 'water-off': 230 }],
    [{ water: true }, { 'heating-on': 0, 'heating-off': 230, 'water-on': 230, 'water-off': 0 }],
    [
      { heating: true, water: true },
      { 'heating-on': 230, 'heating-off': 0, 'water-on': 230, 'water-off': 0 }
    ]
  ] as const)('asked for %j has live on its screws so: %o', (asked, expected) => {
    const timer = read(linked(), asked);
    for (const [does, volts] of Object.entries(expected))
      expect(timer.volts(does as MainsFunction), does).toBe(volts);
  });

  it('that brings hot water with heating does so, and not the other way round', () => {
    const gravity = linked({ heatingBringsWater: 'yes' });
    expect(read(gravity, { heating: true }).volts('water-on')).toBe(230);
    expect(read(gravity, { heating: true }).volts('water-off')).toBe(0);
    expect(read(gravity, { water: true }).volts('heating-on')).toBe(0);
  });

  it('with volt-free contacts passes on what its common gets, and gives nothing of its own', () => {
    const free = {
      part: 'timer',
      contacts: 'volt-free',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['C', 'heating-common'],
        ['4', 'heating-on']
      ]
    } as const;
    const strip = { 1: ['it.live'], 2: ['it.neutral'] };
    expect(read(beside(free, strip), { heating: true }).volts('heating-on')).toBe(0);
    const bridged = beside(free, { ...strip, 1: ['it.live', 'it.heating-common'] });
    expect(read(bridged, { heating: true }).volts('heating-on')).toBe(230);
    expect(read(bridged).volts('heating-on')).toBe(0);
  });
});

describe('thermostats of rooms, pipes and cylinders', () => {
  it('of a room join in and out when it calls, and drive the satisfied screw when it does not', () => {
    const wiring = beside(
      {
        part: 'room-thermostat',
        screws: [
          ['1', 'in'],
          ['2', 'satisfied'],
          ['3', 'out']
        ]
      },
      { 1: ['it.in'] }
    );
    expect(read(wiring, { room: true }).volts('out')).toBe(230);
    expect(read(wiring, { room: true }).volts('satisfied')).toBe(0);
    expect(read(wiring, { room: false }).volts('out')).toBe(0);
    expect(read(wiring, { room: false }).volts('satisfied')).toBe(230);
  });

  it('with a neutral warm themselves a little while they call: that is no load anybody would see', () => {
    const wiring = beside(
      {
        part: 'room-thermostat',
        screws: [
          ['1', 'in'],
          ['3', 'out'],
          ['4', 'neutral']
        ]
      },
      { 1: ['it.in'], 2: ['it.neutral'] }
    );
    const amps = (room: boolean) => read(wiring, { room }).meter.amps(`${mainsId('it')}:anticipator`);
    expect(amps(true)).toBeGreaterThan(0);
    expect(amps(true)).toBeLessThan(0.02);
    expect(amps(false)).toBe(0);
  });

  it('of a cylinder call on one screw and are satisfied on the other', () => {
    const wiring = beside({ part: 'cylinder-thermostat' }, { 1: ['it.common'], 3: ['it.earth'] });
    expect(read(wiring, { cylinder: true }).volts('call')).toBe(230);
    expect(read(wiring, { cylinder: true }).volts('satisfied')).toBe(0);
    expect(read(wiring).volts('call')).toBe(0);
    expect(read(wiring).volts('satisfied')).toBe(230);
  });

  it('against frost close in the cold alone, whatever the timer asks for', () => {
    const wiring = beside({ part: 'frost-thermostat' }, { 1: ['it.in'] });
    expect(read(wiring, { frost: true }).volts('out')).toBe(230);
    expect(read(wiring, { heating: true, water: true }).volts('out')).toBe(0);
  });
});

describe('a boiler', () => {
  const screws = (...more: (readonly [string, MainsFunction])[]) =>
    [['N', 'neutral'], ['E', 'earth'], ...more] as const;

  it('without a permanent live runs on what calls it', () => {
    const boiler = { part: 'boiler', screws: screws(['SL', 'switched-live']) } as const;
    expect(read(beside(boiler, { 1: ['it.switched-live'], 2: ['it.neutral'] })).boiler).toBe(true);
    expect(read(beside(boiler, { 2: ['it.neutral'] })).boiler).toBe(false);
  });

  it('with a permanent live takes its load from that: what calls it carries next to nothing', () => {
    const boiler = {
      part: 'boiler',
      screws: screws(['L', 'live'], ['SL', 'switched-live'], ['PL', 'pump-live'])
    } as const;
    const strip = { 1: ['it.live', 'it.switched-live'], 2: ['it.neutral'] };
    const running = read(beside(boiler, strip));
    expect(running.boiler).toBe(true);
    expect(running.volts('pump-live')).toBe(230);
    expect(running.meter.amps(`${mainsId('it')}:call`)).toBeLessThan(0.02);
    const resting = read(beside(boiler, { ...strip, 1: ['it.live'] }));
    expect(resting.boiler).toBe(false);
    expect(resting.volts('pump-live')).toBe(0);
  });

  it('without its permanent live does not run, though it is called', () => {
    const boiler = { part: 'boiler', screws: screws(['L', 'live'], ['SL', 'switched-live']) } as const;
    expect(read(beside(boiler, { 1: ['it.switched-live'], 2: ['it.neutral'] })).boiler).toBe(false);
  });

  it('with a contact input runs when its two sides are joined, at a voltage of its own', () => {
    const boiler = {
      part: 'boiler',
      input: 'volt-free',
      screws: screws(['L', 'live'], ['T1', 'contact-a'], ['T2', 'contact-b'])
    } as const;
    const strip = { 1: ['it.live'], 2: ['it.neutral'] };
    expect(read(beside(boiler, strip)).boiler).toBe(false);
    const joined = read(beside(boiler, { ...strip, 4: ['it.contact-a', 'it.contact-b'] }));
    expect(joined.boiler).toBe(true);
    const { meter, unit } = joined;
    expect(meter.volts(nodeFor(unit('it'), 'contact-a'), nodeFor(unit('it'), 'live'))).toBeNull();
  });

  it('has screws of one kind joined inside: what comes in on one live goes on from the other', () => {
    const boiler = {
      part: 'boiler',
      screws: screws(['L', 'live'], ['L2', 'live'], ['SL', 'switched-live'])
    } as const;
    const wiring = beside(boiler, { 1: ['it.live'], 2: ['it.neutral'] });
    const unit: MainsUnit = mainsUnits(wiring).find(({ id }) => id === mainsId('it'))!;
    const [, second] = screwsThat(unit, 'live');
    const { meter, unit: named } = read(wiring);
    expect(meter.volts(second!.id, nodeFor(named('spur'), 'neutral'))).toBeCloseTo(230, 0);
  });
});

describe('a pump, and the spur that feeds it all', () => {
  it('runs where it has live and neutral, and not on one of them', () => {
    const pump = { part: 'pump' } as const;
    expect(read(beside(pump, { 1: ['it.live'], 2: ['it.neutral'] })).pump).toBe(true);
    expect(read(beside(pump, { 1: ['it.live'] })).pump).toBe(false);
    expect(read(beside(pump, { 2: ['it.neutral'] })).pump).toBe(false);
  });

  it('opens its fuse on a joint of live and neutral, and holds at what a house draws', () => {
    const house = read(beside({ part: 'pump' }, { 1: ['it.live'], 2: ['it.neutral'] }));
    expect(house.result.supplies[0]).toMatchObject({ fuseOpen: false, fuseRating: 3 });
    const short = read(beside({ part: 'pump' }, { 1: ['it.live', 'it.neutral'], 2: ['it.neutral'] }));
    expect(short.result.supplies[0]).toMatchObject({ fuseOpen: true });
    expect(short.pump).toBe(false);
  });
});

describe('a controller, and its part on the wall', () => {
  const facts = (id: string) => CONTROLLERS.find((controller) => controller.id === id)!;

  it('is fed between live and neutral, and by nothing less', () => {
    for (const controller of CONTROLLERS) {
      const strip = { 1: ['it.live'], 2: ['it.neutral'] };
      const sketch = {
        part: 'controller',
        screws: controller.plate.map(({ mark, does }) => [mark, does] as const)
      } as const;
      const feeds = (wiring: Wiring) =>
        read(wiring)
          .result.feeds.filter(({ device }) => device === mainsId('it'))
          .map(({ fed }) => fed);
      expect(feeds(beside(sketch, strip)), controller.id).toEqual([true]);
      expect(feeds(beside(sketch, { 1: ['it.live'] })), controller.id).toEqual([false]);
    }
  });

  it('feeds a wired wall part with the small voltage that it is made for', () => {
    const wired = CONTROLLERS.find(({ plate }) => plate.some(({ does }) => does === 'low-a'));
    if (!wired) throw new Error('no controller has a wired part');
    const sketch = {
      part: 'controller',
      screws: facts(wired.id).plate.map(({ mark, does }) => [mark, does] as const)
    } as const;
    const wall: UnitSketch = {
      part: 'wall-part',
      screws: [
        ['A', 'low-a'],
        ['B', 'low-b']
      ]
    };
    const strip = { 1: ['it.live'], 2: ['it.neutral'] };
    const fed = (more: MainsSketch['strip']) =>
      read(beside(sketch, { ...strip, ...more }, { units: { wall } })).result.feeds.find(
        ({ device }) => device === mainsId('wall')
      )?.fed;
    expect(fed({ 5: ['it.low-a', 'wall.low-a'], 6: ['it.low-b', 'wall.low-b'] })).toBe(true);
    expect(fed({ 5: ['it.low-a', 'wall.low-a'] })).toBe(false);
    // On mains it would get far more than it stands.
    expect(fed({ 1: ['it.live', 'wall.low-a'], 2: ['it.neutral', 'wall.low-b'] })).toBe(false);
  });
});
