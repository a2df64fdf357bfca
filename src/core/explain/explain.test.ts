/** What a wire is for, and the question where nobody can say. */
import { describe, expect, it } from 'vitest';
import { house, type HouseSketch } from '../houses/builder';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { CATALOGUE } from '../match/catalogue';
import { wiringOf } from '../wiring/from-job';
import { landed, type Strand, type Wiring } from '../wiring/graph';
import { readIn } from '../wiring/meaning';
import { agree, hasPurpose, purposeOf, type Purpose } from './agreement';
import { leavesAlone, unexplained, wireJob } from './explain';

const around = { family: 'furnace', servesFirstStage: false } as const;
const pump = { family: 'heat-pump', servesFirstStage: false } as const;

describe('two marks name one job', () => {
  it.each<[string, string, boolean]>([
    ['R', 'RC', true],
    ['R', 'T1', true],
    ['W1', 'T2', true],
    ['W1', 'Z3', true],
    ['AUX', 'W2', true],
    ['E', 'AUX', true],
    ['E', 'W2', true],
    ['O', 'B', true],
    ['C', 'R', false],
    ['W1', 'Y1', false],
    ['W1', 'G', false],
    ['Y1', 'G', false],
    ['C', 'G', false],
    ['W1', 'W2', false],
    ['Y1', 'Y2', false],
    ['HUM', 'V', false]
  ])('%s and %s: %s, whichever end is which', (a, b, same) => {
    const ends = { near: purposeOf(a)!, far: purposeOf(b)! };
    expect(agree(ends, around)).toBe(same);
    expect(agree({ near: ends.far, far: ends.near }, around)).toBe(same);
  });

  it('W is auxiliary heat on a heat pump alone', () => {
    const ends = { near: 'heat', far: 'second-heat' } as const;
    expect([agree(ends, around), agree(ends, pump)]).toEqual([false, true]);
    expect(agree({ near: 'heat', far: 'auxiliary' }, pump)).toBe(true);
    expect(agree({ near: 'heat', far: 'emergency' }, pump)).toBe(true);
  });

  it('a second stage that serves as the first is the first', () => {
    expect(agree({ near: 'cooling', far: 'second-cooling' }, { ...around, servesFirstStage: true })).toBe(
      true
    );
    expect(agree({ near: 'heat', far: 'second-heat' }, { ...around, servesFirstStage: true })).toBe(true);
    expect(agree({ near: 'heat', far: 'cooling' }, { ...around, servesFirstStage: true })).toBe(false);
  });

  it('knows no purpose of a mark that the trade does not know', () => {
    expect([purposeOf('QX'), purposeOf('Z4'), purposeOf('S2'), purposeOf('L1')]).toEqual([
      null,
      'zone',
      'sensor',
      'mains'
    ]);
  });
});

describe('a family has a use for', () => {
  it.each<[Purpose, Parameters<typeof hasPurpose>[1], boolean]>([
    ['cooling', 'furnace', true],
    ['reversing', 'furnace', false],
    ['reversing', 'heat-pump', true],
    ['auxiliary', 'dual-fuel', true],
    ['cooling', 'boiler', false],
    ['fan', 'boiler', false],
    ['fan', 'steam', false],
    ['contact', 'boiler', true],
    ['zone', 'boiler', true],
    ['zone', 'furnace', false],
    ['fan', 'boiler-plus-ac', true],
    ['contact', 'boiler-plus-ac', true],
    ['heat', 'cooling-only', false],
    ['cooling', 'cooling-only', true],
    ['contact', 'contact-heater', true],
    ['fan', 'contact-heater', false],
    ['data', 'furnace-ac', false]
  ])('%s in %s: %s', (purpose, family, used) => {
    expect(hasPurpose(purpose, family)).toBe(used);
  });
});

const jobs = (sketch: Partial<HouseSketch>, family: Parameters<typeof worldOf>[0] = 'furnace-ac') => {
  const { job, thermostat } = house({ strands: [], ...sketch });
  const world = worldOf(family);
  const wiring = readIn(wiringOf(job, thermostat), family);
  return wiring.strands.map((strand) => {
    const made = wireJob(wiring, world, strand);
    return made.known ? made.purpose : made.riddle;
  });
};

