import { describe, expect, it } from 'vitest';
import type { Job, Thermostat } from '../job/schema';
import { house, type HouseSketch } from '../houses/builder';
import { adapter, boardOf, linkOf, plug, strandOf, thermostatOf, wiringFrom } from '../houses/hand-wired';
import { CATALOGUE } from '../match/catalogue';
import { applyChange, difference, reverseChange, sameLanding, type Change } from './difference';
import { assumeUnseenEnds, UNREAD_BOARD_ID, wiringOf } from './from-job';
import { boards, landedTerminal, sortedWiring, type Wiring } from './graph';

const recorded = (sketch: HouseSketch, edit?: (thermostat: Thermostat, job: Job) => Thermostat) => {
  const { job, thermostat } = house(sketch);
  return wiringOf(job, edit ? edit(thermostat, job) : thermostat);
};
const printed = (wiring: Wiring) => boards(wiring)[0]!.screws.map((screw) => screw.mark);
const FOUR = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'];
const BOARD = ['R', 'C', 'W', 'Y', 'G'];

describe('the graph of a record', () => {
  it('keeps every state of an end as it was seen', () => {
    const { strands } = recorded({
      strands: ['RD R R', 'WH W loose', 'BU coiled unseen', 'GN loose coiled'],
      board: BOARD
    });
    expect(strands.map((strand) => [strand.near.state, strand.far.state])).toEqual([
      ['landed', 'landed'],
      ['landed', 'loose'],
      ['coiled', 'unseen'],
      ['loose', 'coiled']
    ]);
    expect(landedTerminal(strands[1]!.far)).toBeNull();
  });

  it('names terminals by what they mean and devices by their machine', () => {
    const { strands, devices } = recorded({ strands: ['RD R R', 'WH w W1'], board: ['R', 'W'] });
    expect(strands.map((strand) => landedTerminal(strand.far))).toEqual(['eq-1.R', 'eq-1.W1']);
    expect(strands[1]!.near).toEqual({ state: 'landed', terminal: `${devices[0]!.id}.W1` });
    // Two spellings of one mark are one screw.
    expect(printed(recorded({ strands: ['WH W W1'], board: ['W'] }))).toEqual(['W']);
  });

  it('adds a mark that a wire sits on though nobody listed it', () => {
    const [board] = boards(recorded({ strands: ['BU C C'], board: ['R', 'W'] }));
    expect(board!.screws.map((screw) => screw.mark)).toEqual(['R', 'W', 'C']);
  });

  it('has a nameless board where no machine is recorded, so that an end has somewhere to be', () => {
    const wiring = recorded({ strands: FOUR, board: BOARD }, (thermostat) => ({
      ...thermostat,
      equipment: []
    }));
    expect(boards(wiring).map((board) => board.id)).toEqual([UNREAD_BOARD_ID]);
    expect(boards(wiring)[0]!.transformerVa).toBeNull();
  });

  it('leaves an outdoor unit out until a wire of the thermostat is found in it', () => {
    const outdoor = { name: 'outdoor unit', kind: 'outdoor-unit' as const, marks: ['Y', 'C'] };
    expect(boards(recorded({ strands: FOUR, board: BOARD, further: [outdoor] }))).toHaveLength(1);
    const direct = recorded({ strands: ['RD R R', 'YE Y Y@2'], board: BOARD, further: [outdoor] });
    expect(boards(direct).map((board) => board.name)).toEqual(['furnace', 'outdoor unit']);
  });

  it('tells two wires of one id apart instead of losing one', () => {
    const wiring = recorded({ strands: FOUR, board: BOARD }, (thermostat) => ({
      ...thermostat,
      conductors: thermostat.conductors.map((conductor) => ({
        ...conductor,
        id: thermostat.conductors[0]!.id
      }))
    }));
    expect(wiring.strands.map((strand) => strand.id)).toEqual(['co-1', 'co-1#2', 'co-1#3', 'co-1#4']);
  });

  it('counts copper by its cable, and the worst where the cable says nothing', () => {
    const ohms = (lengthM: number | null) => recorded({ strands: ['RD R R'], lengthM }).strands[0]!.ohms;
    expect(ohms(100)).toBeCloseTo(2.095, 3);
    expect(ohms(null)).toBeCloseTo(30 * 0.02095, 5);
    const noCable = recorded({ strands: ['RD R R'] }, (thermostat) => ({ ...thermostat, cables: [] }));
    expect(noCable.strands[0]!.ohms).toBeCloseTo(30 * 0.053, 5);
  });
});

