/** Results that have to come out of the circuit itself. Figures: 40 VA, 15 m of 18 AWG, loads and thermostat draw as in `trade/loads`. */
import { describe, expect, it } from 'vitest';
import { running } from '../circuit/expected';
import { simulate, type CallResult } from '../circuit/simulate';
import { PLAIN_CASE, supplyCases, type SupplyCase, type World } from '../devices/world';
import { findDevice } from '../match/catalogue';
import { atLimits } from '../proof/limits';
import { planFor } from '../plan/plan';
import { newThermostatDevice } from '../supply/swap-thermostat';
import { linkInBox } from '../wiring/own-link';
import type { Call } from '../trade/calls';
import {
  terminalId,
  screwsOfMarks,
  type Board,
  type Landing,
  type Strand,
  type Wiring,
  type WireLink
} from '../wiring/graph';
import { strandOf, wiringFrom } from '../houses/hand-wired';
import { furnaceWithCommon } from '../houses/houses';

const { job } = furnaceWithCommon();
const device = findDevice(job, 'de-fellgate')!;
const world: World = {
  id: 'furnace-ac',
  family: 'furnace-ac',
  blowerInHeat: 'board',
  blowerInCool: 'g',
  compressor: true,
  reversing: 'none',
  says: 'a furnace with air conditioner'
};
const board: Board = {
  kind: 'board',
  id: 'eq-1',
  at: 'eq-1',
  name: 'furnace',
  screws: screwsOfMarks('eq-1', ['R', 'C', 'W', 'Y', 'G']),
  transformerVa: 40,
  fuseAmps: 3,
  machine: 'furnace',
  accessories: [],
  tracedCommon: null,
  others: []
};

function strand(id: string, near: string | null, far: string | null): Strand {
  const end = (terminal: string | null): Landing =>
    terminal === null ? { state: 'loose' } : { state: 'landed', terminal };
  return { ...strandOf(id, null, null), near: end(near), far: end(far) };
}

const at = (mark: string) => terminalId(device.id, mark);
const on = (mark: string) => terminalId(board.id, mark);

function wired(
  ends: Record<string, [wall: string | null, equipment: string | null]>,
  links: readonly WireLink[] = [linkInBox(device, 'wall')!]
): Wiring {
  return wiringFrom({
    devices: [newThermostatDevice(device, 'wall', 'th-1'), board],
    strands: Object.entries(ends).map(([id, [wall, equipment]]) =>
      strand(id, wall === null ? null : at(wall), equipment === null ? null : on(equipment))
    ),
    links
  });
}

const full: Record<string, [string | null, string | null]> = {
  r: ['RC', 'R'],
  w: ['W', 'W'],
  y: ['Y', 'Y'],
  g: ['G', 'G'],
  c: ['C', 'C']
};
const fourWires: typeof full = { r: ['RC', 'R'], w: ['W', 'W'], y: ['Y', 'Y'] };
const yToG: WireLink = { id: 'ln-y-g', at: 'eq-1', a: on('Y'), b: on('G'), kind: 'wire' };

function solve(wiring: Wiring, call: Call, supplyCase: SupplyCase = PLAIN_CASE): CallResult {
  const solved = simulate(wiring, world, call, supplyCase);
  if (!solved.ok) throw new Error(solved.why);
  return solved.result;
}

const volts = (wiring: Wiring, call: Call) => solve(wiring, call).thermostatVolts;
const runs = (wiring: Wiring, call: Call) => running(solve(wiring, call).loads).sort();

describe('one supply, R and C present', () => {
  it.each([
    ['idle', 27.1],
    ['heat1', 26.0],
    ['cool1', 25.9],
    ['fan', 26.7]
  ] as const)('gives the thermostat the figure of the sheet with %s', (call, expected) => {
    expect(volts(wired(full), call)).toBeCloseTo(expected, 1);
  });

  it('keeps every load working and the display at 0 V when C is missing at either end', () => {
    for (const c of [
      [null, 'C'],
      ['C', null]
    ] as [string | null, string | null][]) {
      const wiring = wired({ ...full, c });
      expect(volts(wiring, 'heat1')).toBeCloseTo(0, 6);
      expect(runs(wiring, 'heat1')).toEqual(['blower', 'burner']);
      expect(runs(wiring, 'cool1')).toEqual(['blower', 'compressor']);
    }
  });

  it('leaves one side of the thermostat dead when the RH-RC link is left out', () => {
    const wiring = wired(full, []);
    expect(runs(wiring, 'heat1')).toEqual([]);
    expect(runs(wiring, 'cool1')).toEqual(['blower', 'compressor']);
  });
});

