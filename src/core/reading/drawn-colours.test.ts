/** Of what is called sure, nearly all is right: in even light, in shade, under bulbs, with dust and glare. */
import { describe, expect, it } from 'vitest';
import { drawnSpot } from '../houses/drawn-colours';
import { chanceFrom } from '../trade/random';
import { nameColour, whiteFault, type Rgb } from './colour-name';

const DRAWN = 1500;

function counted(inShade: boolean) {
  const chance = chanceFrom(inShade ? 41 : 40);
  const guesses = Array.from({ length: DRAWN }, () => {
    const drawn = drawnSpot(chance, inShade);
    const { best, sure } = nameColour(drawn.spot, drawn.white);
    return { sure, right: best === drawn.truth };
  });
  const share = (kind: string) => {
    const own = guesses.filter(({ sure }) => sure === kind);
    return { count: own.length, right: own.filter(({ right }) => right).length / own.length };
  };
  return { sure: share('sure'), unsure: share('unsure') };
}

describe('a colour that is called sure', () => {
  it.each([
    ['beside the white', false],
    ['in shade', true]
  ])('is right in 98 of 100: %s', (_, inShade) => {
    const { sure, unsure } = counted(inShade);
    expect(sure.count).toBeGreaterThan(DRAWN / 20);
    expect(sure.right).toBeGreaterThanOrEqual(0.98);
    expect(unsure.right).toBeLessThan(sure.right);
  });
});

describe('what was touched as white', () => {
  it.each<[string, Rgb, string | null]>([
    ['paper by daylight', [230, 232, 228], null],
    ['a label under a warm bulb', [235, 185, 120], null],
    ['an old plate in a dim cellar', [105, 90, 62], null],
    ['black insulation', [38, 36, 35], 'dark'],
    ['red insulation', [190, 45, 40], 'coloured'],
    ['blue insulation', [60, 130, 210], 'coloured'],
    ['a lamp', [255, 255, 255], 'burnt-out']
  ])('%s', (_, touched, fault) => {
    expect(whiteFault(touched)).toBe(fault);
    const guess = nameColour([200, 45, 40], touched);
    if (fault !== null) {
      expect(guess.sure).not.toBe('sure');
      expect(guess.why).toContain('white');
    }
  });

  it('that is refused corrects nothing', () => {
    const red: Rgb = [190, 45, 40];
    // By a red white, everything red would be white.
    expect(nameColour(red, red).best).toBe('RD');
  });
});
