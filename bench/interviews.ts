/** How many observations it takes to name the system, over drawn houses that answer truthfully. */
import { interview, summarise, type Order } from '$core/identify/interview';
import { generatedHouse } from '$core/houses/generate';
import type { Part } from './part';

const HOUSES = 3000;

export const interviews: Part = {
  name: 'interviews',
  run: () => {
    const houses = Array.from({ length: HOUSES }, (_, seed) => generatedHouse(seed + 1));
    const line = (name: string, order: Order) => {
      const sum = summarise(
        houses.map(({ job, thermostat, family }) => ({
          truth: family,
          result: interview(job, thermostat, order)
        }))
      );
      const percent = (share: number) => `${(share * 100).toFixed(2)} %`;
      return `| ${name} | ${sum.median} | ${sum.mean.toFixed(2)} | ${percent(sum.reached)} | ${percent(sum.right)} |`;
    };
    return [
      `${HOUSES} houses, seeds 1 to ${HOUSES}, asked until a family has 95 %`,
      '| order | median | mean | reached | right where reached |',
      '|---|---|---|---|---|',
      line('most useful first', 'most-useful'),
      line('as listed', 'fixed')
    ];
  }
};
