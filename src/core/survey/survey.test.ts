import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import type { Equipment, Thermostat } from '../job/schema';
import { EMPTY_SURVEY, EMPTY_WALL_FACE, type Survey } from '../job/survey-schema';
import { FERRY_HOUSE } from '../../demo/ferry-house';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { heatSourceOf } from '../house/heat-source';
import { findDevice } from '../match/catalogue';
import type { House } from '../houses/builder';
import { FAMILY_HOUSES } from '../houses/families';
import { FEEDABLE } from '../houses/feedable';
import { furnaceWithSpare, heatOnly } from '../houses/houses';
import { wiringOf } from '../wiring/from-job';
import { beforeBuying } from './before-buying';
import { cableAdvice, MOST_DROP_V } from './cable-path';
import { heatSourceIn, pricesIn, savingPlace } from './heat-source-in';
import { studyHouse, type MinutesBand } from './house-study';
import { REASONS } from './reasons/registry';
import { gradeOf, simulatedReading, summariseSignal } from './signal';
import { fitWall } from './wall';

interface Change {
  readonly survey?: Partial<Survey>;
  readonly thermostat?: Partial<Thermostat>;
  readonly equipment?: Partial<Equipment>;
  readonly device?: string;
  readonly way?: MinutesBand;
}

const goodHouse: Survey = {
  ...EMPTY_SURVEY,
  building: {
    ...EMPTY_SURVEY.building,
    floorAreaM2: 140,
    insulation: 'usual',
    draughts: 'usual',
    build: 'medium',
    efficiency: 0.8,
    pricePerKwh: 0.15
  },
  habits: { ...EMPTY_SURVEY.habits, home: 'away-by-day', setsBackToday: 'no' },
  workDay: '2026-07-10',
  internet: 'works',
  oldOneWorks: 'yes'
};
const reading = (dbm: number) => ({ dbm, at: '2026-01-01T10:00:00.000Z', source: 'typed' as const });

function judged(where: House, change: Change = {}) {
  const thermostat = {
    ...where.thermostat,
    face: { ...EMPTY_WALL_FACE, finish: 'plate' as const },
    signal: [reading(-55)],
    ...change.thermostat
  };
  const job = {
    ...where.job,
    equipment: where.job.equipment.map((machine) => ({ ...machine, ...change.equipment })),
    thermostats: [thermostat],
    survey: { ...goodHouse, ...change.survey }
  };
  const device = findDevice(job, change.device ?? 'de-fellgate') ?? null;
  const identification = identify(job, thermostat);
  const study = studyHouse({
    survey: job.survey,
    face: thermostat.face,
    prices: [device?.price ?? null],
    source: heatSourceIn(job, thermostat, identification),
    way: change.way ?? null
  });
  const [wiring, savingAt] = [wiringOf(job, thermostat), savingPlace(job)];
  return beforeBuying({
    job,
    thermostat,
    identification,
    wiring,
    device,
    supply: FEEDABLE,
    study,
    savingAt
  });
}
const codes = (where: House, change?: Change) =>
  judged(where, change).findings.map((finding) => finding.code);

