/** What is done in the house: a log that with the record as found gives the house as it is now. */
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { chooseMethod } from '../job/choices';
import { setConductorEnd } from '../job/edits';
import { makeId } from '../job/ids';
import { Job, type Thermostat } from '../job/schema';
import { apply, invert, type Step } from '../job/steps';
import { METHOD_IDS } from '../trade/vocabulary';
import { applyChange } from '../wiring/difference';
import { sortedWiring, type Wiring } from '../wiring/graph';
import { nowOf } from '../wiring/now';
import { doMove, takeBack } from './doing';
import { applyMoves, moveKey, movesDone } from './moves';
import { mayChangeTheWay } from './next-step';
import { planFor } from './plan';

const CLASSROOM = makeId('thermostat', 'classroom');
const at = (minute: number) => `2026-03-01T09:${String(minute).padStart(2, '0')}:00.000Z`;
const placeIn = (job: Job): Thermostat => job.thermostats.find((thermostat) => thermostat.id === CLASSROOM)!;
const planOf = (job: Job) => planFor(job, placeIn(job));

/** Does the first `count` moves of the plan, one after the other. */
function doing(job: Job, count: number): Job {
  return Array.from({ length: count }).reduce<Job>((so, _, minute) => {
    const plan = planOf(so);
    const [next] = plan.moves;
    return next ? apply(so, doMove(so, CLASSROOM, plan, next, at(minute))) : so;
  }, job);
}

const wired = (wiring: Wiring) => JSON.stringify(sortedWiring(wiring));

describe('found and the log', () => {
  it('give the house as it is now, for any sequence of moves done, taken back and done again', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.boolean(), fc.nat(40)), { maxLength: 14 }), (choices) => {
        let job: Job = SCHOOLHOUSE;
        const steps: Step[] = [];
        choices.forEach(([back, which], minute) => {
          const plan = planOf(job);
          const entry = plan.done[which % Math.max(1, plan.done.length)];
          const move = plan.moves[which % Math.max(1, plan.moves.length)];
          const step =
            back && entry
              ? takeBack(job, CLASSROOM, plan, entry.id, at(minute))
              : move
                ? doMove(job, CLASSROOM, plan, move, at(minute))
                : null;
          if (!step) return;
          job = apply(job, step);
          steps.push(step);
          expect(v.safeParse(Job, job).success).toBe(true);
        });
        const { log } = placeIn(job);
        const plan = planOf(job);
        const now = nowOf(plan.wiringFound, log);
        expect(now.misfits).toEqual([]);
        const replayed = log.reduce(
          (wiring, entry) => (entry.change === null ? wiring : applyChange(wiring, entry.change)),
          plan.wiringFound
        );
        expect(wired(now.wiring)).toBe(wired(replayed));
        // What stands leads there by itself: taken back means as if it had never been done.
        expect(wired(applyMoves(plan.wiringFound, now.done))).toBe(wired(now.wiring));
        // And what is left leads from there to the plan.
        expect(wired(applyMoves(now.wiring, plan.moves))).toBe(wired(plan.wiringAfter!));
        for (const step of [...steps].reverse()) job = apply(job, invert(step));
        expect(job).toEqual(SCHOOLHOUSE);
      }),
      { numRuns: 25 }
    );
  });

  it('lead to the planned wiring when all is done, with the power to be switched on at the end', () => {
    const plan = planOf(SCHOOLHOUSE);
    const wires = plan.moves.filter((move) => !move.action.startsWith('power-on')).length;
    const job = doing(SCHOOLHOUSE, wires);
    const last = planOf(job);
    expect(wired(last.wiringNow)).toBe(wired(last.wiringAfter!));
    expect(last.moves.map((move) => move.action)).toEqual(['power-on', 'power-on']);
    expect(planOf(doing(job, 2)).moves).toEqual([]);
  });
});

