import { describe, expect, it } from 'vitest';
import { MAINS_SKETCHES, type MainsHouse } from '../houses/mains-houses';
import { inputsOf } from '../proof/mains/rows';
import { wiringFromMains } from '../wiring/from-mains';
import { disagreements, mainsCases, mainsViolations, odditiesOf } from './mains-sweep';

const HOUSES = Object.keys(MAINS_SKETCHES) as MainsHouse[];

describe('houses with mains controls, made odd in one place', () => {
  it.each(HOUSES)('%s: the solver and reachability alone agree on what runs', { tags: ['wide'] }, (house) => {
    const odd = odditiesOf(house).filter((_, at) => at % 5 === 0);
    for (const { name, truth } of odd) {
      const wiring = wiringFromMains(truth);
      expect({ name, differ: disagreements(wiring, inputsOf(wiring)) }).toEqual({ name, differ: [] });
    }
  });

  /** A prime, so that the sample goes through all houses, oddities and controllers. */
  const STRIDE = 211;
  const sample = [...mainsCases()].filter((_, at) => at % STRIDE === 0);
  it('have nothing on offer that is wrong in the true house', () => {
    const wrong = sample.flatMap((mainsCase) =>
      mainsViolations(mainsCase).map((what) => `${mainsCase.id}: ${what}`)
    );
    expect(wrong).toEqual([]);
    expect(sample.length).toBeGreaterThan(100);
  });

  it('are told where the house is otherwise than its record', () => {
    const [sound] = [...mainsCases()].filter(({ house }) => house === 'two-valve');
    const swapped = odditiesOf('two-valve').find(({ name }) => name.endsWith('co-m21 exchanged'));
    if (!sound || !swapped) throw new Error('No such case');
    expect(mainsViolations(sound)).toEqual([]);
    expect(mainsViolations({ ...sound, truth: swapped.truth })).not.toEqual([]);
  });
});
