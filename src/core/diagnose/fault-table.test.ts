import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { finish } from '../circuit/long-run';
import { netlistOf } from '../circuit/netlist';
import { simulate } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { splitterHouse, type PoweredHouse } from '../houses/half-wave-houses';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { plannedHouse, twoSupplyHouse, zonedHouse } from '../houses/powered-houses';
import { CATALOGUE } from '../match/catalogue';
import { chanceFrom } from '../trade/random';
import { FLAGS, faultTableRun, type FaultTable } from './fault-table';
import { faultsOf } from './faults/registry';
import { FAULT_KINDS } from './types';

const thermostat = (id: string) => SCHOOLHOUSE.thermostats.find((candidate) => candidate.id === id)!;
const houses: Record<string, () => PoweredHouse> = {
  classroom: () => plannedHouse(SCHOOLHOUSE, thermostat('th-classroom')),
  flat: () => plannedHouse(SCHOOLHOUSE, thermostat('th-flat')),
  'two supplies': twoSupplyHouse,
  splitter: splitterHouse,
  zones: () => zonedHouse(2)
};

function tableOf({ wiring, world }: PoweredHouse, pairs: boolean): FaultTable {
  const run = faultTableRun({ wiring, world, calls: callsOf(world, wiring), pairs });
  if ('ok' in run) throw new Error(run.why);
  return finish(run);
}

const faultsFor = ({ wiring, world }: PoweredHouse) => faultsOf(wiring, netlistOf(wiring, world)!);

function cell(table: FaultTable, fault: string, call: string) {
  const number = table.faults.findIndex((candidate) => candidate.id === fault);
  expect(number, fault).toBeGreaterThanOrEqual(0);
  const at = (number + 1) * table.calls.length + table.calls.findIndex((candidate) => candidate === call);
  return {
    runs: table.loads.filter((_, bit) => (table.runs[at]! >> bit) & 1).sort(),
    volts: table.volts[at]!,
    fuseOpen: (table.flags[at]! & FLAGS.fuseOpen) > 0
  };
}

describe('laid over one circuit', () => {
  const agrees = (name: string) => {
    const house = houses[name]!();
    const table = tableOf(house, true);
    const faults = faultsFor(house);
    const chance = chanceFrom(7);
    const rows = table.rows.length / 2;
    const picked = new Set([...faults.keys()].map((key) => key + 1));
    while (picked.size < Math.min(rows, faults.length + 120)) picked.add(Math.floor(chance.next() * rows));
    for (const row of picked) {
      const hit = [table.rows[2 * row]!, table.rows[2 * row + 1]!]
        .filter((candidate) => candidate >= 0)
        .map((index) => faults[index]!);
      const wiring = hit.reduce((before, fault) => fault.apply(before), house.wiring);
      const label = hit.map((fault) => fault.id).join(' + ');
      table.calls.forEach((call, column) => {
        const at = row * table.calls.length + column;
        const solved = table.cases.map((supplyCase) => {
          const made = simulate(wiring, house.world, call, supplyCase);
          if (!made.ok) throw new Error(`${label}: ${made.why}`);
          return made.result;
        });
        const running = table.loads.map((load) =>
          solved[0]!.loads.some((loadResult) => loadResult.id === load && loadResult.energised)
        );
        expect(
          table.loads.map((_, bit) => ((table.runs[at]! >> bit) & 1) === 1),
          `${label} ${call}`
        ).toEqual(running);
        const least = Math.min(...solved.map((result) => result.thermostatVolts ?? NaN));
        if (!Number.isNaN(least)) expect(table.volts[at]!, `${label} ${call}`).toBeCloseTo(least, 3);
        expect((table.flags[at]! & FLAGS.fuseOpen) > 0, `${label} ${call}`).toBe(
          solved.some((result) => result.supplies.some((supply) => supply.fuseOpen))
        );
      });
    }
  };
  const OFTEN = ['classroom', 'zones'];
  const title = 'gives what solving each faulted graph from scratch gives: %s';
  it.each(OFTEN)(title, agrees);
  it.each(Object.keys(houses).filter((name) => !OFTEN.includes(name)))(title, { tags: ['wide'] }, agrees);
});

