/** When a test may be begun: the season, the rest of a compressor, and what has to come before. */
import { describe, expect, it } from 'vitest';
import { furnaceWithSpare } from '../houses/houses';
import { yearOf, WEATHER_PLACES } from '../house/weather';
import { finishTest, setTesting, takeReading } from '../job/after-edits';
import type { Job, Thermostat } from '../job/schema';
import { apply } from '../job/steps';
import { YEAR_HOURS } from '../job/survey-schema';
import { gateOfTest, outdoorsNow, warmDayFrom, weatherAt, type GateFacts } from './season';
import { gateText } from './test-words';

const NOW = '2026-10-15T12:00:00.000Z';
const minutes = (count: number) => new Date(Date.parse(NOW) + count * 60_000).toISOString();
const lit: Thermostat['seen'] = [{ at: '2026-10-15T11:30:00.000Z', observation: 'display', answer: 'lit' }];
const { job: bare } = furnaceWithSpare();
const base: Job = { ...bare, thermostats: bare.thermostats.map((place) => ({ ...place, seen: lit })) };
const { id } = base.thermostats[0]!;
const COMPRESSORS = new Set(['cool1']);
const HEAT = { call: 'heat1', cools: false, compressor: false } as const;
const COOL = { call: 'cool1', cools: true, compressor: true } as const;

const outdoors = (value: number, at = NOW) =>
  apply(
    base,
    takeReading(base, id, { at, what: 'outdoors', between: '', call: 'idle', value, from: 'typed' })
  );
const gate = (job: Job, step: Parameters<typeof gateOfTest>[0], more: Partial<GateFacts> = {}) =>
  gateOfTest(
    step,
    { thermostat: job.thermostats[0]!, locked: false, movesLeft: 0, settingsLeft: 0, now: NOW, ...more },
    COMPRESSORS
  );

describe('a cooling test', () => {
  it.each([
    [15.9, false],
    [16.0, true],
    [-5, false],
    [30, true]
  ])('at %s degrees outdoors: %s', (celsius, open) => {
    expect(gate(outdoors(celsius), COOL).open).toBe(open);
    expect(gate(outdoors(celsius), HEAT).open).toBe(true);
  });

  it('is not begun by who has not looked at a thermometer, or looked long ago, or tomorrow', () => {
    expect(gate(base, COOL)).toEqual({ open: false, why: 'outdoors-unknown' });
    expect(gate(outdoors(25, minutes(-181)), COOL)).toEqual({ open: false, why: 'outdoors-unknown' });
    expect(gate(outdoors(25, minutes(24 * 60)), COOL)).toEqual({ open: false, why: 'outdoors-unknown' });
    expect(gate(outdoors(25, minutes(-179)), COOL).open).toBe(true);
  });

  it('goes by the last reading', () => {
    const warm = outdoors(20);
    const colder = apply(
      warm,
      takeReading(warm, id, {
        at: NOW,
        what: 'outdoors',
        between: '',
        call: 'idle',
        value: 11,
        from: 'typed'
      })
    );
    expect(gate(colder, COOL)).toMatchObject({ why: 'too-cold', outdoorC: 11 });
    expect(outdoorsNow(colder.thermostats[0]!.readings, NOW)?.value).toBe(11);
  });

  it('waits five minutes after a compressor stopped, to the second', () => {
    const stopped = (ago: number) => {
      const warm = outdoors(20);
      const begun = apply(
        warm,
        setTesting(warm, id, { call: 'cool1', began: minutes(-30), ended: minutes(-ago) })
      );
      return apply(
        begun,
        finishTest(begun, id, { call: 'cool1', at: NOW, result: 'good', why: '', until: null, outdoorC: 20 })
      );
    };
    expect(gate(stopped(4.99), COOL)).toMatchObject({ why: 'counting', until: minutes(0.01) });
    expect(gate(stopped(5), COOL).open).toBe(true);
    expect(gate(stopped(1), HEAT).open).toBe(true);
  });

  it('is not begun over a stop of two minutes ago because another one lies in the future', () => {
    const warm = outdoors(20);
    const stop = (at: string) =>
      ({
        call: 'cool1',
        at,
        result: 'good',
        why: '',
        until: null,
        began: at,
        ended: at,
        outdoorC: 20
      }) as const;
    const place = { ...warm.thermostats[0]!, tests: [stop(minutes(60)), stop(minutes(-2))] };
    expect(gate({ ...warm, thermostats: [place] }, COOL)).toMatchObject({
      why: 'counting',
      until: minutes(3)
    });
  });

  it('waits five minutes after the power came back as well', () => {
    const just = {
      ...outdoors(20),
      thermostats: outdoors(20).thermostats.map((place) => ({
        ...place,
        seen: [{ ...lit[0]!, at: minutes(-2) }]
      }))
    };
    expect(gate(just, COOL)).toMatchObject({ why: 'counting', until: minutes(3) });
    expect(gate(just, HEAT).open).toBe(true);
  });
});

describe('any test', () => {
  it('comes after the steps, the power and the settings, and never while a stop is open', () => {
    const warm = outdoors(20);
    expect(gate(warm, HEAT, { locked: true })).toMatchObject({ why: 'stopped' });
    expect(gate(warm, HEAT, { movesLeft: 1 })).toMatchObject({ why: 'steps-left' });
    expect(gate(warm, HEAT, { settingsLeft: 1 })).toMatchObject({ why: 'settings-left' });
    expect(gate(bare, HEAT)).toMatchObject({ why: 'not-lit' });
  });

  it('is begun by itself, and goes on though the page was closed', () => {
    const warm = outdoors(20);
    const running = apply(warm, setTesting(warm, id, { call: 'heat1', began: minutes(-60), ended: null }));
    expect(gate(running, COOL)).toMatchObject({ why: 'running' });
    expect(gate(running, HEAT).open).toBe(true);
  });

  it('that is closed says why', () => {
    const units = { length: 'ft', temperature: 'F' } as const;
    const clock = (time: string) => time.slice(11, 16);
    expect(gateText({ open: false, why: 'too-cold', outdoorC: 10 }, units, clock)).toMatch(
      /50(\.0)? °F outdoors: below 61 °F/
    );
    expect(gateText({ open: false, why: 'counting', until: minutes(3) }, units, clock)).toMatch(
      /until 12:03/
    );
    expect(gateText({ open: true }, units, clock)).toBe('');
  });
});

describe('the day that a test is put off to', () => {
  const harrowdale = yearOf(WEATHER_PLACES[0]!);

  it('is the first with a whole afternoon that is warm enough', () => {
    const day = warmDayFrom(harrowdale, '2026-10-15')!;
    expect(day).toMatch(/^2027-0[45]-\d\d$/);
    const at = (time: string) => weatherAt(harrowdale, `${day}T${time}:00:00.000Z`);
    for (const hour of ['12', '14', '17']) expect(at(hour)).toBeGreaterThanOrEqual(18);
    expect(warmDayFrom(harrowdale, '2026-07-01')).toMatch(/^2026-07/);
  });

  it('is none where the year has no warm day', () => {
    expect(warmDayFrom(new Float64Array(YEAR_HOURS).fill(15.9), '2026-10-15')).toBeNull();
    expect(warmDayFrom(new Float64Array(YEAR_HOURS).fill(18), '2026-12-31')).toBe('2026-12-31');
  });
});
