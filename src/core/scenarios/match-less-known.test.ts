/** With one fact less no thermostat is said to fit better: whoever buys by it has less to go by, not more. */
import { describe, expect, it } from 'vitest';
import type { House } from '../houses/builder';
import { FAMILY_HOUSES } from '../houses/families';
import { HOUSES } from '../houses/houses';
import { trueHouse } from '../houses/true-houses';
import { matchAll } from '../match/match';
import { bolderMatches, lessKnown } from './less-known';

const of = ({ job, thermostat }: House) => matchAll(job, thermostat);

function walked(house: House): { facts: number; bold: string[] } {
  const full = of(house);
  const facts = lessKnown(house);
  return {
    facts: facts.length,
    bold: facts.flatMap(({ what, gone, house: less }) =>
      bolderMatches(full, of(less), gone).map((word) => `${what}: ${word}`)
    )
  };
}

const KINDS = ['plain', 'incomplete', 'contradictory'] as const;
const families = Object.entries(FAMILY_HOUSES).flatMap(([family, trio]) =>
  KINDS.map((kind): [string, House] => [`${family}, ${kind}`, trio[kind]()])
);
const odd = Array.from({ length: 200 }, (_, number): [string, House] => [
  `odd house ${number}`,
  trueHouse(number).record
]);

describe('with one fact less', () => {
  const noBolder = (_: string, house: House) => {
    const walk = walked(house);
    expect(walk.bold).toEqual([]);
    expect(walk.facts).toBeGreaterThan(0);
  };
  it.each(Object.entries(HOUSES).map(([name, make]): [string, House] => [name, make()]))('%s', noBolder);
  it.each(odd.slice(0, 20))('%s', noBolder);
  it.each(families)('%s', { tags: ['wide'] }, noBolder);
  it.each(odd.slice(20))('%s', { tags: ['wide'] }, noBolder);

  it('the walk itself would notice', () => {
    const house = HOUSES.boilerPlusAcHouse();
    const [fact] = lessKnown(house);
    const full = of(house).map((match) => ({ ...match, verdict: 'no' as const }));
    expect(bolderMatches(full, of(fact!.house), fact!.gone).length).toBeGreaterThan(0);
  });
});
