/** As built is what was found and what was done since, whatever anybody has planned. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { chosen, worked } from '../houses/finished';
import { house } from '../houses/builder';
import * as houses from '../houses/houses';
import { makeId } from '../job/ids';
import type { Job } from '../job/schema';
import { apply } from '../job/steps';
import { doMove, takeBack } from '../plan/doing';
import { planFor } from '../plan/plan';
import { nowOf } from '../wiring/now';
import { landedTerminal, printedMark } from '../wiring/graph';
import { asBuilt } from './as-built';
import { cautionText, endText, hasSeveralMachines, wireNote } from './as-built-words';

const CLASSROOM = makeId('thermostat', 'classroom');
const builtOf = (made: { job: Job; thermostat: Job['thermostats'][number] }) =>
  asBuilt(made.job, made.thermostat, planFor(made.job, made.thermostat));
const ends = (built: ReturnType<typeof asBuilt>) =>
  Object.fromEntries(
    built.wires.map(({ name, wall, machine }) => [name, `${endText(wall, false)} ${endText(machine, false)}`])
  );
const codes = (built: ReturnType<typeof asBuilt>) => built.cautions.map(({ code }) => code);

describe('as built', () => {
  it('is found and done, for any sequence of steps done and taken back', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.boolean(), fc.nat(30)), { maxLength: 10 }), (choices) => {
        let job: Job = SCHOOLHOUSE;
        const place = () => job.thermostats.find(({ id }) => id === CLASSROOM)!;
        choices.forEach(([back, which], minute) => {
          const plan = planFor(job, place());
          const entry = plan.done[which % Math.max(1, plan.done.length)];
          const move = plan.moves[which % Math.max(1, plan.moves.length)];
          const at = `2026-03-01T09:${String(minute).padStart(2, '0')}:00.000Z`;
          const step =
            back && entry
              ? takeBack(job, CLASSROOM, plan, entry.id, at)
              : move
                ? doMove(job, CLASSROOM, plan, move, at)
                : null;
          if (step) job = apply(job, step);
        });
        const plan = planFor(job, place());
        const built = asBuilt(job, place(), plan);
        const { wiring: now } = nowOf(plan.wiringBefore, place().log);
        const mark = (terminal: string | null) => (terminal === null ? '' : printedMark(now, terminal));
        for (const strand of now.strands) {
          const wire = built.wires.find(({ id }) => id === strand.id)!;
          expect([wire.wall.state, wire.machine.state]).toEqual([strand.near.state, strand.far.state]);
          expect([wire.wall.mark, wire.machine.mark]).toEqual([
            mark(landedTerminal(strand.near)),
            mark(landedTerminal(strand.far))
          ]);
        }
        expect(built.wires).toHaveLength(now.strands.length);
        expect(built.changes).toHaveLength(plan.done.filter(({ change }) => change !== null).length);
      }),
      { numRuns: 12 }
    );
  });

  it('says of an end that nobody has seen that nobody has, though the plan took it to be somewhere', () => {
    const unseen = chosen(
      house({ strands: ['RD R R', 'WH W unseen', 'BU C C'], board: ['R', 'C', 'W'] }),
      'fellgate'
    );
    const built = builtOf(unseen);
    expect(ends(built)).toMatchObject({ white: 'W not seen', red: 'R R' });
    expect(built.cautions).toContainEqual({ code: 'unseen', count: 1 });
  });

  it('has the new thermostat, every change with its time, and where each wire was before', () => {
    const built = builtOf(worked(chosen(houses.furnaceWithSpare(), 'fellgate')));
    expect(built.device?.model).toBe('Fellgate 4');
    expect(built.differences).toEqual([]);
    expect(built.changes.every(({ at }) => at.startsWith('2026-10-03'))).toBe(true);
    const spare = built.wires.find(({ wall }) => wall.mark === 'C')!;
    expect(wireNote(spare)).toMatch(/was coiled at the wall, coiled at the machine/);
  });

  it('names what is planned and not done, and what is done is not undone by that', () => {
    const made = chosen(houses.furnaceWithSpare(), 'fellgate');
    const before = builtOf(made);
    expect(before.device).toBeNull();
    expect(before.differences.length).toBe(made.plan.moves.filter(({ change }) => change !== null).length);
    expect(codes(before)).toContain('not-finished');
    expect(before.changes).toEqual([]);
  });

  it('warns of a colour that says something else, and of parts that it does not work without', () => {
    const green = builtOf(worked(chosen(houses.furnaceFourWires(), 'fellgate', 'repurpose-g')));
    expect(green.cautions).toContainEqual(expect.objectContaining({ code: 'colour', mark: 'C' }));
    const plug = builtOf(worked(chosen(houses.heatOnly(), 'fellgate', 'plug-in-transformer')));
    expect(codes(plug)).toEqual(expect.arrayContaining(['supplies', 'part']));
    const adapter = builtOf(
      worked(chosen(houses.furnaceFourWires(), 'weftline', 'combined-terminal-adapter'))
    );
    expect(codes(adapter)).toContain('part');
    for (const built of [green, plug, adapter])
      for (const caution of built.cautions) expect(cautionText(caution)).toMatch(/\.$/);
  });

  it('warns of none of that in a plain house', () => {
    expect(codes(builtOf(worked(chosen(houses.furnaceWithCommon(), 'fellgate'))))).toEqual([]);
  });

  it('says which machine where wires go to several, and what shares a screw', () => {
    const two = builtOf(chosen(houses.boilerPlusAcHouse(), 'fellgate'));
    expect(hasSeveralMachines(two)).toBe(true);
    const shared = builtOf(
      chosen(house({ strands: ['RD R R', 'WH W W', 'BN W W'], board: ['R', 'W'] }), 'fellgate')
    );
    expect(wireNote(shared.wires.find(({ name }) => name === 'white')!)).toMatch(/shares a screw with brown/);
  });
});
