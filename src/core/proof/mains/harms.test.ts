/** Every harm of mains controls: found where it is, with the device or wire that it is about, and nowhere else. */
import { describe, expect, it } from 'vitest';
import { MAINS_SKETCHES } from '../../houses/mains-houses';
import { mainsId, mainsOf, type MainsSketch } from '../../houses/mains-builder';
import { COMBINATION, MID_POSITION, neutralled, TWO_VALVE } from '../../houses/mains-layouts';
import type { MainsControls } from '../../job/mains-schema';
import { wiringFromMains } from '../../wiring/from-mains';
import type { Wiring } from '../../wiring/graph';
import type { MainsHarm } from './harms';
import { inputsOf, rowId } from './rows';
import { isTable, truthTable } from './truth-table';

/** Each trouble as `harm device,wire @ first row`; one that is there whatever is asked has no row. */
function troubles(of: MainsSketch | MainsControls | Wiring, dead: readonly string[] = []): string[] {
  const wiring = 'strip' in of ? wiringFromMains(mainsOf(of)) : 'wires' in of ? wiringFromMains(of) : of;
  // What the layout has to do is no matter of harms.
  const made = truthTable({ wiring, inputs: inputsOf(wiring), layout: 'two-valve', dead });
  if (!isTable(made)) throw new Error(made.why);
  return made.harms.map(({ harm, at, row }) =>
    [harm, ...(at.length > 0 ? [at.join()] : []), ...(row ? [`@ ${rowId(row)}`] : [])].join(' ')
  );
}

/** The house with what is under some numbers of its strip otherwise. */
const restripped = (sketch: MainsSketch, strip: MainsSketch['strip']): MainsSketch => ({
  ...sketch,
  strip: { ...sketch.strip, ...strip }
});
const under = (sketch: MainsSketch, number: number) => sketch.strip[number] ?? [];

/** What stands in for the timer, on the same screws. */
const CONTROLLER = { ...TWO_VALVE.units['timer']!, part: 'controller' } as const;

/** Each harm with the house that shows it: the sound one, changed in one place. */
const HARMED: Readonly<Record<Exclude<MainsHarm, 'live-on-dead-cable'>, MainsSketch>> = {
  'boiler-without-way': {
    ...TWO_VALVE,
    strip: {
      ...TWO_VALVE.strip,
      // The timer's heating goes straight to the boiler, past the valve's end switch.
      4: ['timer.heating-on', 'room.in', 'boiler.switched-live'],
      8: ['heating-valve.switch-out', 'water-valve.switch-out', 'pump.live']
    }
  },
  'runs-with-all-off': {
    ...TWO_VALVE,
    strip: {
      ...TWO_VALVE.strip,
      1: [...(TWO_VALVE.strip[1] ?? []), 'pump.live'],
      8: ['heating-valve.switch-out', 'water-valve.switch-out', 'boiler.switched-live']
    }
  },
  'boiler-without-pump': {
    ...TWO_VALVE,
    strip: {
      ...TWO_VALVE.strip,
      8: ['heating-valve.switch-out', 'water-valve.switch-out', 'boiler.switched-live'],
      9: ['pump.live']
    }
  },
  'neutral-switched': {
    ...TWO_VALVE,
    strip: {
      ...TWO_VALVE.strip,
      2: (TWO_VALVE.strip[2] ?? []).filter((ref) => ref !== 'pump.neutral'),
      9: ['pump.neutral']
    }
  },
  'earth-not-joined': {
    ...TWO_VALVE,
    strip: {
      ...TWO_VALVE.strip,
      3: (TWO_VALVE.strip[3] ?? []).filter((ref) => ref !== 'boiler.earth'),
      9: ['boiler.earth']
    }
  },
  'live-on-earth': {
    ...TWO_VALVE,
    strip: {
      ...TWO_VALVE.strip,
      3: (TWO_VALVE.strip[3] ?? []).filter((ref) => ref !== 'boiler.earth'),
      1: [...(TWO_VALVE.strip[1] ?? []), 'boiler.earth']
    }
  },
  'mains-on-low-voltage': {
    ...MAINS_SKETCHES['combination-volt-free'],
    strip: {
      ...MAINS_SKETCHES['combination-volt-free'].strip,
      1: ['spur.live', 'timer.live', 'boiler.live', 'timer.heating-common'],
      4: ['boiler.contact-a']
    }
  },
  'supplies-tied': {
    ...TWO_VALVE,
    units: { ...TWO_VALVE.units, second: { part: 'supply', fuseAmps: 3 } },
    strip: {
      ...TWO_VALVE.strip,
      1: [...(TWO_VALVE.strip[1] ?? []), 'second.live'],
      2: [...(TWO_VALVE.strip[2] ?? []), 'second.neutral']
    }
  },
  'fuse-opens': {
    ...TWO_VALVE,
    strip: { ...TWO_VALVE.strip, 2: [...(TWO_VALVE.strip[2] ?? []), 'room.out'], 5: ['heating-valve.motor'] }
  },
  'not-fed': {
    ...TWO_VALVE,
    units: {
      ...TWO_VALVE.units,
      timer: CONTROLLER
    },
    strip: {
      ...TWO_VALVE.strip,
      1: (TWO_VALVE.strip[1] ?? []).filter((ref) => ref !== 'timer.live'),
      9: ['timer.live']
    }
  }
};

