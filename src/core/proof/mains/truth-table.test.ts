import { describe, expect, it } from 'vitest';
import { MAINS_LAYOUT_OF, MAINS_SKETCHES, mainsHouse, type MainsHouse } from '../../houses/mains-houses';
import type { Layout } from '../../trade/mains';
import { wiringFromMains } from '../../wiring/from-mains';
import type { Wiring } from '../../wiring/graph';
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
