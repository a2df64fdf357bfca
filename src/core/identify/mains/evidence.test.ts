/** What the record of mains controls says of the layout by itself: only what was read counts, and what is not there counts once all is written down. */
import { describe, expect, it } from 'vitest';
import { mainsHouse, MAINS_LAYOUT_OF, MAINS_SKETCHES, type MainsHouse } from '../../houses/mains-houses';
import { mainsOf, type MainsSketch } from '../../houses/mains-builder';
import { MID_POSITION, TWO_VALVE } from '../../houses/mains-layouts';
import type { MainsControls } from '../../job/mains-schema';
import { wiringFromMains } from '../../wiring/from-mains';
import { isComplete, KNOWN_LAYOUTS, LAYOUT_EVIDENCE, LAYOUT_PRIOR, questionOf } from './evidence';
import { DECIDED_AT, identifyLayout } from './layout';

/** What the record answers to a question; null where it leaves it to somebody who looks. */
function reads(id: string, mains: MainsControls): string | null {
  const evidence = LAYOUT_EVIDENCE.find((candidate) => candidate.id === id);
  if (!evidence) throw new Error(`no evidence ${id}`);
  return evidence.read?.(mains, wiringFromMains(mains))?.value ?? null;
}

const begun = (mains: MainsControls): MainsControls => ({
  ...mains,
  observed: { ...mains.observed, 'devices-complete': 'no' }
});
const without = (mains: MainsControls, ...parts: string[]): MainsControls => ({
  ...mains,
  devices: mains.devices.filter(({ part }) => !parts.includes(part))
});
const twoValve = mainsHouse('two-valve');
const midPosition = mainsHouse('mid-position');

describe('valves', () => {
  it('that are recorded speak at once; that there are none, or no other, only once all devices are written down', () => {
    expect(reads('valves', twoValve)).toBe('two-port');
    expect(reads('valves', begun(twoValve))).toBe('two-port');
    expect(reads('valves', midPosition)).toBe('three-port');
    const [first] = twoValve.devices.filter(({ part }) => part === 'two-port-valve');
    const single = {
      ...twoValve,
      devices: twoValve.devices.filter((device) => device.part !== 'two-port-valve' || device === first)
    };
    expect(reads('valves', single)).toBe('one-two-port');
    expect(reads('valves', begun(single))).toBeNull();
    const none = without(twoValve, 'two-port-valve');
    expect(reads('valves', none)).toBe('none');
    expect(reads('valves', begun(none))).toBeNull();
  });
});

describe('hot water', () => {
  it('comes from a cylinder that has a thermostat; that none is recorded says nothing of the taps', () => {
    expect(reads('tap-water', twoValve)).toBe('cylinder');
    expect(reads('tap-water', without(twoValve, 'cylinder-thermostat'))).toBeNull();
  });

  it('has no cylinder thermostat only once all is written down', () => {
    expect(reads('cylinder-thermostat', twoValve)).toBe('yes');
    const bare = without(twoValve, 'cylinder-thermostat');
    expect(reads('cylinder-thermostat', bare)).toBe('no');
    expect(reads('cylinder-thermostat', begun(bare))).toBeNull();
  });

  it('is the boiler’s where its plate was read, either way', () => {
    expect(reads('boiler-kind', mainsHouse('combination'))).toBe('combination');
    expect(reads('boiler-kind', twoValve)).toBe('other');
    const unread = {
      ...twoValve,
      devices: twoValve.devices.map((device) => ({ ...device, combination: 'unknown' as const }))
    };
    expect(reads('boiler-kind', unread)).toBeNull();
  });
});