describe('the verdict before buying', () => {
  it('is to buy where everything suits', () => {
    const result = judged(furnaceWithSpare());
    expect(result.verdict).toBe('buy-now');
    expect(result.because).toBeNull();
    expect(result.findings.map((finding) => finding.code)).toEqual(['pays-back']);
  });

  it.each<[string, string, Change]>([
    ['system-unsettled', 'prepare-first', { thermostat: { observed: {}, conductors: [] } }],
    ['old-one-broken', 'prepare-first', { survey: { oldOneWorks: 'no' } }],
    ['no-internet', 'prepare-first', { survey: { internet: 'none' } }],
    ['signal-poor', 'prepare-first', { thermostat: { signal: [reading(-82), reading(-80)] } }],
    ['signal-marginal', 'buy-now', { thermostat: { signal: [reading(-71)] } }],
    [
      'pays-nothing',
      'do-not-buy',
      { survey: { habits: { ...goodHouse.habits, home: 'always', night: 'as-by-day' } } }
    ],
    ['works-not-with', 'buy-now', { survey: { worksWith: ['thistle'] } }],
    ['recovery-long', 'buy-now', { survey: { building: { ...goodHouse.building, heatingKw: 8 } } }],
    ['frail-people', 'buy-now', { survey: { workDay: '2026-01-21', frail: 'yes' } }],
    ['pipes-can-freeze', 'buy-now', { survey: { workDay: '2026-01-21', pipesCanFreeze: 'yes' } }],
    ['cooling-test-put-off', 'buy-now', { survey: { workDay: '2026-01-21' } }],
    [
      'accessory-relay',
      'buy-now',
      { equipment: { accessories: [{ kind: 'humidifier', ownRelay: 'yes', note: '' }] } }
    ],
    [
      'path-stapled',
      'buy-now',
      { thermostat: { path: { stretches: [{ name: 'loft', lengthM: 6, held: 'stapled' }], more: 0 } } }
    ]
  ])('names %s, and asks to %s', (code, verdict, change) => {
    const result = judged(furnaceWithSpare(), change);
    expect(result.findings.map((finding) => finding.code)).toContain(code);
    expect(result.verdict).toBe(verdict);
    // What only has to be known decides nothing.
    expect(result.because?.code ?? null).toBe(verdict === 'buy-now' ? null : code);
    expect(codes(furnaceWithSpare())).not.toContain(code);
  });

  it('waits for a day on which the wall can dry without the house going cold', () => {
    const patch = { ...EMPTY_WALL_FACE, finish: 'patch' as const, holes: 'large' as const };
    const winter = judged(heatOnly(), { survey: { workDay: '2026-01-21' }, thermostat: { face: patch } });
    expect(winter.verdict).toBe('buy-and-wait');
    expect(winter.until).toMatch(/^0[3-6]-/);
    const summer = judged(heatOnly(), { thermostat: { face: patch } });
    expect(summer.verdict).toBe('buy-now');
  });

  it('says so where a setback costs: a light house, a deep setback, a heat pump with strips', () => {
    const change: Change = {
      survey: {
        building: { ...goodHouse.building, build: 'light', efficiency: 2.8 },
        habits: { ...goodHouse.habits, setbackC: 14 }
      }
    };
    const said = judged(FAMILY_HOUSES['heat-pump'].plain(), change).findings.map((finding) => finding.code);
    expect(said).toContain('setback-costs');
    expect(said).not.toContain('pays-back');
    expect(
      codes(furnaceWithSpare(), { survey: { habits: { ...goodHouse.habits, setbackC: 14 } } })
    ).not.toContain('setback-costs');
  });

  it('is no advice to buy where it pays back later than it lasts, and none against it where nothing is laid out', () => {
    const habits = { ...goodHouse.habits, setbackC: 19.5 };
    const building = { ...goodHouse.building, pricePerKwh: 0.015 };
    const slow = judged(furnaceWithSpare(), { survey: { habits, building } });
    expect([slow.verdict, slow.findings.some(({ code }) => code === 'pay-back-long')]).toEqual([
      'do-not-buy',
      true
    ]);
    const never = { ...goodHouse.habits, home: 'always', night: 'as-by-day' } as const;
    expect(codes(furnaceWithSpare(), { survey: { habits: never } })).toContain('pays-nothing');
    const given = judged(furnaceWithSpare(), { survey: { habits: never, rebate: 500 } });
    expect(given.findings.map(({ code }) => code)).not.toContain('pays-nothing');
    expect(given.verdict).toBe('buy-now');
  });

  it('takes the late end of the work where the cold hurts somebody', () => {
    const way = { usual: 120, high: 60 * 70 };
    const workDay = '2026-01-21';
    expect(codes(heatOnly(), { survey: { workDay }, way })).not.toContain('drying-too-long');
    expect(codes(heatOnly(), { survey: { workDay, frail: 'yes' }, way })).toContain('drying-too-long');
  });

  it('is not to buy for mains, millivolt and data', () => {
    for (const family of ['line-voltage', 'millivolt', 'communicating', 'mains-hydronic'] as const)
      expect(judged(FAMILY_HOUSES[family].plain()).verdict).toBe('do-not-buy');
  });

  it('is not to buy while a stop is open', () => {
    const stops = { 'gas-smell': { answer: 'yes' as const, at: '2026-01-01T10:00:00.000Z', resolved: null } };
    expect(judged(furnaceWithSpare(), { thermostat: { stops } }).verdict).toBe('do-not-buy');
  });

  it('has a reason file exercised for each one listed', () => {
    expect(new Set(REASONS.map((reason) => reason.id)).size).toBe(REASONS.length);
    expect(REASONS).toHaveLength(12);
  });
});

const studied = (survey: Partial<Survey>, more: Partial<Parameters<typeof studyHouse>[0]> = {}) =>
  studyHouse({
    survey: { ...goodHouse, ...survey },
    face: EMPTY_WALL_FACE,
    prices: [139],
    source: heatSourceOf({
      family: 'furnace',
      fuel: 'gas',
      strips: false,
      efficiency: 0.8,
      pricePerKWh: 0.15
    }),
    way: null,
    ...more
  });

