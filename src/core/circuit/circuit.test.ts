import { describe, expect, it } from 'vitest';
import type { Element } from '../devices/elements';
import type { Netlist } from './netlist';
import { operatingPoint } from './operating-point';
import { settle } from './settle';

const none = { energised: new Set<string>(), openFuses: new Set<string>() };

function netlist(elements: Element[], grounds: string[] = []): Netlist {
  return { elements, grounds, loads: [], fed: null };
}

const source = (id: string, a: string, b: string, volts = 24, ohms = 0): Element => ({
  kind: 'source',
  id,
  a,
  b,
  volts,
  ohms,
  ratedVa: 40,
  polarity: 1,
  name: id
});
const resistor = (id: string, a: string, b: string, ohms: number): Element => ({
  kind: 'resistor',
  id,
  a,
  b,
  ohms
});

describe('an operating point', () => {
  it('divides a voltage as Ohm says, and gives the current of the source', () => {
    const one = source('s', 'hot', 'zero');
    const solved = operatingPoint(
      netlist([one, resistor('r1', 'hot', 'mid', 10), resistor('r2', 'mid', 'zero', 30)], ['zero']),
      none
    );
    if (!solved.ok) throw new Error(solved.why);
    expect(solved.point.voltage('mid', 'zero')).toBeCloseTo(18, 10);
    if (one.kind === 'source') expect(solved.point.current(one)).toBeCloseTo(0.6, 10);
  });

  it('adds two sources of opposite polarity that face each other through a resistor', () => {
    const turned = { ...source('s2', 'b', 'zero'), polarity: -1 } as Element;
    const solved = operatingPoint(
      netlist([source('s1', 'a', 'zero'), turned, resistor('r', 'a', 'b', 6)]),
      none
    );
    if (!solved.ok) throw new Error(solved.why);
    expect(solved.point.voltage('a', 'b')).toBeCloseTo(48, 10);
  });

  it('gives no voltage between two islands', () => {
    const solved = operatingPoint(
      netlist([
        source('s1', 'a', 'b'),
        resistor('r1', 'a', 'b', 5),
        source('s2', 'c', 'd'),
        resistor('r2', 'c', 'd', 5)
      ]),
      none
    );
    if (!solved.ok) throw new Error(solved.why);
    expect(solved.point.voltage('a', 'c')).toBeNull();
    expect(solved.point.voltage('c', 'd')).toBeCloseTo(24, 10);
  });

  it('names the part whose value no real part has', () => {
    const solved = operatingPoint(netlist([source('s', 'a', 'b'), resistor('co-7', 'a', 'b', 0)]), none);
    expect(solved).toMatchObject({ ok: false, at: 'co-7' });
  });

  it('names the source at fault when two stiff sources contradict each other', () => {
    const solved = operatingPoint(netlist([source('s1', 'a', 'b', 24), source('s2', 'a', 'b', 12)]), none);
    expect(solved).toMatchObject({ ok: false, at: 's2' });
  });
});

describe('relays and fuses', () => {
  const coil = (id: string, a: string, b: string): Element => ({
    kind: 'coil',
    id,
    a,
    b,
    ohms: 100,
    pullIn: 18,
    dropOut: 10
  });

  it('lets a coil close a contact that feeds a second coil', () => {
    const settled = settle(
      netlist([
        source('s', 'hot', 'zero'),
        coil('first', 'hot', 'zero'),
        { kind: 'contact', id: 'c', a: 'hot', b: 'x', coil: 'first', closedWhen: 'energised' },
        coil('second', 'x', 'zero')
      ])
    );
    if (!settled.ok) throw new Error(settled.why);
    expect([...settled.state.energised].sort()).toEqual(['first', 'second']);
    expect(settled.chattering).toEqual([]);
  });

  it('reports a relay that interrupts its own coil as chatter, and ends', () => {
    const settled = settle(
      netlist([
        source('s', 'hot', 'zero'),
        { kind: 'contact', id: 'c', a: 'hot', b: 'x', coil: 'buzzer', closedWhen: 'released' },
        coil('buzzer', 'x', 'zero')
      ])
    );
    if (!settled.ok) throw new Error(settled.why);
    expect(settled.chattering).toEqual(['buzzer']);
  });

  it('opens a fuse on a short and says what it saw', () => {
    const settled = settle(
      netlist([
        source('s', 'in', 'zero', 27.5, 2.1),
        { kind: 'fuse', id: 'f', a: 'in', b: 'hot', amps: 3 },
        resistor('short', 'hot', 'zero', 0.6)
      ])
    );
    if (!settled.ok) throw new Error(settled.why);
    expect([...settled.state.openFuses]).toEqual(['f']);
    expect(settled.fuseAmps.get('f')).toBeCloseTo(27.5 / 2.705, 1);
  });

  it('leaves a fuse alone at its rating', () => {
    const settled = settle(
      netlist([
        source('s', 'in', 'zero', 27.5, 2.1),
        { kind: 'fuse', id: 'f', a: 'in', b: 'hot', amps: 3 },
        resistor('load', 'hot', 'zero', 7.1)
      ])
    );
    if (!settled.ok) throw new Error(settled.why);
    expect(settled.state.openFuses.size).toBe(0);
  });
});
