/** What the screens read of a place, over a session that is edited as a user would. */
import { afterEach, describe, expect, it, vi } from 'vitest';
import { setConductorEnd } from '$core/job/edits';
import { chooseDevice, chooseMethod } from '$core/job/choices';
import { NO_HISTORY } from '$core/job/history';
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { apply } from '$core/job/steps';
import { doMove } from '$core/plan/doing';
import { planFor } from '$core/plan/plan';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { memoryStore } from '$storage/memory';
import { Bench } from '../bench/bench.svelte';
import type { Station } from '../frame/station';
import { stationsOf } from '../frame/stations';
import { Place } from './place.svelte';
import { plannerHere } from './plan-here';
import type { Planner } from './planner';
import { JobSession } from './session.svelte';

const CLASSROOM = makeId('thermostat', 'classroom');

function placeIn(thermostat: string, job: Job = SCHOOLHOUSE): Place {
  const session = new JobSession(memoryStore(), { job, revision: 0, saved: '', history: NO_HISTORY });
  return new Place(
    () => session,
    () => thermostat,
    plannerHere()
  );
}

const station = (place: Place, id: Station['id']) => stationsOf(place).get(id)!;

describe('a place', () => {
  it('follows the record: an end not seen counts, and is asked for at its station', () => {
    const place = placeIn('th-classroom');
    expect(place.unread).toEqual({ wall: 0, equipment: 0 });
    expect(station(place, 'sheet')).toMatchObject({ says: 'both ends read', done: true });
    place.session.edit(
      setConductorEnd(place.job, CLASSROOM, makeId('conductor', 'classroom-1'), 'far', {
        state: 'unseen',
        on: []
      })
    );
    expect(place.unread.equipment).toBe(1);
    expect(station(place, 'sheet')).toMatchObject({ says: '1 end not read', done: false });
    place.session.undo();
    expect(station(place, 'sheet').done).toBe(true);
  });

  it('plans anew with each choice, and the rail says what was chosen', () => {
    const place = placeIn('th-classroom');
    expect(station(place, 'supply')).toMatchObject({ says: 'not chosen', done: false });
    place.session.edit(chooseMethod(place.job, CLASSROOM, 'new-cable', 'eight'));
    expect(place.plan.taken).toBe('new-cable');
    expect(station(place, 'supply')).toMatchObject({ says: 'Pull a new cable', done: true });
    expect(station(place, 'moves').says).toBe(`${place.plan.moves.length} to do`);
    place.session.edit(chooseDevice(place.job, CLASSROOM, null));
    expect(place.device).toBeNull();
    expect(place.match).toBeNull();
    expect(station(place, 'thermostat')).toMatchObject({ says: 'none chosen', done: false });
    expect(station(place, 'supply').done).toBe(false);
  });

  it('stops at mains, and says so at every station that it closes', () => {
    const place = placeIn('th-bell-room');
    expect(place.identification.findings.some((finding) => finding.level === 'stop')).toBe(true);
    expect(station(place, 'system')).toMatchObject({ says: 'stop', done: false });
    expect(place.plan.moves).toEqual([]);
    expect(station(place, 'moves').says).toBe('none left');
  });

  it('calls a way that is chosen and refused not done', () => {
    const place = placeIn('th-classroom');
    place.session.edit(chooseMethod(place.job, CLASSROOM, 'existing-c'));
    expect(place.plan.options.find((option) => option.method === 'existing-c')?.verdict).toBe('no');
    expect(station(place, 'supply').done).toBe(false);
  });
});

