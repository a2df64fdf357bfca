/** The parts of `npm run bench`, run in turn; a word on the command line picks those whose name holds it. */
import { calibrationBench } from './calibration';
import { diagnoseBench } from './diagnose';
import { finishBench } from './finish';
import { coloursBench } from './colours';
import { circuitBench } from './circuit';
import { houseBench } from './house';
import { interviews } from './interviews';
import { planBench, togetherBench } from './plan';
import { mainsBench } from './mains';
import type { Part } from './part';
import { runsBench } from './runs';

const parts: readonly Part[] = [
  interviews,
  calibrationBench,
  coloursBench,
  houseBench,
  circuitBench,
  runsBench,
  diagnoseBench,
  finishBench,
  mainsBench,
  planBench,
  togetherBench
];

/** `words`: parts to run, all where there are none; `--plot FILE` writes the plot of the part that has one. */
export async function main(all: readonly string[]): Promise<number> {
  const at = all.indexOf('--plot');
  const plot = at < 0 ? null : (all[at + 1] ?? null);
  const words = at < 0 ? all : all.filter((_, index) => index !== at && index !== at + 1);
  const chosen = parts.filter((part) => words.length === 0 || words.some((word) => part.name.includes(word)));
  if (chosen.length === 0) {
    console.error(`No part of that name. There are: ${parts.map((part) => part.name).join(', ')}`);
    return 2;
  }
  for (const part of chosen) {
    console.log(`## ${part.name}`);
    for (const line of await part.run({ plot })) console.log(line);
    console.log('');
  }
  return 0;
}
