/** Repairs: each where it is made, and a house that looks alike where it is not. */
import { describe, expect, it } from 'vitest';
import { house, type HouseSketch } from '../../houses/builder';
import { withConductor } from '../../houses/changed';
import { findDevice } from '../../match/catalogue';
import { wrongsOf } from '../../proof/today';
import { applyMoves } from '../../plan/moves';
import { planFor } from '../../plan/plan';
import { REPAIR_IDS, type RepairId } from '../../trade/vocabulary';
import { sortedWiring } from '../../wiring/graph';
import { situationOf } from '../situation';
import { mended } from './mend';
import { REPAIRS } from './registry';
import type { RepairSituation } from './types';

const cooled = {
  'conductor-build': 'thin',
  'heat-from': 'registers',
  flue: 'burner',
  'outdoor-unit': 'rests'
} as const;
const ac = (strands: readonly string[], more: Partial<HouseSketch> = {}) =>
  house({
    strands,
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed: cooled,
    equipment: { kind: 'furnace', fuel: 'gas' },
    ...more
  });
const two = (links: readonly string[], strands: readonly string[] = []) =>
  house({
    strands: ['RD RH R', 'WH W W', 'BN RC R@2', 'YE Y Y@2', 'GN G G@2', 'BU C C@2', ...strands],
    board: ['R', 'C', 'W'],
    further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }],
    links,
    observed: {
      'conductor-build': 'thin',
      'heat-from': 'radiators',
      'measured-volts': 26,
      'outdoor-unit': 'rests'
    },
    equipment: { kind: 'boiler', fuel: 'gas' }
  });
const whole = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'];

const repairs = (made: ReturnType<typeof house>) => situationOf(made.job, made.thermostat).repairs;
const planned = (made: ReturnType<typeof house>) =>
  planFor(made.job, made.thermostat, { device: findDevice(made.job, 'de-fellgate') ?? null });

