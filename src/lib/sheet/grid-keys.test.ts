import { describe, expect, it } from 'vitest';
import { readColour, readEnd, walk, type Column } from './grid-keys';

const columns: Column[] = ['wall', 'colour', 'strand', 'equipment'];

describe('the keys of the sheet', () => {
  it('walks from cell to cell and stops at the edges', () => {
    expect(walk({ row: 0, column: 'wall' }, 'ArrowRight', 3, columns)).toEqual({ row: 0, column: 'colour' });
    expect(walk({ row: 0, column: 'wall' }, 'ArrowUp', 3, columns)).toEqual({ row: 0, column: 'wall' });
    expect(walk({ row: 2, column: 'equipment' }, 'ArrowDown', 3, columns)).toEqual({
      row: 2,
      column: 'equipment'
    });
    expect(walk({ row: 1, column: 'strand' }, 'End', 3, columns)).toEqual({ row: 1, column: 'equipment' });
    expect(walk({ row: 1, column: 'strand' }, 'x', 3, columns)).toBeNull();
  });

  it('reads a state or a mark as printed, and refuses what no screw is marked with', () => {
    expect(readEnd('coil')).toEqual({ ok: true, word: 'coiled', known: true });
    expect(readEnd('o/b')).toEqual({ ok: true, word: 'O/B', known: true });
    expect(readEnd('z9')).toEqual({ ok: true, word: 'Z9', known: false });
    expect(readEnd('t#2')).toEqual({ ok: true, word: 'T#2', known: true });
    expect(readEnd('#1')).toMatchObject({ ok: true, word: '#1' });
    expect(readEnd('R!')).toMatchObject({ ok: false });
    expect(readEnd('T#0')).toMatchObject({ ok: false });
  });

  it('reads two letters as a colour, and nothing else', () => {
    expect(readColour('rd')).toBe('RD');
    expect(readColour('r')).toBeNull();
    expect(readColour('xx')).toBeNull();
  });
});
