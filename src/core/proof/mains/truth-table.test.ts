import { describe, expect, it } from 'vitest';
import { MAINS_LAYOUT_OF, MAINS_SKETCHES, mainsHouse, type MainsHouse } from '../../houses/mains-houses';
import { mainsOf, type MainsSketch } from '../../houses/mains-builder';
import { TWO_VALVE } from '../../houses/mains-layouts';
import type { Layout } from '../../trade/mains';
import { wiringFromMains } from '../../wiring/from-mains';
import type { Wiring } from '../../wiring/graph';
import type { MainsHarm } from './harms';
import { inputsOf, rowFor, rowId, rowsOf } from './rows';
import { isTable, truthTable, type TruthTable } from './truth-table';
import { solveRow } from './ways';

function tableOf(wiring: Wiring, layout: Layout): TruthTable {
  const made = truthTable({ wiring, inputs: inputsOf(wiring), layout });
  if (!isTable(made)) throw new Error(made.why);
  return made;
}

const houseTable = (name: MainsHouse) => tableOf(wiringFromMains(mainsHouse(name)), MAINS_LAYOUT_OF[name]);

function state(name: MainsHouse, heating: boolean, water: boolean) {
  const wiring = wiringFromMains(mainsHouse(name));
  const solved = solveRow(wiring, rowFor(inputsOf(wiring), { heating, water }));
  if ('ok' in solved) throw new Error(solved.why);
  return solved;
}

describe('the table of a house as the trade wires it', () => {
  const sound = (Object.keys(MAINS_SKETCHES) as MainsHouse[]).filter((name) => name !== 'grey-not-driven');
  it.each(sound)('%s does in every state what its layout has to do, and harms nobody', (name) => {
    const table = houseTable(name);
    expect(
      table.rows.filter(({ amiss }) => amiss.length > 0).map(({ state: outcome }) => rowId(outcome.row))
    ).toEqual([]);
    expect(table.harms).toEqual([]);
  });

  it('has a row for each state of what the house has, and no more', () => {
    const count = (name: MainsHouse) => rowsOf(inputsOf(wiringFromMains(mainsHouse(name)))).length;
    expect(count('combination')).toBe(4);
    expect(count('two-valve')).toBe(16);
    expect(count('two-valve-frost')).toBe(32);
    expect(count('two-zones')).toBe(32);
  });
});

describe('a mid-position valve, by the voltages on white and grey', () => {
  it('opens hot water alone, both, or heating alone', () => {
    expect(state('mid-position', false, true)).toMatchObject({
      heatingWay: 'closed',
      waterWay: 'open',
      boiler: true
    });
    expect(state('mid-position', true, true)).toMatchObject({
      heatingWay: 'open',
      waterWay: 'open',
      boiler: true
    });
    expect(state('mid-position', true, false)).toMatchObject({
      heatingWay: 'open',
      waterWay: 'closed',
      boiler: true
    });
  });

  it('stays where it was with grey alone, and nothing runs', () => {
    expect(state('mid-position', false, false)).toMatchObject({
      heatingWay: 'held',
      boiler: false,
      pump: false
    });
  });

  it('does not start the boiler for heating alone where hot water off drives nothing', () => {
    const wrong = houseTable('grey-not-driven').rows.filter(({ amiss }) => amiss.length > 0);
    expect(wrong.map(({ state: outcome }) => rowId(outcome.row))).toEqual([
      'heating+room:md-room',
      'heating+room:md-room+cylinder'
    ]);
    expect(wrong.every(({ amiss }) => amiss.includes('boiler'))).toBe(true);
  });
});

describe('gravity hot water', () => {
  it('cannot heat without the boiler that hot water starts', () => {
    expect(state('gravity', true, false)).toMatchObject({ boiler: true, pump: true, waterWay: 'open' });
    expect(state('gravity', false, true)).toMatchObject({ boiler: true, pump: false, heatingWay: 'closed' });
  });
});

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
      timer: {
        part: 'controller',
        screws: [
          ['L', 'live'],
          ['N', 'neutral'],
          ['E', 'earth'],
          ['3', 'water-on'],
          ['4', 'heating-on']
        ]
      }
    },
    strip: {
      ...TWO_VALVE.strip,
      1: (TWO_VALVE.strip[1] ?? []).filter((ref) => ref !== 'timer.live'),
      9: ['timer.live']
    }
  }
};

describe('harms', () => {
  it.each(Object.entries(HARMED))('%s is found where it is, and not in the sound house', (harm, sketch) => {
    const wiring = wiringFromMains(mainsOf(sketch));
    const found = tableOf(wiring, 'two-valve').harms.map((trouble) => trouble.harm);
    expect(found).toContain(harm);
  });

  it('finds mains on a cable that has to be dead, and leaves its earth alone', () => {
    const wiring = wiringFromMains(mainsHouse('two-valve'));
    const made = truthTable({ wiring, inputs: inputsOf(wiring), layout: 'two-valve', dead: ['ca-room'] });
    expect(isTable(made) && made.harms.map(({ harm }) => harm)).toEqual(['live-on-dead-cable']);
    const lifted: Wiring = {
      ...wiring,
      strands: wiring.strands.map((strand) =>
        strand.cable === 'ca-room' && strand.stripe === null
          ? { ...strand, far: { state: 'coiled' } }
          : strand
      )
    };
    const then = truthTable({
      wiring: lifted,
      inputs: inputsOf(wiring),
      layout: 'two-valve',
      dead: ['ca-room']
    });
    expect(isTable(then) && then.harms.map(({ harm }) => harm)).not.toContain('live-on-dead-cable');
  });
});
