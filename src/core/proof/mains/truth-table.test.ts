import { describe, expect, it } from 'vitest';
import { mainsOf, type MainsSketch } from '../../houses/mains-builder';
import { MAINS_LAYOUT_OF, MAINS_SKETCHES, mainsHouse, type MainsHouse } from '../../houses/mains-houses';
import { TWO_VALVE } from '../../houses/mains-layouts';
import type { Layout } from '../../trade/mains';
import { wiringFromMains } from '../../wiring/from-mains';
import type { Wiring } from '../../wiring/graph';
import { expectedOf } from './expected';
import { inputsOf, rowFor, rowId, rowsOf, unitsOf } from './rows';
import { isTable, truthTable, type TruthTable } from './truth-table';
import { servesOf, solveRow } from './ways';

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

describe('a valve that nobody has said anything of', () => {
  const unsaid = (strip: MainsSketch['strip'] = {}): Wiring =>
    wiringFromMains(
      mainsOf({
        units: {
          ...TWO_VALVE.units,
          'heating-valve': { part: 'two-port-valve', name: 'one valve' },
          'water-valve': { part: 'two-port-valve', name: 'other valve' }
        },
        strip: { ...TWO_VALVE.strip, ...strip }
      })
    );
  const servedBy = (wiring: Wiring, name: string) =>
    servesOf(
      wiring,
      unitsOf(wiring, 'two-port-valve').find((valve) => valve.id === `md-${name}`)!
    );

  it('works for whoever drives its motor: a thermostat, or the timer itself', () => {
    expect(servedBy(unsaid(), 'heating-valve')).toBe('heating');
    expect(servedBy(unsaid(), 'water-valve')).toBe('water');
    const timed = unsaid({
      4: ['timer.heating-on', 'heating-valve.motor'],
      5: ['room.in'],
      6: ['timer.water-on', 'water-valve.motor'],
      7: ['cylinder.common']
    });
    expect(servedBy(timed, 'heating-valve')).toBe('heating');
    expect(servedBy(timed, 'water-valve')).toBe('water');
    expect(tableOf(unsaid(), 'two-valve')).toMatchObject({ harms: [] });
  });

  it('and that nothing drives is for nobody knows what', () => {
    const off = unsaid({ 5: ['room.out'], 9: ['heating-valve.motor'] });
    expect(servedBy(off, 'heating-valve')).toBe('unknown');
  });

  it('is what was said of it, whatever drives it', () => {
    const wiring = wiringFromMains(
      mainsOf({
        ...TWO_VALVE,
        strip: {
          ...TWO_VALVE.strip,
          5: ['room.out', 'water-valve.motor'],
          7: ['cylinder.call', 'heating-valve.motor']
        }
      })
    );
    expect(servedBy(wiring, 'water-valve')).toBe('water');
  });
});

describe('what a row has wrong', () => {
  const amissIn = (strip: MainsSketch['strip']) => {
    const wiring = wiringFromMains(mainsOf({ ...TWO_VALVE, strip: { ...TWO_VALVE.strip, ...strip } }));
    return tableOf(wiring, 'two-valve').rows.flatMap(({ state: outcome, amiss }) =>
      amiss.length > 0 ? [[rowId(outcome.row), ...amiss]] : []
    );
  };

  it('is both ways where the thermostats drive each other’s valve', () => {
    const exchanged = amissIn({
      5: ['room.out', 'water-valve.motor'],
      7: ['cylinder.call', 'heating-valve.motor']
    });
    expect(exchanged).toContainEqual(['heating+room:md-room', 'heating', 'water']);
    expect(exchanged).toContainEqual(['water+cylinder', 'heating', 'water']);
    // With both asked for, both are open, and nobody would notice.
    expect(exchanged.map(([row]) => row)).not.toContain('heating+water+room:md-room+cylinder');
  });

  it('is the pump alone where only that is left out', () => {
    const rows = amissIn({
      8: ['heating-valve.switch-out', 'water-valve.switch-out', 'boiler.switched-live'],
      9: ['pump.live']
    });
    expect(rows.length).toBeGreaterThan(0);
    expect(new Set(rows.map(([, ...amiss]) => amiss.join()))).toEqual(new Set(['pump']));
  });

  it('is nothing of a layout that nobody knows', () => {
    const wiring = wiringFromMains(mainsHouse('grey-not-driven'));
    expect(
      tableOf(wiring, 'unknown').rows.every(({ expected, amiss }) => expected === null && amiss.length === 0)
    ).toBe(true);
  });
});

describe('gravity hot water', () => {
  it('cannot heat without the boiler that hot water starts', () => {
    expect(state('gravity', true, false)).toMatchObject({ boiler: true, pump: true, waterWay: 'open' });
    expect(state('gravity', false, true)).toMatchObject({ boiler: true, pump: false, heatingWay: 'closed' });
  });

  it('may keep firing for an old timer with every room warm, and need not', () => {
    const wiring = wiringFromMains(mainsHouse('gravity'));
    const inputs = inputsOf(wiring);
    const wanted = (heating: boolean, water: boolean, warm: boolean) => {
      const row = rowFor(inputs, { heating, water });
      const rooms = Object.fromEntries(Object.keys(row.rooms).map((id) => [id, !warm]));
      return expectedOf('gravity-water', { ...row, rooms })?.boiler;
    };
    expect(wanted(true, false, true)).toBeNull();
    expect(wanted(true, true, true)).toBe(true);
    expect(wanted(true, false, false)).toBe(true);
    expect(wanted(false, false, true)).toBe(false);
  });
});
