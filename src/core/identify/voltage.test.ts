/** The voltage class, from what was read and from what is believed, and what it stops. */
import { describe, expect, it } from 'vitest';
import { ref } from '../findings/refs';
import type { Weighed } from './beliefs';
import { EVIDENCE } from './evidence/registry';
import { CANDIDATES, type Candidate } from './types';
import { voltageClassOf, voltageFindings } from './voltage';

/** Beliefs with these shares, the rest on a furnace. */
function beliefs(shares: Partial<Record<Candidate, number>>) {
  const rest = 1 - Object.values(shares).reduce((sum, share) => sum + share, 0);
  return Object.fromEntries(
    CANDIDATES.map((family) => [family, shares[family] ?? (family === 'furnace' ? rest : 0)])
  ) as Record<Candidate, number>;
}

function read(id: string, value: string): Weighed {
  const evidence = EVIDENCE.find((candidate) => candidate.id === id)!;
  return { evidence, reading: { value, because: [ref.observation(id)] } };
}

const classOf = (shares: Partial<Record<Candidate, number>>, ...weighed: Weighed[]) =>
  voltageClassOf(weighed, beliefs(shares));
const said = (shares: Partial<Record<Candidate, number>>, ...weighed: Weighed[]) =>
  voltageFindings(classOf(shares, ...weighed), beliefs(shares), weighed);

describe('the class by a reading', () => {
  it('is that of the reading, whatever was believed', () => {
    expect(classOf({}, read('measured-volts', 'line'))).toBe('line');
    expect(classOf({ 'line-voltage': 0.9 }, read('measured-volts', 'millivolt'))).toBe('millivolt');
    expect(classOf({ 'line-voltage': 0.9 }, read('measured-volts', '24v'))).toBe('24v');
  });

  it('of 24 V is data where data is believed: such wires read 24 V too', () => {
    expect(classOf({ communicating: 0.5 }, read('measured-volts', '24v'))).toBe('data');
    expect(classOf({ communicating: 0.49 }, read('measured-volts', '24v'))).toBe('24v');
  });

  it('of mains is mains even on data marks', () => {
    expect(classOf({ communicating: 0.9 }, read('plate-marks', 'data'), read('measured-volts', 'line'))).toBe(
      'line'
    );
  });
});

describe('the class by marks', () => {
  it.each(['plate-marks', 'equipment-marks'])(
    'is data by those of %s, unless mains controls are likelier',
    (id) => {
      expect(classOf({}, read(id, 'data'))).toBe('data');
      expect(classOf({ 'mains-hydronic': 0.5 }, read(id, 'data'))).toBe('line');
      expect(classOf({ 'mains-hydronic': 0.49 }, read(id, 'data'))).toBe('data');
      expect(classOf({}, read(id, 'data'), read('measured-volts', 'millivolt'))).toBe('millivolt');
    }
  );
});

describe('the class by belief', () => {
  it('is taken for the dangerous one from a half on, mains first', () => {
    expect(classOf({ 'line-voltage': 0.3, 'mains-hydronic': 0.2 })).toBe('line');
    expect(classOf({ millivolt: 0.5 })).toBe('millivolt');
    expect(classOf({ communicating: 0.5 })).toBe('data');
    expect(classOf({ 'line-voltage': 0.5, millivolt: 0.5 })).toBe('line');
  });

  it('is 24 V from nine in ten on, and open below', () => {
    expect(classOf({ millivolt: 0.1 })).toBe('24v');
    expect(classOf({ millivolt: 0.05, 'line-voltage': 0.04, communicating: 0.02 })).toBe('unknown');
    expect(classOf({ unknown: 0.11 })).toBe('unknown');
  });
});

describe('what the class stops', () => {
  const codes = (...all: Parameters<typeof said>) =>
    said(...all).map((finding) => [finding.code, finding.level]);

  it('is everything at mains, by the kind of controls that is likelier', () => {
    expect(codes({ 'line-voltage': 0.6 })).toEqual([['line-voltage', 'stop']]);
    expect(codes({ 'line-voltage': 0.3, 'mains-hydronic': 0.4 })).toEqual([['mains-controls', 'stop']]);
    expect(codes({ 'line-voltage': 0.3, 'mains-hydronic': 0.3 })).toEqual([['line-voltage', 'stop']]);
  });

  it('is everything at millivolt, and at less than a volt where that is only read', () => {
    expect(codes({ millivolt: 0.5 })).toEqual([['millivolt', 'stop']]);
    const read1 = said({ millivolt: 0.2 }, read('measured-volts', 'millivolt'));
    expect(read1).toMatchObject([
      { code: 'voltage-class-unsettled', level: 'stop', params: { what: 'under-one-volt' } }
    ]);
  });

  it('is everything on data', () => {
    expect(codes({ communicating: 0.7 })).toEqual([['data-conductors', 'stop']]);
  });

  it('is everything while one of them is still possible, each with its own least share', () => {
    expect(said({ 'line-voltage': 0.05 })).toMatchObject([
      { level: 'stop', params: { what: 'still-possible', line: 0.05, millivolt: null, data: null } }
    ]);
    expect(said({ 'line-voltage': 0.049, millivolt: 0.1, communicating: 0.1 })).toMatchObject([
      { level: 'stop', params: { line: null, millivolt: 0.1, data: 0.1 } }
    ]);
    expect(said({ 'line-voltage': 0.04, millivolt: 0.05 })).toEqual([]);
  });

  it('is a caution where nothing dangerous is likely and the class is open all the same', () => {
    expect(said({ unknown: 0.3 })).toMatchObject([{ level: 'warn', params: { what: 'not-settled' } }]);
  });

  it('is told with what it was read from, and with nothing that says nothing of a class', () => {
    const weighed = [
      read('measured-volts', 'line'),
      read('conductor-build', 'thick'),
      read('flue', 'burner')
    ];
    const [finding] = said({}, ...weighed);
    expect(finding!.because).toEqual([ref.observation('measured-volts'), ref.observation('conductor-build')]);
  });

  it.each([
    'measured-volts',
    'conductor-build',
    'plate-marks',
    'equipment-marks',
    'heat-from',
    'power-cut',
    'pilot',
    'programmer'
  ])('may be read from %s', (id) => {
    const evidence = EVIDENCE.find((candidate) => candidate.id === id)!;
    const weighed = [{ evidence, reading: { value: 'x', because: [ref.observation(id)] } }];
    expect(voltageFindings('data', beliefs({}), weighed)[0]!.because).toEqual([ref.observation(id)]);
  });
});
