/** What each edit of the screens leaves in the record. That all of them can be taken back is in `job.test.ts`. */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../match/catalogue';
import { house } from '../houses/builder';
import { furnaceWithSpare } from '../houses/houses';
import * as edits from './edits';
import { makeId } from './ids';
import type { FoundEnd } from './reading-schema';
import { Job, type Thermostat } from './schema';
import { apply, invert, type Step } from './steps';

const { job, thermostat } = furnaceWithSpare();
const machine = thermostat.equipment[0]!;

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
    ['c', { state: 'landed', on: [{ at: machine, mark: 'C' }] }],
    ['o/b', { state: 'landed', on: [{ at: machine, mark: 'O/B' }] }],
    ['Loose', { state: 'loose', on: [] }],
    ['COILED', { state: 'coiled', on: [] }],
    ['unseen', { state: 'unseen', on: [] }],
    ['', { state: 'unseen', on: [] }]
  ])('“%s” is kept as what it says', (word, end) => {
    expect(edits.endFrom(word, machine)).toEqual(end);
  });
});

describe('conductors and cables', () => {
  it('come in with their cable, nothing seen of their ends, under ids of their own', () => {
    const made = after(
      edits.addCable(job, 0, {
        name: 'new',
        gauge: 20,
        lengthM: null,
        path: 'unknown',
        colours: ['RD', null, 'RD']
      })
    );
    const [, cable] = made.cables;
    const fresh = made.conductors.filter((one) => one.cable === cable!.id);
    expect(cable).toMatchObject({ name: 'new', gauge: 20, lengthM: null });
    expect(fresh.map((one) => one.colour)).toEqual(['RD', null, 'RD']);
    expect(fresh.every((one) => one.wall.state === 'unseen' && one.equipment.state === 'unseen')).toBe(true);
    expect(new Set(made.conductors.map((one) => one.id)).size).toBe(made.conductors.length);
  });

  it('stand behind the last one of their own cable', () => {
    const two = apply(
      job,
      edits.addCable(job, 0, { name: 'b', gauge: 18, lengthM: 1, path: 'free', colours: ['BK'] })
    );
    const made = apply(two, edits.addConductor(two, 0, thermostat.cables[0]!.id, 'BN')).thermostats[0]!;
    expect(made.conductors.map((one) => one.colour)).toEqual(['RD', 'WH', 'YE', 'GN', 'BU', 'BN', 'BK']);
  });

  it('go with their cable, and leave those of another', () => {
    const two = apply(
      job,
      edits.addCable(job, 0, { name: 'b', gauge: 18, lengthM: 1, path: 'free', colours: ['BK'] })
    );
    const left = after(edits.removeCable(two, 0, 0), two);
    expect(left.cables.map((one) => one.name)).toEqual(['b']);
    expect(left.conductors.map((one) => one.colour)).toEqual(['BK']);
    expect(() => edits.removeCable(job, 0, 7)).toThrow('position 7');
  });
});

describe('a joint on the way', () => {
  it('that somebody has seen keeps its place and takes the colour', () => {
    const splices = [
      { id: makeId('splice', '1'), colourBeyond: null, seen: true, place: 'behind the boiler' }
    ];
    const seen = apply(job, edits.setSplices(job, 0, 0, splices));
    const made = after(edits.setColourBeyond(seen, 0, 0, 'BK'), seen);
    expect(made.conductors[0]!.splices).toMatchObject([
      { colourBeyond: 'BK', seen: true, place: 'behind the boiler' }
    ]);
    // The same colour as at the wall does not undo a joint that was seen.
    const same = after(edits.setColourBeyond(seen, 0, 0, 'RD'), seen);
    expect(same.conductors[0]!.splices).toHaveLength(1);
  });
});

describe('a conductor by name', () => {
  it('is its colour, with stripe and label', () => {
    expect(edits.conductorName({ colour: 'RD', stripe: 'WH', label: '' })).toBe('red with a white stripe');
    expect(edits.conductorName({ colour: null, stripe: null, label: '4' })).toBe('uncoloured “4”');
  });
});

