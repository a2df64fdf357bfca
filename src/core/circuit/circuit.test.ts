import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Element } from '../devices/elements';
import { circuitOf } from './circuit';
import { coil, contact, diode, fuse, netlist, resistor, sense, solved, source } from './parts';

describe('an operating point', () => {
  it('divides a voltage as Ohm says, and gives the current of the source', () => {
    const point = solved(
      netlist(
        [source('s', 'hot', 'zero'), resistor('r1', 'hot', 'mid', 10), resistor('r2', 'mid', 'zero', 30)],
        ['zero']
      )
    );
    expect(point.volts('mid', 'zero')).toBeCloseTo(18, 5);
    expect(point.amps('s')).toBeCloseTo(0.6, 5);
    expect(point.amps('r1')).toBeCloseTo(0.6, 5);
  });

  it('adds two sources of opposite polarity that face each other through a resistor', () => {
    const parts = netlist([source('s1', 'a', 'zero'), source('s2', 'b', 'zero'), resistor('r', 'a', 'b', 6)]);
    const turned = solved(parts, 'resistive', 'idle', { bonded: false, turned: 1 });
    expect(turned.volts('a', 'b')).toBeCloseTo(48, 4);
    expect(solved(parts).volts('a', 'b')).toBeCloseTo(0, 4);
  });

  it('gives no voltage between two islands, and none at a point that nothing reaches', () => {
    const point = solved(
      netlist([
        source('s1', 'a', 'b'),
        resistor('r1', 'a', 'b', 5),
        source('s2', 'c', 'd'),
        resistor('r2', 'c', 'd', 5)
      ])
    );
    expect(point.volts('a', 'c')).toBeNull();
    expect(point.volts('a', 'nowhere')).toBeNull();
    expect(point.volts('c', 'd')).toBeCloseTo(24, 5);
  });

  it('takes a coil as a resistance of its size, or with its reactance, as asked', () => {
    const parts = netlist([source('s', 'a', 'b', 24, 3), coil('k', 'a', 'b', 30, 40)]);
    expect(solved(parts, 'resistive').volts('a', 'b')).toBeCloseTo((24 * 50) / 53, 5);
    expect(solved(parts, 'complex').volts('a', 'b')).toBeCloseTo((24 * 50) / Math.hypot(33, 40), 5);
  });
});

describe('what cannot be solved', () => {
  const at = (elements: Element[]) => circuitOf(netlist(elements));

  it.each([0, -4, NaN, Infinity])('names the wire whose resistance is %s', (ohms) => {
    expect(at([source('s', 'a', 'b'), resistor('co-7', 'a', 'b', ohms)])).toMatchObject({
      ok: false,
      at: 'co-7'
    });
  });

  it('names a transformer of 0 VA', () => {
    expect(at([{ ...source('eq-1:secondary', 'a', 'b'), ratedVa: 0 }])).toMatchObject({
      ok: false,
      at: 'eq-1:secondary'
    });
  });

  it('names the source that contradicts another', () => {
    expect(at([source('s1', 'a', 'b', 24), source('s2', 'a', 'b', 12)])).toMatchObject({
      ok: false,
      at: 's2'
    });
  });

  it('refuses a circuit that no house has, in time that does not grow with it', () => {
    const many = Array.from({ length: 7000 }, (_, number) => resistor(`r${number}`, 'a', `n${number}`, 1));
    expect(at(many)).toMatchObject({ ok: false, at: 'the wiring' });
  });

  it('solves a part that hangs on one point, and one that begins and ends there', () => {
    const point = solved(
      netlist([
        source('s', 'a', 'b'),
        resistor('load', 'a', 'b', 10),
        resistor('tail', 'a', 'x', 1),
        resistor('loop', 'a', 'a', 1)
      ])
    );
    expect(point.volts('x', 'b')).toBeCloseTo(24, 5);
  });
});

describe('relays and fuses', () => {
  it('lets a coil close a contact that feeds a second coil', () => {
    const settled = solved(
      netlist([
        source('s', 'hot', 'zero'),
        coil('first', 'hot', 'zero'),
        contact('c', 'hot', 'x', 'first', 'energised'),
        coil('second', 'x', 'zero')
      ])
    );
    expect([...settled.energised].sort()).toEqual(['first', 'second']);
    expect(settled.chattering).toEqual([]);
  });

  it('reports a relay that interrupts its own coil as chatter, and ends', () => {
    const settled = solved(
      netlist([
        source('s', 'hot', 'zero'),
        contact('c', 'hot', 'x', 'buzzer', 'released'),
        coil('buzzer', 'x', 'zero')
      ])
    );
    expect(settled.chattering).toEqual(['buzzer']);
  });

  it('opens a fuse on a short and says what it saw', () => {
    const settled = solved(
      netlist([
        source('s', 'in', 'zero', 27.5, 2.1),
        fuse('f', 'in', 'hot'),
        resistor('short', 'hot', 'zero', 0.6)
      ])
    );
    expect(settled.openFuses).toEqual(['f']);
    expect(settled.fuseAmps('f')).toBeCloseTo(27.5 / 2.705, 1);
    expect(settled.volts('hot', 'zero')).toBeCloseTo(0, 6);
  });

  it('leaves a fuse alone at its rating', () => {
    const settled = solved(
      netlist([
        source('s', 'in', 'zero', 27.5, 2.1),
        fuse('f', 'in', 'hot'),
        resistor('load', 'hot', 'zero', 7.1)
      ])
    );
    expect(settled.openFuses).toEqual([]);
  });

  it('leaves a contact whose coil is gone in its rest position', () => {
    const parts = [
      source('s', 'hot', 'zero'),
      contact('c', 'hot', 'x', 'gone', 'released'),
      coil('k', 'x', 'zero')
    ];
    expect(solved(netlist(parts)).energised).toEqual(['k']);
  });
});

