/** How often a colour that is called sure is right, over drawn spots. */
import { drawnSpot } from '$core/houses/drawn-colours';
import { nameColour } from '$core/reading/colour-name';
import { chanceFrom } from '$core/trade/random';
import type { Part } from './part';

const SPOTS = 10_000;

export const coloursBench: Part = {
  name: 'colours',
  run: () => [
    `${SPOTS} drawn spots each, four lamps, dust and glare`,
    '| light on the wire | called sure | right of those | likely | right | not sure | right |',
    '|---|---|---|---|---|---|---|',
    line('as on the white', false),
    line('in shade, 30 to 80 % of it', true)
  ]
};

function line(name: string, inShade: boolean): string {
  const chance = chanceFrom(inShade ? 2 : 1);
  const counts = { sure: [0, 0], likely: [0, 0], unsure: [0, 0] };
  for (let at = 0; at < SPOTS; at += 1) {
    const { spot, white, truth } = drawnSpot(chance, inShade);
    const { best, sure } = nameColour(spot, white);
    counts[sure][0]! += 1;
    if (best === truth) counts[sure][1]! += 1;
  }
  const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
  const cells = Object.values(counts).flatMap(([all = 0, right = 0]) => [
    percent(all / SPOTS),
    percent(right / all)
  ]);
  return `| ${name} | ${cells.join(' | ')} |`;
}
