/** What a failed test hands to the finding out: answers that it knows, and that lead the same way as when they are asked there. */
import { describe, expect, it } from 'vitest';
import { chosen, worked, finished } from '../houses/finished';
import { furnaceWithSpare } from '../houses/houses';
import { finish } from '../circuit/long-run';
import { prepareRun } from '../diagnose/diagnosis';
import { diagnosisRequest } from '../diagnose/from-plan';
import { stateOf } from '../diagnose/state';
import type { TakenReading } from '../job/after-schema';
import { seenOfTest, withSeen } from './carry-over';
import { testPlanOf } from './test-plan';

const AT = '2026-10-15T12:00:00.000Z';
const made = worked(chosen(furnaceWithSpare(), 'fellgate'));
const plan = testPlanOf(finished(made));
const step = (call: string) => plan.steps.find((candidate) => candidate.call === call)!;
const volts = (value: number, between = 'RC-C'): TakenReading => ({
  at: AT,
  what: 'volts',
  between,
  call: 'heat1',
  value,
  from: 'typed'
});
const request = diagnosisRequest(made.plan, made.thermostat, 'now');
if ('code' in request) throw new Error(request.code);
const run = prepareRun(request);
if ('ok' in run) throw new Error(run.why);
const prepared = finish(run);

describe('a test that was not good', () => {
  it('is known to the finding out, load by load and with its reading', () => {
    const seen = seenOfTest(
      step('cool1'),
      { compressor: false, blower: true },
      [volts(26)],
      made.plan.wiringNow,
      AT
    );
    expect(seen.map(({ observation, answer }) => [observation, answer])).toEqual([
      ['cool1-blower', 'runs'],
      ['cool1-compressor', 'still'],
      [expect.stringMatching(/RC:.*C@cool1$/), 26]
    ]);
    const state = stateOf(prepared, seen, { meter: true, helper: false });
    expect(state.unknown).toEqual([]);
    expect(state.causes[0]!.probability).toBeGreaterThan(0);
    expect(state.looks.map(({ observation }) => observation.id)).not.toContain('cool1-compressor');
  });

  it('says of what nobody looked at nothing', () => {
    expect(seenOfTest(step('heat1'), {}, [], made.plan.wiringNow, AT)).toEqual([]);
    expect(seenOfTest(step('heat1'), {}, [volts(26, 'X9-C')], made.plan.wiringNow, AT)).toEqual([]);
  });

  it('says that something runs though nothing is called', () => {
    const seen = seenOfTest(step('idle'), { burner: true }, [], made.plan.wiringNow, AT);
    expect(seen).toEqual([{ at: AT, observation: 'uncalled', answer: 'something' }]);
    expect(stateOf(prepared, seen, { meter: false, helper: false }).unknown).toEqual([]);
  });

  it('takes the place of older answers, and of no others', () => {
    const before = [
      { at: AT, observation: 'display', answer: 'lit' },
      { at: AT, observation: 'heat1-burner', answer: 'runs' }
    ];
    const fresh = [{ at: AT, observation: 'heat1-burner', answer: 'still' }];
    expect(withSeen(before, fresh).map(({ answer }) => answer)).toEqual(['lit', 'still']);
  });
});
