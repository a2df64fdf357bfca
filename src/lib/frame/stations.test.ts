/** What the rail says of each station, over jobs that are edited as the work goes on. */
import { describe, expect, it } from 'vitest';
import { setConductorEnd } from '$core/job/edits';
import { chooseDevice, chooseMethod } from '$core/job/choices';
import { newJob } from '$core/job/create';
import { NO_HISTORY } from '$core/job/history';
import { makeId } from '$core/job/ids';
import type { Job, Thermostat } from '$core/job/schema';
import { setStep } from '$core/job/steps';
import { chosen, worked } from '$core/houses/finished';
import type { StationId } from '$core/plan/next-step';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { memoryStore } from '$storage/memory';
import { Place } from '../state/place.svelte';
import { plannerHere } from '../state/plan-here';
import { JobSession } from '../state/session.svelte';
import { groupOf, GROUPS, groupsOf, MAINS_GROUPS, stationsOf } from './stations';

const AT = '2026-03-01T09:00:00.000Z';

function placeIn(job: Job, thermostat: string): Place {
  const session = new JobSession(memoryStore(), { job, revision: 0, saved: '', history: NO_HISTORY });
  return new Place(
    () => session,
    () => thermostat,
    plannerHere()
  );
}

/** The classroom of the schoolhouse, with something of its record otherwise. */
function classroom(change: Partial<Thermostat> = {}, job: Partial<Job> = {}): Place {
  const [first, ...others] = SCHOOLHOUSE.thermostats;
  return placeIn(
    { ...SCHOOLHOUSE, ...job, thermostats: [{ ...first!, ...change }, ...others] },
    'th-classroom'
  );
}

const says = (place: Place, id: StationId) => {
  const station = stationsOf(place).get(id);
  return [station?.says, station?.done];
};

describe('a job that has just begun', () => {
  const job = newJob(makeId('job', 'new'), 'New');
  const place = placeIn(job, job.thermostats[0]!.id);

  it('has nothing done, and nothing in it that looks like an alarm', () => {
    for (const { id, says: words, done } of stationsOf(place).values()) {
      expect(done, id).toBe(false);
      expect(words, id).not.toMatch(/stop|danger|wrong/i);
    }
    expect(says(place, 'sheet')).toEqual(['none recorded yet', false]);
    expect(says(place, 'system')).toEqual(['not known yet', false]);
    expect(says(place, 'thermostat')).toEqual(['none chosen', false]);
  });

  it('has a station for each place of its groups, once', () => {
    const named = GROUPS.flatMap(({ stations }) => [...stations]);
    expect([...stationsOf(place).keys()].sort()).toEqual([...named].sort());
  });
});

describe('looking', () => {
  it('counts the ends that nobody has read, in the words for one and for many', () => {
    const place = classroom();
    expect(says(place, 'sheet')).toEqual(['both ends read', true]);
    const [first, second] = place.thermostat.conductors;
    for (const [conductor, words] of [
      [first, '1 end not read'],
      [second, '2 ends not read']
    ] as const) {
      const unseen = { state: 'unseen' as const, on: [] };
      place.session.edit(setConductorEnd(place.job, place.thermostat.id, conductor!.id, 'far', unseen));
      expect(says(place, 'sheet')).toEqual([words, false]);
    }
  });

  it('says that a stop is open before anything else of the power', () => {
    const gas = { answer: 'yes' as const, at: AT, resolved: null };
    const place = classroom({ stops: { ...SCHOOLHOUSE.thermostats[0]!.stops, 'gas-smell': gas } });
    expect(says(place, 'safe')).toEqual(['a stop is open', false]);
    expect(says(classroom({ off: {} }), 'safe')[0]).toMatch(/^\d suppl(y|ies) to switch off$/);
  });

  it('stops at mains', () => {
    expect(says(placeIn(SCHOOLHOUSE, 'th-bell-room'), 'system')).toEqual(['stop', false]);
  });
});