describe('looks that may open a better way', () => {
  afterEach(() => void vi.useRealTimers());

  /** How often they are asked for once a plan of this job stands and nothing more is edited. */
  async function asked(job: Job): Promise<number> {
    vi.useFakeTimers();
    const session = new JobSession(memoryStore(), { job, revision: 0, saved: '', history: NO_HISTORY });
    const looks = vi.fn(() => Promise.resolve([]));
    const here = plannerHere();
    const planner: Planner = {
      plan: () => Promise.resolve(here.planHere(job, job.thermostats[0]!)),
      looks
    };
    const place = new Place(
      () => session,
      () => CLASSROOM,
      planner
    );
    place.follow();
    await vi.runAllTimersAsync();
    expect(place.planned).toBe(true);
    return looks.mock.calls.length;
  }

  it('are weighed until a wire was moved', async () => {
    expect(await asked(SCHOOLHOUSE)).toBe(1);
    const plan = planFor(SCHOOLHOUSE, SCHOOLHOUSE.thermostats[0]!);
    const moved = plan.moves.find((move) => move.change !== null)!;
    const begun = doMove(SCHOOLHOUSE, CLASSROOM, plan, moved, '2026-03-01T09:00:00.000Z');
    expect(await asked(apply(SCHOOLHOUSE, begun))).toBe(0);
  });
});

describe('the bench', () => {
  const benchOf = (place: Place) => new Bench(() => place);

  it('powers up the planned wiring, and the one of today beside it', () => {
    const bench = benchOf(placeIn('th-classroom'));
    expect(bench.which).toBe('after');
    const { now, other } = bench;
    if (!now.ok || !other?.ok) throw new Error('both have a circuit');
    expect(now.powered.result.call).toBe('cool1');
    expect(now.powered.result.thermostatVolts).toBeGreaterThan(25);
    expect(other.powered.result.thermostatVolts).toBeNull();
    expect(bench.everyCall.map((result) => result.call)).toEqual(bench.calls);
  });

  it('puts a fault in and takes it out again, and what is wrong shows', () => {
    const bench = benchOf(placeIn('th-classroom'));
    const fault = bench.faults.find((candidate) => candidate.id.includes('co-classroom-3'))!;
    const compressor = () =>
      bench.now.ok && bench.now.powered.result.loads.find((load) => load.id === 'compressor')?.energised;
    expect(compressor()).toBe(true);
    bench.toggle(fault.id);
    expect(bench.inside.map((fault) => fault.id)).toEqual([fault.id]);
    expect(compressor()).toBe(false);
    bench.toggle(fault.id);
    expect(compressor()).toBe(true);
  });

  it('keeps to the calls of the system when the wiring is changed', () => {
    const bench = benchOf(placeIn('th-classroom'));
    bench.wanted = 'emergency';
    expect(bench.calls).toContain(bench.call);
    bench.wanted = 'heat1';
    expect(bench.call).toBe('heat1');
  });

  it('has two probes that move in turn and come off where they are', () => {
    const bench = benchOf(placeIn('th-classroom'));
    bench.probe('a');
    bench.probe('b');
    expect(bench.probes).toEqual(['a', 'b']);
    bench.probe('c');
    expect(bench.probes).toEqual(['b', 'c']);
    bench.probe('b');
    expect(bench.probes).toEqual([null, 'c']);
    bench.probe('d');
    expect(bench.probes).toEqual(['d', 'c']);
  });

  it('says why nothing runs where the system is not known or has no circuit', () => {
    const empty: Job = {
      ...SCHOOLHOUSE,
      thermostats: [
        {
          ...SCHOOLHOUSE.thermostats[0]!,
          id: makeId('thermostat', 'new'),
          conductors: [],
          links: [],
          screws: [],
          observed: {}
        }
      ]
    };
    for (const place of [placeIn('th-new', empty), placeIn('th-bell-room')]) {
      const { now } = benchOf(place);
      if (!now.ok) expect(now.why.length).toBeGreaterThan(20);
      else expect(now.powered.result.loads.some((load) => load.energised)).toBe(false);
    }
  });

  it('knows one case for one supply, and all of polarity and bonding for two', () => {
    const place = placeIn('th-classroom');
    const bench = benchOf(place);
    expect(bench.cases).toHaveLength(1);
    place.session.edit(chooseMethod(place.job, CLASSROOM, 'plug-in-transformer', 'cord-on-face'));
    expect(bench.cases).toHaveLength(4);
    expect(new Set(bench.cases.map((supplyCase) => bench.caseText(supplyCase))).size).toBe(4);
  });
});
