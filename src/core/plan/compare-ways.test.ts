import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { compareWays } from './compare-ways';
import { planFor } from './plan';

const [classroom] = SCHOOLHOUSE.thermostats;
const ways = planFor(SCHOOLHOUSE, classroom!).options.filter(({ verdict }) => verdict !== 'no');
const row = (rows: ReturnType<typeof compareWays>, id: string) => rows.find((row) => row.id === id)!;

describe('ways beside each other', () => {
  it('answer the same questions, one cell for each way', () => {
    const rows = compareWays(ways, {}, SCHOOLHOUSE.units);
    for (const { cells } of rows) expect(cells).toHaveLength(ways.length);
    const spare = ways.findIndex(({ method }) => method === 'spare-conductor');
    const fan = ways.findIndex(({ method }) => method === 'repurpose-g');
    expect(row(rows, 'loses').cells[fan]).not.toBe(row(rows, 'loses').cells[spare]);
    expect(row(rows, 'opens').cells[spare]).toContain('the thermostat');
    // The outdoor unit's breaker is switched off, and nothing of it is opened.
    expect(row(rows, 'opens').cells[spare]).not.toContain('outdoor');
  });

  it('say what one mistake would do once that is worked out, and nothing before', () => {
    expect(row(compareWays(ways, {}, SCHOOLHOUSE.units), 'mistakes')).toBeUndefined();
    const counts = { all: 74, harming: 20, noticed: 50, hidden: 4 };
    const known = compareWays(ways, { 'spare-conductor': counts }, SCHOOLHOUSE.units);
    expect(row(known, 'mistakes').cells).toContain('20 of 74 would do harm');
  });

  it('know a row in which nothing differs', () => {
    const [option] = ways;
    expect(compareWays([option!, option!], {}, SCHOOLHOUSE.units).every(({ same }) => same)).toBe(true);
  });
});
