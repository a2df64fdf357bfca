/** What each look tells under each cause, as somebody who has opened many of these would expect it: a furnace with an air conditioner, five wires. */
import { beforeAll, describe, expect, it } from 'vitest';
import { finish } from '../../circuit/long-run';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../../houses/hand-wired';
import { CATALOGUE } from '../../match/catalogue';
import { prepareRun, type Prepared } from '../diagnosis';
import { readingChances } from './volts';

const WIRES = ['R', 'W', 'Y', 'G', 'C'];
const fellgate = thermostatOf(
  CATALOGUE.find(({ id }) => id === 'de-fellgate')!,
  'th'
);

let house: Prepared;

beforeAll(() => {
  const wiring = wiringFrom({
    devices: [fellgate, boardOf('eq', ['R', 'C', 'W', 'Y', 'G'], { machine: 'furnace', fuseAmps: 3 })],
    strands: WIRES.map((mark) => strandOf(mark, ['th', mark === 'R' ? 'RC' : mark], ['eq', mark])),
    links: [linkOf('wall', 'th.RH', 'th.RC')]
  });
  const touched = { strands: new Set(WIRES), jumpers: true, power: true, head: true };
  const run = prepareRun({ wiring, world: worldOf('furnace-ac', { compressor: true }), touched });
  if ('ok' in run) throw new Error(run.why);
  house = finish(run);
});

/** The hypothesis that this alone is wrong, by its place in the list. */
function only(id: string): number {
  const cause = house.situation.causes.findIndex((candidate) => candidate.id.startsWith(id));
  const at = house.situation.list.findIndex(({ causes }) => causes.length === 1 && causes[0] === cause);
  if (cause < 0 || at < 0) throw new Error(`no cause ${id}`);
  return at;
}

/** What a look answers as a rule where this alone is wrong; null where it says nothing of it. */
function answer(look: string, cause: string): string | null {
  const observation = house.observations.find(({ id }) => id === look);
  if (!observation) throw new Error(`no look ${look}`);
  const chances = observation.chances.map((column) => column[only(cause)]!);
  const most = Math.max(...chances);
  return Math.max(...chances) - Math.min(...chances) < 1e-6
    ? null
    : observation.answers[chances.indexOf(most)]!.value;
}

const LOADS = ['heat1-burner', 'heat1-blower', 'cool1-blower', 'cool1-compressor', 'fan-blower'];
const still = (cause: string) => LOADS.filter((look) => answer(look, cause) === 'still');

describe('the display', () => {
  it.each([
    'conductor-loose:R:near',
    'conductor-loose:C:far',
    'conductor-broken:C',
    'fuse-open',
    'supply-off',
    'head-not-seated',
    'short-to-common:R',
    'conductors-shorted:R:C'
  ])('is dark under %s, and then nothing is called at all', (cause) => {
    expect(answer('display', cause)).toBe('dark');
    expect(answer('click', cause)).toBe('silent');
    expect(still(cause)).toEqual(LOADS);
  });

  it.each([
    ['conductor-loose:W:near', ['heat1-burner', 'heat1-blower']],
    ['conductor-loose:Y:far', ['cool1-compressor']],
    ['conductor-loose:G:near', ['cool1-blower', 'fan-blower']],
    ['conductor-broken:Y', ['cool1-compressor']],
    ['coil-open:eq:coil-Y1', ['cool1-compressor']],
    ['link-missing', ['heat1-burner', 'heat1-blower']]
  ])('stays lit under %s: what stands still is %j', (cause, loads) => {
    expect(answer('display', cause)).toBe('lit');
    expect(still(cause)).toEqual(loads);
  });

  it('goes down in a call where that call shorts its supply, and says that it has too little', () => {
    for (const wire of ['Y', 'G']) {
      expect(answer('display-cool1', `short-to-common:${wire}`)).toBe('drops');
      expect(answer('message', `short-to-common:${wire}`)).toBe('power');
    }
    expect(answer('display-heat1', 'short-to-common:W')).toBe('drops');
    expect(answer('display-cool1', 'short-to-common:W')).toBe('steady');
  });
});

describe('a board’s lamp and its fuse', () => {
  it('tell what feeds the board from what lies beyond it', () => {
    for (const cause of ['supply-off', 'fuse-open', 'short-to-common:R'])
      expect(answer('lamp', cause), cause).toBe('dark');
    for (const cause of ['conductor-loose:C:near', 'conductor-loose:R:far', 'head-not-seated'])
      expect(answer('lamp', cause), cause).toBe('shines');
    expect(answer('lamp', 'machine-fault')).toBe('code');
  });

  it('is open where R meets common with nothing called, and whole under a loose wire', () => {
    for (const cause of ['fuse-open', 'short-to-common:R', 'conductors-shorted:R:C', 'wrong-terminal:C:RC'])
      expect(answer('fuse', cause), cause).toBe('open');
    for (const cause of ['conductor-loose:R:near', 'conductor-broken:C', 'supply-off'])
      expect(answer('fuse', cause), cause).toBe('whole');
  });

  it('may be whole or open after a short that only a call makes: nobody knows whether that call was made', () => {
    expect(answer('fuse', 'conductors-shorted:W:C')).not.toBe('whole');
  });
});

