import { describe, expect, it } from 'vitest';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../../houses/mains-houses';
import type { MainsControls } from '../../job/mains-schema';
import { CONTROLLERS } from '../../match/mains/controllers';
import { applyChange } from '../../wiring/difference';
import { sortedWiring, type Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';
import type { LogEntry } from '../../job/log-schema';
import { inputsOf, rowId, rowsOf } from '../../proof/mains/rows';
import { isTable, truthTable } from '../../proof/mains/truth-table';
import { moveKey } from '../move-types';
import { mainsMoves } from './moves';
import { planMains, type MainsWay } from './plan';

const HOUSES = Object.keys(MAINS_SKETCHES) as MainsHouse[];
const DAY = '2026-11-27T09:00:00.000Z';

const named = (house: MainsHouse, who: MainsControls['competence']['who'] = 'competent'): MainsControls => ({
  ...mainsHouse(house),
  competence: { who, name: '', at: DAY }
});

function wayOf(
  house: MainsHouse,
  controller: string,
  method: MainsWay['method'],
  variant?: string
): MainsWay {
  const plan = planMains(mainsHouse(house), { controller });
  const found = plan.ways.find(
    (way) => way.method === method && (variant === undefined || way.variant.id === variant)
  );
  if (!found) throw new Error(`No ${method} in ${house}`);
  return found;
}

const done = (start: Wiring, way: Pick<MainsWay, 'moves'>) =>
  way.moves.reduce((wiring, { change }) => (change === null ? wiring : applyChange(wiring, change)), start);
const texts = (way: MainsWay) => way.moves.map(({ text }) => text);

describe('every way on offer', () => {
  it.each(HOUSES)('of %s is proven over the whole table, and its moves lead to what was proven', (house) => {
    for (const controller of CONTROLLERS) {
      const plan = planMains(mainsHouse(house), { controller: controller.id });
      for (const way of plan.ways.filter(({ verdict }) => verdict !== 'no')) {
        if (way.method !== 'keep')
          expect(way.table?.rows.every(({ amiss }) => amiss.length === 0)).toBe(true);
        expect(way.table?.harms ?? []).toEqual([]);
        expect(new Set(way.moves.map(moveKey)).size).toBe(way.moves.length);
        expect(sortedWiring(done(plan.now.wiring, way))).toEqual(sortedWiring(way.after));
      }
    }
  });

  it.each(HOUSES)('of %s is for a licensed person until somebody competent is named', (house) => {
    const ways = (mains: MainsControls) =>
      planMains(mains).ways.filter(({ method, verdict }) => method !== 'keep' && verdict !== 'no');
    expect(ways(mainsHouse(house)).every(({ verdict }) => verdict === 'pro')).toBe(true);
    expect(ways(named(house, 'nobody')).every(({ verdict }) => verdict === 'pro')).toBe(true);
    expect(ways(named(house)).every(({ verdict }) => verdict === 'care')).toBe(true);
    expect(ways(mainsHouse(house)).length).toBeGreaterThan(0);
  });

  it('begins with off and proven dead, the tester proven before and after, and ends with on', () => {
    const { moves } = wayOf('two-valve', 'ct-tarnwick-duo', 'replace-both');
    expect(moves.slice(0, 6).map(({ action, what }) => `${action} ${what}`)).toEqual([
      'power-off md-spur',
      'check tester-before',
      'check dead-l-n',
      'check dead-l-e',
      'check dead-n-e',
      'check tester-after'
    ]);
    expect(moves.at(-1)?.action).toBe('power-on');
    const firstWire = moves.findIndex(({ change }) => change !== null);
    expect(firstWire).toBeGreaterThan(6);
  });
});

describe('by what a wire does, never by its number', () => {
  it('moves the wire of hot water on from 3 to 2 where the plate has it there', () => {
    const way = wayOf('mid-position', 'ct-lorrimund-pair', 'replace-timer');
    expect(texts(way).some((text) => text.includes('on 2 (hot water on)'))).toBe(true);
    expect(texts(way).some((text) => text.includes('off 3 (hot water on)'))).toBe(true);
  });

  it('links live to the commons of volt-free contacts, and to nothing else', () => {
    const links = (controller: string) =>
      wayOf('two-valve', controller, 'replace-timer').after.links.map(({ a, b }) => [a, b].sort().join(' '));
    expect(links('ct-oskerry-twin')).toEqual(['controller.2 controller.4', 'controller.2 controller.7']);
    expect(links('ct-tarnwick-duo')).toEqual([]);
    expect(links('ct-slatewright-mix')).toEqual(['controller.2 controller.4']);
  });

  it('keeps the joint of a spare screw', () => {
    const way = wayOf('joined-at-timer', 'ct-tarnwick-duo', 'replace-timer');
    expect(way.findings.map(({ code }) => code)).toContain('mains-joint-kept');
    const joined = joinedIn(way.after);
    expect(joined.same('md-room.3', 'md-heating-valve.BROWN')).toBe(true);
  });

  it('takes along a link between two spare screws: they are one joint', () => {
    const way = wayOf('linked-at-timer', 'ct-tarnwick-duo', 'replace-timer');
    expect(way.verdict).toBe('pro');
    expect(joinedIn(way.after).same('md-room.3', 'md-heating-valve.BROWN')).toBe(true);
  });

  it('lands the wire of hot water off where the grey wire is, when it led nowhere', () => {
    const way = wayOf('grey-not-driven', 'ct-tarnwick-duo', 'replace-both');
    expect(way.findings.map(({ code }) => code)).toContain('mains-grey-driven');
    expect(way.changed.length).toBeGreaterThan(0);
  });

  it('keeps earths joined in a connector where the plate has no place for them', () => {
    const way = wayOf('combination', 'ct-brackenhurst-one', 'replace-timer');
    expect(way.after.devices.some(({ id }) => id === 'connector')).toBe(true);
    expect(way.table?.harms).toEqual([]);
  });
});

describe('where the room thermostat stood', () => {
  it('is linked, or the wire moved over, in variants of one way', () => {
    const plan = planMains(mainsHouse('two-valve'), { controller: 'ct-tarnwick-duo' });
    const variants = plan.ways
      .filter(({ method }) => method === 'replace-both')
      .map(({ variant }) => variant.id);
    expect(variants.sort()).toEqual(['link-dead', 'move-dead']);
    const [link, move] = variants.map((id) => wayOf('two-valve', 'ct-tarnwick-duo', 'replace-both', id));
    expect(link?.after.links).toHaveLength(1);
    expect(move?.after.links).toHaveLength(0);
  });

  it('has its cable dead at both ends, its earth left joined', () => {
    const way = wayOf('two-valve', 'ct-tarnwick-duo', 'replace-both', 'link-dead');
    const cable = way.after.strands.filter((strand) => strand.cable === 'ca-room');
    expect(
      cable
        .filter(({ stripe }) => stripe === null)
        .every(({ near, far }) => near.state === 'coiled' && far.state === 'coiled')
    ).toBe(true);
    expect(cable.find(({ stripe }) => stripe === 'YE')?.far.state).toBe('landed');
  });

  it('gives its cable low voltage only for a wall part that is fed so, and off the mains at both ends', () => {
    const way = wayOf('two-valve', 'ct-corriedale-hall', 'replace-both', 'link-low-voltage');
    expect(way.findings.map(({ code }) => code)).toContain('mains-cable-reused');
    expect(way.table?.harms).toEqual([]);
    const moves = way.moves.filter(({ change }) => change?.kind === 'end');
    const first = (find: (text: string) => boolean) => moves.findIndex(({ text }) => find(text));
    expect(first((text) => text.startsWith('Room thermostat'))).toBeLessThan(
      first((text) => text.includes('low voltage, one side'))
    );
  });

  it('would never heat again without the link: the proof says so', () => {
    const { found, inputs } = planMains(mainsHouse('two-valve'));
    const way = wayOf('two-valve', 'ct-tarnwick-duo', 'replace-both', 'link-dead');
    const proven = (wiring: Wiring) => {
      const made = truthTable({ wiring, inputs, layout: 'two-valve', dead: way.dead });
      if (!isTable(made)) throw new Error(made.why);
      return made.rows.filter(({ amiss }) => amiss.includes('heating')).map(({ state }) => rowId(state.row));
    };
    const heated = rowsOf(inputsOf(found)).filter(
      ({ heating, rooms }) => heating && Object.values(rooms).some(Boolean)
    );
    expect(proven(way.after)).toEqual([]);
    expect(proven({ ...way.after, links: [] })).toEqual(heated.map(rowId));
  });
});

describe('more rooms than are multiplied out', () => {
  it('are said', () => {
    const mains = mainsHouse('two-zones');
    const more = ['a', 'b', 'c'].map((name) => ({
      ...mains.devices.find(({ part }) => part === 'room-thermostat')!,
      id: `md-${name}` as MainsControls['devices'][number]['id']
    }));
    const codes = planMains({ ...mains, devices: [...mains.devices, ...more] }).questions.map(
      ({ code }) => code
    );
    expect(codes).toContain('mains-rooms-many');
    expect(planMains(mains).questions.map(({ code }) => code)).not.toContain('mains-rooms-many');
  });
});

describe('a house without a timer', () => {
  it('gets one channel where the room thermostat was', () => {
    const { ways } = planMains(mainsHouse('no-timer'));
    expect(ways.filter(({ verdict }) => verdict === 'pro').map(({ method }) => method)).toEqual([
      'single-channel'
    ]);
  });

  it('has the controller’s contact between the two sides of the boiler’s, and no link from live', () => {
    const way = wayOf('room-on-contact', 'ct-pennhollow-solo', 'single-channel');
    expect(way.verdict).toBe('pro');
    expect(way.after.links).toEqual([]);
    const joined = joinedIn(way.after);
    expect(joined.same('controller.4', 'md-boiler.T1')).toBe(true);
    expect(joined.same('controller.5', 'md-boiler.T2')).toBe(true);
    const linked = planMains(mainsHouse('room-on-contact'), { controller: 'ct-brackenhurst-one' });
    expect(linked.ways.find(({ method }) => method === 'single-channel')?.verdict).toBe('no');
  });
});

describe('what is not known', () => {
  const unread = (house: MainsHouse): MainsControls => {
    const mains = mainsHouse(house);
    return {
      ...mains,
      wires: mains.wires.map((wire, at) =>
        at === Math.min(5, mains.wires.length - 1) ? { ...wire, far: { state: 'unseen', on: null } } : wire
      )
    };
  };

  it.each(HOUSES)('closes every way of %s but leaving it', (house) => {
    const { ways } = planMains(unread(house));
    expect(ways.filter(({ method, verdict }) => method !== 'keep' && verdict !== 'no')).toEqual([]);
  });
});

describe('work that has begun', () => {
  const logOf = (moves: MainsWay['moves']): LogEntry[] =>
    moves.map(({ action, end, what, from, to, change }, at) => ({
      id: `lg-${at + 1}` as LogEntry['id'],
      at: DAY,
      act: { action, end, what, from, to },
      change,
      undoes: null
    }));

  it.each([0, 8, 14, 20, 27])(
    'goes on to the same end from step %i, and leads back to what was found',
    (count) => {
      const mains = named('joined-at-timer');
      const way = wayOf('joined-at-timer', 'ct-oskerry-twin', 'replace-both', 'link-dead');
      const chosen: MainsControls = {
        ...mains,
        choice: { controller: 'ct-oskerry-twin' as never, method: 'replace-both', variant: 'link-dead' },
        log: logOf(way.moves.slice(0, count))
      };
      const plan = planMains(chosen);
      expect(plan.now.misfits).toEqual([]);
      expect(plan.taken && sortedWiring(done(plan.now.wiring, plan.taken))).toEqual(sortedWiring(way.after));
      const back = mainsMoves(plan.now.wiring, plan.found, []);
      expect(sortedWiring(done(plan.now.wiring, { moves: back }))).toEqual(sortedWiring(plan.found));
    }
  );
});
