/** Less knowledge never makes a bolder verdict: each fact of a record taken away in turn, no way of any controller is judged better for it. */
import { describe, expect, it } from 'vitest';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../houses/mains-houses';
import { walkMainsLessKnown } from './mains-less-known';

const CONTROLLERS = ['ct-tarnwick-duo', 'ct-oskerry-twin', 'ct-pennhollow-solo'];

describe('a record that knows less', () => {
  const houses = Object.keys(MAINS_SKETCHES) as MainsHouse[];
  // Each third fact, the others in the next houses, with one controller in turn: all of them come round. `npm run sweep` takes every one with each.
  const opensNoWay = (house: MainsHouse) => {
    const every = { step: 3, from: houses.indexOf(house) };
    const walk = walkMainsLessKnown(mainsHouse(house), every, (at) => [
      CONTROLLERS[at % CONTROLLERS.length]!
    ]);
    expect(walk.bold).toEqual([]);
    expect(walk.facts).toBeGreaterThan(5);
  };
  it.each(houses.slice(0, 3))('of %s opens no way', opensNoWay);
  it.each(houses.slice(3))('of %s opens no way', { tags: ['wide'] }, opensNoWay);
});
