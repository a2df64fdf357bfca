/** Each reason by itself: where it begins to speak, what it asks for, and where it has nothing to say. */
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../../demo/schoolhouse';
import { finding } from '../../findings/finding';
import { FAMILY_HOUSES } from '../../houses/families';
import { FEEDABLE } from '../../houses/feedable';
import { furnaceWithSpare } from '../../houses/houses';
import type { House } from '../../houses/builder';
import { identify } from '../../identify/identify';
import type { DeviceFacts } from '../../job/device-facts';
import type { Equipment, Thermostat } from '../../job/schema';
import { EMPTY_SURVEY, EMPTY_WALL_FACE, type Survey } from '../../job/survey-schema';
import { CATALOGUE } from '../../match/catalogue';
import { findingText } from '../../words/findings/table';
import { wiringOf } from '../../wiring/from-job';
import { heatSourceIn } from '../heat-source-in';
import { studyHouse } from '../house-study';
import { FINE, type SupplyOutlook, type SurveySituation } from '../types';
import { accessories } from './accessories';
import { coolingTest, COOLING_TEST_LEAST_C } from './cooling-test';
import { internet } from './internet';
import { oldOne } from './old-one';
import { payBack } from './pay-back';
import { people } from './people';
import { signal } from './signal';
import { smartHome } from './smart-home';
import { supply } from './supply';
import { system } from './system';
import { wallWork } from './wall-work';

const device = CATALOGUE.find(({ id }) => id === 'de-fellgate')!;

interface Change {
  readonly survey?: Partial<Survey>;
  readonly thermostat?: Partial<Thermostat>;
  readonly accessories?: Equipment['accessories'];
  readonly device?: DeviceFacts | null;
  /** Price of the thermostat, dollars. */
  readonly price?: number;
  readonly supply?: Partial<SupplyOutlook>;
}

function situationOf(house: House, change: Change = {}): SurveySituation {
  const thermostat = { ...house.thermostat, face: EMPTY_WALL_FACE, ...change.thermostat };
  const job = {
    ...house.job,
    equipment: house.job.equipment.map((machine) => ({
      ...machine,
      accessories: change.accessories ?? machine.accessories
    })),
    thermostats: [thermostat],
    survey: { ...EMPTY_SURVEY, ...change.survey }
  };
  const identification = identify(job, thermostat);
  return {
    job,
    thermostat,
    identification,
    wiring: wiringOf(job, thermostat),
    device: change.device === undefined ? device : change.device,
    study: studyHouse({
      survey: job.survey,
      face: thermostat.face,
      prices: [change.price ?? 139],
      source: heatSourceIn(job, thermostat, identification),
      way: { usual: 90, high: 240 }
    }),
    supply: { ...FEEDABLE, ...change.supply },
    savingAt: thermostat.id
  };
}

const house = furnaceWithSpare();
const at = (change?: Change, where: House = house) => situationOf(where, change);
const codes = ({ findings }: { readonly findings: readonly { readonly code: string }[] }) =>
  findings.map(({ code }) => code);

describe('whether it could be fed', () => {
  const harm = finding('stop', 'supplies-tied', {}, []);
  const unread = finding('warn', 'end-not-read', { what: 'open', conductors: ['red'] }, []);

  it('asks for nothing where a way is open and nothing is to be read', () => {
    expect(supply.weigh(at())).toEqual(FINE);
  });

  it.each([
    ['a house that is hurt as it is', { harms: [harm] }, 'supplies-tied'],
    ['a wire that nobody has read', { open: [unread] }, 'end-not-read'],
    ['a thermostat that does not fit', { unfit: [harm] }, 'supplies-tied'],
    ['no way that is open', { feedable: false }, 'no-way-open']
  ] as const)('%s asks to prepare first, as a caution', (_, outlook, code) => {
    const { asks, findings } = supply.weigh(at({ supply: outlook }));
    expect(asks).toBe('prepare');
    expect(findings.map((said) => [said.level, said.code])).toEqual([['warn', code]]);
  });

  it('names the thermostat that cannot be fed; before one is chosen, that it hangs on which', () => {
    const [chosen] = supply.weigh(at({ supply: { feedable: false } })).findings;
    expect(findingText(chosen!)).toContain('No way of feeding the Fellgate 4 is open');
    const [open] = supply.weigh(
      at({ device: null, supply: { feedable: false, hangsOnDevice: true } })
    ).findings;
    expect(findingText(open!)).toContain('depends on which');
  });

  it('leaves another voltage to the system, which says more', () => {
    for (const family of ['line-voltage', 'millivolt', 'communicating'] as const)
      expect(supply.weigh(at({ supply: { feedable: false } }, FAMILY_HOUSES[family].plain()))).toEqual(FINE);
  });
});

