/** An edit looks through what it touches; what it says of that is what a reader of the whole job would say. */
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { edit } from './edit';
import { faultsOf } from './faults';
import { Job } from './schema';
import { apply, insertStep, setStep, type Path } from './steps';

/** Every place of a job that a step can set, the job itself left out. */
function placesIn(value: unknown, at: Path = []): Path[] {
  if (value === null || typeof value !== 'object') return [];
  const segments = Array.isArray(value)
    ? (value as { id?: string }[]).flatMap(({ id }) => (typeof id === 'string' ? [{ id }] : []))
    : Object.keys(value);
  return segments.flatMap((segment) => {
    const inside = Array.isArray(value)
      ? (value as { id?: string }[]).find(({ id }) => id === (segment as { id: string }).id)
      : (value as Record<string, unknown>)[segment as string];
    return [[...at, segment], ...placesIn(inside, [...at, segment])];
  });
}

const places = placesIn(SCHOOLHOUSE);
const rubbish = [null, {}, [], '', 'mauve', -7, 1e300, true, [null], { id: 'co-1' }, ['R'], 'x'.repeat(5000)];

describe('what an edit says', () => {
  it('of any value put anywhere is what a reader says of the whole job', () => {
    fc.assert(
      fc.property(fc.constantFrom(...places), fc.constantFrom(...rubbish), (path, value) => {
        const step = setStep(SCHOOLHOUSE, path, value, 'rubbish');
        const whole = v.safeParse(Job, apply(SCHOOLHOUSE, step));
        const made = edit(SCHOOLHOUSE, step);
        if (whole.success) return;
        expect(made).toEqual({ ok: false, faults: faultsOf(whole.issues) });
      }),
      { numRuns: 1500 }
    );
  });

  it('of a sound value is nothing, wherever it stands', () => {
    for (const [path, value] of [
      [['thermostats', { id: 'th-classroom' }, 'conductors', { id: 'co-classroom-1' }, 'label'], 'blue tape'],
      [['thermostats', { id: 'th-flat' }, 'minds', 'cost'], 2],
      [['survey', 'rebate'], 40],
      [['units', 'length'], 'ft']
    ] as [Path, unknown][]) {
      const made = edit(SCHOOLHOUSE, setStep(SCHOOLHOUSE, path, value, 'set'));
      expect(made.ok, JSON.stringify(path)).toBe(true);
      if (made.ok) expect(v.safeParse(Job, made.job).success).toBe(true);
    }
  });

  it('names a member that comes in and is none, at its place in the list', () => {
    const [thermostat] = SCHOOLHOUSE.thermostats;
    const at = ['thermostats', { id: thermostat!.id }, 'conductors'];
    const foreign = { ...thermostat!.conductors[0]!, id: 'co-new', colour: 'mauve' };
    const made = edit(SCHOOLHOUSE, insertStep(SCHOOLHOUSE, at, foreign, 'added', 2));
    expect(made).toMatchObject({ ok: false, faults: [{ path: 'thermostats[0].conductors[2].colour' }] });
  });

  it('names a key that a part does not have, and one that it lacks', () => {
    const { colour: _, ...lacking } = SCHOOLHOUSE.thermostats[0]!.conductors[0]!;
    const path = ['thermostats', { id: 'th-classroom' }, 'conductors', { id: lacking.id }];
    const said = (value: object) => {
      const made = edit(SCHOOLHOUSE, setStep(SCHOOLHOUSE, path, value, 'set'));
      return made.ok ? [] : made.faults.map((fault) => fault.path);
    };
    expect(said(lacking)).toEqual(['thermostats[0].conductors[0].colour']);
    expect(said({ ...SCHOOLHOUSE.thermostats[0]!.conductors[0]!, shade: 'dark' })).toEqual([
      'thermostats[0].conductors[0].shade'
    ]);
  });
});
