import { ref } from '../findings/refs';
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { house } from '../houses/builder';
import { furnaceWithSpare } from '../houses/houses';
import { COLOUR_CODES } from '../trade/colours';
import { newJob } from './create';
import * as choices from './choices';
import { edit as checked } from './edit';
import * as edits from './edits';
import { makeId, nextId } from './ids';
import * as machines from './machines';
import { migrate } from './migrations';
import { recordFindings } from './record-findings';
import { Job, type Conductor, type ConductorEnd } from './schema';
import { screwIdFor, screwsFrom } from './screws';
import { apply, batch, insertStep, invert, removeStep, setStep, type Step } from './steps';

/** A random edit such as the screens offer. */
function edit(job: Job, [kind, a, b]: [number, number, number]): Step {
  const thermostat = job.thermostats[a % job.thermostats.length]!;
  const th = thermostat.id;
  const { conductors, cables, equipment } = thermostat;
  const conductor = conductors[a % Math.max(1, conductors.length)];
  const colour = COLOUR_CODES[b % COLOUR_CODES.length]!;
  const side = b % 2 === 0 ? 'near' : 'far';
  const word = ['R', 'C', 'W', 'W#2', 'QQ', 'loose', 'coiled', 'unseen'][b % 8]!;
  const machine = job.equipment[b % job.equipment.length]!.id;
  switch (kind % 14) {
    case 1:
      if (conductor && (side === 'near' || equipment.length > 0))
        return edits.setEndByWord(job, th, conductor.id, side, word);
      break;
    case 2:
      if (conductor) return edits.setConductorField(job, th, conductor.id, 'colour', colour);
      break;
    case 3:
      if (conductor) return edits.removeConductor(job, th, conductor.id);
      break;
    case 4:
      return edits.addConductor(job, th, cables[0]?.id ?? makeId('cable', '1'), colour);
    case 5:
      return choices.observe(job, th, 'flue', b % 3 === 0 ? null : 'burner');
    case 6:
      if (conductor) return edits.setColourBeyond(job, th, conductor.id, colour);
      break;
    case 7:
      if (cables.length > 0) return edits.removeCable(job, th, cables[a % cables.length]!.id);
      return machines.addThermostat(job, 'upstairs');
    case 8:
      return machines.addThermostat(job, 'beside', machine);
    case 9:
      return machines.shareMachine(job, th, machine);
    case 10:
      return edits.addLink(job, th, { at: th, a: 'RH', b: ['RC', 'W', 'R'][b % 3]!, kind: 'wire' });
    case 11:
      return edits.addScrew(job, b % 2 === 0 ? th : machine, ['', 'R', 'W/AUX'][a % 3]!);
    case 12:
      return machines.addMachine(job, th, 'another');
    case 13:
      return choices.stateFamily(job, th, b % 2 === 0 ? 'furnace' : null);
  }
  return edits.addCable(job, th, { name: 'c', gauge: 18, lengthM: 5, path: 'free', colours: [colour, null] });
}

describe('edit steps', () => {
  it('that the interface offers yield a job that the reader takes, or are refused; undoing all gives the start back', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(99), fc.nat(99), fc.nat(99)), { maxLength: 60 }), (wanted) => {
        const start = newJob(makeId('job', 'p'), 'P');
        const steps: Step[] = [];
        let job = start;
        for (const choice of wanted) {
          const step = edit(job, choice);
          const made = checked(job, step);
          if (!made.ok) continue;
          steps.push(step);
          job = made.job;
          expect(v.safeParse(Job, job).success).toBe(true);
          expect(
            recordFindings(job).filter((finding) => ['too-many', 'duplicate-id'].includes(finding.code))
          ).toEqual([]);
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
    const two = apply(start, machines.addThermostat(start, 'beside', panel));
    expect(two.equipment).toHaveLength(1);
    const more = apply(two, machines.addMachine(two, two.thermostats[1]!.id, 'another'));
    const away = apply(more, machines.removeMachine(more, two.thermostats[1]!.id, panel));
    expect(away.equipment.map((machine) => machine.id)).toContain(panel);
    expect(away.thermostats.map((thermostat) => thermostat.equipment.includes(panel))).toEqual([true, false]);
    const back = apply(away, machines.shareMachine(away, two.thermostats[1]!.id, panel));
    expect(back.thermostats[1]!.equipment.filter((id) => id === panel)).toHaveLength(1);
  });

  it('leaves the job that it was applied to as it was', () => {
    const { job } = furnaceWithSpare();
    const before = structuredClone(job);
    apply(job, edits.removeConductor(job, job.thermostats[0]!.id, makeId('conductor', '1')));
    expect(job).toEqual(before);
  });

  it('says in words what it did', () => {
    const { job, thermostat } = furnaceWithSpare();
    const label = (number: number, side: 'near' | 'far', word: string) =>
      edits.setEndByWord(job, thermostat.id, makeId('conductor', String(number)), side, word).label;
    expect(label(5, 'near', 'c')).toBe('Wall end of blue: landed on C');
    expect(label(1, 'far', 'loose')).toBe('Equipment end of red: loose');
  });

  it('is refused where its path leads nowhere, instead of making a half-written job', () => {
    const { job } = furnaceWithSpare();
    expect(() => apply(job, setStep(job, ['thermostats', { id: 'th-7' }, 'name'], 'x', ''))).toThrow();
    expect(() => apply(job, removeStep(job, ['equipment'], 'eq-5', ''))).toThrow();
    expect(() => insertStep(job, ['name'], { id: 'x' }, '')).toThrow();
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
    const changed = apply(
      job,
      edits.setColourBeyond(job, job.thermostats[0]!.id, makeId('conductor', '1'), 'BK')
    );
    expect(changed.thermostats[0]?.conductors[0]?.splices).toMatchObject([
      { colourBeyond: 'BK', seen: false }
    ]);
    const back = apply(
      changed,
      edits.setColourBeyond(changed, job.thermostats[0]!.id, makeId('conductor', '1'), 'RD')
    );
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
    1: {
      faults: (raw: object) =>
        'broken' in raw ? [{ path: 'broken', expected: 'no such key', found: '1' }] : [],
      next: (raw: object) => ({ ...raw, two: true })
    },
    2: { faults: () => [], next: (raw: object) => ({ ...raw, three: true }) }
  };

  it('walk from version to version', () => {
    expect(migrate({ version: 1 }, 3, steps)).toEqual({
      ok: true,
      from: 1,
      raw: { version: 3, two: true, three: true }
    });
    expect(migrate({ version: 3 }, 3, steps)).toMatchObject({ ok: true, raw: { version: 3 } });
  });

  it('take nothing up that did not hold as what it was, and name its place', () => {
    expect(migrate({ version: 1, broken: 1 }, 3, steps)).toEqual({
      ok: false,
      reason: 'faults',
      faults: [{ path: 'broken', expected: 'no such key', found: '1' }]
    });
  });

  it('say when a file is newer, has no version, or comes from before the first', () => {
    expect(migrate({ version: 4 }, 3, steps)).toMatchObject({ ok: false, reason: 'newer' });
    expect(migrate({ version: '1' }, 3, steps)).toMatchObject({ ok: false, reason: 'no-version' });
    expect(migrate({ version: 0 }, 3, steps)).toMatchObject({ ok: false, reason: 'no-path' });
  });
});

