/** Whether it is safe to go on: every part of that by itself. */
import { describe, expect, it } from 'vitest';
import { ref } from '../findings/refs';
import { furnaceWithSpare, heatOnly } from '../houses/houses';
import type { House } from '../houses/builder';
import { identify } from '../identify/identify';
import type { Thermostat } from '../job/schema';
import { wiringOf } from '../wiring/from-job';
import { safetyOf, stopFindings, TRUSTED_HOURS } from './standing';
import { knownSupplies } from './known-supplies';
import { STOP_QUESTIONS } from './stops';

const AT = '2026-02-01T10:00:00.000Z';
const hoursLater = (hours: number) => new Date(Date.parse(AT) + hours * 3_600_000).toISOString();
const standing = ({ job, thermostat }: House, change: Partial<Thermostat> = {}, now: string | null = AT) => {
  const whole = { ...thermostat, ...change };
  const [identification, wiring] = [identify(job, whole), wiringOf(job, whole)];
  return safetyOf(whole, knownSupplies(job, whole, identification, wiring), now);
};
const answers = (answer: 'yes' | 'no', count = STOP_QUESTIONS.length) =>
  Object.fromEntries(
    STOP_QUESTIONS.slice(0, count).map(({ id }) => [id, { answer, at: AT, resolved: null }])
  );
const off = { cut: 'both', proof: 'both', at: AT } as const;
const safe: Partial<Thermostat> = { stops: answers('no'), off: { 'eq-1': off } };
const [first] = STOP_QUESTIONS;
const yes = { answer: 'yes' as const, at: AT, resolved: null };

describe('safe to go on', () => {
  it('takes every question answered, nothing that stops, and every supply off', () => {
    expect(standing(heatOnly(), safe)).toMatchObject({ safe: true, locked: false, findings: [] });
    expect(standing(heatOnly(), { ...safe, stops: answers('no', 1) }).safe).toBe(false);
    expect(standing(heatOnly(), { ...safe, off: {} }).safe).toBe(false);
    expect(standing(furnaceWithSpare(), safe).safe).toBe(false);
    expect(standing(furnaceWithSpare(), { ...safe, off: { 'eq-1': off, 'outdoor-unit': off } }).safe).toBe(
      true
    );
  });

  it('is never said of a house without a supply', () => {
    expect(standing(heatOnly(), { ...safe, equipment: [] })).toMatchObject({ supplies: [], safe: false });
  });

  it('is locked by one stop, whatever else is done, until that is resolved', () => {
    const stopped = standing(heatOnly(), { ...safe, stops: { ...answers('no'), [first!.id]: yes } });
    expect(stopped).toMatchObject({ locked: true, safe: false });
    expect(stopped.stops.filter((stop) => stop.stops).map((stop) => stop.question.id)).toEqual([first!.id]);
    const resolved = { ...yes, resolved: { at: AT, how: 'mended' } };
    expect(
      standing(heatOnly(), { ...safe, stops: { ...answers('no'), [first!.id]: resolved } })
    ).toMatchObject({
      locked: false,
      safe: true
    });
  });
});

describe('a supply', () => {
  const supplyAfter = (record: object | null, now: string | null = AT) => {
    const { supplies, findings } = standing(
      heatOnly(),
      { stops: answers('no'), off: record === null ? {} : { 'eq-1': { ...off, ...record } } },
      now
    );
    return { off: supplies[0]!.off, findings };
  };
  const because = [ref.supply('eq-1')];

  it('that nobody has cut, or proven off, is not off', () => {
    const { name, why } = standing(heatOnly()).supplies[0]!.supply;
    const said = { code: 'supply-not-off', level: 'warn', params: { name, why }, because };
    expect(supplyAfter(null)).toEqual({ off: false, findings: [said] });
    expect(supplyAfter({ proof: 'none' })).toEqual({ off: false, findings: [said] });
  });

  it('is not proven off by a dark display', () => {
    expect(supplyAfter({ proof: 'display-dark' })).toEqual({
      off: false,
      findings: [
        { code: 'proves-nothing', level: 'warn', params: { what: 'display-dark', name: 'furnace' }, because }
      ]
    });
  });

  it.each(['ran-and-stopped', 'meter', 'both'])('is proven off by %s', (proof) => {
    expect(supplyAfter({ proof })).toEqual({ off: true, findings: [] });
  });

  it('is trusted for so many hours, and without a clock', () => {
    expect(supplyAfter({}, hoursLater(TRUSTED_HOURS)).off).toBe(true);
    expect(supplyAfter({}, hoursLater(TRUSTED_HOURS + 1))).toEqual({
      off: false,
      findings: [
        {
          code: 'off-long-ago',
          level: 'warn',
          params: { name: 'furnace', hours: TRUSTED_HOURS + 1 },
          because
        }
      ]
    });
    expect(supplyAfter({}, null)).toEqual({ off: true, findings: [] });
  });
});

describe('what is said of the questions', () => {
  it('is how many are open, and which', () => {
    const all = STOP_QUESTIONS.length;
    const open = (count: number) =>
      standing(heatOnly(), { ...safe, stops: answers('no', count) }).findings.filter(
        (finding) => finding.code === 'stop-not-asked'
      );
    expect(open(0)).toEqual([
      {
        code: 'stop-not-asked',
        level: 'warn',
        params: { open: all, of: all },
        because: STOP_QUESTIONS.map(({ id }) => ref.stop(id))
      }
    ]);
    expect(open(all - 1)).toMatchObject([
      { params: { open: 1, of: all }, because: [ref.stop(STOP_QUESTIONS.at(-1)!.id)] }
    ]);
    expect(open(all)).toEqual([]);
  });

  it('is each stop that is open, with what to do, whom to call and when it is resolved', () => {
    const { thermostat } = heatOnly();
    const { then, call, resolvedWhen } = first!;
    expect(stopFindings({ ...thermostat, stops: { [first!.id]: yes } })).toEqual([
      {
        code: 'stop-answered',
        level: 'stop',
        params: { then, call, resolvedWhen },
        because: [ref.stop(first!.id)]
      }
    ]);
    expect(stopFindings({ ...thermostat, stops: answers('no') })).toEqual([]);
    expect(stopFindings({ ...thermostat, stops: { gone: yes } })).toEqual([]);
  });
});

describe('remarks', () => {
  const because = [ref.thermostat('th-1')];
  const remarks = (change: Partial<Thermostat>) => standing(heatOnly(), { ...safe, ...change }).findings;

  it('are of batteries, which keep a display lit, and of mercury', () => {
    expect(remarks({ oldSupply: 'battery' })).toEqual([
      { code: 'proves-nothing', level: 'note', params: { what: 'old-batteries' }, because }
    ]);
    expect(remarks({ mercury: 'yes' })).toEqual([{ code: 'mercury', level: 'warn', params: {}, because }]);
    expect(remarks({ mercury: 'no', oldSupply: 'common' })).toEqual([]);
  });
});
