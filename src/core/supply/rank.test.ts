/** The order of the ways: harm and functions first, whatever somebody minds, and a reason for every pair. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Minds } from '../job/schema';
import { METHOD_IDS, VERDICTS } from '../trade/vocabulary';
import { compareOptions, USUAL_MINDS, whyAbove, type RankFacts } from './rank';

const facts: fc.Arbitrary<RankFacts> = fc.record({
  method: fc.constantFrom(...METHOD_IDS),
  title: fc.constantFrom('Spare', 'Splitter', 'Cable', 'Cord'),
  verdict: fc.constantFrom(...VERDICTS),
  standing: fc.constantFrom('exists', 'spare', 'added', 'given-up', 'left'),
  functionsLost: fc.nat({ max: 3 }),
  unread: fc.boolean(),
  lasts: fc.boolean(),
  minutes: fc.nat({ max: 400 }),
  cost: fc.nat({ max: 200 }),
  shows: fc.boolean()
});
const minds: fc.Arbitrary<Minds> = fc.record({
  cost: fc.constantFrom(0, 1, 2),
  work: fc.constantFrom(0, 1, 2),
  looks: fc.constantFrom(0, 1, 2)
});
const way = (more: Partial<RankFacts>): RankFacts => ({
  method: 'spare-conductor',
  title: 'this',
  verdict: 'go',
  standing: 'spare',
  functionsLost: 0,
  unread: false,
  lasts: true,
  minutes: 60,
  cost: 0,
  shows: false,
  ...more
});

describe('the order of the ways', () => {
  it('is an order: the same both ways round, and without circles', () => {
    fc.assert(
      fc.property(facts, facts, facts, minds, (a, b, c, minded) => {
        const [ab, ba] = [compareOptions(a, b, minded), compareOptions(b, a, minded)];
        expect(Math.sign(ab)).toBe(-Math.sign(ba) + 0);
        if (ab <= 0 && compareOptions(b, c, minded) <= 0)
          expect(compareOptions(a, c, minded)).toBeLessThanOrEqual(1e-9);
      })
    );
  });

  it('puts nobody’s wishes above harm or a lost function', () => {
    fc.assert(
      fc.property(facts, facts, minds, (a, b, minded) => {
        const harm = (rankFacts: RankFacts) =>
          rankFacts.verdict === 'no' ? 2 : rankFacts.verdict === 'pro' ? 1 : 0;
        if (harm(a) < harm(b)) expect(compareOptions(a, b, minded)).toBeLessThan(0);
        else if (
          harm(a) === harm(b) &&
          a.standing !== 'left' &&
          b.standing !== 'left' &&
          a.functionsLost < b.functionsLost
        )
          expect(compareOptions(a, b, minded)).toBeLessThan(0);
      })
    );
  });

  it('prefers what is there to what is added, and what is added to what is given up', () => {
    const order = (['given-up', 'added', 'exists', 'spare'] as const)
      .map((standing, at) => way({ standing, minutes: 10 * at }))
      .sort((a, b) => compareOptions(a, b));
    expect(order.map((rankFacts) => rankFacts.standing)).toEqual(['exists', 'spare', 'added', 'given-up']);
  });

  it('takes less work before less money, unless somebody says otherwise', () => {
    const quick = way({ title: 'quick', minutes: 30, cost: 60 });
    const cheap = way({ title: 'cheap', minutes: 50, cost: 0 });
    expect(compareOptions(quick, cheap)).toBeLessThan(0);
    expect(compareOptions(quick, cheap, { cost: 2, work: 0, looks: 1 })).toBeGreaterThan(0);
  });

  it('minds a cord in sight only as much as the user does', () => {
    const cord = way({ title: 'cord', shows: true, minutes: 40 });
    const hidden = way({ title: 'hidden', minutes: 90 });
    expect(compareOptions(cord, hidden, { ...USUAL_MINDS, looks: 2 })).toBeGreaterThan(0);
    expect(compareOptions(cord, hidden, { ...USUAL_MINDS, looks: 0 })).toBeLessThan(0);
  });
});

describe('why one stands above another', () => {
  it('is said for every pair that is not alike, and never of what is refused', () => {
    fc.assert(
      fc.property(facts, facts, minds, (a, b, minded) => {
        const said = whyAbove(a, b, minded);
        if (a.verdict === 'no') expect(said).toBeNull();
        else if (compareOptions(a, b, minded) < 0) expect(said).toMatch(/^above “.+” because .{5,}/);
      })
    );
  });

  it.each<[string, Partial<RankFacts>, string]>([
    ['refused', { verdict: 'no' }, 'the other is refused'],
    ['for a licensed person', { verdict: 'pro' }, 'the other takes a licensed person'],
    ['a function lost', { functionsLost: 1 }, 'every function works afterwards'],
    ['resting on something unread', { unread: true }, 'it rests on nothing that nobody has looked at'],
    [
      'in sight, or over a hidden joint',
      { lasts: false },
      'all of it is out of sight, on sound wires with no hidden joint'
    ],
    ['with conditions', { verdict: 'care' }, 'nothing has to be watched with it'],
    ['added', { standing: 'added' }, 'it uses what is there already'],
    ['more work', { minutes: 95 }, 'it is less work (60 against 95 minutes)'],
    ['dearer', { cost: 12 }, 'it costs less (0 against 12)'],
    ['left as it is', { standing: 'left' }, 'it gives the new thermostat what it needs']
  ])('names what decides: the other is %s', (_, more, because) => {
    expect(whyAbove(way({}), way({ title: 'that', ...more }))).toBe(`above “that” because ${because}`);
  });
});
