/** What each edit of the screens leaves in the record. That all of them can be taken back is in `job.test.ts`. */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../match/catalogue';
import { house } from '../houses/builder';
import { furnaceWithSpare } from '../houses/houses';
import { zonedHouse } from '../houses/zoned-houses';
import * as choices from './choices';
import { edit } from './edit';
import * as edits from './edits';
import { addFoundEnd, confirmEnd } from './found-end-edits';
import * as machines from './machines';
import { conductorName } from './names';
import { makeId } from './ids';
import type { FoundEnd } from './reading-schema';
import { Job, type Thermostat } from './schema';
import { apply, invert, type Step } from './steps';

const { job, thermostat } = furnaceWithSpare();
const machine = thermostat.equipment[0]!;
const th = thermostat.id;
const co = (number: number) => makeId('conductor', String(number));

/** The thermostat after the step; the job holds to the schema before and after, and the step can be taken back. */
function after(step: Step, from: Job = job): Thermostat {
  const made = apply(from, step);
  expect(v.safeParse(Job, made).success).toBe(true);
  expect(apply(made, invert(step))).toEqual(from);
  return made.thermostats[0]!;
}

const jobWith = (change: Partial<Thermostat>): Job => ({
  ...job,
  thermostats: [{ ...thermostat, ...change }]
});

describe('a word typed for an end', () => {
  it.each([
    ['c', 'landed', 'sc-c'],
    ['Y', 'landed', 'sc-y1'],
    ['y1', 'landed', 'sc-y1'],
    ['Loose', 'loose', undefined],
    ['COILED', 'coiled', undefined],
    ['unseen', 'unseen', undefined],
    ['', 'unseen', undefined]
  ])('“%s” is kept as what it says', (word, state, screw) => {
    const { far } = after(edits.setEndByWord(job, th, co(5), 'far', word)).conductors[4]!;
    expect(far).toEqual({ state, on: screw ? [{ at: machine, screw }] : [] });
  });

  it('that names a terminal which nobody has written down brings it in', () => {
    const made = apply(job, edits.setEndByWord(job, th, co(5), 'far', 'W/AUX'));
    expect(made.equipment[0]!.screws.at(-1)).toEqual({ id: 'sc-w-aux', mark: 'W/AUX', role: null });
    expect(made.thermostats[0]!.conductors[4]!.far.on).toEqual([{ at: machine, screw: 'sc-w-aux' }]);
    const second = apply(made, edits.setEndByWord(made, th, co(4), 'far', 'W/AUX#2'));
    expect(second.equipment[0]!.screws.at(-1)).toMatchObject({ id: 'sc-w-aux-2', mark: 'W/AUX' });
  });

  it('that was a slip of the keys leaves no terminal behind when it is put right', () => {
    const slip = apply(job, edits.setEndByWord(job, th, co(5), 'near', 'QQ'));
    expect(slip.thermostats[0]!.screws.map((screw) => screw.mark)).toContain('QQ');
    const right = apply(slip, edits.setEndByWord(slip, th, co(5), 'near', 'C'));
    expect(right.thermostats[0]!.screws.map((screw) => screw.mark)).not.toContain('QQ');
    // One that another conductor is on stays.
    const both = apply(slip, edits.setEndByWord(slip, th, co(4), 'near', 'QQ'));
    const entry = apply(both, edits.setEndByWord(both, th, co(5), 'near', 'C'));
    expect(entry.thermostats[0]!.screws.map((screw) => screw.mark)).toContain('QQ');
  });

  it('that is no mark, or has nowhere to be, is refused', () => {
    expect(() => edits.setEndByWord(job, th, co(5), 'far', 'not a mark!')).toThrow('no mark');
    const nowhere = jobWith({ equipment: [], cables: [] });
    expect(() => edits.setEndByWord(nowhere, th, co(5), 'far', 'W')).toThrow('No machine');
  });

  it('on a panel of zones is the own W, and never the one that another zone is on', () => {
    const zones = zonedHouse(2);
    const third = apply(zones, machines.addThermostat(zones, 'third', zones.equipment[0]!.id));
    const at = third.thermostats[2]!.id;
    const wired = apply(
      third,
      edits.addCable(third, at, { name: 'c', gauge: 18, lengthM: 5, path: 'free', colours: ['WH'] })
    );
    const made = apply(wired, edits.setEndByWord(wired, at, co(1), 'far', 'W'));
    expect(
      made.thermostats.map(
        (thermostat) => thermostat.conductors.map((it) => it.far.on[0]?.screw)[at === thermostat.id ? 0 : 1]
      )
    ).toEqual(['sc-w1', 'sc-w1-2', 'sc-w1-3']);
  });
});

