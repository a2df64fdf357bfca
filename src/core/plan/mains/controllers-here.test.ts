/** Controllers against records that are read, half read, and empty. */
import { describe, expect, it } from 'vitest';
import { mainsHouse } from '../../houses/mains-houses';
import type { MainsControls } from '../../job/mains-schema';
import { planMains } from './plan';

const sound = mainsHouse('two-valve');
const here = (mains: MainsControls, id: string) =>
  planMains(mains).matches.find(({ facts }) => facts.id === id)!;
const halfRead: MainsControls = {
  ...sound,
  wires: sound.wires.map((wire, at) => (at === 2 ? { ...wire, far: { state: 'unseen', on: null } } : wire))
};

describe('a controller', () => {
  it('fits a record that is read whole', () => {
    expect(here(sound, 'ct-oskerry-twin')).toMatchObject({ verdict: 'go', known: 'read', closing: null });
  });

  it('fits so far, with no better word than a caution, where a wire was not followed', () => {
    expect(here(halfRead, 'ct-oskerry-twin')).toMatchObject({ own: 'go', verdict: 'care', known: 'so-far' });
  });

  it('is not refused for good while nothing is written down, nor while the layout is open', () => {
    const empty: MainsControls = { ...sound, devices: [], wires: [], cables: [], links: [] };
    for (const { verdict, closing } of planMains(empty).matches) {
      expect(verdict).toBe('no');
      expect(closing).toBe('asks');
    }
  });

  it('is refused for good by a known fact: a boiler that wants a contact', () => {
    const boiler = mainsHouse('combination-volt-free');
    expect(here(boiler, 'ct-brackenhurst-one')).toMatchObject({ verdict: 'no', closing: 'settled' });
  });
});
