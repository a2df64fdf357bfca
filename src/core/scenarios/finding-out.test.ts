/** Houses with something wrong, and the looks that lead to it: each in an order that a person with a torch would take. */
import { describe, expect, it } from 'vitest';
import { finish } from '../circuit/long-run';
import { prepareRun, type Prepared } from '../diagnose/diagnosis';
import { startAt } from '../diagnose/next-look';
import { playOut, type PlayOut } from '../diagnose/play-out';
import { remedyOf } from '../diagnose/remedy';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { twoSupplyHouse } from '../houses/powered-houses';
import { CATALOGUE } from '../match/catalogue';
import type { World } from '../devices/world';
import type { Wiring } from '../wiring/graph';

const fellgate = thermostatOf(
  CATALOGUE.find(({ id }) => id === 'de-fellgate')!,
  'th'
);
const FURNACE_MARKS = ['R', 'C', 'W', 'Y', 'G'];

/** Furnace and air conditioner with a C wire, as a job leaves it: RH and RC joined by the clip of the new thermostat. */
const furnace = (
  order = ['R', 'W', 'Y', 'G', 'C'],
  more: Partial<Wiring> = {},
  board: Parameters<typeof boardOf>[2] = {}
): Wiring =>
  wiringFrom({
    devices: [fellgate, boardOf('eq', FURNACE_MARKS, { machine: 'furnace', ...board })],
    strands: order.map((mark) => strandOf(mark, ['th', mark === 'R' ? 'RC' : mark], ['eq', mark])),
    links: [linkOf('wall', 'th.RH', 'th.RC')],
    ...more
  });
const cooled = worldOf('furnace-ac', { compressor: true });

/** The fan wire became C; the blower follows Y through a jumper at the machine. */
const fanWire = (): Wiring => {
  const wiring = furnace(['R', 'W', 'Y', 'C']);
  return { ...wiring, links: [...wiring.links, linkOf('machine', 'eq.Y', 'eq.G')] };
};

const heatPump = (): { wiring: Wiring; world: World } => ({
  world: worldOf('heat-pump', { compressor: true, reversing: 'O', blowerInHeat: 'g' }),
  wiring: wiringFrom({
    devices: [fellgate, boardOf('eq', ['R', 'C', 'Y', 'G', 'O', 'W2'])],
    strands: [
      strandOf('R', ['th', 'RC'], ['eq', 'R']),
      strandOf('Y', ['th', 'Y'], ['eq', 'Y']),
      strandOf('G', ['th', 'G'], ['eq', 'G']),
      strandOf('O', ['th', 'O/B'], ['eq', 'O']),
      strandOf('C', ['th', 'C'], ['eq', 'C'])
    ],
    links: [linkOf('wall', 'th.RH', 'th.RC')]
  })
});

const ready = new Map<string, Prepared>();

/** All of it was touched: the house was worked on today. Several stories of one house are played on one preparation, which none changes. */
function prepared(wiring: Wiring, world: World): Prepared {
  const key = JSON.stringify([wiring, world]);
  const house = ready.get(key) ?? prepare(wiring, world);
  ready.set(key, house);
  return house;
}

function prepare(wiring: Wiring, world: World): Prepared {
  const touched = {
    strands: new Set(wiring.strands.map(({ id }) => id)),
    jumpers: true,
    power: true,
    head: true
  };
  const run = prepareRun({ wiring, world, touched });
  if ('ok' in run) throw new Error(run.why);
  return finish(run);
}

/** Plays the house with these causes, from what one sees first. */
function played(
  house: Prepared,
  causes: readonly string[],
  first: readonly string[],
  meter = false
): PlayOut {
  const numbers = causes.map((id) => house.situation.causes.findIndex((cause) => cause.id === id));
  expect(numbers, causes.join()).not.toContain(-1);
  const truth = house.situation.list.findIndex(
    (hypothesis) =>
      hypothesis.causes.length === numbers.length &&
      numbers.every((number) => hypothesis.causes.includes(number))
  );
  expect(truth).toBeGreaterThanOrEqual(0);
  const circumstances = { ...startAt(house.situation.wiring), meter };
  return playOut(house, truth, { circumstances, first });
}

const idsOf = ({ looks }: PlayOut) => looks.map(({ id }) => id);

interface Told {
  readonly wiring?: Wiring;
  readonly world?: World;
  readonly causes: readonly string[];
  /** What one sees by itself. */
  readonly first?: readonly string[];
  /** Looks that lead to it, the last of them the one that shows it. */
  readonly ends: string;
  readonly mostLooks: number;
  readonly meter?: boolean;
}

