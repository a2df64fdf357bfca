/** The parts of `npm run bench`, run in turn; a word on the command line picks those whose name holds it. */
import { circuitBench } from './circuit';
import { interviews } from './interviews';
import { runsBench } from './runs';

export interface Part {
  readonly name: string;
  /** Measures, and gives lines to print. */
  readonly run: () => Promise<string[]> | string[];
}

const parts: readonly Part[] = [interviews, circuitBench, runsBench];

export async function main(words: readonly string[]): Promise<number> {
  const chosen = parts.filter((part) => words.length === 0 || words.some((word) => part.name.includes(word)));
  if (chosen.length === 0) {
    console.error(`No part of that name. There are: ${parts.map((part) => part.name).join(', ')}`);
    return 2;
  }
  for (const part of chosen) {
    console.log(`## ${part.name}`);
    for (const line of await part.run()) console.log(line);
    console.log('');
  }
  return 0;
}