describe('ends that nobody has seen', () => {
  const assumed = (strands: string[], board = BOARD) => assumeUnseenEnds(recorded({ strands, board }));

  it('are taken on their own mark, and it is said which', () => {
    const { wiring, strands } = assumed(['RD R R', 'WH W unseen', 'YE Y unseen']);
    expect(strands).toEqual(['co-2', 'co-3']);
    expect(wiring.strands.map((strand) => landedTerminal(strand.far))).toEqual([
      'eq-1.R',
      'eq-1.W1',
      'eq-1.Y1'
    ]);
  });

  it('of RH and RC are taken on R', () => {
    const { wiring } = assumed(['RD RH unseen', 'BU RC unseen']);
    expect(wiring.strands.map((strand) => landedTerminal(strand.far))).toEqual(['eq-1.R', 'eq-1.R']);
  });

  it('bring a mark with them that the board was not seen to have', () => {
    const { wiring } = assumed(['OG O unseen']);
    expect(printed(wiring)).toContain('O');
    expect(printed(recorded({ strands: ['OG O unseen'], board: BOARD }))).not.toContain('O');
  });

  it('are left alone where the wall end is on nothing either: a spare may end anywhere', () => {
    const { wiring, strands } = assumed(['BU coiled unseen', 'BN loose unseen']);
    expect(strands).toEqual([]);
    expect(wiring.strands.every((strand) => strand.far.state === 'unseen')).toBe(true);
  });

  it('change nothing that was seen', () => {
    const seen = recorded({ strands: ['RD R R', 'WH W loose', 'BU coiled coiled'], board: BOARD });
    expect(assumeUnseenEnds(seen)).toEqual({ wiring: seen, strands: [] });
  });
});

describe('the difference of two wirings', () => {
  const cableOf = (id: string, name: string): Wiring['cables'][number] => ({
    id,
    name,
    path: 'free',
    insulation: 'unknown',
    lengthM: 15,
    gauge: 18,
    near: 'wall',
    far: 'eq'
  });
  const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
  const before: Wiring = wiringFrom({
    devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W'])],
    cables: [cableOf('ca-1', 'old')],
    strands: [strandOf('a', ['th', 'RH'], ['eq', 'R']), strandOf('b', null, null)],
    links: [linkOf('wall', 'th.RH', 'th.RC')]
  });
  const kinds = (changes: readonly Change[]) => changes.map((change) => change.kind);
  const lead = (from: Wiring, changes: readonly Change[]) => changes.reduce(applyChange, from);

  it('is nothing between equals', () => {
    expect(difference(before, structuredClone(before))).toEqual([]);
  });

  it('takes links out first, then moves ends, equipment before wall, then joins', () => {
    const after: Wiring = {
      ...before,
      strands: [before.strands[0]!, strandOf('b', ['th', 'C'], ['eq', 'C'])],
      links: [linkOf('machine', 'eq.C', 'eq.R')]
    };
    const changes = difference(before, after);
    expect(kinds(changes)).toEqual(['link-off', 'end', 'end', 'link-on']);
    expect(changes.flatMap((change) => (change.kind === 'end' ? change.side : []))).toEqual(['far', 'near']);
    expect(sortedWiring(lead(before, changes))).toEqual(sortedWiring(after));
  });

  it('lifts every end of a cable before the cable is pulled, and lands the new one when it is in', () => {
    const after: Wiring = {
      ...before,
      cables: [cableOf('ca-2', 'new')],
      strands: [{ ...strandOf('n', ['th', 'RH'], ['eq', 'R']), cable: 'ca-2' }]
    };
    const changes = difference(before, after);
    expect(kinds(changes)).toEqual(['end', 'end', 'cable-out', 'cable-in', 'end', 'end']);
    const out = changes.find((change) => change.kind === 'cable-out');
    expect(out?.kind === 'cable-out' && out.strands.every((strand) => strand.near.state === 'loose')).toBe(
      true
    );
    expect(sortedWiring(lead(before, changes))).toEqual(sortedWiring(after));
  });

  it('exchanges a transformer as one act, and nothing else of the machine', () => {
    const after = {
      ...before,
      devices: [before.devices[0]!, boardOf('eq', ['R', 'C', 'W'], { transformerVa: 75 })]
    };
    expect(difference(before, after)).toEqual([{ kind: 'transformer', device: 'eq', from: 40, to: 75 }]);
  });

  it('can be walked back, change by change', () => {
    const after: Wiring = {
      places: before.places,
      devices: [...before.devices.slice(1), adapter, plug],
      cables: [],
      strands: [],
      links: [linkOf('machine', 'eq.C', 'eq.R')]
    };
    const changes = difference(before, after);
    const there = lead(before, changes);
    const back = lead(there, changes.map(reverseChange).reverse());
    expect(sortedWiring(there)).toEqual(sortedWiring(after));
    expect(sortedWiring(back)).toEqual(sortedWiring(before));
  });

  it.each<[string, Change]>([
    ['an end', { kind: 'end', strand: 'a', side: 'near', from: { state: 'coiled' }, to: { state: 'loose' } }],
    ['a link', { kind: 'link-off', link: linkOf('wall', 'th.W', 'th.RC') }],
    ['a device', { kind: 'device-off', device: plug, place: before.places[1]! }],
    ['a transformer', { kind: 'transformer', device: 'eq', from: 20, to: 75 }]
  ])('refuses to move what is not as it expects: %s', (_, change) => {
    expect(() => applyChange(before, change)).toThrow();
  });

  it('compares landings by what they are on, not by how they came there', () => {
    const landed = (terminal: string) => ({ state: 'landed', terminal }) as const;
    expect(sameLanding(landed('eq.R'), landed('eq.R'))).toBe(true);
    expect(sameLanding(landed('eq.R'), landed('eq.C'))).toBe(false);
    expect(sameLanding({ state: 'loose' }, { state: 'coiled' })).toBe(false);
    expect(sameLanding({ state: 'unseen' }, { state: 'unseen' })).toBe(true);
  });
});