describe('a repair', () => {
  it.each<[RepairId, string, ReturnType<typeof house>, RepairId[]]>([
    [
      'land-loose-end',
      'a loose W',
      ac(['RD R R', 'WH W loose', 'YE Y Y', 'GN G G', 'BU C C']),
      ['land-loose-end']
    ],
    [
      'land-loose-end',
      'a loose W whose screw another wire is on',
      ac(['RD R R', 'WH W loose', 'BN coiled W', 'YE Y Y', 'GN G G', 'BU C C']),
      []
    ],
    [
      'land-loose-end',
      'a loose Y at a board without Y',
      ac(['RD R R', 'WH W W', 'YE Y loose', 'GN G G', 'BU C C'], { board: ['R', 'C', 'W', 'G'] }),
      []
    ],
    [
      'land-loose-end',
      'a coiled end, which somebody wrapped back',
      ac(['RD R R', 'WH W W', 'YE Y coiled', 'GN G G']),
      []
    ],
    [
      'move-wrong-end',
      'two swapped ends',
      ac(['RD R R', 'WH W Y', 'YE Y W', 'GN G G', 'BU C C']),
      ['move-wrong-end']
    ],
    ['move-wrong-end', 'C on R', ac(['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C R']), ['move-wrong-end']],
    [
      'move-wrong-end',
      'an end whose own screw is taken by another that fits',
      ac(['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BN W Y']),
      []
    ],
    ['add-y-g-link', 'the fan wire on C', ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C']), ['add-y-g-link']],
    [
      'add-y-g-link',
      'the fan wire on C, and the jumper there',
      ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C'], { links: ['equipment Y G'] }),
      []
    ],
    [
      'remove-y-g-link',
      'a jumper beside a fan wire',
      ac(whole, { links: ['equipment Y G'] }),
      ['remove-y-g-link']
    ],
    ['part-supplies', 'a jumper between two supplies', two(['wall RH RC']), ['part-supplies']],
    ['part-supplies', 'two supplies apart', two([]), []],
    [
      'part-supplies',
      'a jumper between RH and RC of one supply',
      ac(['RD RH R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'], {
        links: ['wall RH RC'],
        plate: ['RH', 'RC', 'W', 'Y', 'G', 'C']
      }),
      []
    ]
  ])('%s: %s', (_, __, made, expected) => {
    expect(repairs(made)).toEqual(expected);
  });

  it('puts a spare in the place of a wire that was measured open, where there is one', () => {
    const broken = (made: ReturnType<typeof house>) => withConductor(made, 'co-3', { continuity: 'broken' });
    expect(repairs(broken(ac([...whole, 'BN coiled coiled'])))).toEqual(['replace-broken']);
    expect(repairs(broken(ac(whole)))).toEqual([]);
    const plan = planned(broken(ac([...whole, 'BN coiled coiled'])));
    const brown = plan.wiringAfter?.strands.find((strand) => strand.id === 'co-6');
    const yellow = plan.wiringAfter?.strands.find((strand) => strand.id === 'co-3');
    expect([brown?.near.state, brown?.far.state, yellow?.near.state, yellow?.far.state]).toEqual([
      'landed',
      'landed',
      'coiled',
      'coiled'
    ]);
  });

  it('moves no end that nobody has read', () => {
    const made = ac(['RD R R', 'WH W W', 'YE Y loose', 'GN G unseen', 'BU C C']);
    const { mended, found, repairs: done } = situationOf(made.job, made.thermostat);
    const green = (wiring: typeof found) => wiring.strands.find((strand) => strand.id === 'co-4')?.far;
    expect(done).toEqual(['land-loose-end']);
    expect(green(mended)).toEqual(green(found));
  });

  it('is not made where nothing of today could be judged', () => {
    const { job, thermostat } = ac(['RD R R', 'WH W Y', 'YE Y W', 'GN G G', 'BU C C']);
    const { found, worlds } = situationOf(job, thermostat);
    const situation: RepairSituation = { wiring: found, assumed: [], worlds };
    expect(mended(situation, wrongsOf(found, worlds)).repairs).toEqual(['move-wrong-end']);
    expect(mended(situation, []).repairs).toEqual([]);
    expect(mended(situation, []).wiring).toBe(found);
  });

  it('joins with a way of supply into one list, which leads to both', () => {
    const made = ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C']);
    const plan = planned(made);
    expect(plan.recommended).toBe('existing-c');
    expect(plan.moves.map((move) => move.text)).toContain(
      'Join Y to G with a short piece of wire (a jumper).'
    );
    expect(sortedWiring(applyMoves(plan.wiringNow, plan.moves))).toEqual(sortedWiring(plan.wiringAfter!));
  });

  it('may be all that is done: the old thermostat stays on its screws', () => {
    const made = ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C'], { board: ['R', 'C', 'W', 'Y', 'G'] });
    const option = planned(made).options.find((plannedOption) => plannedOption.method === 'none')!;
    expect([option.variant?.id, option.verdict]).toEqual(['repair', 'care']);
    expect(option.after?.devices.some((device) => device.kind === 'old-thermostat')).toBe(true);
    expect(option.moves.filter((move) => move.change !== null).map((move) => move.action)).toEqual(['link']);
    const asItIs = option.variants.find((variant) => variant.id === 'as-it-is');
    expect(asItIs?.verdict).toBe('no');
    expect(asItIs?.closedBy?.code).toBe('leaving-it-harms');
  });
});

describe('with a way of supply', () => {
  it('a fan that was given away gets its wire back with a new cable, and the jumper comes out', () => {
    const made = ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C'], { links: ['equipment Y G'] });
    const option = planned(made).options.find((plannedOption) => plannedOption.method === 'new-cable')!;
    expect(option.findings.find((finding) => finding.code === 'repair')?.params).toMatchObject({
      what: 'restore-fan'
    });
    expect(option.after?.links.some((link) => link.at === 'eq-1')).toBe(false);
    const onG = option.after?.strands.filter(
      (strand) => strand.far.state === 'landed' && strand.far.terminal === 'eq-1.G'
    );
    expect(onG).toHaveLength(1);
  });

  const plugged = ac(['RD RH R', 'WH W W', 'BU C C', 'BN RC R@plug', 'BK C C@plug'], {
    board: ['R', 'C', 'W'],
    observed: { ...cooled, 'outdoor-unit': 'none' }
  });

  it('a supply left in an outlet goes, with its cord, where C comes from the machine', () => {
    const option = planned(plugged).options.find((plannedOption) => plannedOption.method === 'existing-c')!;
    expect(option.verdict).toBe('go');
    expect(option.after?.devices.map((device) => device.kind)).not.toContain('plug-in-transformer');
    expect(option.after?.cables).toHaveLength(1);
    const texts = option.moves.map((move) => move.text);
    expect(texts.some((text) => text.startsWith('Take the cord off the wall'))).toBe(true);
    expect(texts.some((text) => text.startsWith('Plug the'))).toBe(false);
  });

  it('or stays, and nothing is bought', () => {
    const option = planned(plugged).options.find(
      (plannedOption) => plannedOption.method === 'plug-in-transformer'
    )!;
    expect([option.verdict, option.parts, option.variants]).toEqual(['go', [], []]);
    const plugs = option.after?.devices.filter((device) => device.kind === 'plug-in-transformer');
    expect(plugs).toHaveLength(1);
  });
});

describe('the list of repairs', () => {
  it('holds each of the vocabulary, but the two that belong to a way', () => {
    const alone = REPAIRS.map((repair) => repair.id);
    expect(REPAIR_IDS.filter((id) => !alone.includes(id))).toEqual(['restore-fan', 'remove-old-supply']);
  });
});
