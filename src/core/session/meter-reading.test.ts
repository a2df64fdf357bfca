/** What a meter shows: volts where copper defines them, a phantom on a wire that hangs between live ones. */
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { powerUp } from '../circuit/simulate';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf, type End } from '../houses/hand-wired';
import { findDevice } from '../match/catalogue';
import type { Call } from '../trade/calls';
import type { StrandEnd, TerminalId } from '../wiring/graph';
import { looseEnds, readMeter, type MeterMode, type ProbePoint } from './meter-reading';

const screw = (terminal: TerminalId): ProbePoint => ({ on: 'screw', terminal });
const wire = (strand: string, end: StrandEnd): ProbePoint => ({ on: 'wire', strand, end });

/** A furnace with R, C, W and G landed on 15 m, and a fifth wire as it is given. */
function house(near: End, far: End, continuity: 'proven' | 'broken' = 'proven') {
  const wiring = wiringFrom({
    devices: [
      thermostatOf(findDevice(SCHOOLHOUSE, 'de-fellgate')!, 'th'),
      boardOf('eq', ['R', 'C', 'W', 'Y', 'G'])
    ],
    cables: [
      {
        id: 'ca-1',
        name: 'a',
        path: 'free',
        insulation: 'sound',
        lengthM: 15,
        gauge: 18,
        near: 'wall',
        far: 'eq'
      }
    ],
    strands: [
      ...['R', 'C', 'W', 'G'].map((mark) => strandOf(mark, ['th', mark === 'R' ? 'RH' : mark], ['eq', mark])),
      { ...strandOf('fifth', near, far), continuity }
    ],
    links: [{ id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }]
  });
  return (first: ProbePoint, second: ProbePoint, mode: MeterMode = 'high', call: Call = 'idle') => {
    const made = powerUp(wiring, worldOf('furnace-ac'), call);
    if (!made.ok) throw new Error(made.why);
    return readMeter({ wiring, meter: made.meter }, [first, second], mode);
  };
}

describe('a meter on a wire that is on nothing', () => {
  const spare = house(null, null);

  it('shows a phantom of some 7 V to C and 20 V to R on 15 m, whichever end it is on', () => {
    for (const end of ['near', 'far'] as const) {
      const toCommon = spare(wire('fifth', end), screw('eq.C'));
      expect(toCommon.phantom).toBe(true);
      expect(toCommon.volts).toBeGreaterThan(6);
      expect(toCommon.volts).toBeLessThan(8);
      expect(spare(screw('eq.R'), wire('fifth', end)).volts).toBeCloseTo(20, -1);
    }
  });

  it('shows more of it beside more live wires, and nothing under a small load', () => {
    const idle = spare(wire('fifth', 'near'), screw('eq.C')).volts!;
    expect(spare(wire('fifth', 'near'), screw('eq.C'), 'high', 'heat1').volts).toBeGreaterThan(idle + 4);
    const loaded = spare(wire('fifth', 'near'), screw('eq.C'), 'low');
    expect(loaded).toMatchObject({ phantom: true });
    expect(loaded.volts).toBeLessThan(0.1);
  });

  it('reads a wire loose at the wall as what it is on at the machine', () => {
    const onHot = house(null, ['eq', 'R']);
    expect(onHot(wire('fifth', 'near'), screw('eq.C'))).toMatchObject({ phantom: false });
    expect(onHot(wire('fifth', 'near'), screw('eq.C')).volts).toBeCloseTo(27.2, 1);
    expect(onHot(wire('fifth', 'near'), screw('eq.C'), 'low').volts).toBeCloseTo(27.2, 1);
  });

  it('reads a wire loose at the machine by the contact that it is on at the wall: phantom, or what is called', () => {
    const onY = house(['th', 'Y'], null);
    expect(onY(wire('fifth', 'far'), screw('eq.C')).phantom).toBe(true);
    const called = onY(wire('fifth', 'far'), screw('eq.C'), 'high', 'cool1');
    expect(called.phantom).toBe(false);
    expect(called.volts).toBeGreaterThan(25);
  });

  it('reads the far half of a broken wire by itself', () => {
    const broken = house(['th', 'RH'], null, 'broken');
    expect(broken(wire('fifth', 'far'), screw('eq.C')).phantom).toBe(true);
  });
});

describe('a meter between two screws', () => {
  it('shows what the circuit has, and nothing between two that float', () => {
    const read = house(null, null);
    expect(read(screw('eq.R'), screw('eq.C'))).toMatchObject({ phantom: false });
    expect(read(wire('fifth', 'near'), wire('fifth', 'far'))).toEqual({ volts: null, phantom: false });
    expect(read(wire('none', 'near'), screw('eq.C'))).toEqual({ volts: 0, phantom: true });
  });

  it('can be put on every end that is on nothing, and on no other', () => {
    const wiring = wiringFrom({
      devices: [boardOf('eq', ['R', 'C'])],
      strands: [strandOf('a', null, ['eq', 'R']), strandOf('b', null, null)]
    });
    expect(looseEnds(wiring).map(({ strand, end }) => `${strand.id} ${end}`)).toEqual([
      'a near',
      'b near',
      'b far'
    ]);
  });
});
