/** What each piece of evidence reads in a house written for it, and which way it moves the beliefs. */
import { ref, refId } from '../../findings/refs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Thermostat } from '../../job/schema';
import { house, type HouseSketch } from '../../houses/builder';
import type { Family } from '../../trade/vocabulary';
import { wiringOf } from '../../wiring/from-job';
import { beliefsFrom, PRIOR, update } from '../beliefs';
import { classOfMarks } from '../read-marks';
import { EVIDENCE } from './registry';

const piece = (id: string) => EVIDENCE.find((evidence) => evidence.id === id)!;

function read(id: string, sketch: HouseSketch) {
  const where = house(sketch);
  return piece(id).read({ ...where, wiring: wiringOf(where.job, where.thermostat) });
}

const value = (id: string, sketch: HouseSketch) => read(id, sketch)?.value ?? null;
const wires = (...strands: string[]): HouseSketch => ({ strands, board: ['R', 'C', 'W', 'Y', 'G', 'O'] });
const says = (observed: Thermostat['observed']): HouseSketch => ({ strands: [], observed });

describe('evidence that is read off the strand sheet', () => {
  it.each<[string, string, HouseSketch, string | null]>([
    ['fan-landed', 'both ends', wires('RD R R', 'GN G G'), 'both'],
    ['fan-landed', 'fixed at the wall, loose at the machine', wires('GN G loose'), 'wall-only'],
    ['fan-landed', 'coiled at the machine', wires('GN G coiled'), 'wall-only'],
    ['fan-landed', 'other end not seen', wires('GN G unseen'), 'wall-unseen'],
    ['fan-landed', 'on W at the machine, which says more', wires('RD R R', 'GN G W'), 'none'],
    ['fan-landed', 'no wire on it', wires('RD R R', 'WH W W'), 'none'],
    ['fan-landed', 'wall not read', wires('RD R R', 'WH unseen W'), null],
    ['reversing-landed', 'O', wires('OG O O'), 'both'],
    ['reversing-landed', 'B at the wall', wires('DB B loose'), 'wall-only'],
    ['reversing-landed', 'O/B in one', wires('OG O/B O'), 'both'],
    ['compressor-landed', 'one stage on Y2 of the board', wires('YE Y Y2'), 'both'],
    ['compressor-landed', 'second stage only', wires('BU Y2 Y2'), 'both'],
    ['compressor-landed', 'not there', wires('RD R R'), 'none'],
    ['heat-landed', 'W', wires('WH W W'), 'both'],
    ['heat-landed', 'W2 is another thing', wires('WH W2 W2'), 'none'],
    ['auxiliary-landed', 'AUX', wires('WH AUX W2'), 'both'],
    ['auxiliary-landed', 'E that leads nowhere', wires('BN E loose'), 'wall-only'],
    ['conductor-count', 'two', wires('RD R R', 'WH W W'), 'two'],
    ['conductor-count', 'spares do not count', wires('RD R R', 'WH W W', 'BU coiled coiled'), 'two'],
    ['conductor-count', 'five', wires('RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'), 'three-to-five'],
    ['conductor-count', 'one not looked at', wires('RD R R', 'WH unseen W'), null]
  ])('%s: %s', (id, _, sketch, expected) => {
    expect(value(id, sketch)).toBe(expected);
  });

  it.each<[string, string[], string[], string | null]>([
    ['one wire', ['RD R R'], [], 'one'],
    ['RH and RC, a link between', ['RD RH R', 'BU RC R'], ['wall RH RC'], 'two-linked'],
    ['RH and RC, no link', ['RD RH R', 'BU RC R'], [], 'two-apart'],
    ['a link at the machine is not one at the wall', ['RD RH R', 'BU RC R'], ['equipment R C'], 'two-apart'],
    ['no hot wire', ['WH T1 T1', 'BK T2 T2'], [], 'none'],
    ['RC alone, linked to RH, is one', ['RD RC R'], ['wall RH RC'], 'one']
  ])('hot-conductors: %s', (_, strands, links, expected) => {
    expect(value('hot-conductors', { ...wires(...strands), links })).toBe(expected);
  });

  it('rests on the wires that it was read from', () => {
    expect(read('fan-landed', wires('RD R R', 'GN G G'))?.because).toEqual([ref.conductor('co-2')]);
    const linked = { ...wires('RD RH R', 'BU RC R'), links: ['wall RH RC'] };
    expect(read('hot-conductors', linked)?.because.map(refId)).toEqual(['co-1', 'co-2', 'ln-1']);
  });
});

describe('marks', () => {
  it.each<[string, string[], string | null]>([
    ['letters of the 24 V class', ['R', 'W', 'G'], 'low-voltage'],
    ['one mains mark among them is enough', ['R', 'W', 'L1'], 'mains'],
    ['two data marks', ['1', '2', '3', '4'], 'data'],
    ['a single digit may be a number of something else', ['R', 'W', '2'], 'low-voltage'],
    ['a two-wire contact', ['T1', 'T2'], 'contact'],
    ['marks that nobody knows', ['QQ', 'ZZ'], null],
    ['nothing', [], null]
  ])('belong to a class: %s', (_, marks, expected) => {
    expect(classOfMarks(marks)).toBe(expected);
  });

  it('at the plate and at the machine are two observations', () => {
    const mixed: HouseSketch = { strands: [], plate: ['T1', 'T2'], board: ['R', 'C', 'W'] };
    expect(value('plate-marks', mixed)).toBe('contact');
    expect(value('equipment-marks', mixed)).toBe('low-voltage');
  });

  it('of an outdoor unit do not speak for the machine inside', () => {
    const outside = { kind: 'outdoor-unit' as const, marks: ['L1', 'L2'] };
    expect(value('equipment-marks', { strands: [], board: ['R', 'W'], further: [outside] })).toBe(
      'low-voltage'
    );
  });
});