describe('deciding', () => {
  it('names what was chosen, and calls a thermostat that does not fit none of it', () => {
    const place = classroom();
    const { id } = place.thermostat;
    place.session.edit(chooseDevice(place.job, id, null));
    expect(says(place, 'thermostat')).toEqual(['none chosen', false]);
    place.session.edit(chooseMethod(place.job, id, 'new-cable', 'eight'));
    expect(says(place, 'supply')).toEqual(['Pull a new cable', true]);
    const unfit = place.matches.find(({ verdict }) => verdict === 'no');
    if (!unfit) throw new Error('all fit');
    place.session.edit(chooseDevice(place.job, id, unfit.device.id));
    expect(says(place, 'thermostat')).toEqual(['does not fit', false]);
  });

  it('counts what was kept of the trials', () => {
    expect(says(classroom({ bench: [] }), 'bench')).toEqual(['simulate the wiring', false]);
  });
});

describe('doing', () => {
  it('is not done before the first step, though none is left to do', () => {
    const place = classroom();
    expect(says(place, 'moves')).toEqual([`${place.plan.moves.length} to do`, false]);
    expect(says(place, 'power')).toEqual(['after the steps', false]);
  });

  it('is powered up once no step is left and the display was seen lit, not by any other sight', () => {
    const seen = (observation: string, answer: string) =>
      ({ seen: [{ observation, answer, at: AT, label: '' }] }) as unknown as Partial<Thermostat>;
    const [first] = SCHOOLHOUSE.thermostats;
    const { log } = worked(chosen({ job: SCHOOLHOUSE, thermostat: first! }, 'fellgate')).thermostat;
    const power = (change: Partial<Thermostat>) => says(classroom(change), 'power');
    expect(power({ log, ...seen('display', 'lit') })).toEqual(['now', true]);
    expect(power({ log, ...seen('display', 'dark') })).toEqual(['now', false]);
    expect(power(seen('display', 'lit'))).toEqual(['after the steps', false]);
    expect(says(classroom(seen('display', 'dark')), 'why')).toEqual(['1 seen', false]);
  });

  it('is tested when every call was, and the last word on each is good', () => {
    const place = classroom();
    expect(says(place, 'test')).toEqual(['every call by itself', false]);
    const result = (call: string, outcome: 'good' | 'bad') => ({
      call,
      result: outcome,
      at: AT,
      ran: {},
      why: ''
    });
    const tests = (all: object[]) => ({ tests: all }) as unknown as Partial<Thermostat>;
    const some = classroom(tests([result('heat1', 'bad'), result('heat1', 'good')]));
    expect(says(some, 'test')).toEqual(['1 tested', false]);
  });
});

describe('keeping', () => {
  it('is over with a closed job', () => {
    expect(says(classroom(), 'keep')).toEqual(['sheets, codes, files', false]);
    const closed = { at: AT, by: 'M. Tarn' };
    expect(says(classroom({}, { closed } as Partial<Job>), 'keep')).toEqual(['closed', true]);
  });

  it('is undone when the job is opened again', () => {
    const place = classroom({}, { closed: { at: AT, by: '' } } as Partial<Job>);
    place.session.edit(setStep(place.job, ['closed'], null, 'Opened again'));
    expect(says(place, 'keep')).toEqual(['sheets, codes, files', false]);
  });
});

describe('groups', () => {
  it('hold each page, those beside the stations with the station that leads there', () => {
    expect(groupOf('sheet').id).toBe('look');
    expect(groupOf('photo').id).toBe('look');
    expect(groupOf('together').id).toBe('do');
    expect(groupOf('do').id).toBe('do');
    expect(groupOf('nowhere').id).toBe('look');
    expect(groupOf('fault', MAINS_GROUPS).id).toBe('do');
  });

  it('are those of mains controls where such are recorded', () => {
    const [thermostat] = SCHOOLHOUSE.thermostats;
    expect(groupsOf({ thermostat: { ...thermostat!, mains: null } })).toBe(GROUPS);
    expect(groupsOf({ thermostat: { ...thermostat!, mains: {} as Thermostat['mains'] } })).toBe(MAINS_GROUPS);
  });
});
