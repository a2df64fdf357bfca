import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROLLS } from '../trade/cable-prices';
import { cutsFor, type NamedRun } from './cuts';

const run = (lengthM: number, conductors = 5): NamedRun => ({ conductors, gauge: 18, lengthM, for: 'hall' });
const lengths = (runs: readonly NamedRun[]) =>
  cutsFor(runs)
    .rolls.map((roll) => roll.lengthM)
    .sort((a, b) => a - b);

describe('cutting cable from rolls', () => {
  it('takes one roll for several runs where that is cheaper, and two where it is not', () => {
    expect(lengths([run(14), run(14)])).toEqual([30]);
    expect(lengths([run(12)])).toEqual([15]);
    // A roll of 75 m holds both, and costs more than 30 m and 15 m.
    expect(lengths([run(29), run(14)])).toEqual([15, 30]);
  });

  it('keeps kinds of cable apart', () => {
    const { rolls } = cutsFor([run(7, 5), run(7, 8)]);
    expect(rolls.map((roll) => roll.conductors).sort()).toEqual([5, 8]);
  });

  it('cuts short pieces from what is left over, and says when nothing is', () => {
    expect(cutsFor([run(12)], 4)).toMatchObject({ piecesFromRest: true });
    expect(cutsFor([run(15, 1)], 4)).toMatchObject({ piecesFromRest: false });
    expect(cutsFor([], 2)).toMatchObject({ rolls: [], piecesFromRest: false });
  });

  it('leaves a run that no roll holds to be bought by the metre, and loses none', () => {
    const cuts = cutsFor([run(151), run(10)]);
    expect(cuts.byTheMetre.map((namedRun) => namedRun.lengthM)).toEqual([151]);
    expect(cuts.rolls.map((roll) => roll.lengthM)).toEqual([15]);
  });

  it('holds every run once, on a roll that is long enough, and never costs more than a roll for each', () => {
    const metres = fc.array(fc.integer({ min: 1, max: 150 }), { minLength: 1, maxLength: 14 });
    fc.assert(
      fc.property(metres, (list) => {
        const runs = list.map((lengthM, at) => ({ ...run(lengthM), for: String(at) }));
        const { rolls } = cutsFor(runs);
        const held = rolls.flatMap((roll) => roll.runs.map((own) => own.for)).sort();
        expect(held).toEqual(runs.map((run) => run.for).sort());
        for (const cutRoll of rolls) {
          const used = cutRoll.runs.reduce((sum, own) => sum + own.lengthM, 0);
          expect(used + cutRoll.restM).toBe(cutRoll.lengthM);
          expect(ROLLS.map((roll) => roll.lengthM)).toContain(cutRoll.lengthM);
          expect(cutRoll.restM).toBeGreaterThanOrEqual(0);
        }
        const cost = rolls.reduce((sum, roll) => sum + roll.cost, 0);
        const each = runs.map((run) => cutsFor([run]).rolls[0]?.cost ?? 0).reduce((a, b) => a + b, 0);
        if (runs.length <= 10) expect(cost).toBeLessThanOrEqual(each);
      }),
      { numRuns: 60 }
    );
  });
});
