/** Worlds that differ in who starts the blower in cooling are solved on one circuit: only what its coils bring on may differ. */
import { describe, expect, it } from 'vitest';
import { BOARD_MODELS } from '../devices/registry';
import { withBlowerInCool } from '../devices/world';
import {
  boardOf,
  receiverOf,
  splitter,
  strandOf,
  thermostatOf,
  wiringFrom,
  worldOf
} from '../houses/hand-wired';
import { HOUSES } from '../houses/houses';
import { ANY_CONNECTED } from '../match/catalogue';
import type { Family } from '../trade/vocabulary';
import { wiringOf } from '../wiring/from-job';
import { running } from './expected';
import { loadsOf, netlistOf } from './netlist';
import { simulate } from './simulate';

const MARKS = ['R', 'C', 'W1', 'W2', 'Y1', 'Y2', 'G', 'O/B'];
const families = (Object.keys(BOARD_MODELS) as Family[]).filter((family) => BOARD_MODELS[family] !== null);

const thermostat = thermostatOf({ ...ANY_CONNECTED, marks: MARKS }, 'tt');
const wiring = wiringFrom({
  devices: [thermostat, splitter, receiverOf({ ...ANY_CONNECTED, marks: MARKS }), boardOf('board', MARKS)],
  strands: ['R', 'C', 'W1', 'Y1'].map((mark) => strandOf(mark, ['tt', mark], ['board', mark]))
});

describe('a wiring in worlds that differ in who starts the blower in cooling', () => {
  it.each(families)('has one circuit: %s', (family) => {
    const world = worldOf(family, { compressor: true });
    const [byG, byBoard] = (['g', 'board'] as const).map((way) =>
      netlistOf(wiring, withBlowerInCool(world, way))
    );
    expect(byG?.elements.length).toBeGreaterThan(4);
    expect(byBoard?.elements).toEqual(byG?.elements);
    expect(byBoard?.fed).toEqual(byG?.fed);
    expect(byBoard?.grounds).toEqual(byG?.grounds);
  });

  it.each(families)('has its loads told without its circuit: %s', (family) => {
    for (const way of ['g', 'board'] as const) {
      const world = withBlowerInCool(worldOf(family, { compressor: true }), way);
      const loads = netlistOf(wiring, world)?.loads;
      expect(loads?.length).toBeGreaterThan(0);
      expect(loadsOf(wiring, world)).toEqual(loads);
    }
  });

  it.each(Object.entries(HOUSES))(
    'has its loads told without its circuit, as it hangs there: %s',
    (_, make) => {
      const { job, thermostat } = make();
      const wiring = wiringOf(job, thermostat);
      for (const family of families) {
        const world = worldOf(family, { compressor: true });
        expect(loadsOf(wiring, world), family).toEqual(netlistOf(wiring, world)?.loads);
      }
    }
  );

  it('runs the blower in cooling where the board starts it and not where G would have to, in whatever order one asks', () => {
    const world = worldOf('furnace-ac');
    const cooled = (way: 'g' | 'board') => {
      const made = simulate(wiring, withBlowerInCool(world, way), 'cool1');
      return made.ok ? running(made.result.loads) : made;
    };
    expect(cooled('g')).toEqual(['compressor']);
    expect(cooled('board')).toEqual(expect.arrayContaining(['compressor', 'blower']));
    expect(cooled('g')).toEqual(['compressor']);
  });
});
