/** What came of the tests, what a reading outside its band points to, and what is due. */
import { describe, expect, it } from 'vitest';
import { chosen, finished } from '../houses/finished';
import { furnaceFourWires, furnaceWithSpare } from '../houses/houses';
import { finishTest, takeReading, type TestOutcome } from '../job/after-edits';
import type { TakenReading } from '../job/after-schema';
import { makeId } from '../job/ids';
import type { Job } from '../job/schema';
import { apply } from '../job/steps';
import type { Call } from '../trade/calls';
import { dueOf } from './due';
import { airDifference, standingsOf } from './results';
import { testPlanOf } from './test-plan';
import { pointsText } from './test-words';

const house = chosen(furnaceWithSpare(), 'fellgate');
const plan = testPlanOf(finished(house));
const { id } = house.thermostat;
const begun = {
  id: makeId('log', '1'),
  at: '2026-10-10T08:00:00.000Z',
  act: { action: 'land' as const, end: 'wall' as const, what: 'co-1', from: 'loose', to: 'R' },
  change: {
    kind: 'end' as const,
    strand: 'co-1',
    side: 'near' as const,
    from: { state: 'loose' as const },
    to: { state: 'loose' as const }
  },
  undoes: null
};
/** With the first wire moved on 10 October. */
const made = { job: { ...house.job, thermostats: [{ ...house.thermostat, log: [begun] }] } };
const AT = '2026-10-15T12:00:00.000Z';
const read = (
  job: Job,
  what: TakenReading['what'],
  value: number,
  call: Call,
  at = AT,
  between = what === 'volts' ? 'R-C' : ''
) => apply(job, takeReading(job, id, { at, what, between, call, value, from: 'typed' }));
const standing = (job: Job, call: Call) =>
  standingsOf(plan, job.thermostats[0]!).find(({ step }) => step.call === call)!;
const test = (job: Job, outcome: Partial<TestOutcome> & Pick<TestOutcome, 'call' | 'result'>) =>
  apply(job, finishTest(job, id, { at: AT, why: '', until: null, outdoorC: null, ...outcome }));

describe('a reading', () => {
  it.each([
    [26, []],
    [0.4, ['no-common']],
    [19, ['weak-supply']],
    [33, ['high-supply']]
  ] as const)('of %s V between R and C points to %j', (volts, points) => {
    const { outside } = standing(read(made.job, 'volts', volts, 'heat1'), 'heat1');
    expect(outside.map((outside) => outside.points)).toEqual(points);
    for (const reading of outside) expect(pointsText(reading)).toMatch(/\w/);
  });

  it.each([
    ['heat1', 45, 20, []],
    ['heat1', 30, 20, ['no-heat']],
    ['heat1', 65, 20, ['little-air']],
    ['cool1', 14, 24, []],
    ['cool1', 21, 24, ['little-cold']],
    ['cool1', 8, 24, ['little-air']]
  ] as const)('of the air in %s, %s over %s, points to %j', (call, supply, back, points) => {
    const job = read(read(made.job, 'return-air', back, call), 'supply-air', supply, call);
    expect(standing(job, call).outside.map((outside) => outside.points)).toEqual(points);
  });

  it('is of its own call, and the last one counts', () => {
    const job = read(read(made.job, 'volts', 3, 'heat1'), 'volts', 26, 'heat1');
    expect(standing(job, 'heat1').outside).toEqual([]);
    expect(standing(job, 'fan').readings).toEqual([]);
  });

  it('between other screws is kept and not held against the band of R and C', () => {
    const job = read(made.job, 'volts', 0.2, 'heat1', AT, 'R-W');
    expect(standing(job, 'heat1')).toMatchObject({ outside: [], readings: [{ between: 'R-W' }] });
  });

  it('from before the first wire was moved stands beside the others', () => {
    const early = read(made.job, 'volts', 24, 'heat1', '2026-10-09T08:00:00.000Z');
    const job = read(early, 'volts', 26, 'heat1');
    expect(standing(job, 'heat1').before.map(({ value }) => value)).toEqual([24]);
    expect(standing(job, 'heat1').readings.map(({ value }) => value)).toEqual([26]);
    // Nothing is moved yet: all of it is of the house as it was found.
    const untouched = { ...job, thermostats: [{ ...job.thermostats[0]!, log: [] }] };
    expect(standing(untouched, 'heat1').before.map(({ value }) => value)).toEqual([24, 26]);
  });

  it('that was taken while the house was looked at stands beside that of the off', () => {
    const looked = {
      ...made.job,
      thermostats: [{ ...made.job.thermostats[0]!, observed: { 'measured-volts': 27 } }]
    };
    expect(standing(looked, 'idle').measured).toBe(27);
    expect(standing(looked, 'heat1').measured).toBeNull();
    expect(standing(made.job, 'idle').measured).toBeNull();
  });

  it('against a C that no wire is on is no alarm', () => {
    const own = chosen(furnaceFourWires(), 'sipper', 'no-c-needed');
    const without = testPlanOf(finished(own));
    const job = read(
      { ...own.job, thermostats: [{ ...own.thermostat, log: [begun] }] },
      'volts',
      0.3,
      'heat1'
    );
    const heat = standingsOf(without, job.thermostats[0]!).find(({ step }) => step.call === 'heat1')!;
    expect(heat.readings).toHaveLength(1);
    expect(heat.outside).toEqual([]);
  });

  it('of air alone makes no difference', () => {
    expect(airDifference({ air: { way: 'warm' } }, [])).toBeNull();
    expect(airDifference({ air: { way: 'pipe' } }, standing(made.job, 'heat1').readings)).toBeNull();
  });
});

describe('what is due', () => {
  const put = (until: string, job: Job = made.job) => test(job, { call: 'cool1', result: 'put-off', until });
  const due = (job: Job) => dueOf(job, job.thermostats);

  it('is what was put off and not made since, under an id that stays', () => {
    const first = due(put('2027-05-03'));
    expect(first).toMatchObject([{ until: '2027-05-03', moved: 0, what: 'Test cooling' }]);
    const moved = due(put('2027-05-20', put('2027-05-03')));
    expect(moved).toMatchObject([{ id: first[0]!.id, until: '2027-05-20', moved: 1 }]);
    expect(due(test(put('2027-05-03'), { call: 'cool1', result: 'good' }))).toEqual([]);
    expect(due(made.job)).toEqual([]);
  });

  it('stands the soonest first', () => {
    const job = test(put('2027-05-03'), { call: 'fan', result: 'put-off', until: '2026-11-01' });
    expect(due(job).map(({ call }) => call)).toEqual(['fan', 'cool1']);
  });
});