describe('wires and cables', () => {
  it('come in with their cable, nothing seen of their ends, under ids of their own', () => {
    const made = after(
      edits.addCable(job, th, {
        name: 'new',
        gauge: 20,
        lengthM: null,
        path: 'unknown',
        colours: ['RD', null, 'RD']
      })
    );
    const [, cable] = made.cables;
    const fresh = made.conductors.filter((conductor) => conductor.cable === cable!.id);
    expect(cable).toMatchObject({ name: 'new', gauge: 20, lengthM: null });
    expect(fresh.map((conductor) => conductor.colour)).toEqual(['RD', null, 'RD']);
    expect(
      fresh.every((conductor) => conductor.near.state === 'unseen' && conductor.far.state === 'unseen')
    ).toBe(true);
    expect(new Set(made.conductors.map((conductor) => conductor.id)).size).toBe(made.conductors.length);
  });

  it('stand behind the last one of their own cable', () => {
    const two = apply(
      job,
      edits.addCable(job, th, { name: 'b', gauge: 18, lengthM: 1, path: 'free', colours: ['BK'] })
    );
    const made = apply(two, edits.addConductor(two, th, thermostat.cables[0]!.id, 'BN')).thermostats[0]!;
    expect(made.conductors.map((conductor) => conductor.colour)).toEqual([
      'RD',
      'WH',
      'YE',
      'GN',
      'BU',
      'BN',
      'BK'
    ]);
  });

  it('go with their cable, and leave those of another', () => {
    const two = apply(
      job,
      edits.addCable(job, th, { name: 'b', gauge: 18, lengthM: 1, path: 'free', colours: ['BK'] })
    );
    const left = after(edits.removeCable(two, th, thermostat.cables[0]!.id), two);
    expect(left.cables.map((cable) => cable.name)).toEqual(['b']);
    expect(left.conductors.map((conductor) => conductor.colour)).toEqual(['BK']);
    expect(() => edits.removeCable(job, th, makeId('cable', '7'))).toThrow('ca-7');
  });
});

describe('a joint on the way', () => {
  it('that somebody has seen keeps its place and takes the colour', () => {
    const splices = [
      { id: makeId('splice', '1'), colourBeyond: null, seen: true, place: 'behind the boiler' }
    ];
    const seen = apply(job, edits.setSplices(job, th, co(1), splices));
    const made = after(edits.setColourBeyond(seen, th, co(1), 'BK'), seen);
    expect(made.conductors[0]!.splices).toMatchObject([
      { colourBeyond: 'BK', seen: true, place: 'behind the boiler' }
    ]);
    // The same colour as at the wall does not undo a joint that was seen.
    const same = after(edits.setColourBeyond(seen, th, co(1), 'RD'), seen);
    expect(same.conductors[0]!.splices).toHaveLength(1);
  });
});

describe('a wire by name', () => {
  it('is its colour, with stripe and label', () => {
    expect(conductorName({ colour: 'RD', stripe: 'WH', label: '' })).toBe('red with a white stripe');
    expect(conductorName({ colour: null, stripe: null, label: '4' })).toBe('uncoloured “4”');
  });
});

