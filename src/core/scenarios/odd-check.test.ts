/** Odd houses planned from their records and carried out as they really are, and records that know one thing less. */
import { describe, expect, it } from 'vitest';
import { furnaceWithCommon, HOUSES } from '../houses/houses';
import type { House } from '../houses/builder';
import { withConductor, withJob } from '../houses/changed';
import { trueHouse } from '../houses/true-houses';
import { findDevice } from '../match/catalogue';
import { planFor, type Plan } from '../plan/plan';
import { COLOUR_CODES } from '../trade/colours';
import { bolder, lessKnown, walkLessKnown } from './less-known';
import { checkOddHouse } from './odd-check';

const MODELS = ['de-fellgate', 'de-onebar', 'de-sipper', 'de-twobridge'];
const SAMPLE = Array.from({ length: 100 }, (_, at) => at);

describe('odd houses', () => {
  it('are never hurt, and nothing is left dead without a word, when a plan is carried out in the house as it is', () => {
    const checked = SAMPLE.map((number) => checkOddHouse(number, MODELS[number % MODELS.length]!));
    expect(checked.flatMap((oddChecked) => oddChecked.violations)).toEqual([]);
    expect(checked.reduce((sum, oddChecked) => sum + oddChecked.offered, 0)).toBeGreaterThan(SAMPLE.length);
  }, 120_000);

  it('come in every kind of oddity', () => {
    const kinds = new Set(SAMPLE.flatMap((number) => trueHouse(number).oddities));
    expect(kinds.size).toBeGreaterThanOrEqual(17);
  });

  it.each([
    [1130, 'de-sipper', 'a jumper left beside a loose end: only both repairs together put it right'],
    [1216, 'de-fellgate', 'a burner answered where the plate says electricity'],
    [287, 'de-twobridge', 'a third wire on B at the wall and Y at a valve'],
    [1009, 'de-onebar', 'no outdoor unit answered, and a wire on Y at both ends'],
    [
      3000335,
      'de-warmonly',
      'a third wire on B and Y, and a furnace stated: the worst of both systems counts'
    ],
    [796, 'de-fellgate', 'an electric furnace whose fan wire was given away'],
    [1715, 'de-twobridge', 'a third wire whose wall mark nobody knows']
  ])('house %i with %s: %s', (number, model) => {
    expect(checkOddHouse(number, model).violations).toEqual([]);
  });
});

const planned = ({ job, thermostat }: House) =>
  planFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null });

const records: [string, House][] = [
  ...Object.entries(HOUSES).map(([name, make]): [string, House] => [name, make()]),
  ...SAMPLE.slice(0, 12).map((number): [string, House] => [
    `odd house ${number}: ${trueHouse(number).oddities.join('; ')}`,
    trueHouse(number).record
  ])
];

/** Records that once were planned more boldly without one of their facts. */
const ONCE_BOLDER: readonly { readonly number: number; readonly what: string; readonly model?: string }[] = [
  { number: 1000086, what: 'a board without a C, and a wire on C at the wall that nobody has followed' },
  { number: 1000278, what: 'a wire on O, loose at a heat pump with a mark that nobody knows' },
  { number: 3000092, what: 'a boiler with two T, a loose red wire, and one T that nobody can read' },
  { number: 5000588, what: 'the same with a mark on the old plate that nobody knows' },
  { number: 9000404, what: 'a boiler with one T that nobody can read, both wires on the other' },
  { number: 9000061, what: 'a transformer too small for what a repair would bring to life' },
  { number: 11000101, what: 'a board whose R nobody can read, and a loose fan wire' },
  { number: 11000453, what: 'strips without a blower, whose loose wire is put right' },
  {
    number: 13000737,
    what: 'a C that may come from either of two machines, beside a wire on the C of one',
    model: 'de-weftline'
  },
  {
    number: 23000429,
    what: 'two heat stages, only if it were no heat pump',
    model: 'de-moistly'
  }
];