describe('a move that is done', () => {
  it('is no longer on the list, and stands in the log with its time and in words', () => {
    const [first, second] = planOf(SCHOOLHOUSE).moves;
    const job = doing(SCHOOLHOUSE, 1);
    const plan = planOf(job);
    expect(plan.moves.map(moveKey)).not.toContain(moveKey(first!));
    expect(moveKey(plan.moves[0]!)).toBe(moveKey(second!));
    expect(placeIn(job).log).toMatchObject([{ at: at(0), act: { action: 'power-off' }, undoes: null }]);
    const [told] = movesDone(plan.wiringFound, plan.done);
    expect(told).toMatchObject({ action: 'power-off', text: expect.stringContaining('Power off') });
  });

  it('takes those before it along that it cannot be done without', () => {
    const plan = planOf(SCHOOLHOUSE);
    const land = plan.moves.find(
      (move) => move.action === 'land' && move.end === 'wall' && move.what.endsWith('-1')
    )!;
    const job = apply(SCHOOLHOUSE, doMove(SCHOOLHOUSE, CLASSROOM, plan, land, at(1)));
    expect(placeIn(job).log.map((entry) => entry.act.action)).toEqual(['lift', 'land']);
  });

  it('is taken back together with what hangs on it, the last first', () => {
    const job = doing(SCHOOLHOUSE, planOf(SCHOOLHOUSE).moves.length);
    const plan = planOf(job);
    const plate = plan.done.find((entry) => entry.change?.kind === 'device-on')!;
    const step = takeBack(job, CLASSROOM, plan, plate.id, at(30))!;
    const back = planOf(apply(job, step));
    const landed = back.wiringNow.strands.filter((strand) => strand.near.state === 'landed');
    expect(landed).toEqual([]);
    expect(back.wiringNow.devices.some((device) => device.kind === 'new-thermostat')).toBe(false);
    expect(wired(applyMoves(back.wiringNow, back.moves))).toBe(wired(back.wiringAfter!));
  });
});

describe('planning goes on from now', () => {
  it('steps back what no longer fits when another way is chosen half-way', () => {
    const half = doing(SCHOOLHOUSE, 6);
    const other = apply(half, chooseMethod(half, CLASSROOM, 'none'));
    const back = planFor(other, placeIn(other), { method: 'none' });
    expect(back.moves.some((move) => move.change !== null)).toBe(true);
    expect(wired(applyMoves(back.wiringNow, back.moves))).toBe(wired(back.wiringFound));
  });

  it('asks for no look that may open another way, once a wire was moved for one that stands', () => {
    const asks = (job: Job) => mayChangeTheWay(placeIn(job), planOf(job));
    const before = doing(SCHOOLHOUSE, 1);
    expect(asks(before)).toBe(true);
    const moved = planOf(SCHOOLHOUSE).moves.findIndex((move) => move.change !== null) + 1;
    const begun = doing(SCHOOLHOUSE, moved);
    expect(asks(begun)).toBe(false);
    const plan = planOf(begun);
    expect(asks(apply(begun, takeBack(begun, CLASSROOM, plan, plan.done.at(-1)!.id, at(40))!))).toBe(true);
    // It turned out half way that it cannot be done.
    const refused = {
      ...plan,
      options: plan.options.map((option) => ({ ...option, verdict: 'no' as const }))
    };
    expect(mayChangeTheWay(placeIn(begun), refused)).toBe(true);
  });

  it('keeps what is done when the record is put right, and tells what no longer fits it', () => {
    const job = doing(SCHOOLHOUSE, 5);
    const lifted = planOf(job).done.find((entry) => entry.change?.kind === 'end')!;
    const strand = lifted.change?.kind === 'end' ? lifted.change.strand : '';
    const step = setConductorEnd(job, CLASSROOM, makeId('conductor', strand.replace('co-', '')), 'far', {
      state: 'landed',
      on: [{ at: makeId('equipment', 'oil-furnace'), screw: makeId('screw', 'c') }]
    });
    const put = apply(job, step);
    const plan = planOf(put);
    expect(plan.misfits.length + plan.done.length).toBe(5);
    expect(wired(nowOf(plan.wiringFound, plan.done).wiring)).toBe(wired(plan.wiringNow));
  });

  it('offers every way from the house as it is, and each list leads to its own wiring', () => {
    const half = doing(SCHOOLHOUSE, 7);
    const plan = planOf(half);
    expect(plan.options.map((option) => option.method).sort()).toEqual([...METHOD_IDS].sort());
    for (const option of plan.options.filter(
      (plannedOption) => plannedOption.verdict !== 'no' && plannedOption.after
    ))
      expect(wired(applyMoves(option.now, option.moves)), option.method).toBe(wired(option.after!));
  });
});