describe('choices', () => {
  it('of another thermostat take the way back that was taken for the old one', () => {
    const chosen = apply(job, choices.chooseMethod(job, th, 'new-cable', 'five'));
    expect(chosen.thermostats[0]!.choice).toMatchObject({ method: 'new-cable', variant: 'five' });
    const made = apply(chosen, choices.chooseDevice(chosen, th, makeId('device', 'onebar')));
    expect(v.safeParse(Job, made).success).toBe(true);
    expect(made.thermostats[0]!.choice).toEqual({ device: 'de-onebar', method: null, variant: null });
  });

  it('for several are one step, and leave out a thermostat that is gone', () => {
    const way = (id: string) => ({ thermostat: id, method: 'existing-c' as const, variant: null });
    const step = choices.takeWays(job, [way(thermostat.id), way('th-gone')]);
    expect(after(step).choice.method).toBe('existing-c');
  });

  it('of facts replace those of the same device, and add others', () => {
    const own = { ...CATALOGUE[0]!, id: makeId('device', 'own'), model: 'Mine' };
    const once = apply(job, choices.saveDevice(job, own));
    const twice = apply(once, choices.saveDevice(once, { ...own, drawVa: 4 }));
    expect(twice.devices).toMatchObject([{ id: 'de-own', drawVa: 4 }]);
    const other = apply(twice, choices.saveDevice(twice, { ...own, id: makeId('device', 'own-2') }));
    expect(other.devices).toHaveLength(2);
  });
});

describe('observations', () => {
  it('are taken back without a trace', () => {
    const seen = apply(job, choices.observe(job, th, 'pilot', 'yes'));
    expect(seen.thermostats[0]!.observed['pilot']).toBe('yes');
    const back = apply(seen, choices.observe(seen, th, 'pilot', null));
    expect(JSON.parse(JSON.stringify(back.thermostats[0]!.observed))).toEqual(thermostat.observed);
  });
});

describe('ends found at the machine', () => {
  const found: FoundEnd = {
    id: makeId('foundEnd', '1'),
    cable: thermostat.cables[0]!.id,
    colour: 'BU',
    stripe: null,
    state: 'landed',
    on: { at: machine, screw: makeId('screw', 'c') },
    not: []
  };

  it('are written down on a screw that is there, on one that comes with them, or on nothing', () => {
    const { id, on, not, state, ...seen } = found;
    const noted = (word: string) => after(addFoundEnd(job, th, seen, { word, where: machine })).foundEnds[0]!;
    expect(noted('C')).toMatchObject({ ...seen, state, not });
    expect(noted('C').on?.at).toBe(on!.at);
    expect(noted('Coiled')).toMatchObject({ state: 'coiled', on: null });
    const beside = after(
      addFoundEnd(jobWith({ foundEnds: [found] }), th, seen, { word: 'loose', where: machine }),
      jobWith({ foundEnds: [found] })
    );
    expect(beside.foundEnds.map((end) => end.id)).toEqual([id, 'fe-2']);
    const made = apply(job, addFoundEnd(job, th, seen, { word: 'X7', where: machine }));
    const screw = made.equipment[0]!.screws.find(({ mark }) => mark === 'X7');
    expect(made.thermostats[0]!.foundEnds[0]!.on?.screw).toBe(screw!.id);
  });

  it('are taken over by the wire that they belong to, and no longer stand by themselves', () => {
    const from = jobWith({ foundEnds: [found] });
    const made = apply(from, confirmEnd(from, th, found, co(5))).thermostats[0]!;
    expect(made.conductors[4]!.far).toEqual({ state: 'landed', on: [{ at: machine, screw: 'sc-c' }] });
    expect(made.foundEnds).toEqual([]);
    expect(() => confirmEnd(from, th, found, co(40))).toThrow('co-40');
  });

  it('that are on nothing leave the wire on nothing', () => {
    const loose: FoundEnd = { ...found, state: 'coiled', on: null };
    const from = jobWith({ foundEnds: [loose] });
    const made = apply(from, confirmEnd(from, th, loose, co(1))).thermostats[0]!;
    expect(made.conductors[0]!.far).toEqual({ state: 'coiled', on: [] });
  });
});

