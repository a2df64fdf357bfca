import { describe, expect, it } from 'vitest';
import { dateText, mannerOf, momentText, moneyText, PLAIN_MANNER, written } from './manner';

const american = mannerOf('en-US');
const german = mannerOf('de-DE');

describe('the manner of a reader', () => {
  it.each([
    ['en-US', 'american', 'USD'],
    ['en-GB', 'british', 'GBP'],
    ['en-CA', 'british', 'CAD'],
    ['de-DE', 'british', 'EUR'],
    ['sr-Latn-RS', 'british', 'USD'],
    ['en', 'british', 'USD']
  ])('follows the language %s', (language, spelling, currency) => {
    expect(mannerOf(language)).toMatchObject({ spelling, currency });
  });

  it('changes the spelling of whole families of words, with their capitals, and of no others', () => {
    const text = 'Colours and draughts on two storeys; the Centre, coloured grey, 12 metres off.';
    expect(written(text, american)).toBe(
      'Colors and drafts on two stories; the Center, colored gray, 12 meters off.'
    );
    expect(written(text, PLAIN_MANNER)).toBe(text);
    // A print in capitals is what stands on the device.
    expect(written('GREY of the valve: both ends labelled', american)).toBe(
      'GREY of the valve: both ends labeled'
    );
    expect(written('A diameter, a thermometer and a volt meter', american)).toBe(
      'A diameter, a thermometer and a volt meter'
    );
  });

  it('writes sums in the currency and days as they are written there', () => {
    expect(written('About $150 from 5 March on', mannerOf('en-GB'))).toBe('About £150 from 5 March on');
    expect(written('About $150 from 5 March on', american)).toBe('About $150 from March 5 on');
    expect(written('It costs $0.124', german)).toContain('0.124');
    expect(moneyText(1234.5, american)).toBe('$1,235');
    expect(moneyText(0.124, american, 3)).toBe('$0.124');
    expect(moneyText(12, german, 2)).toContain('€');
  });

  it('writes dates, and leaves what is none', () => {
    expect(dateText('2026-03-05', american)).toBe('March 5, 2026');
    expect(dateText('2026-03-05', PLAIN_MANNER)).toBe('5 March 2026');
    expect(dateText('soon', american)).toBe('soon');
    expect(momentText('never', american)).toBe('');
    expect(momentText('2026-03-05T10:00:00Z', american)).toContain('Mar 5, 2026');
  });
});