describe('the study of the house', () => {
  it('leaves the house without heat as long as the chosen way takes, and longer when it goes badly', () => {
    const { withoutHeatH } = studied({}, { way: { usual: 120, high: 300 } });
    expect(withoutHeatH.late - withoutHeatH.usual).toBeCloseTo(3, 9);
    expect(withoutHeatH.usual).toBeGreaterThan(studied({}).withoutHeatH.usual);
  });

  it('says nothing of a day that nobody has given', () => {
    expect(studied({ workDay: null }).workDay).toBeNull();
    expect(
      codes(furnaceWithSpare(), { survey: { workDay: null, frail: 'yes', pipesCanFreeze: 'yes' } })
    ).not.toEqual(expect.arrayContaining(['frail-people']));
  });

  it('is paid for by all thermostats of the house, and speaks at one of them', () => {
    const { outlay, thermostats, unpriced } = studied({}, { prices: [139, null, 100] });
    expect([outlay, thermostats, unpriced]).toEqual([389, 3, 1]);
    expect(savingPlace(FERRY_HOUSE)).toBe(FERRY_HOUSE.thermostats[0]!.id);
    const [first, ...rest] = FERRY_HOUSE.thermostats;
    const stopped = {
      'gas-smell': { answer: 'yes' as const, at: '2026-01-01T10:00:00.000Z', resolved: null }
    };
    const job = { ...FERRY_HOUSE, thermostats: [{ ...first!, stops: stopped }, ...rest] };
    expect(savingPlace(job)).toBe(rest[0]!.id);
    expect(pricesIn(job, () => 100)).toHaveLength(FERRY_HOUSE.thermostats.length - 1);
    // The bell room is on mains: its thermostat is no part of it.
    expect(pricesIn(SCHOOLHOUSE, (id) => findDevice(SCHOOLHOUSE, id)?.price ?? null)).toEqual([
      139,
      expect.any(Number)
    ]);
  });

  it('stays warm less long in the coldest weather, and less in the worst case than in the middle', () => {
    const study = studied({ workDay: '2026-10-05' });
    expect(study.coldest.hours.low).toBeLessThan(study.workDay!.hours.low);
    expect(study.coldest.hours.low).toBeLessThan(study.coldest.hours.mid);
  });

  it('takes the rebate off the price', () => {
    expect(studied({ rebate: 50 }).outlay).toBe(89);
    expect(studied({ rebate: 500 }).outlay).toBe(0);
  });
});

describe('the signal at the wall', () => {
  it('is judged by the limits of the trade', () => {
    expect([-50, -67, -68, -75, -76].map(gradeOf)).toEqual(['good', 'good', 'marginal', 'marginal', 'poor']);
  });

  it('goes by the middle reading, and a step down when a quarter is worse', () => {
    expect(summariseSignal([]).grade).toBe('not-read');
    expect(summariseSignal([-60, -61, -62, -63].map(reading)).grade).toBe('good');
    expect(summariseSignal([-60, -61, -62, -90, -91].map(reading)).grade).toBe('marginal');
  });

  it('comes from a simulated meter that gives one spot one level', () => {
    const at = (spot: string) => Array.from({ length: 6 }, (_, count) => simulatedReading(spot, count));
    expect(at('hall')).toEqual(at('hall'));
    expect(Math.max(...at('hall')) - Math.min(...at('hall'))).toBeLessThan(12);
    expect(at('hall')).not.toEqual(at('cellar stair'));
  });
});

describe('the wall', () => {
  const plate = { plateWidthMm: 100, plateHeightMm: 100 };
  const face = { ...EMPTY_WALL_FACE, outlineWidthMm: 140, outlineHeightMm: 90, holes: 'screws' as const };

  it('shows the old mark where the new plate is smaller, centred', () => {
    const fit = fitWall(face, plate);
    expect(fit.showsMm).toEqual({ sides: 20, topAndBottom: 0 });
    expect(fit.coverPlate).toEqual([150, 110]);
    expect(fitWall({ ...face, outlineWidthMm: 95 }, plate).advice).toBe('nothing');
  });

  it('asks for a measure before it judges', () => {
    expect(fitWall(EMPTY_WALL_FACE, plate).advice).toBe('measure');
    expect(fitWall({ ...face, holes: 'large', paint: 'other' }, plate).advice).toBe('both');
  });
});

describe('the path of a cable', () => {
  const path = (lengthM: number, more = 0) => ({
    stretches: [{ name: 'wall', lengthM, held: 'free' as const }],
    more
  });

  it('adds slack, and takes the next size sold', () => {
    const advice = cableAdvice(path(20, 2), 5);
    expect(advice.lengthM).toBe(23);
    expect(advice.conductors).toBe(8);
  });

  it('takes the thinnest gauge that keeps the drop, and none where no gauge does', () => {
    expect(cableAdvice(path(8), 4).gauge).toBe(22);
    expect(cableAdvice(path(25), 4).gauge).toBe(18);
    expect(cableAdvice(path(250), 4).gauge).toBeNull();
    const { gauge, drops } = cableAdvice(path(25), 4);
    expect(drops.find((drop) => drop.gauge === gauge)?.volts).toBeLessThanOrEqual(MOST_DROP_V);
  });
});
