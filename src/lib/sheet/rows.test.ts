import { describe, expect, it } from 'vitest';
import { planFor } from '$core/plan/plan';
import { house, type HouseSketch } from '$core/houses/builder';
import { furnaceWithSpare } from '$core/houses/houses';
import { wiringOf } from '$core/wiring/from-job';
import type { Wiring } from '$core/wiring/graph';
import { changeView, endText, sheetView, steadyView } from './rows';

const drawn = (sketch: HouseSketch) => {
  const { job, thermostat } = house(sketch);
  return wiringOf(job, thermostat);
};
const rows = (wiring: Wiring, against: Wiring | null = null) =>
  sheetView(wiring, against).groups.flatMap((group) => group.rows);

describe('the strand sheet', () => {
  it('has a row for every wire, under the cable that it is in', () => {
    const wiring = drawn({ strands: ['RD R R', 'WH W W', 'BU coiled unseen'], board: ['R', 'W'] });
    const [group] = sheetView(wiring).groups;
    expect(group).toMatchObject({ name: 'cable', facts: '18 AWG, 15 m' });
    expect(group!.rows.map((row) => [endText(row.wall), endText(row.equipment)])).toEqual([
      ['R', 'R'],
      ['W', 'W'],
      ['coiled', 'not seen']
    ]);
  });

  it('keeps the rows that say the same, and no others', () => {
    const before = sheetView(drawn({ strands: ['RD R R', 'WH W W'], board: ['R', 'W'] }));
    const after = steadyView(
      sheetView(drawn({ strands: ['RD R R', 'WH W loose'], board: ['R', 'W'] })),
      before
    );
    const rowsOf = (view: typeof before) => view.groups.flatMap((group) => group.rows);
    expect(rowsOf(after)[0]).toBe(rowsOf(before)[0]);
    expect(endText(rowsOf(after)[1]!.equipment)).toBe('loose');
    expect(steadyView(before, null)).toBe(before);
  });

  it('shows of a way what it moves, the parts that come, and no joint inside a part', () => {
    const { job, thermostat } = furnaceWithSpare();
    const plan = planFor(job, thermostat);
    const changeOf = (method: string) =>
      changeView(plan.wiringNow, plan.options.find((option) => option.method === method)!.after!);
    const spare = changeOf('spare-conductor');
    expect(spare.rows.some((row) => row.wall.mark === 'C' && row.equipment.mark === 'C')).toBe(true);
    expect(spare.parts).toEqual([]);
    const splitter = changeOf('signal-splitter');
    expect(splitter.parts).toContain('splitter');
    expect(splitter.jumpers).toEqual([]);
    const unchanged = changeView(plan.wiringNow, plan.wiringNow);
    expect(unchanged).toEqual({ rows: [], parts: [], jumpers: [] });
  });

  it('prints marks as recorded, not as the core compares them', () => {
    const wiring = drawn({ strands: ['WH W W1', 'OG O/B O'], plate: ['W', 'O/B'], board: ['W1', 'O'] });
    expect(rows(wiring).map((row) => [row.wall.mark, row.equipment.mark])).toEqual([
      ['W', 'W1'],
      ['O/B', 'O']
    ]);
  });

  it('says what nobody has read of a cable, and keeps wires whose cable is gone', () => {
    const wiring = drawn({ strands: ['RD R R'], lengthM: null });
    const orphaned = { ...wiring, cables: [] };
    expect(sheetView(wiring).groups[0]!.facts).toBe('18 AWG, length not known');
    expect(sheetView(orphaned).groups[0]).toMatchObject({ facts: 'gauge not read, length not known' });
    expect(rows(orphaned)).toHaveLength(1);
  });

  it('marks the ends that a plan moves, and no others', () => {
    const { job, thermostat } = furnaceWithSpare();
    const plan = planFor(job, thermostat, {});
    const moved = rows(plan.wiringAfter!, plan.wiringBefore).filter(
      (row) => row.wall.moved || row.equipment.moved
    );
    expect(plan.taken).toBe('spare-conductor');
    // The new plate has RH and RC where the old one had R.
    expect(moved.map((rowView) => [rowView.name, rowView.wall.mark, rowView.equipment.moved])).toEqual([
      ['red', 'RC', false],
      ['blue', 'C', true]
    ]);
    expect(rows(plan.wiringBefore, plan.wiringBefore).some((row) => row.wall.moved)).toBe(false);
  });

  it('marks wires that came with a new cable as new', () => {
    const { job, thermostat } = furnaceWithSpare();
    const plan = planFor(job, thermostat, { method: 'new-cable' });
    const fresh = rows(plan.wiringAfter!, plan.wiringBefore).filter((row) => row.fresh);
    expect(fresh.length).toBeGreaterThan(4);
    expect(fresh.every((rowView) => !rowView.wall.moved)).toBe(true);
  });
});

describe('links on the sheet', () => {
  const links = (sketch: HouseSketch, against: Wiring | null = null) =>
    sheetView(drawn(sketch), against).links;

  it('are brackets between two rows where both terminals carry a wire', () => {
    const [link] = links({ strands: ['RD RH R', 'WH W W', 'BU RC R'], links: ['wall RH RC'] });
    expect(link).toMatchObject({ side: 'wall', rows: [0, 2], marks: ['RH', 'RC'], moved: false });
    expect(link!.text).toBe('RH and RC joined by a jumper at the wall');
  });

  it('are stubs to the terminal that has none, and lead to nothing where both are bare', () => {
    const [stub] = links({ strands: ['RD RH R'], links: ['wall RH RC'] });
    expect(stub).toMatchObject({ rows: [0], stub: 'RC' });
    const [other] = links({ strands: ['RD RC R'], links: ['wall RH RC'] });
    expect(other).toMatchObject({ rows: [0], stub: 'RH' });
    const [bare] = links({ strands: ['WH W W'], links: ['wall RH RC'] });
    expect(bare!.rows).toEqual([]);
  });

  it('are marked where the wiring compared with has none such', () => {
    const without = drawn({ strands: ['YE Y Y', 'GN G G'], board: ['Y', 'G'] });
    const [joined] = links(
      { strands: ['YE Y Y', 'GN G G'], board: ['Y', 'G'], links: ['equipment Y G'] },
      without
    );
    expect(joined).toMatchObject({ side: 'equipment', rows: [0, 1], moved: true });
    expect(joined!.text).toBe('Y and G joined by a jumper at the equipment');
  });
});

describe('an end in words', () => {
  it('never leaves a landing without its mark unsaid', () => {
    expect(endText({ state: 'landed', mark: '' })).toBe('landed, mark missing');
    expect(endText({ state: 'loose', mark: '' })).toBe('loose');
    expect(endText({ state: 'unseen', mark: '' })).toBe('not seen');
  });
});
