/**
 * The name of an insulation's colour from a spot on a photo. The light is corrected by one touch on something white (von Kries scaling in
 * linear RGB); names are compared by the perceptual distance CIEDE2000. It says how sure it is and offers the runner-up; it never says
 * what a conductor does.
 */
import { differenceCiede2000, modeLab65, modeRgb, modeXyz65, useMode } from 'culori/fn';
import { COLOUR_CODES, type ColourCode } from '../trade/colours';

/** sRGB, each from 0 to 255. */
export type Rgb = readonly [red: number, green: number, blue: number];

export interface ColourGuess {
  readonly best: ColourCode;
  readonly runnerUp: ColourCode;
  /** CIEDE2000 distance of both from the spot; about 2 is just seen side by side. */
  readonly distance: number;
  readonly runnerUpDistance: number;
  readonly sure: 'sure' | 'likely' | 'unsure';
  /** Why it is not surer, or null. */
  readonly why: string | null;
}

/** Colours of insulation as photos show them under even light; several shades of one name where makers differ. sRGB. */
const SHADES: Readonly<Record<ColourCode, readonly Rgb[]>> = {
  RD: [
    [200, 45, 40],
    [165, 25, 30],
    [220, 70, 60]
  ],
  WH: [
    [238, 236, 230],
    [215, 213, 208]
  ],
  YE: [
    [232, 200, 40],
    [240, 220, 90],
    [210, 175, 30]
  ],
  GN: [
    [45, 140, 75],
    [25, 105, 55],
    [70, 165, 95]
  ],
  BU: [
    [60, 130, 210],
    [40, 105, 185],
    [95, 155, 220]
  ],
  OG: [
    [228, 120, 35],
    [240, 145, 60],
    [205, 95, 25]
  ],
  BN: [
    [120, 78, 48],
    [95, 60, 38],
    [145, 100, 65]
  ],
  BK: [
    [35, 35, 38],
    [55, 55, 58]
  ],
  DB: [
    [33, 60, 130],
    [25, 45, 100]
  ],
  GY: [
    [140, 143, 148],
    [165, 167, 170],
    [110, 112, 116]
  ],
  PK: [
    [228, 145, 172],
    [240, 175, 195]
  ],
  VT: [
    [120, 75, 160],
    [95, 55, 135]
  ],
  TQ: [
    [55, 165, 160],
    [90, 190, 185]
  ],
  TN: [
    [200, 165, 120],
    [215, 185, 145]
  ]
};

useMode(modeRgb);
useMode(modeXyz65);
useMode(modeLab65);
const distance = differenceCiede2000();

function colour([r, g, b]: Rgb): { mode: 'rgb'; r: number; g: number; b: number } {
  return { mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 };
}

const toLinear = (value: number) =>
  value <= 10.31475 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4;
const toCoded = (linear: number) =>
  255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055);

/** What a white thing is taken to reflect. */
const WHITE_LINEAR = 0.87;

/** The spot as it would be under even light, from a spot on something white in the same photo. */
export function correctLight(spot: Rgb, white: Rgb | null): Rgb {
  if (white === null) return spot;
  const fixed = spot.map((value, channel) => {
    const light = Math.max(toLinear(white[channel] ?? 255), 0.02) / WHITE_LINEAR;
    return Math.min(255, Math.max(0, toCoded(Math.min(1, toLinear(value) / light))));
  });
  return [fixed[0] ?? 0, fixed[1] ?? 0, fixed[2] ?? 0];
}

const SURE_DISTANCE = 12;
const LIKELY_DISTANCE = 22;
/** The runner-up has to be farther by this share to be out of the question. */
const CLEAR_MARGIN = 1.6;

/** Names the colour of a spot. `white` is a spot on something white in the same light, or null. */
export function nameColour(spot: Rgb, white: Rgb | null = null): ColourGuess {
  const fixed = colour(correctLight(spot, white));
  const ranked = COLOUR_CODES.map((code) => ({
    code,
    far: Math.min(...SHADES[code].map((shade) => distance(fixed, colour(shade))))
  })).sort((a, b) => a.far - b.far);
  const [best, second] = ranked as [(typeof ranked)[number], (typeof ranked)[number]];
  const clear = second.far > Math.max(best.far, 1) * CLEAR_MARGIN;
  const why = whyDoubt(best.far, clear, white);
  const sure =
    best.far <= SURE_DISTANCE && clear && white !== null
      ? 'sure'
      : best.far <= LIKELY_DISTANCE && clear
        ? 'likely'
        : 'unsure';
  return {
    best: best.code,
    runnerUp: second.code,
    distance: best.far,
    runnerUpDistance: second.far,
    sure,
    why
  };
}

function whyDoubt(far: number, clear: boolean, white: Rgb | null): string | null {
  if (white === null) return 'the light is not corrected: touch something white first';
  if (!clear) return 'the runner-up is nearly as close';
  return far > SURE_DISTANCE ? 'no name is close: shadow, glare or dirt' : null;
}
