/** A printed code as a camera sees it: rastered, turned, photographed at an angle in grey under a torch. RGBA, as picture decoders take it. */
import { encode } from 'uqr';
import { chanceFrom } from '../trade/random';

export interface Picture {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

type Grey = (x: number, y: number) => number;

/** The code `sideMm` wide at so many dots an inch, with its quiet zone. */
export function printed(text: string, sideMm: number, dpi: number): Picture {
  const { data, size } = encode(text, { ecc: 'M', border: 4 });
  const dots = Math.round((sideMm / 25.4) * dpi);
  return raster(dots, dots, (x, y) =>
    data[Math.floor((y / dots) * size)]?.[Math.floor((x / dots) * size)] ? 0 : 255
  );
}

export function turned(picture: Picture): Picture {
  const { data, width, height } = picture;
  return raster(height, width, (x, y) => data[((height - 1 - x) * width + y) * 4] ?? 255);
}

/** So far the paper is turned away from the camera, about both axes, degrees. */
const TILT = 20;
const PAN = 14;
/** Distance of the camera, in widths of the code. */
const AWAY = 2.4;

/** Seen from the side and from above, the paper grey, the light falling off to one corner, with the grain of a small sensor. */
export function photographed(picture: Picture, seed: number): Picture {
  const { data, width, height } = picture;
  const chance = chanceFrom(seed);
  const out = Math.round(width * 1.25);
  const paper = seenAt(TILT, PAN);
  return raster(out, out, (x, y) => {
    const [u, v] = paper((x / out - 0.5) * 1.25, (y / out - 0.5) * 1.25);
    const [px, py] = [(u + 0.5) * width, (v + 0.5) * width];
    const inside = px >= 0 && py >= 0 && px < width - 1 && py < height - 1;
    const ink = inside ? between(data, width, px, py) / 255 : 1;
    const light = 0.55 + 0.4 * (1 - x / out) * (1 - (0.5 * y) / out);
    return 255 * light * (0.15 + 0.75 * ink) + 10 * (chance.next() - 0.5);
  });
}

/** Where on the paper a point of the picture lies: the ray of a pinhole camera, cut with the turned plane. Both in widths of the code. */
function seenAt(tilt: number, pan: number): (u: number, v: number) => readonly [number, number] {
  const [a, b] = [tilt, pan].map((degrees) => (degrees * Math.PI) / 180) as [number, number];
  // The paper's axes in the camera's space: turned about x, then about y.
  const right = [Math.cos(b), 0, -Math.sin(b)] as const;
  const down = [Math.sin(a) * Math.sin(b), Math.cos(a), Math.sin(a) * Math.cos(b)] as const;
  return (u, v) => {
    const [ru, rv] = [u / AWAY, v / AWAY];
    const [m, n, p, q] = [
      right[0] - ru * right[2],
      down[0] - ru * down[2],
      right[1] - rv * right[2],
      down[1] - rv * down[2]
    ];
    const [s, t] = [ru * AWAY, rv * AWAY];
    const determinant = m * q - n * p;
    return [(s * q - n * t) / determinant, (m * t - s * p) / determinant];
  };
}

/** Bilinear: what falls between dots is a mixture, as on a sensor. */
function between(data: Uint8ClampedArray, width: number, x: number, y: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const at = (column: number, row: number) => data[(row * width + column) * 4] ?? 255;
  const [fx, fy] = [x - left, y - top];
  return (
    (at(left, top) * (1 - fx) + at(left + 1, top) * fx) * (1 - fy) +
    (at(left, top + 1) * (1 - fx) + at(left + 1, top + 1) * fx) * fy
  );
}

function raster(width: number, height: number, grey: Grey): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const at = (y * width + x) * 4;
      const shade = grey(x, y);
      data[at] = shade;
      data[at + 1] = shade;
      data[at + 2] = shade;
      data[at + 3] = 255;
    }
  return { data, width, height };
}
