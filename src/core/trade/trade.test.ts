import { describe, expect, it } from 'vitest';
import { conductorOhms, GAUGES } from './cable';
import { COLOURS, COLOUR_CODES, colourName, usualColours } from './colours';
import { dayText, percentText, quantityText, voltsText, weightText } from './figures';
import { coilOhms, COILS, LEAST_TRANSFORMER_VA, OPEN_CIRCUIT_VOLTS, transformerOhms } from './loads';
import { canonicalMark, COMMON_MARKS, isHot, MARK_READINGS, markClass, markFacts } from './terminals';
import { METRES_PER_FOOT } from './cable';

describe('marks', () => {
  it.each([
    ['W', 'W1'],
    ['w', 'W1'],
    [' y ', 'Y1'],
    ['o/b', 'OB'],
    ['B/O', 'OB'],
    ['W2/AUX', 'W2'],
    ['aux/w2', 'W2'],
    ['W1/E', 'W1'],
    ['rh', 'RH'],
    ['Zz9', 'ZZ9']
  ])('print as recorded and read as one: %s is %s', (printed, read) => {
    expect(canonicalMark(printed)).toBe(read);
    expect(canonicalMark(canonicalMark(printed))).toBe(read);
  });

  it('have a meaning for every one that is offered for choice', () => {
    for (const mark of COMMON_MARKS) expect(markFacts(mark)?.means, mark).toBeTruthy();
  });

  it('tell hot from common, sensors from calls, and what is no business of 24 V', () => {
    expect(['R', 'RH', 'rc'].every(isHot)).toBe(true);
    expect(['C', 'W', 'K', 'S1', 'L1'].some(isHot)).toBe(false);
    expect(markClass('C')).toBe('common');
    expect(markClass('S2')).toBe('sensor');
    expect(markClass('1')).toBe('data');
    expect(['L1', 'L2', 'N'].map(markClass)).toEqual(['mains', 'mains', 'mains']);
    expect(markClass('QQ')).toBeUndefined();
  });

  it('that may stand for two things carry both, with what decides between them', () => {
    for (const mark of ['B', 'X', 'E', 'L']) {
      expect(markClass(mark), mark).toBe('ambiguous');
      expect(MARK_READINGS[mark]?.length, mark).toBeGreaterThan(1);
    }
    for (const readings of Object.values(MARK_READINGS))
      for (const reading of readings) expect(reading.decidedBy.length).toBeGreaterThan(10);
    // X may be the common or emergency heat: nothing may be landed on it before its other end is read.
    expect(MARK_READINGS['X']?.map((markReading) => markReading.id)).toEqual(['common', 'emergency']);
  });
});

describe('copper', () => {
  it('has the resistance of the tables, in ohm per kilometre', () => {
    expect(GAUGES.map((gauge) => Number(conductorOhms(gauge, 1000).toFixed(6)))).toEqual([
      13.2, 20.95, 33.3, 53
    ]);
  });

  it('counts as the thinnest and as long where nobody has looked', () => {
    expect(conductorOhms(null, 10)).toBe(conductorOhms(22, 10));
    expect(conductorOhms(18, null)).toBe(conductorOhms(18, 30));
    for (const gauge of GAUGES)
      expect(conductorOhms(null, null)).toBeGreaterThanOrEqual(conductorOhms(gauge, 30));
    expect(conductorOhms(18, 100 * METRES_PER_FOOT)).toBeCloseTo(0.6386, 4);
  });
});

describe('transformers and coils', () => {
  it('give 24 V at their rating, whatever their size', () => {
    for (const va of [LEAST_TRANSFORMER_VA, 40, 50, 75, 100]) {
      const amps = va / 24;
      expect(OPEN_CIRCUIT_VOLTS - amps * transformerOhms(va)).toBeCloseTo(24, 9);
    }
    expect(transformerOhms(40)).toBeCloseTo(2.1, 2);
  });

  it('draw at 24 V what their plates say', () => {
    for (const { va } of Object.values(COILS)) expect((24 * 24) / coilOhms(va)).toBeCloseTo(va, 9);
    // The largest dip in a house is its contactor pulling in.
    const pulls = Object.entries(COILS).map(([name, first]) => [name, first.va * first.inrush] as const);
    expect(pulls.sort((a, b) => b[1] - a[1])[0]?.[0]).toBe('contactor');
    expect(Object.values(COILS).every((coil) => coil.powerFactor > 0 && coil.powerFactor <= 1)).toBe(true);
  });
});

describe('colours', () => {
  it('each have a code, a name and an ink of their own', () => {
    const all = COLOUR_CODES.map((code) => COLOURS[code]);
    expect(all.map((colourFacts) => colourFacts.code)).toEqual([...COLOUR_CODES]);
    for (const key of ['name', 'hex'] as const)
      expect(new Set(all.map((colourFacts) => colourFacts[key])).size).toBe(all.length);
  });

  it('are said with their stripe, and never guessed', () => {
    expect(colourName('RD', 'WH')).toBe('red with a white stripe');
    expect(colourName('DB')).toBe('dark blue');
    expect(colourName(null)).toBe('colour not recorded');
    expect(colourName(null, 'WH')).toBe('colour not recorded');
  });

  it('of a new cable are all different, so that its ends can be told apart', () => {
    for (const count of [2, 3, 5, 8]) {
      const colours = usualColours(count);
      expect(colours).toHaveLength(count);
      expect(new Set(colours).size).toBe(count);
    }
  });
});

describe('figures', () => {
  it('never show a belief as certain, nor a slight one as nothing', () => {
    expect([0.1, -0.1, 1.6, -1.6, 3.4, 12].map(weightText)).toEqual([
      'says little',
      'says little',
      '3 times for',
      '3 times against',
      '11 times for',
      'over 1000 times for'
    ]);
    expect([1, 0.999, 0.99, 0.5, 0.004, 0].map(percentText)).toEqual([
      '>99 %',
      '>99 %',
      '99 %',
      '50 %',
      '<1 %',
      '0 %'
    ]);
  });

  it('leave a voltage that is not defined without a number', () => {
    expect(voltsText(null)).toBe('–');
    expect(voltsText(25.94)).toBe('25.9 V');
  });

  it('count in words, and name days', () => {
    expect(quantityText(1, 'piece')).toBe('1 piece');
    expect(quantityText(3, 'metre')).toBe('3 metres');
    expect(dayText('03-05')).toBe('5 March');
    expect(dayText('12-31')).toBe('31 December');
  });
});
