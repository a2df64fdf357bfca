import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromShown, shownText, toShown, type Quantity, type Units } from './units';

const american: Units = { length: 'ft', temperature: 'F' };
const metric: Units = { length: 'm', temperature: 'C' };

describe('shown units', () => {
  it('come back to what they were', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -100, max: 1000, noNaN: true }),
        fc.constantFrom<Quantity>('length', 'area', 'small-length', 'temperature', 'plain'),
        fc.constantFrom(american, metric),
        (value, quantity, units) => {
          expect(fromShown(toShown(value, quantity, units), quantity, units)).toBeCloseTo(value, 8);
        }
      )
    );
  });

  it('are the ones that people know', () => {
    expect(shownText(20, 'temperature', american)).toBe('68 °F');
    expect(shownText(100, 'area', american)).toBe('1076 ft²');
    expect(shownText(15, 'length', american)).toBe('49 ft');
    expect(shownText(20, 'temperature', metric)).toBe('20 °C');
  });
});
