/** Whether beliefs are what they say, over half-seen houses; with `--plot FILE`, stated against right as SVG. */
import { writeFile } from 'node:fs/promises';
import { halfSeenHouse } from '$core/houses/half-seen-houses';
import { binOf, calibrationOf, type CalibrationBin } from '$core/identify/calibration';
import { identify } from '$core/identify/identify';
import type { Part } from './part';

const HOUSES = 4000;
const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

export const calibrationBench: Part = {
  name: 'calibration',
  run: async ({ plot }) => {
    const beliefs = Array.from({ length: HOUSES }, (_, seed) => {
      const { job, thermostat, truth } = halfSeenHouse(seed + 1);
      const { family, probability } = identify(job, thermostat);
      return { truth, stated: family, probability };
    });
    const bins = calibrationOf(beliefs);
    if (plot !== null) await writeFile(plot, svgOf(bins));
    const line = ({ from, to, count, stated, right }: CalibrationBin) =>
      `| ${percent(from)} to ${percent(Math.min(1, to))} | ${count} | ${percent(stated)} | ${percent(right)} |`;
    return [
      `${HOUSES} half-seen houses, one in twenty of no known kind`,
      '| stated | houses | on average | right |',
      '|---|---|---|---|',
      ...bins.filter(({ count }) => count > 0).map(line),
      `| **95 % and more** | ${binOf(beliefs, 0.95).count} | ${percent(binOf(beliefs, 0.95).stated)} | **${percent(binOf(beliefs, 0.95).right)}** |`
    ];
  }
};

const SIZE = 360;
const EDGE = 50;

/** Stated along the bottom, right up the side; on the diagonal both are the same. The size of a dot is the number of houses. */
function svgOf(bins: readonly CalibrationBin[]): string {
  const at = (share: number) => EDGE + share * (SIZE - 2 * EDGE);
  const ticks = [0, 0.25, 0.5, 0.75, 1];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE} ${SIZE}" font-family="sans-serif" font-size="12" role="img" aria-label="Stated against right">`,
    `<rect width="${SIZE}" height="${SIZE}" fill="#faf8f3"/>`,
    `<path d="M${at(0)} ${SIZE - at(0)}L${at(1)} ${SIZE - at(1)}" stroke="#8c8677" stroke-dasharray="5 4"/>`,
    ...ticks.flatMap((tick) => [
      `<text x="${at(tick)}" y="${SIZE - EDGE + 20}" text-anchor="middle">${tick * 100} %</text>`,
      `<text x="${EDGE - 8}" y="${SIZE - at(tick) + 4}" text-anchor="end">${tick * 100} %</text>`
    ]),
    `<text x="${SIZE / 2}" y="${SIZE - 10}" text-anchor="middle">stated</text>`,
    `<text transform="translate(14 ${SIZE / 2}) rotate(-90)" text-anchor="middle">right</text>`,
    ...bins
      .filter(({ count }) => count > 0)
      .map(
        ({ stated, right, count }) =>
          `<circle cx="${at(stated).toFixed(1)}" cy="${(SIZE - at(right)).toFixed(1)}" r="${(2 + Math.sqrt(count) / 8).toFixed(1)}" fill="#23252a"/>`
      ),
    '</svg>',
    ''
  ].join('\n');
}
