/** Answers held against their questions, readings between the classes, and two wires that nobody measured. */
import { describe, expect, it } from 'vitest';
import { house, type HouseSketch } from '../houses/builder';
import { planFor } from '../plan/plan';
import { findDevice } from '../match/catalogue';
import { answerFindings } from './answers';
import { identify } from './identify';

const answered = (observed: HouseSketch['observed']) => {
  const { job, thermostat } = house({
    strands: ['RD R R', 'WH W W'],
    board: ['R', 'W'],
    observed: observed!
  });
  return answerFindings(job, thermostat).map(({ code, level, params, path }) => ({
    code,
    level,
    params,
    path
  }));
};

describe('an answer', () => {
  it('that its question has is taken', () => {
    expect(answered({ flue: 'burner', 'measured-volts': 26.5, 'heat-from': 'registers' })).toEqual([]);
  });

  it.each<[string, HouseSketch['observed'], object]>([
    [
      'a word that the question does not have',
      { flue: 'yes' },
      { id: 'flue', answer: 'yes', known: ['burner', 'none'] }
    ],
    ['a number as text', { 'measured-volts': '26' }, { id: 'measured-volts', answer: '26', known: null }],
    [
      'a number where a word is asked for',
      { flue: 3 },
      { id: 'flue', answer: '3', known: ['burner', 'none'] }
    ]
  ])('%s is told with its place, and counts for nothing', (_, observed, params) => {
    const [id] = Object.keys(observed!);
    expect(answered(observed)).toEqual([
      { code: 'answer-not-understood', level: 'warn', params, path: `thermostats[0].observed.${id}` }
    ]);
    const { job, thermostat } = house({ strands: ['RD R R', 'WH W W'], observed: observed! });
    const without = house({ strands: ['RD R R', 'WH W W'], observed: {} });
    expect(identify(job, thermostat).beliefs).toEqual(identify(without.job, without.thermostat).beliefs);
  });

  it('to a question that nobody asks is noted', () => {
    expect(answered({ moon: 'full' })).toMatchObject([{ code: 'unknown-observation', level: 'note' }]);
  });
});

const codes = (sketch: HouseSketch) => {
  const { job, thermostat } = house(sketch);
  return identify(job, thermostat).findings.flatMap((finding) =>
    finding.code === 'voltage-class-unsettled' ? [finding.params.what] : []
  );
};
const wires = { strands: ['RD R R', 'WH W W'], board: ['R', 'W', 'C'] };

describe('a reading', () => {
  it.each([
    [0.7, 'millivolt'],
    [1.5, 'unknown'],
    [12, 'unknown'],
    [17.9, 'unknown'],
    [18, '24v'],
    [27, '24v'],
    [32, '24v'],
    [33, 'unknown'],
    [49, 'unknown'],
    [120, 'line']
  ])('of %d V makes the class %s', (volts, expected) => {
    const observed = {
      'conductor-build': 'thin',
      'heat-from': 'registers',
      flue: 'burner',
      'measured-volts': volts
    };
    const { job, thermostat } = house({ ...wires, observed, equipment: { kind: 'furnace' } });
    expect(identify(job, thermostat).voltageClass).toBe(expected);
  });

  it('between the classes closes every way, and says what to measure next', () => {
    const { job, thermostat } = house({
      ...wires,
      observed: { 'measured-volts': 11 },
      equipment: { kind: 'furnace' }
    });
    const plan = planFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null });
    expect(
      plan.options.filter((option) => option.method !== 'none').every((option) => option.verdict === 'no')
    ).toBe(true);
    expect(codes({ ...wires, observed: { 'measured-volts': 11 } })).toContain('between');
  });
});

describe('two wires', () => {
  it('that nobody measured ask for a meter, unless the machine is one without a standing pilot', () => {
    expect(codes({ ...wires, observed: {} })).toContain('two-wires');
    expect(codes({ ...wires, observed: {}, equipment: { kind: 'room-heater' } })).toContain('two-wires');
    expect(codes({ ...wires, observed: {}, equipment: { kind: 'boiler' } })).not.toContain('two-wires');
    expect(codes({ ...wires, observed: { 'measured-volts': 26 } })).not.toContain('two-wires');
    expect(codes({ strands: [...wires.strands, 'GN G G'], board: wires.board, observed: {} })).not.toContain(
      'two-wires'
    );
  });
});