describe('choices', () => {
  it('of another thermostat take the way back that was taken for the old one', () => {
    const chosen = apply(job, edits.chooseMethod(job, 0, 'new-cable', 'five'));
    expect(chosen.thermostats[0]!.choice).toMatchObject({ method: 'new-cable', variant: 'five' });
    const made = apply(chosen, edits.chooseDevice(chosen, 0, makeId('device', 'onebar')));
    expect(v.safeParse(Job, made).success).toBe(true);
    expect(made.thermostats[0]!.choice).toEqual({ device: 'de-onebar', method: null, variant: null });
  });

  it('for several are one step, and leave out a thermostat that is gone', () => {
    const way = (id: string) => ({ thermostat: id, method: 'existing-c' as const, variant: null });
    const step = edits.takeWays(job, [way(thermostat.id), way('th-gone')]);
    expect(after(step).choice.method).toBe('existing-c');
  });

  it('of facts replace those of the same device, and add others', () => {
    const own = { ...CATALOGUE[0]!, id: makeId('device', 'own'), model: 'Mine' };
    const once = apply(job, edits.saveDevice(job, own));
    const twice = apply(once, edits.saveDevice(once, { ...own, drawVa: 4 }));
    expect(twice.devices).toMatchObject([{ id: 'de-own', drawVa: 4 }]);
    const other = apply(twice, edits.saveDevice(twice, { ...own, id: makeId('device', 'own-2') }));
    expect(other.devices).toHaveLength(2);
  });
});

describe('ticks', () => {
  it('keep their time, and come off again by the same act', () => {
    const at = '2026-03-01T09:00:00.000Z';
    const ticked = apply(job, edits.tickMove(job, 0, 'land co-1', at));
    expect(ticked.thermostats[0]!.done).toEqual([{ key: 'land co-1', at }]);
    const two = apply(ticked, edits.tickMove(ticked, 0, 'land co-2', at));
    const back = apply(two, edits.tickMove(two, 0, 'land co-1', '2026-03-01T10:00:00.000Z'));
    expect(back.thermostats[0]!.done.map((one) => one.key)).toEqual(['land co-2']);
  });
});

describe('observations', () => {
  it('are taken back without a trace', () => {
    const seen = apply(job, edits.observe(job, 0, 'pilot', 'yes'));
    expect(seen.thermostats[0]!.observed['pilot']).toBe('yes');
    const back = apply(seen, edits.observe(seen, 0, 'pilot', null));
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
    on: { at: machine, mark: 'C' },
    not: []
  };

  it('are taken over by the conductor that they belong to, and no longer stand by themselves', () => {
    const from = jobWith({ foundEnds: [found] });
    const made = apply(from, edits.confirmEnd(from, 0, found, 4)).thermostats[0]!;
    expect(made.conductors[4]!.equipment).toEqual({ state: 'landed', on: [{ at: machine, mark: 'C' }] });
    expect(made.foundEnds).toEqual([]);
    expect(() => edits.confirmEnd(from, 0, found, 40)).toThrow('position 40');
  });

  it('that are on nothing leave the conductor on nothing', () => {
    const loose: FoundEnd = { ...found, state: 'coiled', on: null };
    const from = jobWith({ foundEnds: [loose] });
    const made = apply(from, edits.confirmEnd(from, 0, loose, 0)).thermostats[0]!;
    expect(made.conductors[0]!.equipment).toEqual({ state: 'coiled', on: [] });
  });
});

describe('machines', () => {
  it('are in use as long as a conductor, a link or a found end is on them', () => {
    const idle = house({ strands: ['RD R loose'], board: ['R'] }).thermostat;
    expect(edits.machineIsUsed(idle, machine)).toBe(false);
    expect(edits.machineIsUsed(thermostat, machine)).toBe(true);
    const linked = house({ strands: ['RD R loose'], board: ['Y', 'G'], links: ['equipment Y G'] }).thermostat;
    expect(edits.machineIsUsed(linked, machine)).toBe(true);
  });

  it('of a thermostat that is the only one on them go with it; a shared one stays', () => {
    const more = apply(job, edits.addMachine(job, 0, 'second'));
    const second = more.equipment[1]!.id;
    expect(after(edits.removeMachine(more, 0, second), more).equipment).toEqual([machine]);
    const shared = apply(more, edits.addThermostat(more, 'beside', second));
    const left = apply(shared, edits.removeMachine(shared, 0, second));
    expect(left.equipment.map((one) => one.id)).toContain(second);
  });
});