describe('a cell', () => {
  it('gives the volts of a coil that hums, and of the case that is worst', () => {
    const table = tableOf(houses['classroom']!(), false);
    const at = (kind: string, says: string, call: string) =>
      (table.faults.findIndex((fault) => fault.kind === kind && fault.says.includes(says)) + 1) *
        table.calls.length +
      table.calls.findIndex((candidate) => candidate === call);
    // The contactor of a released armature takes most of what a corroded joint leaves it.
    const corroded = at('joint-corroded', 'blue', 'cool1');
    expect(table.flags[corroded]! & FLAGS.starved).toBeGreaterThan(0);
    expect(table.starvedVolts[corroded]).toBeGreaterThan(8);
    expect(table.starvedVolts[corroded]).toBeLessThan(18);
    const sound = table.calls.findIndex((call) => call === 'cool1');
    expect(table.flags[sound]! & FLAGS.starved).toBe(0);
    expect(table.starvedVolts[sound]).toBeNaN();
    // With one supply, a wire on earthed metal shows only where the common is earthed as well.
    const earthed = at('conductor-to-earth', 'white', 'idle');
    expect(table.cases[table.worstCase[earthed]!]).toEqual({ bonded: true, turned: 0 });
    expect(table.volts[earthed]).toBeLessThan(1);
  });
});

describe('what single faults do', () => {
  const table = tableOf(houses['classroom']!(), false);

  it('leaves the sound house whole in row 0', () => {
    const heat = table.calls.indexOf('heat1');
    expect(table.loads.filter((_, bit) => (table.runs[heat]! >> bit) & 1).sort()).toEqual([
      'blower',
      'burner'
    ]);
    expect(table.volts[heat]).toBeGreaterThan(25);
  });

  it('kills one function with one loose wire, and the display with a loose common', () => {
    const spare = table.faults.find(
      (fault) => fault.kind === 'conductor-loose' && fault.says.includes('green')
    )!;
    expect(cell(table, spare.id, 'heat1')).toMatchObject({ runs: ['blower', 'burner'], volts: 0 });
    const cooling = table.faults.find(
      (fault) => fault.kind === 'conductor-loose' && fault.says.includes('blue')
    )!;
    expect(cell(table, cooling.id, 'cool1').runs).toEqual(['blower']);
  });

  it('opens the fuse when a hot wire touches common', () => {
    const shorts = table.faults.filter((fault) => fault.kind === 'short-to-common');
    const idle = shorts.map((short) => cell(table, short.id, 'idle').fuseOpen);
    expect(idle.filter(Boolean)).toHaveLength(1);
    expect(
      shorts.some(
        (short) => cell(table, short.id, 'cool1').fuseOpen && !cell(table, short.id, 'idle').fuseOpen
      )
    ).toBe(true);
  });

  it('takes everything away with the supply, the fuse or the door switch', () => {
    for (const kind of ['supply-off', 'fuse-open', 'switch-open']) {
      const fault = table.faults.find((candidate) => candidate.kind === kind)!;
      expect(cell(table, fault.id, 'heat1')).toMatchObject({ runs: [], volts: 0 });
    }
  });
});

it('has a house for every kind of fault', () => {
  const spread = { ...CATALOGUE.find((device) => device.id === 'de-fellgate')! };
  const bench: PoweredHouse = {
    world: worldOf('furnace-ac'),
    wiring: wiringFrom({
      devices: [thermostatOf(spread, 'th'), boardOf('eq', ['R', 'C', 'W', 'Y', 'G'])],
      strands: [strandOf('co-1', ['th', 'RC'], ['eq', 'R']), strandOf('co-2', ['th', 'Y'], ['eq', 'Y'])],
      links: []
    })
  };
  const kinds = [...Object.values(houses).map((make) => make()), bench].flatMap((poweredHouse) =>
    faultsFor(poweredHouse).map((fault) => fault.kind)
  );
  expect(FAULT_KINDS.filter((kind) => !kinds.includes(kind))).toEqual([]);
});