describe('less known is never bolder', () => {
  // Each third fact, the others in the next houses: all kinds of them come round. `npm run sweep` takes every one of each.
  const all = records.map(([name, house], number) => ({ name, house, number }));
  const isNeverBolder = ({ house, number }: (typeof all)[number]) => {
    expect(walkLessKnown(house, { step: 3, from: number }).bold).toEqual([]);
  };
  it.each(all.slice(0, 3))('$name', isNeverBolder);
  it.each(all.slice(3))('$name', { tags: ['wide'] }, isNeverBolder);
});

describe('records that once were bolder with less', () => {
  it.each(ONCE_BOLDER)('odd house $number: $what', { tags: ['wide'] }, ({ number, model }) => {
    expect(walkLessKnown(trueHouse(number).record, { step: 1, from: 0 }, model).bold).toEqual([]);
  });

  it('would be told: a way that opens is bold, unless the fact that is gone had closed it', () => {
    const whole = furnaceWithCommon();
    const unread = lessKnown(whole).find(({ what }) => what === 'co-5 is not read at the equipment')!;
    const [open, closed] = [planned(whole), planned(unread.house)];
    const { job, thermostat } = unread.house;
    const device = findDevice(job, 'de-fellgate') ?? null;
    const withVariant: Parameters<typeof bolder>[0] = (method, variant) =>
      planFor(job, thermostat, { device, method, variant });
    const told = (gone: ReadonlySet<string>) => bolder(withVariant, closed, open, gone);
    expect(told(new Set())).toContain('existing-c : no becomes go');
    expect(told(unread.gone)).toEqual([]);
  });
});

describe('a print that nobody knows', () => {
  it.each(Object.entries(HOUSES))('under a wire of the thermostat never leaves a way open: %s', (_, make) => {
    const house = make();
    const used = new Set(
      house.thermostat.conductors
        .filter((conductor) => conductor.near.state === 'landed')
        .flatMap((conductor) => conductor.far.on.map((on) => `${on.at} ${on.screw}`))
    );
    for (const machine of house.job.equipment)
      for (const screw of machine.screws) {
        if (!used.has(`${machine.id} ${screw.id}`)) continue;
        const screws = machine.screws.map((candidate) =>
          candidate.id === screw.id ? { ...candidate, mark: 'QX', role: null } : candidate
        );
        const plan = planned(
          withJob(house, {
            equipment: house.job.equipment.map((candidate) =>
              candidate.id === machine.id ? { ...candidate, screws } : candidate
            )
          })
        );
        const open = plan.options.filter((option) => option.method !== 'none' && option.verdict !== 'no');
        expect(
          open.map((option) => option.method),
          `${screw.mark} of ${machine.name}`
        ).toEqual([]);
      }
  });
});

const verdicts = (plan: Plan) =>
  plan.options.map((option) => [option.method, option.variant?.id ?? null, option.verdict]);

describe('what decides nothing', { tags: ['wide'] }, () => {
  it.each(records.slice(0, 20))('the colours of the wires: %s', (_, house) => {
    const shift = (code: string | null) =>
      code === null ? null : COLOUR_CODES[(COLOUR_CODES.indexOf(code as never) + 5) % COLOUR_CODES.length]!;
    const repainted = house.thermostat.conductors.reduce(
      (made, conductor) => withConductor(made, conductor.id, { colour: shift(conductor.colour) }),
      house
    );
    expect(verdicts(planned(repainted))).toEqual(verdicts(planned(house)));
  });

  const SAME: Readonly<Record<string, string>> = { R: '24VAC', C: 'COM', W: 'TH', G: 'F', Y: 'Y1' };
  it.each(records.slice(0, 20))('another print of the same meaning: %s', (_, house) => {
    const renamed = withJob(house, {
      equipment: house.job.equipment.map((machine) => ({
        ...machine,
        screws: machine.screws.map((screw) => ({ ...screw, mark: SAME[screw.mark] ?? screw.mark }))
      }))
    });
    expect(verdicts(planned(renamed))).toEqual(verdicts(planned(house)));
  });
});
