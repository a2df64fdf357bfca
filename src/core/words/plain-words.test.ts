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

function screens(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return screens(path);
    return entry.name.endsWith('.svelte') ? [path] : [];
  });
}

/** What stands between tags and in attributes that people read; comments and code are for others. */
function markupOf(path: string): string {
  return readFileSync(path, 'utf8')
    .replace(/<script[\s\S]*?<\/script>/g, '')
    .replace(/<style[\s\S]*?<\/style>/g, '')
    .replace(/<!--[\s\S]*?-->/g, '');
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
  it.each(['src/lib', 'src/routes'])('and none of the old ones in %s', (folder) => {
    const found = screens(folder).flatMap((path) =>
      GONE.filter((word) => markupOf(path).includes(word)).map((word) => `${path}: ${word}`)
    );
    expect(found).toEqual([]);
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
      expect(grades.reduce((sum, one) => sum + one, 0) / grades.length).toBeLessThanOrEqual(grade);
    }
  );
});
