import { describe, expect, it } from 'vitest';
import { costText, minutesText, walksText } from './bands';

describe('bands in words', () => {
  it('says minutes as minutes, and long work in hours', () => {
    expect(minutesText({ low: 20, usual: 35, high: 80 })).toBe('about 35 minutes (20 to 80)');
    expect(minutesText({ low: 50, usual: 80, high: 290 })).toBe('about 80 minutes (50 min to 5 h)');
    expect(minutesText({ low: 70, usual: 130, high: 290 })).toBe('about 2 h (70 min to 5 h)');
  });

  it('counts walks', () => {
    expect([walksText(1), walksText(4)]).toEqual(['one walk', '4 walks']);
  });

  it('says that there is nothing to buy instead of no dollars', () => {
    expect(costText({ low: 0, usual: 0, high: 0 })).toBe('none to buy');
    expect(costText({ low: 18, usual: 24, high: 36 })).toBe('about $24 ($18 to $36)');
  });
});
