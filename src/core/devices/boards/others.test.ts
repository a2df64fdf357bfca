/** What hangs under a machine's screws beside the thermostat's wires is part of the circuit. */
import { describe, expect, it } from 'vitest';
import { running } from '../../circuit/expected';
import { simulate } from '../../circuit/simulate';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../../houses/hand-wired';
import { CATALOGUE } from '../../match/catalogue';
import type { OtherKind } from '../../trade/machine-kinds';
import type { Call } from '../../trade/calls';
import { terminalId, type Wiring } from '../../wiring/graph';

const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
const world = worldOf('furnace-ac');

const wired = (others: readonly (readonly [mark: string, kind: OtherKind])[]): Wiring =>
  wiringFrom({
    devices: [
      thermostatOf(facts, 'th'),
      boardOf('eq', ['R', 'C', 'W', 'Y', 'G'], {
        others: others.map(([mark, kind]) => ({ terminal: terminalId('eq', mark), what: kind, kind }))
      })
    ],
    strands: [
      strandOf('r', ['th', 'RC'], ['eq', 'R']),
      ...['C', 'W', 'Y', 'G'].map((mark) => strandOf(mark, ['th', mark], ['eq', mark]))
    ],
    links: [{ id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }]
  });

function solved(wiring: Wiring, call: Call) {
  const made = simulate(wiring, world, call);
  if (!made.ok) throw new Error(made.why);
  return made.result;
}
const amps = (wiring: Wiring, call: Call) => solved(wiring, call).supplies[0]!.amps;

describe('something else under a screw', () => {
  it('draws its current whenever that screw is live: a relay of 4 VA on R in every call, one on W in heat alone', () => {
    const plain = wired([]);
    const onR = wired([['R', 'relay']]);
    const onW = wired([['W', 'relay']]);
    expect(amps(onR, 'idle') - amps(plain, 'idle')).toBeCloseTo(4 / 24, 1);
    expect(amps(onW, 'idle')).toBeCloseTo(amps(plain, 'idle'), 9);
    expect(amps(onW, 'heat1') - amps(plain, 'heat1')).toBeGreaterThan(0.1);
    expect(amps(wired([['R', 'lamp']]), 'idle')).toBeGreaterThan(amps(plain, 'idle') + 0.1);
  });

  it('draws nothing where nobody knows what it is, on C, or as a float switch, and all goes on running', () => {
    const plain = wired([]);
    for (const others of [
      [['R', 'unknown']],
      [['C', 'relay']],
      [['Y', 'float-switch']],
      [['R', 'float-switch']]
    ] as const) {
      const floated = wired(others);
      expect(amps(floated, 'cool1')).toBeCloseTo(amps(plain, 'cool1'), 2);
      expect(running(solved(floated, 'cool1').loads).sort()).toEqual(['blower', 'compressor']);
    }
  });

  it('opens its wire as a float switch: in Y the compressor alone stops, in R everything', () => {
    const open = (wiring: Wiring, element: string): Wiring => ({
      ...wiring,
      upsets: [{ element, kind: 'open' }]
    });
    const inY = open(wired([['Y', 'float-switch']]), 'eq:float-switch-Y1');
    expect(running(solved(inY, 'cool1').loads)).toEqual(['blower']);
    const inR = open(wired([['R', 'float-switch']]), 'eq:float-switch');
    expect(running(solved(inR, 'cool1').loads)).toEqual([]);
    expect(solved(inR, 'idle').thermostatVolts).toBe(0);
  });
});