describe('the timer', () => {
  const timerWith = (
    change: Partial<MainsSketch['units'][string]>,
    strip?: MainsSketch['strip']
  ): MainsControls =>
    mainsOf({
      ...TWO_VALVE,
      units: { ...TWO_VALVE.units, timer: { ...TWO_VALVE.units['timer']!, ...change } },
      strip: strip ?? TWO_VALVE.strip
    });

  it('brings hot water with heating where somebody said so, and not for the wire alone', () => {
    expect(reads('heating-without-water', timerWith({ heatingBringsWater: 'yes' }))).toBe('no');
    expect(reads('heating-without-water', timerWith({ heatingBringsWater: 'no' }))).toBe('yes');
    expect(reads('heating-without-water', timerWith({ heatingBringsWater: 'unknown' }))).toBeNull();
  });

  it('has no hot water where nothing is on its screw for it, and every screw of it was read', () => {
    const { 6: _water, ...rest } = TWO_VALVE.strip;
    const strip = { ...rest, 6: ['cylinder.common'] };
    expect(reads('heating-without-water', timerWith({ heatingBringsWater: 'unknown' }, strip))).toBe(
      'no-water'
    );
    expect(reads('heating-without-water', begun(timerWith({}, strip)))).toBeNull();
    const unread = timerWith({}, strip);
    const devices = unread.devices.map((device) =>
      device.part === 'timer'
        ? {
            ...device,
            screws: device.screws.map((screw) => ({
              ...screw,
              does: screw.does === 'live' ? ('unknown' as const) : screw.does
            }))
          }
        : device
    );
    expect(reads('heating-without-water', { ...unread, devices })).toBeNull();
  });

  it('has its hot-water-off screw in use or not, by the wire that is on it', () => {
    expect(reads('water-off-wire', midPosition)).toBe('yes');
    const driven = { ...MID_POSITION.strip, 7: ['cylinder.satisfied', 'valve.grey'] };
    expect(reads('water-off-wire', mainsOf({ ...MID_POSITION, strip: driven }))).toBe('no');
    expect(reads('water-off-wire', begun(mainsOf({ ...MID_POSITION, strip: driven })))).toBeNull();
  });
});

describe('evidence', () => {
  it('leaves what only a person can feel to a person', () => {
    for (const house of Object.keys(MAINS_SKETCHES) as MainsHouse[])
      expect(reads('warm-with-water-only', mainsHouse(house)), house).toBeNull();
  });

  it('never speaks against the layout that a house has by more than it can be wrong', () => {
    for (const house of Object.keys(MAINS_SKETCHES) as MainsHouse[]) {
      const layout = MAINS_LAYOUT_OF[house];
      if (layout === 'unknown') continue;
      for (const evidence of LAYOUT_EVIDENCE) {
        const value = reads(evidence.id, mainsHouse(house));
        const at = evidence.values.findIndex((candidate) => candidate.value === value);
        if (at >= 0)
          expect(evidence.likelihood[layout][at], `${house} ${evidence.id}`).toBeGreaterThan(0.005);
      }
    }
  });

  it('weighs layouts that add up to one before anything is seen, none of them named yet', () => {
    const sum = Object.values(LAYOUT_PRIOR).reduce((total, share) => total + share, 0);
    expect(sum).toBeCloseTo(1, 9);
    for (const layout of KNOWN_LAYOUTS) expect(LAYOUT_PRIOR[layout]).toBeLessThan(DECIDED_AT);
  });

  it('asks as plain data: its question carries no chances and no code', () => {
    for (const evidence of LAYOUT_EVIDENCE) {
      const question = questionOf(evidence);
      expect(structuredClone(question)).toEqual(question);
      expect(Object.keys(question).sort()).toEqual(['ask', 'effort', 'how', 'id', 'values']);
    }
  });

  it('counts a record as complete by a word alone, not by what is in it', () => {
    expect(isComplete(twoValve)).toBe(true);
    expect(isComplete(begun(twoValve))).toBe(false);
    expect(isComplete({ ...twoValve, observed: {} })).toBe(false);
  });
});

describe('what somebody answers', () => {
  it('counts where the record is silent, and where it is not the record stands and the difference is said', () => {
    const silent = { ...without(twoValve, 'cylinder-thermostat'), observed: { 'tap-water': 'other' } };
    const reading = (mains: MainsControls) =>
      identifyLayout(mains).readings.find(({ question }) => question.id === 'tap-water')?.value;
    expect(reading(silent)).toBe('other');
    const against = { ...twoValve, observed: { ...twoValve.observed, 'tap-water': 'boiler' } };
    expect(reading(against)).toBe('cylinder');
    expect(identifyLayout(against).findings.map(({ code }) => code)).toContain('mains-layout-disagrees');
  });

  it('that is no answer of the question counts for nothing', () => {
    const odd = { ...without(twoValve, 'cylinder-thermostat'), observed: { 'tap-water': 'a spring' } };
    expect(identifyLayout(odd).readings.map(({ question }) => question.id)).not.toContain('tap-water');
  });
});