/** All that is said of each of them, and nothing else: what follows from the harm as well. */
const SAID: Readonly<Record<keyof typeof HARMED, readonly string[]>> = {
  'boiler-without-way': ['boiler-without-way @ heating', 'boiler-without-pump @ heating'],
  'runs-with-all-off': ['runs-with-all-off @ idle'],
  'boiler-without-pump': ['boiler-without-pump @ heating+room:md-room'],
  'neutral-switched': ['neutral-switched md-pump', 'boiler-without-pump @ heating+room:md-room'],
  'earth-not-joined': ['earth-not-joined md-boiler'],
  'live-on-earth': ['earth-not-joined md-boiler', 'live-on-earth co-m5', 'live-on-earth md-boiler @ idle'],
  'mains-on-low-voltage': ['mains-on-low-voltage md-boiler @ heating+cylinder'],
  'supplies-tied': ['supplies-tied md-spur,md-second @ idle'],
  'fuse-opens': ['fuse-opens @ heating+room:md-room'],
  'not-fed': ['not-fed md-timer @ idle']
};

describe('a harm', () => {
  it.each(Object.keys(HARMED) as (keyof typeof HARMED)[])(
    '%s is said where it is, with its place',
    (harm) => {
      expect(troubles(HARMED[harm])).toEqual(SAID[harm]);
    }
  );

  it('is said once for each place, with the first row that shows it', () => {
    expect(troubles(TWO_VALVE, ['ca-room', 'ca-boiler'])).toEqual([
      'live-on-dead-cable ca-room @ idle',
      'live-on-dead-cable ca-boiler @ idle'
    ]);
  });
});

/** A second spur with a thermostat of its own on it, which has nothing to do with the first. */
const TWO_SPURS: MainsSketch = {
  units: {
    ...TWO_VALVE.units,
    second: { part: 'supply', fuseAmps: 3 },
    other: neutralled
  },
  strip: {
    ...TWO_VALVE.strip,
    9: ['second.live', 'other.in'],
    10: ['second.neutral', 'other.neutral'],
    11: ['second.earth', 'other.earth']
  }
};