describe('what else hangs on the machines', () => {
  const kept = (
    kind: 'humidifier' | 'ventilator' | 'condensate-pump' | 'lamp',
    ownRelay: 'yes' | 'no' | 'unknown'
  ) => [{ kind, ownRelay }] as unknown as Equipment['accessories'];
  const said = (change: Change) => accessories.weigh(at(change)).findings;

  it('asks for a relay where the thermostat has no terminal for it, and is silent where it has', () => {
    const bare = {
      ...device,
      marks: device.marks.filter((mark) => !['HUM', 'ACC', 'V', 'L'].includes(mark))
    };
    const able = { ...bare, marks: [...bare.marks, 'ACC'] };
    expect(said({ accessories: kept('humidifier', 'no'), device: bare })).toMatchObject([
      { level: 'warn', code: 'accessory-relay', params: { what: 'no-terminal', accessory: 'humidifier' } }
    ]);
    expect(said({ accessories: kept('humidifier', 'no'), device: able })).toEqual([]);
    expect(said({ accessories: kept('ventilator', 'unknown'), device: able })).toMatchObject([
      { level: 'note', params: { what: 'not-known' } }
    ]);
  });

  it('leaves a pump of the drain to itself, and says so of a relay of its own', () => {
    expect(said({ accessories: kept('condensate-pump', 'unknown') })).toEqual([]);
    expect(said({ accessories: kept('condensate-pump', 'yes') })).toMatchObject([
      { params: { what: 'own-relay' } }
    ]);
    expect(said({ accessories: [] })).toEqual([]);
  });
});

describe('the test of cooling', () => {
  it('is put off where the day stays too cold for a compressor, with the first warm day', () => {
    const winter = coolingTest.weigh(at({ survey: { workDay: '2026-01-12' } }));
    expect(winter).toMatchObject({ asks: 'nothing', findings: [{ code: 'cooling-test-put-off' }] });
    const { params } = winter.findings[0] as { params: { warmestC: number; day: string } };
    expect(params.warmestC).toBeLessThan(COOLING_TEST_LEAST_C);
    expect(params.day > '03-01' && params.day < '07-01').toBe(true);
  });

  it('is no matter in summer, without a day, or where nothing cools', () => {
    expect(coolingTest.weigh(at({ survey: { workDay: '2026-07-12' } })).findings).toEqual([]);
    expect(coolingTest.weigh(at({ survey: { workDay: null } })).findings).toEqual([]);
    const boiler = FAMILY_HOUSES['boiler'].plain();
    expect(coolingTest.weigh(at({ survey: { workDay: '2026-01-12' } }, boiler)).findings).toEqual([]);
  });
});

describe('people and pipes', () => {
  const cold = { workDay: '2026-01-12' } as const;

  it('are named where it is cold enough to hurt them, each by itself', () => {
    expect(codes(people.weigh(at({ survey: { ...cold, frail: 'yes' } })))).toEqual(['frail-people']);
    expect(codes(people.weigh(at({ survey: { ...cold, pipesCanFreeze: 'yes' } })))).toEqual([
      'pipes-can-freeze'
    ]);
    expect(codes(people.weigh(at({ survey: cold })))).toEqual([]);
  });

  it('are not, on a warm day or on none', () => {
    const both = { frail: 'yes', pipesCanFreeze: 'yes' } as const;
    expect(codes(people.weigh(at({ survey: { ...both, workDay: '2026-07-12' } })))).toEqual([]);
    expect(codes(people.weigh(at({ survey: { ...both, workDay: null } })))).toEqual([]);
  });

  it('make the wall’s work count to its late end: a day that is warm enough for others is not for them', () => {
    const needs = (change: Partial<Survey>) => {
      const result = wallWork.weigh(
        at({
          survey: { workDay: '2026-01-12', ...change },
          thermostat: { face: { ...EMPTY_WALL_FACE, finish: 'patch' } }
        })
      );
      return result.asks === 'wait'
        ? (result.findings[0] as { params: { needsH: number } }).params.needsH
        : 0;
    };
    expect(needs({ frail: 'yes' })).toBeGreaterThan(needs({}));
  });
});

