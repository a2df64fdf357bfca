/** The corners of all tolerances in words: what is said of a transformer, by what is known of its size and of today. */
import { refId, type PartRef } from '../findings/refs';
import { describe, expect, it } from 'vitest';
import type { SupplyResult } from '../circuit/simulate';
import type { Call } from '../trade/calls';
import { limitFindings, type HoldsNominally } from './limit-findings';
import type { AtLimits } from './limits';

const part = (id: string): PartRef => ({ kind: 'part', id, device: 'eq-1', part: null, mark: null });
const supply = (amps: number, more: Partial<SupplyResult> = {}): SupplyResult => ({
  id: 'eq-1:secondary',
  part: part('eq-1:secondary'),
  name: 'furnace',
  va: amps * 24,
  amps,
  device: 'eq-1',
  nominalVolts: 24,
  voltageClass: '24v',
  ratedVa: 40,
  ratedAmps: (more.ratedVa ?? 40) / 24,
  leastVa: 40,
  fuseRating: 3,
  fuseOpen: false,
  fuseAmps: null,
  ...more
});
const limit = (call: Call, more: Partial<AtLimits>): AtLimits => ({
  call,
  low: 22,
  high: 29,
  tooLow: false,
  tooHigh: false,
  amps: 1,
  lost: [],
  bounded: true,
  uncalled: [],
  excess: [],
  today: new Map(),
  solves: 1,
  ...more
});
const all: HoldsNominally = { fed: () => true, runs: () => true, carried: () => true };
const beyond = (supplyResult: SupplyResult, ampsToday: number | null = null) => ({
  excess: [{ supply: supplyResult, ampsToday }]
});
const today = (amps: number) => ({ today: new Map([['eq-1:secondary', amps]]) });

describe('a transformer of a size that was read', () => {
  it('beyond its rating is a condition, and a note where it is so today', () => {
    const [fresh] = limitFindings([limit('heat1', beyond(supply(1.8), 1.6))], all);
    expect(fresh).toMatchObject({ code: 'overloaded-at-limits', level: 'warn' });
    expect(fresh!.params).toMatchObject({ ratedVa: 40, read: true, amps: 1.8, todayAmps: null });
    const [old] = limitFindings([limit('heat1', beyond(supply(1.8), 1.7))], all);
    expect(old!.level).toBe('note');
    expect(old!.params).toMatchObject({ todayAmps: 1.7 });
  });

  it('is said once, of the call in which it gives the most', () => {
    const said = limitFindings(
      [limit('heat1', beyond(supply(1.7))), limit('cool1', beyond(supply(1.9))), limit('fan', {})],
      all
    );
    expect(said.map((finding) => finding.because.map(refId))).toEqual([['eq-1:secondary', 'call:cool1']]);
  });

  it('that is overloaded with nominal values already is not said again', () => {
    const said = limitFindings([limit('heat1', beyond(supply(1.8)))], { ...all, carried: () => false });
    expect(said).toEqual([]);
  });
});

describe('a transformer whose plate nobody has read', () => {
  const unread = (amps: number) => supply(amps, { leastVa: 20 });

  it('may be of the smallest size: then it is read first', () => {
    const [finding] = limitFindings([limit('heat1', { ...beyond(unread(0.9)), ...today(0.6) })], all);
    expect(finding).toMatchObject({ code: 'transformer-unread', level: 'warn' });
  });

  it('is not of the smallest where it gives more than that today, in whichever call', () => {
    const calls = [limit('heat1', { ...beyond(unread(0.95)), ...today(0.6) }), limit('aux', today(0.9))];
    expect(limitFindings(calls, all)).toEqual([]);
    expect(limitFindings(calls.slice(0, 1), all)).toHaveLength(1);
  });

  it('is judged by the usual size then, and that is said to be taken', () => {
    const calls = [limit('heat1', { ...beyond(unread(1.8)), ...today(0.9) })];
    const [finding] = limitFindings(calls, all);
    expect(finding!.params).toMatchObject({ ratedVa: 40, read: false });
  });
});

describe('coils and loads', () => {
  it('that no longer pull in are named, each in its call, and only those that run with nominal values', () => {
    const lost = [limit('cool1', { lost: ['compressor', 'blower'] }), limit('fan', { lost: ['blower'] })];
    const holds = { ...all, runs: (call: Call) => call === 'cool1' };
    const said = limitFindings(lost, holds);
    expect(said).toHaveLength(1);
    expect(said[0]!.params).toEqual({ what: 'lost', call: 'cool1', loads: ['compressor', 'blower'] });
  });

  it('that run uncalled are said with their call', () => {
    const said = limitFindings([limit('cool1', { uncalled: ['burner'] })], all);
    expect(said.map((finding) => finding.code)).toEqual(['load-at-limits']);
    expect(said[0]!.because.map(refId)).toEqual(['call:cool1']);
    expect(said[0]!.params).toEqual({ what: 'uncalled', call: 'cool1', loads: ['burner'] });
  });
});

describe('the thermostat', () => {
  it('out of its window is said once for each side, with the calls and the worst figure', () => {
    const said = limitFindings(
      [
        limit('idle', { tooHigh: true, high: 30.9 }),
        limit('heat1', { tooLow: true, low: 17.4 }),
        limit('cool1', { tooLow: true, low: 16.9 })
      ],
      all
    );
    expect(said.map((finding) => finding.params)).toEqual([
      { side: 'low', volts: 16.9, calls: ['heat1', 'cool1'] },
      { side: 'high', volts: 30.9, calls: ['idle'] }
    ]);
  });

  it('that need not be fed in a call is left out there', () => {
    const calls = [limit('heat1', { tooLow: true, low: 17 })];
    expect(limitFindings(calls, { ...all, fed: () => false })).toEqual([]);
  });
});