describe('copper', () => {
  it('may come from either of two spurs', () => {
    expect(troubles(TWO_SPURS)).toEqual([]);
    expect(troubles(TWO_SPURS, ['ca-other'])).toEqual(['live-on-dead-cable ca-other @ idle']);
  });

  it('is looked for only at devices that somebody wired', () => {
    expect(
      troubles({ ...TWO_VALVE, units: { ...TWO_VALVE.units, spare: { part: 'pump', name: 'spare pump' } } })
    ).toEqual([]);
  });

  it('has to reach one of the neutrals and one of the earths of a device, not each', () => {
    const boiler = (refs: readonly string[]): MainsSketch => ({
      units: {
        ...TWO_VALVE.units,
        boiler: {
          part: 'boiler',
          input: 'switched-live',
          combination: 'no',
          screws: [
            ['SL', 'switched-live'],
            ['N1', 'neutral'],
            ['N2', 'neutral'],
            ['E1', 'earth'],
            ['E2', 'earth']
          ]
        }
      },
      strip: {
        ...TWO_VALVE.strip,
        2: [
          ...under(TWO_VALVE, 2).filter((ref) => ref !== 'boiler.neutral'),
          ...refs.filter((ref) => ref.startsWith('boiler.N'))
        ],
        3: [
          ...under(TWO_VALVE, 3).filter((ref) => ref !== 'boiler.earth'),
          ...refs.filter((ref) => ref.startsWith('boiler.E'))
        ]
      }
    });
    expect(troubles(boiler(['boiler.N1', 'boiler.E1']))).toEqual([]);
    expect(troubles(boiler(['boiler.N1']))).toEqual(['earth-not-joined md-boiler']);
    expect(troubles(boiler(['boiler.E1'])).slice(0, 1)).toEqual(['neutral-switched md-boiler']);
  });

  it('of a cable that has to be dead may lie on earth, whichever spur it is of', () => {
    const lifted = (sketch: MainsSketch, cable: string): Wiring => {
      const wiring = wiringFromMains(mainsOf(sketch));
      return {
        ...wiring,
        strands: wiring.strands.map((strand) =>
          strand.cable === cable && strand.stripe === null ? { ...strand, far: { state: 'coiled' } } : strand
        )
      };
    };
    expect(troubles(lifted(TWO_VALVE, 'ca-room'), ['ca-room']).join()).not.toContain('live-on-dead-cable');
    expect(troubles(lifted(TWO_SPURS, 'ca-other'), ['ca-other']).join()).not.toContain('live-on-dead-cable');
    expect(troubles(lifted(TWO_SPURS, 'ca-room'), ['ca-room']).join()).not.toContain('live-on-dead-cable');
  });
});

describe('the boiler', () => {
  it('needs no way where there is no valve, and a pump all the same', () => {
    const pumped: MainsSketch = {
      units: { ...COMBINATION.units, pump: { part: 'pump' } },
      strip: {
        ...COMBINATION.strip,
        2: [...under(COMBINATION, 2), 'pump.neutral'],
        3: [...under(COMBINATION, 3), 'pump.earth'],
        9: ['pump.live']
      }
    };
    expect(troubles(pumped)).toEqual([expect.stringMatching(/^boiler-without-pump @ /)]);
    expect(troubles(restripped(pumped, { 5: [...under(pumped, 5), 'pump.live'], 9: [] }))).toEqual([]);
    expect(troubles(COMBINATION)).toEqual([]);
    // A hot-water screw that nothing is on makes no gravity hot water, for which the boiler might run without its pump.
    const timer = { part: 'timer', contacts: 'linked' } as const;
    expect(troubles({ ...pumped, units: { ...pumped.units, timer } })).toEqual([
      expect.stringMatching(/^boiler-without-pump @ /)
    ]);
  });

  it('that runs while a mid-position valve stays where it was has no way', () => {
    const grey = restripped(MID_POSITION, {
      7: [...under(MID_POSITION, 7), 'boiler.switched-live', 'pump.live'],
      8: ['cylinder.call', 'valve.orange']
    });
    expect(troubles(grey)).toEqual([
      expect.stringMatching(/^runs-with-all-off @ /),
      expect.stringMatching(/^boiler-without-way @ /)
    ]);
  });
});