describe('a wire', () => {
  it('has the job that both of its ends name', () => {
    expect(jobs({ strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'] })).toEqual([
      'hot',
      'heat',
      'cooling',
      'fan',
      'common'
    ]);
  });

  it('is a riddle where the machine’s mark is not known, and where the plate’s is not', () => {
    expect(jobs({ strands: ['WH W QX', 'GN M4 G', 'BU X X', 'BN B B'] })).toEqual([
      'far-mark',
      'near-mark',
      'far-mark',
      'far-mark'
    ]);
  });

  it('is a riddle on the only T of a board that can be read, where the plate does not say which side it is', () => {
    const onT = (wall: string) => jobs({ strands: [`WH ${wall} T`], board: ['QX', 'T', 'C'] }, 'boiler');
    expect([onT('M4'), onT('W'), onT('R')]).toEqual([['far-mark'], ['contact'], ['contact']]);
    // Both ends are a side of the contact: known, whichever it is.
    expect(onT('T')).toEqual(['contact']);
  });

  it('is a riddle where its ends differ, unless it was measured to be one wire: then the machine’s end counts', () => {
    expect(jobs({ strands: ['WH W G'], continuity: 'untested' })).toEqual(['ends-differ']);
    expect(jobs({ strands: ['WH W G'], continuity: 'proven' })).toEqual(['fan']);
  });

  it('is a riddle where such a machine has no use for it: on water a third wire', () => {
    expect(jobs({ strands: ['YE Y Y'], board: ['Y'] }, 'boiler')).toEqual(['third-wire']);
    expect(jobs({ strands: ['BN B Y'], board: ['Y'] }, 'boiler')).toEqual(['third-wire']);
    expect(jobs({ strands: ['WH W W'], board: ['W'] }, 'cooling-only')).toEqual(['no-job']);
  });

  it('on W2 is heat where a link joins W2 to W, and a riddle where none does', () => {
    const board = ['R', 'W', 'W2'];
    expect(jobs({ strands: ['WH W W2'], board, links: ['equipment W W2'], continuity: 'untested' })).toEqual([
      'second-heat'
    ]);
    expect(jobs({ strands: ['WH W W2'], board, continuity: 'untested' })).toEqual(['ends-differ']);
  });

  it('on Y2 at one end is the one cooling wire where nobody uses Y there; a heat stage burns on its own screw alone', () => {
    const untested = { continuity: 'untested' } as const;
    const plate = ['R', 'W', 'W2', 'Y', 'Y2', 'G'];
    expect(jobs({ strands: ['YE Y2 Y'], plate, board: ['Y'], ...untested })).toEqual(['cooling']);
    // Without a screw for a first stage there is none that it could be mistaken for.
    expect(jobs({ strands: ['YE Y2 Y'], plate: ['R', 'Y2'], board: ['Y'], ...untested })).toEqual([
      'cooling'
    ]);
    expect(jobs({ strands: ['YE Y2 Y', 'BU Y Y2'], plate, board: ['Y', 'Y2'], ...untested })).toEqual([
      'ends-differ',
      'ends-differ'
    ]);
    // A wire that is only on Y at the wall and ends on nothing uses it not.
    expect(jobs({ strands: ['YE Y2 Y', 'BU Y loose'], plate, board: ['Y'], ...untested })[0]).toBe('cooling');
    expect(jobs({ strands: ['WH W2 W'], plate, board: ['W'], ...untested })).toEqual(['ends-differ']);
  });

  it('is asked about once, with the systems in which it is a riddle', () => {
    const { job, thermostat } = house({ strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G QX'] });
    const found = unexplained(wiringOf(job, thermostat), [worldOf('furnace-ac'), worldOf('boiler')]);
    expect(
      found.map((unexplained) => [
        unexplained.strand,
        unexplained.riddle,
        unexplained.finding.worlds ?? 'all'
      ])
    ).toEqual([
      ['co-4', 'far-mark', 'all'],
      ['co-3', 'third-wire', ['a boiler']]
    ]);
    expect(found.map((unexplained) => unexplained.finding.level)).toEqual(['stop', 'stop']);
  });

  it('is asked about at its worst: a plate’s mark that nobody knows in one system, a third wire in another', () => {
    const { job, thermostat } = house({ strands: ['BN B Y'], board: ['Y'] });
    const found = unexplained(wiringOf(job, thermostat), [worldOf('furnace'), worldOf('boiler')]);
    expect(
      found.map((unexplained) => [unexplained.riddle, unexplained.finding.level, unexplained.finding.worlds])
    ).toEqual([['third-wire', 'stop', ['a boiler']]]);
  });

  it('stops nothing where the plate’s mark alone is not known', () => {
    const { job, thermostat } = house({ strands: ['GN M4 G'] });
    expect(unexplained(wiringOf(job, thermostat), [worldOf('furnace')])[0]?.finding.level).toBe('warn');
  });
});

describe('a wire is left alone', () => {
  const facts = CATALOGUE[0]!;
  const wiring: Wiring = wiringFrom({
    devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W'])],
    strands: [strandOf('a', ['th', 'W'], ['eq', 'W']), strandOf('b', ['th', 'C'], null)],
    links: [linkOf('machine', 'eq.R', 'eq.C')]
  });
  const withStrand = (id: string, change: Partial<Strand>): Wiring => ({
    ...wiring,
    strands: wiring.strands.map((strand) => (strand.id === id ? { ...strand, ...change } : strand))
  });

  it('where both ends are on the screws that they were on', () => {
    expect(leavesAlone(wiring, { ...wiring, links: [] }, 'a')).toBe(true);
    expect(leavesAlone(wiring, withStrand('b', { near: { state: 'coiled' } }), 'a')).toBe(true);
  });

  it('and not where an end was moved, the wire is gone, or its screw is', () => {
    expect(leavesAlone(wiring, withStrand('a', { far: landed('eq.C') }), 'a')).toBe(false);
    expect(leavesAlone(wiring, withStrand('a', { near: { state: 'coiled' } }), 'a')).toBe(false);
    expect(leavesAlone(wiring, { ...wiring, strands: [] }, 'a')).toBe(false);
    expect(leavesAlone(wiring, { ...wiring, devices: wiring.devices.slice(1) }, 'a')).toBe(false);
  });
});