describe('the inventory', () => {
  it.each<[string, HouseSketch, string | null]>([
    ['a furnace', { strands: [], equipment: { kind: 'furnace' } }, 'furnace'],
    ['a boiler', { strands: [], equipment: { kind: 'boiler' } }, 'boiler'],
    [
      'a boiler and an air handler',
      { strands: [], equipment: { kind: 'boiler' }, further: [{ kind: 'air-handler' }] },
      'boiler-and-air'
    ],
    [
      'an outdoor unit alone says nothing of the heat',
      { strands: [], equipment: { kind: 'outdoor-unit' } },
      null
    ],
    ['nobody has said', { strands: [] }, null]
  ])('%s', (_, sketch, expected) => {
    expect(value('inventory', sketch)).toBe(expected);
  });
});

describe('answers', () => {
  it('count only where they are answers to the question', () => {
    expect(value('flue', says({ flue: 'burner' }))).toBe('burner');
    expect(value('flue', says({ flue: 'perhaps' }))).toBeNull();
    expect(value('flue', says({ 'outdoor-unit': 'none' }))).toBeNull();
    expect(value('measured-volts', says({ 'measured-volts': 'much' }))).toBeNull();
  });

  it.each<[string, string, Family, Family]>([
    ['outdoor-unit', 'runs', 'heat-pump', 'furnace-ac'],
    ['outdoor-unit', 'rests', 'furnace-ac', 'heat-pump'],
    ['flue', 'none', 'electric-furnace', 'furnace'],
    ['boiler-signs', 'sight-glass', 'steam', 'boiler'],
    ['boiler-signs', 'circulators', 'boiler', 'steam'],
    ['hot-conductors', 'two-apart', 'boiler-plus-ac', 'furnace-ac'],
    ['plate-marks', 'data', 'communicating', 'furnace'],
    ['conductor-build', 'thick', 'line-voltage', 'furnace'],
    ['reversing-landed', 'both', 'heat-pump', 'furnace-ac'],
    ['inventory', 'room-heater', 'contact-heater', 'furnace']
  ])('%s “%s” speaks for %s and against %s', (id, answer, for_, against) => {
    const after = update(PRIOR, piece(id), answer);
    expect(after[for_]).toBeGreaterThan(PRIOR[for_]);
    expect(after[for_] / after[against]).toBeGreaterThan(5 * (PRIOR[for_] / PRIOR[against]));
  });

  it('of 27 V take mains out for good, whatever is said afterwards', () => {
    const measured = update(PRIOR, piece('measured-volts'), '24v');
    const thick = update(measured, piece('conductor-build'), 'thick');
    for (const beliefs of [measured, thick])
      expect([beliefs['line-voltage'], beliefs.millivolt, beliefs['mains-hydronic']]).toEqual([0, 0, 0]);
  });
});

describe('beliefs', () => {
  const anyWeighed = fc.uniqueArray(fc.nat({ max: EVIDENCE.length - 1 }), { maxLength: 8 }).chain((picks) =>
    fc.tuple(
      ...picks.map((pick) =>
        fc.constantFrom(...EVIDENCE[pick]!.values).map((evidenceValue) => ({
          evidence: EVIDENCE[pick]!,
          reading: { value: evidenceValue.value, because: [] }
        }))
      )
    )
  );

  it('are shares of one whole after any evidence, in whatever order it came', () => {
    fc.assert(
      fc.property(anyWeighed, (weighed) => {
        const beliefs = beliefsFrom(weighed);
        const shares = Object.values(beliefs);
        expect(shares.every((share) => share >= 0)).toBe(true);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
      })
    );
  });

  it('do not depend on the order, as long as nothing excludes everything', () => {
    fc.assert(
      fc.property(anyWeighed, (weighed) => {
        const soft = weighed.filter((candidate) => candidate.evidence.id !== 'measured-volts');
        const [there, back] = [beliefsFrom(soft), beliefsFrom([...soft].reverse())];
        for (const family of Object.keys(PRIOR) as Family[])
          expect(there[family]).toBeCloseTo(back[family], 9);
      })
    );
  });

  it('gain in “unknown” where evidence fits no family', () => {
    const odd = beliefsFrom(
      [
        ['conductor-build', 'thick'],
        ['equipment-marks', 'data'],
        ['pilot', piece('pilot').values[0]!.value],
        ['boiler-signs', 'sight-glass'],
        ['reversing-landed', 'both']
      ].map(([id, answer]) => ({ evidence: piece(id!), reading: { value: answer!, because: [] } }))
    );
    expect(odd.unknown).toBeGreaterThan(0.5);
  });
});
