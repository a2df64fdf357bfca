import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { house } from '../houses/builder';
import { furnaceWithSpare } from '../houses/houses';
import { COLOUR_CODES } from '../trade/colours';
import { newJob } from './create';
import * as edits from './edits';
import { makeId, nextId } from './ids';
import { migrate } from './migrations';
import { recordFindings } from './record-findings';
import { Job, type Conductor, type ConductorEnd } from './schema';
import { apply, batch, insertStep, invert, removeStep, setStep, type Step } from './steps';

/** A random edit that fits the job as it stands. */
function edit(job: Job, [kind, a, b]: [number, number, number]): Step {
  const thermostat = job.thermostats[0]!;
  const count = thermostat.conductors.length;
  const co = count === 0 ? -1 : a % count;
  const colour = COLOUR_CODES[b % COLOUR_CODES.length]!;
  const side = b % 2 === 0 ? 'wall' : 'equipment';
  const word = ['R', 'C', 'W', 'loose', 'coiled', 'unseen'][b % 6]!;
  switch (co === -1 ? 0 : kind % 11) {
    case 0:
      return edits.addCable(job, 0, {
        name: 'c',
        gauge: 18,
        lengthM: 5,
        path: 'free',
        colours: [colour, null]
      });
    case 1:
      return edits.setConductorEnd(
        job,
        0,
        co,
        side,
        edits.endFrom(word, side === 'wall' ? thermostat.id : thermostat.equipment[0]!)
      );
    case 2:
      return edits.setConductorField(job, 0, co, 'colour', colour);
    case 3:
      return edits.removeConductor(job, 0, co);
    case 4:
      return edits.addConductor(job, 0, thermostat.cables[0]?.id ?? makeId('cable', '1'), colour);
    case 5:
      return edits.observe(job, 0, 'flue', b % 3 === 0 ? null : 'burner');
    case 6:
      return edits.setColourBeyond(job, 0, co, colour);
    case 7:
      return thermostat.cables.length > 0
        ? edits.removeCable(job, 0, a % thermostat.cables.length)
        : edits.addThermostat(job, 'upstairs');
    case 8:
      return edits.addThermostat(job, 'beside', job.equipment[b % job.equipment.length]!.id);
    case 9:
      return edits.shareMachine(job, 0, job.equipment[b % job.equipment.length]!.id);
    default:
      return edits.stateFamily(job, 0, b % 2 === 0 ? 'furnace' : null);
  }
}

describe('edit steps', () => {
  it('undoing every step gives the starting job back, and every state in between holds to the schema', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(99), fc.nat(99), fc.nat(99)), { maxLength: 40 }), (choices) => {
        const start = newJob(makeId('job', 'p'), 'P');
        const steps: Step[] = [];
        let job = start;
        for (const choice of choices) {
          const step = edit(job, choice);
          steps.push(step);
          job = apply(job, step);
          expect(v.safeParse(Job, job).success).toBe(true);
        }
        for (const step of steps.reverse()) job = apply(job, invert(step));
        expect(job).toEqual(start);
      }),
      { numRuns: 60 }
    );
  });

  it('takes a shared machine away from one thermostat and leaves it to the other', () => {
    const start = newJob(makeId('job', 'p'), 'P');
    const panel = start.equipment[0]!.id;
    const two = apply(start, edits.addThermostat(start, 'beside', panel));
    expect(two.equipment).toHaveLength(1);
    const more = apply(two, edits.addMachine(two, 1, 'another'));
    const away = apply(more, edits.removeMachine(more, 1, panel));
    expect(away.equipment.map((one) => one.id)).toContain(panel);
    expect(away.thermostats.map((one) => one.equipment.includes(panel))).toEqual([true, false]);
    const back = apply(away, edits.shareMachine(away, 1, panel));
    expect(back.thermostats[1]!.equipment.filter((one) => one === panel)).toHaveLength(1);
  });

  it('leaves the job that it was applied to as it was', () => {
    const { job } = furnaceWithSpare();
    const before = structuredClone(job);
    apply(job, edits.removeConductor(job, 0, 0));
    expect(job).toEqual(before);
  });

  it('says in words what it did', () => {
    const { job, thermostat } = furnaceWithSpare();
    expect(edits.setConductorEnd(job, 0, 4, 'wall', edits.endFrom('c', thermostat.id)).label).toBe(
      'Wall end of blue: landed on C'
    );
    expect(edits.setConductorEnd(job, 0, 0, 'equipment', edits.endFrom('loose', thermostat.id)).label).toBe(
      'Equipment end of red: loose'
    );
  });

  it('is refused where its path leads nowhere, instead of making a half-written job', () => {
    const { job } = furnaceWithSpare();
    expect(() => apply(job, setStep(job, ['thermostats', 7, 'name'], 'x', ''))).toThrow();
    expect(() => apply(job, removeStep(job, ['equipment'], 5, ''))).toThrow();
    expect(() => insertStep(job, ['name'], 1, '')).toThrow();
  });

  it('takes a batch back in reverse', () => {
    const { job } = furnaceWithSpare();
    const step = batch('both', [
      setStep(job, ['name'], 'A', ''),
      setStep(apply(job, setStep(job, ['name'], 'A', '')), ['name'], 'B', '')
    ]);
    expect(apply(apply(job, step), invert(step))).toEqual(job);
  });

  it('notes another colour at the equipment as a joint that nobody has seen, and the same one takes it back', () => {
    const { job } = furnaceWithSpare();
    const changed = apply(job, edits.setColourBeyond(job, 0, 0, 'BK'));
    expect(changed.thermostats[0]?.conductors[0]?.splices).toMatchObject([
      { colourBeyond: 'BK', seen: false }
    ]);
    const back = apply(changed, edits.setColourBeyond(changed, 0, 0, 'RD'));
    expect(back.thermostats[0]?.conductors[0]?.splices).toEqual([]);
  });
});