describe('G turned into C', () => {
  it('runs the compressor without the blower when the Y-G link is missing', () => {
    expect(runs(wired({ ...fourWires, g: ['C', 'C'] }), 'cool1')).toEqual(['compressor']);
  });

  it('runs both with the link, at 25.75 V, and leaves heating unchanged', () => {
    const wiring = wired({ ...fourWires, g: ['C', 'C'] }, [linkInBox(device, 'wall')!, yToG]);
    expect(runs(wiring, 'cool1')).toEqual(['blower', 'compressor']);
    const cooling = solve(wiring, 'cool1');
    for (const load of cooling.loads.filter((loadResult) => loadResult.energised))
      expect(load.volts).toBeCloseTo(25.75, 1);
    expect(runs(wiring, 'heat1')).toEqual(['blower', 'burner']);
    expect(runs(wiring, 'fan')).toEqual([]);
  });

  it('lights the display in series with the released fan relay when moved at the wall only, about 20 V, until the fan is called', () => {
    const wiring = wired({ ...fourWires, g: ['C', 'G'] });
    // 192 ohm of the display beside 144 of the relay with its armature closed would be 15.6 V; open, it has half of that.
    expect(volts(wiring, 'idle')).toBeCloseTo(19.8, 1);
  });

  it('is a short of about 10 A and an open fuse in a fan call when moved at the equipment only', () => {
    const [supply] = solve(wired({ ...fourWires, g: ['G', 'C'] }), 'fan').supplies;
    expect(supply?.fuseOpen).toBe(true);
    expect(supply?.fuseAmps).toBeGreaterThan(9.5);
    expect(supply?.fuseAmps).toBeLessThan(10.5);
  });
});

describe('a plug-in supply on RC and C', () => {
  const plug = {
    kind: 'plug-in-transformer',
    id: 'plug',
    at: 'outlet',
    name: 'plug-in supply',
    screws: screwsOfMarks('plug', ['R', 'C']),
    va: 20
  } as const;
  const base = wired({ r: ['RH', 'R'], w: ['W', 'W'], y: ['Y', 'Y'], g: ['G', 'G'] }, []);
  const cord = [
    strand('cord-1', at('RC'), terminalId('plug', 'R')),
    strand('cord-2', at('C'), terminalId('plug', 'C'))
  ];
  const wiring: Wiring = { ...base, devices: [...base.devices, plug], strands: [...base.strands, ...cord] };

  it('feeds the display and heats, but cooling and fan have no return', () => {
    expect(volts(wiring, 'idle')).toBeGreaterThan(25);
    expect(runs(wiring, 'heat1')).toEqual(['blower', 'burner']);
    expect(runs(wiring, 'cool1')).toEqual([]);
    expect(runs(wiring, 'fan')).toEqual([]);
  });

  it('with the link left in, joins the two supplies: nothing flows unless they are bonded, and then a fuse opens at opposite polarity', () => {
    const tied: Wiring = { ...wiring, links: [linkInBox(device, 'wall')!] };
    expect(solve(tied, 'idle').tied).toHaveLength(1);
    const [plain, , , worst] = supplyCases(2).map((supplyCase) => solve(tied, 'idle', supplyCase));
    expect(plain?.supplies.some((supply) => supply.fuseOpen || supply.amps > 1)).toBe(false);
    expect(worst?.supplies.some((supply) => supply.fuseOpen || supply.amps * 24 > supply.ratedVa)).toBe(true);
  });

  it('is looked at in the corners of all tolerances in every case that differs, and once where none does', () => {
    const tied: Wiring = { ...wiring, links: [linkInBox(device, 'wall')!] };
    const corners = (wiring: Wiring) => {
      const cases = supplyCases(2).map((supplyCase) => solve(wiring, 'idle', supplyCase));
      const nominal = { world, call: 'idle', was: cases[0]!, cases, crowd: null } as const;
      return atLimits({ before: wiring, allAfter: wiring, shared: false }, nominal);
    };
    expect(corners(tied)!.excess.length).toBeGreaterThan(0);
    expect(corners(wiring)!.excess).toEqual([]);
    expect(corners(wiring)!.solves).toBeLessThan(corners(tied)!.solves / 2);
  });
});

describe('a wire landed at the wall and loose at the equipment', () => {
  it('makes that function dead, and the plan says so before anything is moved', () => {
    const house = furnaceWithCommon();
    const conductors = house.thermostat.conductors.map((conductor) =>
      conductor.id === 'co-3' ? { ...conductor, far: { state: 'loose' as const, on: [] } } : conductor
    );
    const thermostat = { ...house.thermostat, conductors };
    const plan = planFor({ ...house.job, thermostats: [thermostat] }, thermostat, { device });
    expect(plan.today.map((finding) => finding.code)).toContain('dead-today');
    // The machine has that screw, free: the end is landed there with the work, and the call works.
    const option = plan.options.find((plannedOption) => plannedOption.method === 'existing-c');
    expect(option?.findings.map((finding) => finding.code)).toEqual(
      expect.arrayContaining(['repair', 'made-to-work'])
    );
    expect(option?.findings.map((finding) => finding.code)).not.toContain('dead-before');
  });
});