describe('green and yellow', () => {
  /** The sound house with the wire of one screw in another colour. */
  const coloured = (
    ref: string,
    colour: 'GN' | 'BN',
    stripe: 'YE' | null,
    sketch = TWO_VALVE
  ): MainsControls => {
    const mains = mainsOf(sketch);
    const [name = '', does = ''] = ref.split('.');
    const screw = mains.devices
      .find(({ id }) => id === mainsId(name))
      ?.screws.find((candidate) => candidate.does === does);
    return {
      ...mains,
      wires: mains.wires.map((wire) =>
        wire.near.on?.device === mainsId(name) && wire.near.on.screw === screw?.id
          ? { ...wire, colour, stripe }
          : wire
      )
    };
  };

  it('on live or on neutral is an earth that is none', () => {
    expect(troubles(coloured('timer.live', 'GN', 'YE'))).toEqual(['live-on-earth co-m2']);
    expect(troubles(coloured('pump.neutral', 'GN', 'YE'))).toEqual([
      expect.stringMatching(/^live-on-earth co-m\d+$/)
    ]);
  });

  it('is both of the two colours', () => {
    expect(troubles(coloured('timer.live', 'GN', null))).toEqual([]);
    expect(troubles(coloured('timer.live', 'BN', 'YE'))).toEqual([]);
  });

  it('counts with one end alone, and of either spur', () => {
    const mains = coloured('timer.live', 'GN', 'YE', TWO_SPURS);
    const cut = {
      ...mains,
      wires: mains.wires.map((wire) =>
        wire.stripe === 'YE' &&
        wire.colour === 'GN' &&
        wire.cable === 'ca-timer' &&
        wire.near.on?.screw === 'sc-l'
          ? { ...wire, near: { state: 'coiled' as const, on: null } }
          : wire
      )
    };
    expect(troubles(cut)).toContain('live-on-earth co-m2');
    expect(troubles(coloured('other.in', 'GN', 'YE', TWO_SPURS))).toEqual([
      expect.stringMatching(/^live-on-earth co-m\d+$/)
    ]);
  });

  it('or not, an earth screw with mains on it is one', () => {
    const live = restripped(TWO_VALVE, {
      3: under(TWO_VALVE, 3).filter((ref) => ref !== 'pump.earth'),
      1: [...under(TWO_VALVE, 1), 'pump.earth']
    });
    expect(troubles(coloured('pump.earth', 'BN', null, live))).toEqual([
      'earth-not-joined md-pump',
      'live-on-earth md-pump @ idle'
    ]);
    const second = restripped(TWO_SPURS, {
      9: [...under(TWO_SPURS, 9), 'other.earth'],
      11: ['second.earth']
    });
    expect(troubles(coloured('other.earth', 'BN', null, second))).toContain('live-on-earth md-other @ idle');
  });
});

describe('a low voltage', () => {
  const free = MAINS_SKETCHES['combination-volt-free'];

  it('is safe where its contact is free of mains', () => {
    expect(troubles(free)).toEqual([]);
  });

  it('is not where either of two spurs comes to it', () => {
    const two: MainsSketch = {
      units: { ...free.units, second: { part: 'supply', fuseAmps: 3 } },
      strip: {
        ...free.strip,
        7: ['second.live', ...under(free, 4)],
        4: [],
        8: ['second.neutral'],
        9: ['second.earth']
      }
    };
    expect(troubles(two)).toEqual([
      'supplies-tied md-boiler,md-second @ cylinder',
      'mains-on-low-voltage md-boiler @ cylinder'
    ]);
  });
});

describe('a controller', () => {
  it('that has its supply is not said to have none', () => {
    const units = { ...TWO_VALVE.units, timer: CONTROLLER };
    expect(troubles({ ...TWO_VALVE, units })).toEqual([]);
  });
});
