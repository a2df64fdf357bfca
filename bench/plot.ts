/** A plain chart as SVG, both axes logarithmic: how something grows. Ink and dashes, no hues. */
export interface Line {
  readonly name: string;
  readonly points: readonly (readonly [x: number, y: number])[];
}

const WIDTH = 640;
const HEIGHT = 380;
const LEFT = 76;
const TOP = 20;
const RIGHT = 170;
const BOTTOM = 50;

export function growthPlot(title: string, xName: string, yName: string, lines: readonly Line[]): string {
  const all = lines.flatMap((line) => line.points);
  const range = (values: readonly number[]): [number, number] => [
    Math.log10(Math.min(...values)),
    Math.log10(Math.max(...values))
  ];
  const [x0, x1] = range(all.map(([x]) => x));
  const [yLow, yHigh] = range(all.map(([, y]) => y));
  const [y0, y1] = [Math.floor(yLow), Math.ceil(yHigh)];
  const px = (x: number) => LEFT + ((Math.log10(x) - x0) / (x1 - x0)) * (WIDTH - LEFT - RIGHT);
  const py = (y: number) => HEIGHT - BOTTOM - ((Math.log10(y) - y0) / (y1 - y0)) * (HEIGHT - TOP - BOTTOM);
  const xs = [...new Set(all.map(([x]) => x))];
  const decades = Array.from({ length: y1 - y0 + 1 }, (_, at) => y0 + at);
  const heights = apart(lines.map((line) => [line.name, py(line.points.at(-1)?.[1] ?? 1) + 4] as const));
  const dashes = ['', '7 4', '2 3', '10 3 2 3'];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="sans-serif" font-size="13" role="img" aria-label="${title}">`,
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="#faf8f3"/>`,
    ...decades.map(
      (decade) =>
        `<path d="M${LEFT} ${py(10 ** decade)}H${WIDTH - RIGHT}" stroke="#d9d4c7"/><text x="${LEFT - 8}" y="${py(10 ** decade) + 4}" text-anchor="end">${10 ** decade >= 1 ? 10 ** decade : (10 ** decade).toFixed(-decade)}</text>`
    ),
    ...xs.map((x) => `<text x="${px(x)}" y="${HEIGHT - BOTTOM + 20}" text-anchor="middle">${x}</text>`),
    `<text x="${(LEFT + WIDTH - RIGHT) / 2}" y="${HEIGHT - 10}" text-anchor="middle">${xName}</text>`,
    `<text transform="translate(18 ${HEIGHT / 2}) rotate(-90)" text-anchor="middle">${yName}</text>`,
    ...lines.flatMap((line, at) => {
      const last = line.points.at(-1);
      return [
        `<path d="M${line.points.map(([x, y]) => `${px(x).toFixed(1)} ${py(y).toFixed(1)}`).join('L')}" fill="none" stroke="#23252a" stroke-width="2.2" stroke-dasharray="${dashes[at % dashes.length]}"/>`,
        ...(last ? [`<text x="${px(last[0]) + 8}" y="${heights.get(line.name)}">${line.name}</text>`] : [])
      ];
    }),
    '</svg>',
    ''
  ].join('\n');
}

/** Names at the ends of lines, moved down where two would lie on each other. */
function apart(names: readonly (readonly [name: string, y: number])[]): Map<string, number> {
  const placed = new Map<string, number>();
  let lowest = -Infinity;
  for (const [name, y] of [...names].sort((a, b) => a[1] - b[1])) {
    lowest = Math.max(y, lowest + 16);
    placed.set(name, lowest);
  }
  return placed;
}