describe('machines', () => {
  it('are in use as long as a wire, a link or a found end is on them', () => {
    const idle = house({ strands: ['RD R loose'], board: ['R'] }).thermostat;
    expect(machines.machineIsUsed(idle, machine)).toBe(false);
    expect(machines.machineIsUsed(thermostat, machine)).toBe(true);
    const linked = house({ strands: ['RD R loose'], board: ['Y', 'G'], links: ['equipment Y G'] }).thermostat;
    expect(machines.machineIsUsed(linked, machine)).toBe(true);
  });

  it('of a thermostat that is the only one on them go with it; a shared one stays', () => {
    const more = apply(job, machines.addMachine(job, th, 'second'));
    const second = more.equipment[1]!.id;
    expect(after(machines.removeMachine(more, th, second), more).equipment).toEqual([machine]);
    const shared = apply(more, machines.addThermostat(more, 'beside', second));
    const left = apply(shared, machines.removeMachine(shared, th, second));
    expect(left.equipment.map((entry) => entry.id)).toContain(second);
  });
});

describe('terminals', () => {
  it('come in with or without a mark, twice over where two are there, and each under an id of its own', () => {
    const marks = ['', '', 'R', 'R'];
    const made = marks.reduce((so, mark) => apply(so, edits.addScrew(so, machine, mark)), job);
    const fresh = made.equipment[0]!.screws.slice(job.equipment[0]!.screws.length);
    expect(fresh.map((screw) => screw.id)).toEqual(['sc-blank', 'sc-blank-2', 'sc-r-2', 'sc-r-3']);
  });

  it('can be said to be for something, with where that is known from', () => {
    const role = { means: 'common', from: 'diagram' } as const;
    const screw = job.equipment[0]!.screws[0]!.id;
    const made = apply(job, edits.stateRole(job, machine, screw, role));
    expect(made.equipment[0]!.screws[0]!.role).toEqual(role);
    expect(edits.stateRole(job, machine, screw, role).label).toBe('Terminal R: common (C)');
  });
});

describe('an edit', () => {
  const machineNumber = (number: number) => ({
    ...job.equipment[0]!,
    id: makeId('equipment', String(number))
  });

  it('that would make a job which no reader takes is refused with its place, and changes nothing', () => {
    const made = edit(job, machines.setMachineField(job, machine, 'transformerVa', -4, ''));
    expect(made).toEqual({
      ok: false,
      faults: [{ path: 'equipment[0].transformerVa', expected: 'a number above 0', found: '-4' }]
    });
    const nowhere = edit(job, {
      kind: 'set',
      path: ['thermostats', { id: 'th-9' }, 'name'],
      before: '',
      after: 'x',
      label: ''
    });
    expect(nowhere).toMatchObject({ ok: false, faults: [{ found: expect.stringContaining('th-9') }] });
  });

  it('never makes a ninth machine, a seventeenth cable or a second thing under one id', () => {
    let full = job;
    for (let number = 2; number <= 8; number += 1) {
      const made = edit(full, machines.addMachine(full, th, `m${number}`));
      if (!made.ok) throw new Error(JSON.stringify(made.faults));
      full = made.job;
    }
    expect(edit(full, machines.addMachine(full, th, 'ninth'))).toMatchObject({
      ok: false,
      faults: [
        { path: 'thermostats[0].equipment', expected: 'at most 8 machines of a thermostat', found: '9' }
      ]
    });
    const cables = Array.from({ length: 16 }, (_, at) => ({
      ...thermostat.cables[0]!,
      id: makeId('cable', `c${at}`)
    }));
    const many = jobWith({ cables });
    expect(
      edit(
        many,
        edits.addCable(many, th, { name: 'x', gauge: null, lengthM: null, path: 'free', colours: [] })
      ).ok
    ).toBe(false);
    const twice = {
      kind: 'insert',
      path: ['equipment'],
      index: 0,
      value: machineNumber(1),
      label: ''
    } as const;
    expect(edit(job, twice)).toMatchObject({
      ok: false,
      faults: [{ path: 'equipment', found: 'eq-1 twice' }]
    });
  });

  it('leaves alone what was too much before it came', () => {
    const nine = Array.from({ length: 9 }, (_, at) => machineNumber(at + 1));
    const over: Job = {
      ...job,
      equipment: nine,
      thermostats: [{ ...thermostat, equipment: nine.map((entry) => entry.id) }]
    };
    expect(edit(over, choices.stateFamily(over, th, 'furnace')).ok).toBe(true);
    expect(edit(over, machines.removeMachine(over, th, makeId('equipment', '9'))).ok).toBe(true);
  });
});