const HOUSES: Readonly<Record<string, Told>> = {
  'C loose at the equipment': { causes: ['conductor-loose:C:far'], ends: 'tug-eq-display', mostLooks: 5 },
  'C and Y swapped at one end': {
    wiring: furnace(['R', 'W', 'G', 'Y', 'C']),
    causes: ['conductors-swapped:Y:C:far'],
    ends: '',
    mostLooks: 10
  },
  'the jumper between Y and G forgotten': {
    wiring: fanWire(),
    causes: ['link-missing:ln-eq.Y-eq.G'],
    first: ['cool1-blower'],
    ends: 'jumpers',
    mostLooks: 6
  },
  'the fuse open after a slip': { causes: ['fuse-open:eq:fuse'], ends: 'lamp', mostLooks: 9 },
  'the head not seated': { causes: ['head-not-seated:th'], ends: 'head', mostLooks: 4 },
  'the door open': { causes: ['switch-open:eq:door-switch'], ends: 'door', mostLooks: 8 },
  'the float switch open: the pan is full': {
    wiring: furnace(
      ['R', 'W', 'Y', 'G', 'C'],
      {},
      {
        accessories: [{ kind: 'condensate-pump', ownRelay: 'no', note: '' }]
      }
    ),
    causes: ['switch-open:eq:float-switch'],
    ends: 'float',
    mostLooks: 9
  },
  'a transformer of 20 VA that has grown weak': {
    wiring: furnace(['R', 'W', 'Y', 'G', 'C'], {}, { transformerVa: 20 }),
    causes: ['weak-transformer:eq:secondary'],
    first: ['display-cool1'],
    ends: 'display-cool1',
    mostLooks: 12
  },
  'a nicked wire that broke': {
    causes: ['conductor-nicked:Y'],
    first: ['cool1-compressor', 'wait'],
    ends: '',
    mostLooks: 15
  },
  'the valve set the wrong way round': {
    ...heatPump(),
    causes: ['set-up-valve'],
    first: ['air'],
    ends: 'air',
    mostLooks: 8
  },
  'a timer that still counts': {
    causes: ['timer-counting'],
    first: ['cool1-compressor'],
    ends: '',
    mostLooks: 8
  },
  'two at once: head not seated, and Y loose at the machine': {
    causes: ['conductor-loose:Y:far', 'head-not-seated:th'],
    ends: '',
    mostLooks: 12
  }
};

describe('finding out why', () => {
  const finds = (_: string, told: Told) => {
    const house = prepared(told.wiring ?? furnace(), told.world ?? cooled);
    const out = played(house, told.causes, ['display', ...(told.first ?? [])], told.meter);
    const told3 = out.ranked.slice(0, 3).map(({ id, probability }) => `${id} ${probability.toFixed(2)}`);
    expect(
      out.found,
      `${out.looks.map(({ id, answer }) => `${id}=${answer}`).join()} | ${told3.join()}`
    ).toBe(true);
    expect(out.looks.length, idsOf(out).join()).toBeLessThanOrEqual(told.mostLooks);
    if (told.ends) expect(idsOf(out), idsOf(out).join()).toContain(told.ends);
  };
  // The first of them at every commit: a dark display, and what stays cold.
  it.each(Object.entries(HOUSES).slice(0, 5))('finds %s', finds);
  it.each(Object.entries(HOUSES).slice(5))('finds %s', { tags: ['wide'] }, finds);

  it('begins with what costs nothing: the head, before any screw', () => {
    const out = played(prepared(furnace(), cooled), ['head-not-seated:th'], ['display']);
    expect(idsOf(out).slice(0, 2)).toEqual(['display', 'head']);
  });

  it('asks nothing that needs a call of a thermostat that is dark, and no meter of who has none', () => {
    const house = prepared(furnace(), cooled);
    const out = played(house, ['fuse-open:eq:fuse'], ['display']);
    const asked = out.looks.map(({ id }) => house.observations.find((other) => other.id === id)!);
    expect(asked.every(({ call }) => call === null)).toBe(true);
    expect(asked.every(({ needs }) => needs === 'eyes' || needs === 'hands')).toBe(true);
  });

  it('tells the two supplies that were joined by a jumper left in', () => {
    const { wiring, world } = twoSupplyHouse();
    const out = played(prepared(wiring, world), ['link-left-in:th'], ['display']);
    expect(out.inThree, idsOf(out).join()).toBe(true);
  });

  it('gives the moves that lead back to the sheet, and the repaired wiring is sound', () => {
    const house = prepared(furnace(), cooled);
    const out = played(house, ['conductor-loose:C:far'], ['display']);
    const remedy = remedyOf(house, out.ranked[0]!);
    expect(remedy.proven).toBe(true);
    expect(remedy.moves.map(({ text }) => text).join(' ')).toMatch(/Land the .* on C/);
    expect(remedy.pro).toBe(false);
  });

  it('leaves to a technician what hands should not do', () => {
    const house = prepared(furnace(), cooled);
    const cause = house.situation.causes.find(({ kind }) => kind === 'weak-transformer')!;
    expect(remedyOf(house, { cause })).toMatchObject({ pro: true, moves: [] });
  });
});
