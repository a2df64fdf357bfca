/** Words that shall not come back on any screen, and sentences for the hands that can be read with one eye. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import readability from 'text-readability';
import { describe, expect, it } from 'vitest';
import { FERRY_HOUSE } from '$demo/ferry-house';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { EVIDENCE } from '../identify/evidence/registry';
import { planFor } from '../plan/plan';
import { findingText } from './findings/table';

/** Old-fashioned turns, and words that only the trade understands where a plain one will do. */
const GONE = [
  'Mind.',
  'Rests on',
  'lives on',
  'What you mind',
  'touch to take back',
  'on paper for',
  'No observation',
  'Slips',
  'Take out',
  'What it may be',
  'at the worst of all',
  'taken for granted',
  'what is so today as well'
];

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /(?<!\.test)\.(svelte|ts)$/.test(entry.name) ? [path] : [];
  });
}

/** What users may come to read, and code; comments are for others. */
function withoutComments(path: string): string {
  return readFileSync(path, 'utf8')
    .replace(/<!--[\s\S]*?-->/g, '')
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/^\s*\/\/.*$/gm, '');
}

const plans = [SCHOOLHOUSE, FERRY_HOUSE].flatMap((job) =>
  job.thermostats.map((thermostat) => planFor(job, thermostat))
);
const texts = {
  moves: plans.flatMap(({ moves }) => moves.map(({ text }) => text)),
  findings: plans.flatMap(({ options }) =>
    options.flatMap(({ findings }) => findings.map((found) => findingText(found)))
  ),
  questions: EVIDENCE.flatMap((evidence) => (evidence.kind === 'asked' ? [evidence.ask, evidence.how] : []))
};
/** At most so many words in a sentence, and the grade of school (Flesch and Kincaid) that reads all of a kind on average. */
const BOUNDS = { moves: [24, 5], findings: [28, 7], questions: [28, 6] } as const;

describe('plain words', () => {
  it.each(['src/lib', 'src/routes', 'src/core', 'src/cli'])('and none of the old ones in %s', (folder) => {
    const found = sources(folder).flatMap((path) => {
      const text = withoutComments(path);
      return GONE.filter((word) => text.includes(word)).map((word) => `${path}: ${word}`);
    });
    expect(found).toEqual([]);
  });

  it('and says wire, jumper and batteries, not what only the trade says', () => {
    const trade = /(?<!-)\b(conductors?|linked|cells)\b/i;
    for (const said of Object.values(texts).flat()) expect(said).not.toMatch(trade);
  });

  it.each(['moves', 'findings', 'questions'] as const)(
    'in short sentences that a child of twelve reads: %s',
    (kind) => {
      const [most, grade] = BOUNDS[kind];
      const all = [...new Set(texts[kind])];
      const sentences = all.flatMap((text) => text.split(/(?<=[.:;?])\s+/));
      const long = sentences.filter((sentence) => sentence.split(/\s+/).length > most);
      expect(long).toEqual([]);
      const grades = all
        .filter((text) => text.split(' ').length > 4)
        .map((text) => readability.fleschKincaidGrade(text));
      expect(grades.reduce((sum, value) => sum + value, 0) / grades.length).toBeLessThanOrEqual(grade);
    }
  );
});
