/** Of a record of mains controls that is not read whole, nothing is said to stand still, and no way is refused for good. */
import { describe, expect, it } from 'vitest';
import { mainsHouse } from '../../houses/mains-houses';
import { mainsFinding } from '../../findings/mains';
import type { MainsControls } from '../../job/mains-schema';
import { isUnread, knownToday, mainsClosing, mainsWaiting } from './undecided';
import { planMains } from './plan';

const sound = mainsHouse('two-valve');
const unread = mainsFinding('stop', 'mains-end-unread', { wire: 'brown', cable: 'pump' });
const alone = mainsFinding('stop', 'mains-point-alone', { wire: 'brown', screw: 'pump L' });
const amiss = mainsFinding('stop', 'mains-row-amiss', { rows: [], count: 1, today: false });
const channels = mainsFinding('stop', 'mains-channels', { needed: 2, channels: 1 });
const harm = (name: string) =>
  mainsFinding('stop', 'mains-harm', { harm: name, at: [], row: null, today: true });

/** One wire whose other end nobody has read, the one at the pump. */
const half: MainsControls = {
  ...sound,
  wires: sound.wires.map((wire) => {
    const pump = sound.devices.find(({ part }) => part === 'pump')!;
    const screw = pump.screws.find(({ does }) => does === 'live')!;
    const isIt = wire.near.on?.device === pump.id && wire.near.on.screw === screw.id;
    return isIt ? { ...wire, far: { state: 'unseen' as const, on: null } } : wire;
  })
};

describe('what ways wait for', () => {
  it('is each stop that asks for a look, not a caution, and not what a known fact closes', () => {
    const open = mainsFinding('warn', 'mains-layout-open', { layouts: [] });
    const layout = mainsFinding('stop', 'mains-layout-needed', {});
    expect(mainsWaiting([unread, open, layout, channels, alone])).toEqual([unread, layout, alone]);
  });
});

describe('what closes a way', () => {
  it('asks where every stop is a question, and where something is unread, also for what does not run', () => {
    expect(mainsClosing([unread], [unread])).toBe('asks');
    expect(mainsClosing([unread, amiss], [unread])).toBe('asks');
    expect(mainsClosing([alone], [alone])).toBe('asks');
  });

  it('is settled by a fact, whatever else is unread, and by the circuit of a record that is read', () => {
    expect(mainsClosing([channels, unread], [unread])).toBe('settled');
    expect(mainsClosing([amiss], [])).toBe('settled');
    // All of it is read there: a joint that nobody can explain does not make a pump run.
    expect(mainsClosing([amiss, alone], [alone])).toBe('settled');
  });
});

describe('today', () => {
  it('keeps what is wrong because something is there, and not what may only be unread', () => {
    const said = [harm('live-on-earth'), harm('earth-not-joined'), amiss];
    expect(knownToday(said, [unread])).toEqual([said[0]]);
    expect(knownToday(said, [])).toEqual(said);
    expect(isUnread([alone])).toBe(false);
  });

  it('of a pump whose wire is not read to its end is not said to be wrong, and has no table', () => {
    const plan = planMains(half);
    expect(plan.today).toEqual([]);
    expect(plan.table).toBeNull();
    expect(planMains(sound).table?.rows.length).toBeGreaterThan(4);
  });

  it('of a house with devices and no wire yet is nothing at all, nor is it said what its timer does not use', () => {
    const plan = planMains({ ...sound, wires: [] });
    expect(plan.today).toEqual([]);
    expect(plan.identification.readings.map(({ question }) => question.id)).not.toEqual(
      expect.arrayContaining(['heating-without-water'])
    );
    expect(plan.waiting.map(({ code }) => code)).toContain('mains-nothing-recorded');
  });
});

describe('a plan', () => {
  it('says what its ways wait for, and nothing once all is read', () => {
    const plan = planMains(half);
    expect(plan.waiting.map(({ code }) => code)).toEqual(['mains-end-unread']);
    const both = plan.ways.filter(({ method }) => method === 'replace-both');
    expect(both.map(({ verdict, closing }) => [verdict, closing])).toContainEqual(['no', 'asks']);
    const read = planMains(sound);
    expect(read.waiting).toEqual([]);
    expect(read.ways.filter(({ closing }) => closing === 'asks')).toEqual([]);
  });
});