describe('hands on the wires', () => {
  it('find a loose one where it is loose, and none at the other end', () => {
    for (const wire of WIRES) {
      expect(answer('tug-wall', `conductor-loose:${wire}:near`)).toBe(wire);
      expect(answer('tug-eq', `conductor-loose:${wire}:near`)).toBe('fine');
      expect(answer('tug-eq', `conductor-loose:${wire}:far`)).toBe(wire);
      expect(answer('tug-wall', `conductor-loose:${wire}:far`)).toBe('fine');
    }
  });

  it('do not find a wire that is broken on its way: the meter from end to end does', () => {
    for (const wire of WIRES) {
      expect(answer('tug-wall', `conductor-broken:${wire}`)).toBe('fine');
      expect(answer('tug-eq', `conductor-broken:${wire}`)).toBe('fine');
      for (const other of WIRES)
        expect(answer(`continuity-${other}`, `conductor-broken:${wire}`)).toBe(
          other === wire ? 'open' : 'whole'
        );
    }
  });

  it('find two that changed places by either of them, where that was', () => {
    expect(['Y', 'G']).toContain(answer('screws-eq', 'conductors-swapped:Y:G:far'));
    expect(answer('screws-wall', 'conductors-swapped:Y:G:far')).toBe('fine');
    expect(answer('screws-wall', 'wrong-terminal:C:RC')).toBe('C');
  });

  it('see copper that touches, and no short inside the wall', () => {
    expect(answer('touching-eq', 'short-to-common:R')).toBe('R');
    expect(answer('touching-eq', 'conductor-to-earth:R')).toBe('fine');
    expect(answer('touching-wall', 'conductor-to-earth:R')).toBe('fine');
  });

  it('who look for a dark display are sent to what feeds it, and not to the wire of the outdoor unit', () => {
    const feeding = house.observations.find(({ id }) => id === 'tug-wall-display')!;
    expect(feeding.answers.map(({ value }) => value).sort()).toEqual(['C', 'R', 'fine']);
    const cooling = house.observations.find(({ id }) => id === 'tug-eq-cool1')!;
    expect(cooling.answers.map(({ value }) => value)).toContain('Y');
    expect(cooling.answers.map(({ value }) => value)).not.toContain('W');
  });

  it('are only laid on with the power off', () => {
    const hands = house.observations.filter(({ needs }) => needs === 'hands' || needs === 'helper');
    expect(hands.length).toBeGreaterThan(10);
    expect(new Set(hands.map(({ power }) => power))).toEqual(new Set(['off']));
  });
});

describe('a compressor’s rest', () => {
  it('holds back the outdoor unit alone, without a click, and is over after five minutes', () => {
    expect(still('timer-counting')).toEqual(['cool1-compressor']);
    expect(answer('message', 'timer-counting')).toBe('waits');
    expect(answer('wait', 'timer-counting')).toBe('comes');
    expect(answer('wait', 'conductor-loose:Y:near')).toBe('still');
  });
});

describe('what runs uncalled', () => {
  it('is what R reaches by itself', () => {
    for (const wire of ['W', 'Y', 'G'])
      expect(answer('uncalled', `conductors-shorted:R:${wire}`)).toBe('something');
    expect(answer('uncalled', 'conductors-shorted:W:Y')).toBe('nothing');
    expect(answer('uncalled', 'conductor-loose:R:near')).toBe('nothing');
  });
});

describe('a cause that is in no list', () => {
  it('may show itself in any way: no look speaks for it or against it', () => {
    const at = only('something-else');
    for (const { id, chances, volts } of house.observations.filter((look) => look.volts === null)) {
      const each = chances.map((column) => column[at]!);
      expect(Math.max(...each) - Math.min(...each), `${id} ${volts}`).toBeLessThan(1e-6);
    }
  });
});

describe('a meter between two screws', () => {
  const volts = (id: string) => house.observations.find((look) => look.id === id)!.volts!;
  /** The chance of a reading under a cause, against the most that any reading has there. */
  const fits = (id: string, cause: string, reading: number) => {
    const at = only(cause);
    const each = Array.from({ length: 46 }, (_, tried) => readingChances(volts(id), tried)[at]!);
    return readingChances(volts(id), reading)[at]! / Math.max(...each);
  };
  const AT_MACHINE = 'eq.R:eq.C@idle';
  const AT_WALL = 'th.RC:th.C@idle';

  it('shows 24 V at the machine under a wire that is loose at the wall, and nothing or a phantom there', () => {
    for (const cause of ['conductor-loose:C:near', 'conductor-loose:R:near']) {
      expect(fits(AT_MACHINE, cause, 26)).toBeGreaterThan(0.5);
      expect(fits(AT_MACHINE, cause, 0)).toBeLessThan(0.1);
      expect(fits(AT_WALL, cause, 26)).toBeLessThan(0.1);
      expect(fits(AT_WALL, cause, 0)).toBeGreaterThan(0.5);
    }
  });

  it('shows nothing anywhere without power or with the fuse open', () => {
    for (const cause of ['supply-off', 'fuse-open']) {
      expect(fits(AT_MACHINE, cause, 26)).toBeLessThan(0.1);
      expect(fits(AT_WALL, cause, 26)).toBeLessThan(0.1);
    }
  });

  it('shows a call at the machine’s screw, unless the wire of that call is broken', () => {
    expect(fits('eq.Y1:eq.C@cool1', 'coil-open:eq:coil-Y1', 26)).toBeGreaterThan(0.5);
    expect(fits('eq.Y1:eq.C@cool1', 'conductor-broken:Y', 26)).toBeLessThan(0.1);
    expect(fits('th.Y1:th.C@cool1', 'conductor-broken:Y', 26)).toBeGreaterThan(0.5);
  });
});
