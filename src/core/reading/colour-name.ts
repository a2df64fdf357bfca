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
/**
 * A wire in the shade of a hand looks like a darker name, one in glare like a lighter one. Sure is only a name that stays the nearest, and clear
 * of the next, with the wire in so much more or less of the light that fell on the white.
 */
const LIGHT_ON_IT = [0.85, 1.4, 2, 2.8] as const;
/** How clear it has to stay there: less than where the light is as measured. */
const CLEAR_IN_SHADE = 1.15;

/** What was touched as white is none, or tells nothing of the light. */
export type WhiteFault = 'dark' | 'coloured' | 'burnt-out';

/** Less than this in linear light is no white under any lamp that a phone can see by. */
const DARKEST_WHITE = 0.07;
/** Between a warm bulb and a cold sky: red and blue against green, linear. */
const RED_TO_GREEN = [0.7, 2.4] as const;
const BLUE_TO_GREEN = [0.22, 1.6] as const;
/** The camera has run out of numbers. */
const BURNT_OUT = 254;

/** Why a spot cannot serve as white; null where it can. */
export function whiteFault(white: Rgb): WhiteFault | null {
  if (white.every((value) => value >= BURNT_OUT)) return 'burnt-out';
  const [r, g, b] = white.map(toLinear) as [number, number, number];
  if (Math.max(r, g, b) < DARKEST_WHITE) return 'dark';
  const isWithin = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high;
  return isWithin(r / g, RED_TO_GREEN) && isWithin(b / g, BLUE_TO_GREEN) ? null : 'coloured';
}

/** A bulb that leaves so little blue leaves blue, black and violet apart by next to nothing. */
const WARM_BLUE_TO_RED = 0.12;

/** Names the colour of a spot. `white` is a spot on something white in the same light, or null. */
export function nameColour(spot: Rgb, white: Rgb | null = null): ColourGuess {
  const fault = white === null ? null : whiteFault(white);
  const usable = fault === null ? white : null;
  const fixed = correctLight(spot, usable);
  const ranked = rankedNames(fixed);
  const [best, second] = ranked;
  const clear = second.far > Math.max(best.far, 1) * CLEAR_MARGIN;
  const steady = usable !== null && !changesWithLight(fixed, best.code);
  const lamp = usable !== null && toLinear(usable[2]) < WARM_BLUE_TO_RED * toLinear(usable[0]);
  const why = whyDoubt({ far: best.far, clear, white, fault, steady, lamp });
  const sure = why === null ? 'sure' : best.far <= LIKELY_DISTANCE && clear ? 'likely' : 'unsure';
  return {
    best: best.code,
    runnerUp: second.code,
    distance: best.far,
    runnerUpDistance: second.far,
    sure,
    why
  };
}

interface Ranked {
  readonly code: ColourCode;
  readonly far: number;
}

function rankedNames(spot: Rgb): [Ranked, Ranked] {
  const fixed = colour(spot);
  const ranked = COLOUR_CODES.map((code) => ({
    code,
    far: Math.min(...SHADES[code].map((shade) => distance(fixed, colour(shade))))
  })).sort((a, b) => a.far - b.far);
  return ranked.slice(0, 2) as [Ranked, Ranked];
}

/** White light that a glossy dark wire may throw back, linear: taken off, the name has to stay. */
const GLARE = [0.05, 0.1] as const;

/** Whether another name would be nearest, or nearly, if the wire stood in more or less light than the white, or had some glare on it. */
function changesWithLight(fixed: Rgb, best: ColourCode): boolean {
  const linear = fixed.map(toLinear);
  const variants = [
    ...LIGHT_ON_IT.map((times) => linear.map((value) => value * times)),
    ...GLARE.map((white) => linear.map((value) => value - white))
  ];
  return variants.some((variant) => {
    const [r = 0, g = 0, b = 0] = variant.map((value) => toCoded(Math.min(1, Math.max(0, value))));
    const [first, second] = rankedNames([r, g, b]);
    return first.code !== best || second.far < Math.max(first.far, 1) * CLEAR_IN_SHADE;
  });
}

interface Doubt {
  readonly far: number;
  readonly clear: boolean;
  readonly white: Rgb | null;
  readonly fault: WhiteFault | null;
  readonly steady: boolean;
  readonly lamp: boolean;
}

const WHITE_FAULTS: Readonly<Record<WhiteFault, string>> = {
  dark: 'what was touched is too dark to be white: touch something white in the same light',
  coloured: 'what was touched is coloured, not white: touch something white in the same light',
  'burnt-out': 'the white is burnt out: touch a white that is not in the glare'
};

/** The same in words; null where it can. */
export function whiteFaultText(white: Rgb): string | null {
  const fault = whiteFault(white);
  return fault === null ? null : WHITE_FAULTS[fault];
}

function whyDoubt({ far, clear, white, fault, steady, lamp }: Doubt): string | null {
  if (white === null) return 'the light is not corrected: touch something white first';
  if (fault !== null) return WHITE_FAULTS[fault];
  if (!clear) return 'the runner-up is nearly as close';
  if (far > SURE_DISTANCE) return 'no name is close: shadow, glare or dirt';
  if (lamp)
    return 'the light is so yellow that dark colours look alike: look again by daylight or a white lamp';
  return steady
    ? null
    : 'in a little more or less light it would have another name: look again beside the white';
}
