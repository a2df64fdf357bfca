import { describe, expect, it } from 'vitest';
import { MAINS_LAYOUT_OF, mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../../houses/mains-houses';
import type { MainsControls } from '../../job/mains-schema';
import { LAYOUT_EVIDENCE } from './evidence';
import { DECIDED_AT, identifyLayout } from './layout';

/** As recorded before any cover is off: no wires, and nobody says that these are all devices. */
const coversOn = (mains: MainsControls, observed: MainsControls['observed'] = {}): MainsControls => ({
  ...mains,
  wires: [],
  cables: [],
  links: [],
  devices: mains.devices.filter(({ part }) => part === 'timer' || part === 'wiring-centre'),
  observed
});

describe('the layout', () => {
  it.each(Object.keys(MAINS_SKETCHES) as MainsHouse[])('of %s is named from its record', (name) => {
    const found = identifyLayout(mainsHouse(name));
    expect(found.layout).toBe(MAINS_LAYOUT_OF[name]);
    expect(found.probability).toBeGreaterThanOrEqual(DECIDED_AT);
  });

  it('is not named before anybody has looked, and asks what tells most', () => {
    const found = identifyLayout(coversOn(mainsHouse('two-valve')));
    expect(found.layout).toBe('unknown');
    expect(found.findings.map(({ code }) => code)).toContain('mains-layout-open');
    expect(found.next[0]?.question.id).toBe('valves');
  });

  it.each([
    ['two-port', 'cylinder', 'two-valve'],
    ['three-port', 'cylinder', 'mid-position'],
    ['none', 'boiler', 'combination']
  ])('is told by looks with the covers on: %s valves, water from %s', (valves, water, layout) => {
    const mains = coversOn(mainsHouse('two-valve'), {
      valves,
      'tap-water': water,
      'boiler-kind': water === 'boiler' ? 'combination' : 'other'
    });
    expect(identifyLayout(mains).candidates[0]?.layout).toBe(layout);
  });

  it('says where what was seen does not go with the rest', () => {
    const mains = mainsHouse('mid-position');
    const odd = { ...mains, observed: { ...mains.observed, 'warm-with-water-only': 'nothing' } };
    const codes = identifyLayout(odd).findings.map(({ code }) => code);
    expect(codes).toContain('mains-layout-disagrees');
    expect(identifyLayout(mains).findings).toEqual([]);
  });

  it('counts the heating zones', () => {
    expect(identifyLayout(mainsHouse('two-zones')).zones).toBe(2);
    expect(identifyLayout(mainsHouse('no-room-thermostat')).zones).toBe(1);
  });

  it.each(LAYOUT_EVIDENCE)('%# has chances that add up to one in every layout', ({ likelihood, values }) => {
    for (const row of Object.values(likelihood)) {
      expect(row).toHaveLength(values.length);
      expect(row.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 6);
    }
  });
});