describe('ids', () => {
  it('counts on past those that are taken', () => {
    expect(nextId('conductor', ['co-1', 'co-3'])).toBe('co-2');
    expect(() => makeId('cable', 'Not An Id')).toThrow();
  });
});

describe('migrations', () => {
  const steps = {
    1: (raw: object) => ({ ...raw, two: true }),
    2: (raw: object) => ({ ...raw, three: true })
  };

  it('walk from version to version', () => {
    expect(migrate({ version: 1 }, 3, steps)).toEqual({
      ok: true,
      from: 1,
      raw: { version: 3, two: true, three: true }
    });
    expect(migrate({ version: 3 }, 3, steps)).toMatchObject({ ok: true, raw: { version: 3 } });
  });

  it('say when a file is newer, has no version, or comes from before the first', () => {
    expect(migrate({ version: 4 }, 3, steps)).toMatchObject({ ok: false, reason: 'newer' });
    expect(migrate({ version: '1' }, 3, steps)).toMatchObject({ ok: false, reason: 'no-version' });
    expect(migrate({ version: 0 }, 3, steps)).toMatchObject({ ok: false, reason: 'no-path' });
  });
});

describe('records that cannot be', () => {
  const base = furnaceWithSpare();
  const codes = (job: Job) => recordFindings(job).map((one) => one.code);
  const withConductor = (change: (one: Conductor) => Conductor): Job => {
    const [first, ...rest] = base.thermostat.conductors;
    return { ...base.job, thermostats: [{ ...base.thermostat, conductors: [change(first!), ...rest] }] };
  };
  const end = (state: ConductorEnd['state'], ...marks: string[]): ConductorEnd => ({
    state,
    on: marks.map((mark) => ({ at: base.thermostat.id, mark }))
  });

  it('finds nothing in a plain house', () => {
    expect(codes(base.job)).toEqual([]);
  });

  it('names a conductor landed twice at one end, with its place in the file', () => {
    const [one] = recordFindings(
      withConductor((conductor) => ({ ...conductor, wall: end('landed', 'R', 'RC') }))
    );
    expect(one).toMatchObject({
      code: 'landed-twice',
      level: 'stop',
      path: 'thermostats[0].conductors[0].wall.on',
      because: ['co-1']
    });
  });

  it('names ends whose state and terminal contradict each other', () => {
    expect(codes(withConductor((one) => ({ ...one, wall: end('landed') })))).toEqual(['landed-nowhere']);
    expect(codes(withConductor((one) => ({ ...one, wall: end('coiled', 'R') })))).toEqual([
      'on-terminal-but-not-landed'
    ]);
  });

  it('names a link to itself and a doubled one', () => {
    const self = house({ strands: ['RD R R'], links: ['wall R R'] });
    expect(codes(self.job)).toEqual(['link-to-itself']);
    const twice = house({ strands: ['RD RH R'], links: ['wall RH RC', 'wall RC RH'] });
    expect(codes(twice.job)).toEqual(['link-doubled']);
  });

  it('names two conductors with one id, and what leads nowhere', () => {
    expect(codes(withConductor((one) => ({ ...one, id: makeId('conductor', '2') })))).toContain(
      'duplicate-id'
    );
    expect(codes(withConductor((one) => ({ ...one, cable: makeId('cable', 'gone') })))).toEqual([
      'unknown-reference'
    ]);
    expect(
      codes(
        withConductor((one) => ({
          ...one,
          wall: { state: 'landed', on: [{ at: makeId('thermostat', 'other'), mark: 'R' }] }
        }))
      )
    ).toContain('unknown-reference');
  });

  it('names a shared terminal at the wall and a mark that nobody knows', () => {
    expect(codes(withConductor((one) => ({ ...one, wall: end('landed', 'W') })))).toEqual([
      'terminal-shared'
    ]);
    expect(codes(withConductor((one) => ({ ...one, wall: end('landed', 'Q7') })))).toEqual(['unknown-mark']);
  });
});