describe('half waves', () => {
  it('gives a coil behind one diode what a half wave carries: about 17 V, too little to be sure of pulling in', () => {
    const settled = solved(
      netlist([source('s', 'hot', 'zero', 25, 0.1), diode('d', 'hot', 'x'), coil('k', 'x', 'zero', 77)])
    );
    // The RMS of a half sine is its peak over 2, less what the drop takes off.
    expect(settled.coilVolts('k')).toBeGreaterThan(16.8);
    expect(settled.coilVolts('k')).toBeLessThan(17.6);
    expect(settled.energised).toEqual([]);
  });

  it('charges a smoothed relay to nearly the peak', () => {
    const settled = solved(
      netlist([source('s', 'hot', 'zero', 26, 2.7), diode('d', 'hot', 'x'), sense('k', 'x', 'zero')])
    );
    expect(settled.coilVolts('k')).toBeGreaterThan(32.5);
    expect(settled.coilVolts('k')).toBeLessThan(35.5);
    expect(settled.energised).toEqual(['k']);
  });

  it('keeps two half waves on one wire apart', () => {
    const half = (which: 'cool' | 'fan') =>
      solved(
        netlist([
          source('s', 'hot', 'zero', 26, 2.7),
          which === 'cool' ? diode('d', 'hot', 'shared') : diode('d', 'shared', 'hot'),
          sense('cool', 'shared', 'zero'),
          sense('fan', 'zero', 'shared')
        ])
      ).energised;
    expect(half('cool')).toEqual(['cool']);
    expect(half('fan')).toEqual(['fan']);
  });

  it('settles diodes that face each other without current', () => {
    const settled = solved(
      netlist([
        source('s', 'hot', 'zero'),
        diode('d1', 'hot', 'x'),
        diode('d2', 'y', 'x'),
        resistor('r', 'hot', 'y', 5),
        resistor('load', 'x', 'zero', 100)
      ])
    );
    expect(settled.volts('x', 'zero')).toBeGreaterThan(15);
  });
});

/** The same circuit by a plain dense elimination, written without any of the engine's parts. */
function dense(resistors: readonly { a: number; b: number; ohms: number }[], size: number): number[] {
  const rows = Array.from({ length: size }, () => new Array<number>(size + 1).fill(0));
  const add = (row: number, column: number, value: number) => (rows[row]![column]! += value);
  for (const { a, b, ohms } of resistors) {
    add(a, a, 1 / ohms);
    add(b, b, 1 / ohms);
    add(a, b, -1 / ohms);
    add(b, a, -1 / ohms);
  }
  // Node 0 is held at 0 V; 24 V behind 2 ohm stand between nodes 1 and 0.
  add(1, 1, 1 / 2);
  add(1, size, 12);
  rows[0] = [1, ...new Array<number>(size).fill(0)];
  for (let k = 0; k < size; k += 1) {
    const pivot = rows
      .slice(k)
      .reduce((best, row, at) => (Math.abs(row[k]!) > Math.abs(rows[best]![k]!) ? k + at : best), k);
    [rows[k], rows[pivot]] = [rows[pivot]!, rows[k]!];
    for (let row = 0; row < size; row += 1) {
      if (row === k) continue;
      const factor = rows[row]![k]! / rows[k]![k]!;
      for (let column = k; column <= size; column += 1) rows[row]![column]! -= factor * rows[k]![column]!;
    }
  }
  return rows.map((row, at) => row[size]! / row[at]!);
}

it('agrees with a plain dense elimination on drawn networks', () => {
  const drawn = fc.array(
    fc.record({ a: fc.nat(9), b: fc.nat(9), ohms: fc.double({ min: 0.005, max: 500, noNaN: true }) }),
    { minLength: 4, maxLength: 30 }
  );
  fc.assert(
    fc.property(drawn, (random) => {
      // A chain keeps all ten nodes in one island.
      const chain = Array.from({ length: 9 }, (_, at) => ({ a: at, b: at + 1, ohms: 10 + at }));
      const all = [...chain, ...random.filter((candidate) => candidate.a !== candidate.b)];
      const expected = dense(all, 10);
      const point = solved(
        netlist([
          source('s', 'n1', 'n0', 24, 2),
          ...all.map(({ a, b, ohms }, at) => resistor(`r${at}`, `n${a}`, `n${b}`, ohms))
        ])
      );
      expected.forEach((volts, node) =>
        expect(point.volts(`n${node}`, 'n0')).toBeCloseTo(Math.abs(volts), 6)
      );
    }),
    { numRuns: 60 }
  );
});
