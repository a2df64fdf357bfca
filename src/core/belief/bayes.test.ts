import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entropy, expectedFrom, posterior, worthAsking } from './bayes';

const shares = (count: number) =>
  fc.array(fc.integer({ min: 1, max: 100 }), { minLength: count, maxLength: count }).map((parts) => {
    const sum = parts.reduce((total, part) => total + part, 0);
    return parts.map((part) => part / sum);
  });

describe('belief', () => {
  it('follows Bayes’ rule, and learns nothing from what excludes everything', () => {
    const [burst, worn] = posterior([0.5, 0.5], [0.9, 0.3]);
    expect(burst).toBeCloseTo(0.75, 12);
    expect(worn).toBeCloseTo(0.25, 12);
    expect([...posterior([0.2, 0.8], [0, 0])]).toEqual([0.2, 0.8]);
    expect([...posterior([0.2, 0.8], [1, 0])]).toEqual([1, 0]);
  });

  it('is in full doubt of equal shares, and in none of one', () => {
    expect(entropy([0.25, 0.25, 0.25, 0.25])).toBeCloseTo(2, 12);
    expect(entropy([1, 0, 0])).toBe(0);
  });

  it('expects of a question what its answers leave, never less than nothing', () => {
    const settles = expectedFrom(
      [0.5, 0.5],
      [
        [1, 0],
        [0, 1]
      ]
    );
    expect(settles.gain).toBeCloseTo(1, 12);
    expect(settles.answers).toEqual([
      { chance: 0.5, top: 0, probability: 1 },
      { chance: 0.5, top: 1, probability: 1 }
    ]);
    fc.assert(
      fc.property(
        shares(3),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (prior, row) => {
          const { gain, answers } = expectedFrom(prior, [row, row.map((chance) => 1 - chance)]);
          expect(gain).toBeGreaterThanOrEqual(0);
          expect(answers.reduce((sum, answer) => sum + answer.chance, 0)).toBeCloseTo(1, 9);
        }
      )
    );
  });

  it('asks what is worth its steps: a look before a meter for the same gain, and nothing for next to none', () => {
    const questions = [
      { id: 'meter', gain: 0.6, effort: 'meter' as const },
      { id: 'look', gain: 0.5, effort: 'look' as const },
      { id: 'idle', gain: 0.001, effort: 'look' as const }
    ];
    expect(worthAsking(questions, (question) => question.effort).map((question) => question.id)).toEqual([
      'look',
      'meter'
    ]);
  });
});