describe('what a thermostat connects to', () => {
  it('is no matter for one that has no radio, and comes first for one that has', () => {
    const mute = { ...device, wifiBands: 'none' };
    expect(internet.weigh(at({ survey: { internet: 'none' } }))).toMatchObject({
      asks: 'prepare',
      findings: [{ code: 'no-internet' }]
    });
    expect(internet.weigh(at({ survey: { internet: 'none' }, device: mute })).asks).toBe('nothing');
    expect(internet.weigh(at({ survey: { internet: 'unknown' } })).findings).toEqual([]);
    expect(signal.weigh(at({ device: mute })).findings).toEqual([]);
    expect(codes(signal.weigh(at()))).toEqual(['signal-not-read']);
  });

  it('has a signal that is good, near the edge, or asks for something first', () => {
    const read = (...dbm: number[]) =>
      signal.weigh(
        at({
          thermostat: {
            signal: dbm.map((value) => ({ dbm: value, at: '2026-01-01T10:00:00.000Z', source: 'typed' }))
          }
        })
      );
    expect(read(-55)).toMatchObject({ asks: 'nothing', findings: [] });
    expect(read(-70)).toMatchObject({ asks: 'nothing', findings: [{ code: 'signal-marginal' }] });
    expect(read(-82)).toMatchObject({ asks: 'prepare', findings: [{ code: 'signal-poor' }] });
  });

  it('is what its sheet names: a silent sheet is no yes, and what it lacks is named', () => {
    const wanted = { survey: { worksWith: ['odelle', 'open'] } } satisfies Change;
    const knows = (worksWith: DeviceFacts['worksWith']) =>
      smartHome.weigh(at({ ...wanted, device: { ...device, worksWith } })).findings;
    expect(knows(['odelle', 'open'])).toEqual([]);
    expect(knows(['odelle'])).toMatchObject([{ params: { systems: ['open'], said: true } }]);
    expect(knows(null)).toMatchObject([{ params: { systems: ['odelle', 'open'], said: false } }]);
    expect(smartHome.weigh(at({ ...wanted, device: null })).findings).toEqual([]);
  });
});

describe('what hangs there, and whether it runs', () => {
  it('asks to leave what is dangerous, to find out what is not known, and for nothing where all is clear', () => {
    expect(system.weigh(at()).asks).toBe('nothing');
    for (const family of ['line-voltage', 'millivolt', 'communicating'] as const) {
      const result = system.weigh(at({}, FAMILY_HOUSES[family].plain()));
      expect(result.asks, family).toBe('leave');
      expect(result.findings.every(({ level }) => level === 'stop')).toBe(true);
    }
    const nothingSeen = { conductors: [], observed: {}, screws: [], statedFamily: null };
    expect(system.weigh(at({ thermostat: nothingSeen })).asks).toBe('prepare');
  });

  it('knows that a new thermostat mends no furnace', () => {
    expect(oldOne.weigh(at({ survey: { oldOneWorks: 'no' } }))).toMatchObject({
      asks: 'prepare',
      findings: [{ code: 'old-one-broken' }]
    });
    expect(oldOne.weigh(at({ survey: { oldOneWorks: 'unknown' } })).findings).toEqual([]);
  });
});

describe('whether it pays', () => {
  const away = {
    habits: { ...EMPTY_SURVEY.habits, home: 'away-by-day' as const, setsBackToday: 'no' as const }
  };

  it('speaks at one thermostat of the house alone', () => {
    const situation = at({ survey: away });
    expect(payBack.weigh(situation).findings.length).toBeGreaterThan(0);
    const [, flat] = SCHOOLHOUSE.thermostats;
    expect(payBack.weigh({ ...situation, savingAt: flat!.id })).toEqual({ asks: 'nothing', findings: [] });
  });

  it('is no reason against what costs nothing, and one against what nothing pays for', () => {
    const never = {
      habits: { ...EMPTY_SURVEY.habits, home: 'always' as const, night: 'as-by-day' as const }
    };
    expect(payBack.weigh(at({ survey: never }))).toMatchObject({
      asks: 'leave',
      findings: [{ code: 'pays-nothing' }]
    });
    expect(payBack.weigh(at({ survey: { ...never, rebate: 500 } }))).toEqual({
      asks: 'nothing',
      findings: []
    });
  });

  it('leaves it where the price comes back later than a thermostat lasts', () => {
    const { asks, findings } = payBack.weigh(at({ survey: away, price: 9000 }));
    expect(asks).toBe('leave');
    expect(codes({ findings })).toContain('pay-back-long');
    expect(codes(payBack.weigh(at({ survey: away, price: 60 })))).toContain('pays-back');
  });
});