describe('records that cannot be', () => {
  const plain = furnaceWithSpare();
  const plate = screwsFrom(['R', 'RC', 'W', 'Y', 'G', 'Q7']);
  const base = { ...plain, thermostat: { ...plain.thermostat, screws: plate } };
  const codes = (job: Job) =>
    recordFindings(job)
      .map((finding) => finding.code)
      .filter((code) => code !== 'unknown-mark');
  const withConductor = (change: (conductor: Conductor) => Conductor): Job => {
    const [first, ...rest] = base.thermostat.conductors;
    return { ...base.job, thermostats: [{ ...base.thermostat, conductors: [change(first!), ...rest] }] };
  };
  const end = (state: ConductorEnd['state'], ...marks: string[]): ConductorEnd => ({
    state,
    on: marks.map((mark) => ({ at: base.thermostat.id, screw: screwIdFor(mark) }))
  });

  it('finds nothing in a plain house', () => {
    expect(codes(plain.job)).toEqual([]);
  });

  it('names a wire landed twice at one end, with its place in the file', () => {
    const [finding] = recordFindings(
      withConductor((conductor) => ({ ...conductor, near: end('landed', 'R', 'RC') }))
    );
    expect(finding).toMatchObject({
      code: 'landed-twice',
      level: 'stop',
      path: 'thermostats[0].conductors[0].near.on',
      because: [ref.conductor('co-1')]
    });
  });

  it('names ends whose state and terminal contradict each other', () => {
    expect(codes(withConductor((conductor) => ({ ...conductor, near: end('landed') })))).toEqual([
      'landed-nowhere'
    ]);
    expect(codes(withConductor((conductor) => ({ ...conductor, near: end('coiled', 'R') })))).toEqual([
      'on-terminal-but-not-landed'
    ]);
  });

  it('names a link to itself and a doubled one', () => {
    const self = house({ strands: ['RD R R'], links: ['wall R R'] });
    expect(codes(self.job)).toEqual(['link-to-itself']);
    const twice = house({ strands: ['RD RH R'], links: ['wall RH RC', 'wall RC RH'] });
    expect(codes(twice.job)).toEqual(['link-doubled']);
  });

  it('names two wires with one id, and what leads nowhere', () => {
    expect(codes(withConductor((conductor) => ({ ...conductor, id: makeId('conductor', '2') })))).toContain(
      'duplicate-id'
    );
    expect(codes(withConductor((conductor) => ({ ...conductor, cable: makeId('cable', 'gone') })))).toEqual([
      'unknown-reference'
    ]);
    expect(
      codes(
        withConductor((conductor) => ({
          ...conductor,
          near: { state: 'landed', on: [{ at: makeId('thermostat', 'other'), screw: screwIdFor('R') }] }
        }))
      )
    ).toContain('unknown-reference');
  });

  it('names a shared terminal at the wall and a mark that nobody knows', () => {
    expect(codes(withConductor((conductor) => ({ ...conductor, near: end('landed', 'W') })))).toEqual([
      'terminal-shared'
    ]);
    expect(recordFindings(withConductor((conductor) => conductor)).map((finding) => finding.code)).toEqual([
      'unknown-mark'
    ]);
  });
});
