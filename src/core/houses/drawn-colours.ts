/**
 * Spots of wires as a phone sees them, drawn: an insulation of some maker and age, a bulb or daylight, the shade of a hand or of a cabinet, dust,
 * glare, a white that is a label or an old plate, the noise of the camera. Nothing in it comes from the shades that names are compared with.
 */
import type { Rgb } from '../reading/colour-name';
import { COLOUR_CODES, COLOURS, type ColourCode } from '../trade/colours';
import type { Chance } from '../trade/random';

export interface DrawnSpot {
  readonly truth: ColourCode;
  readonly spot: Rgb;
  readonly white: Rgb;
  /** How much of the light on the white falls on the wire: 1 beside it, less in shade. */
  readonly shade: number;
}

type Linear = [red: number, green: number, blue: number];

const toLinear = (value: number) => (value / 255) ** 2.2;
const toCoded = (linear: number) => Math.round(255 * Math.min(1, Math.max(0, linear)) ** (1 / 2.2));

/** Light by its kind, relative to green: a warm bulb, a cold lamp, daylight through a window. */
const LIGHTS: readonly Linear[] = [
  [1.75, 1, 0.42],
  [1.35, 1, 0.65],
  [1.08, 1, 0.9],
  [0.92, 1, 1.2]
];

export function drawnSpot(chance: Chance, inShade: boolean): DrawnSpot {
  const truth = chance.pick(COLOUR_CODES);
  const between = (low: number, high: number) => low + (high - low) * chance.next();
  const dye = dyeOf(truth);
  // Makers and ages: each dye a little lighter or darker, a little off.
  const lighter = between(0.8, 1.2);
  const insulation = dye.map((value) => value * lighter * between(0.9, 1.1)) as Linear;
  const dust = chance.happens(0.3) ? between(0, 0.25) : 0;
  const dusty = insulation.map((value) => value * (1 - dust) + 0.25 * dust) as Linear;
  const glare = chance.happens(0.2) ? between(0, 0.15) : 0;
  const light = chance.pick(LIGHTS);
  const level = between(0.35, 0.95);
  const shade = inShade ? between(0.3, 0.8) : between(0.8, 1.1);
  const noise = () => between(-0.006, 0.006);
  const brightest = Math.max(...light);
  const seen = (surface: Linear, falls: number): Rgb => {
    const [r, g, b] = surface.map((value, at) =>
      toCoded(((light[at] ?? 1) / brightest) * level * falls * value + noise())
    );
    return [r ?? 0, g ?? 0, b ?? 0];
  };
  const paper = between(0.7, 0.92);
  const ivory = between(0.9, 1);
  return {
    truth,
    shade,
    spot: seen(dusty.map((value) => value + glare) as Linear, shade),
    white: seen([paper, paper * (0.5 + ivory / 2), paper * ivory], 1)
  };
}

function dyeOf(code: ColourCode): Linear {
  const { hex } = COLOURS[code];
  const part = (at: number) => toLinear(parseInt(hex.slice(at, at + 2), 16));
  return [part(1), part(3), part(5)];
}
