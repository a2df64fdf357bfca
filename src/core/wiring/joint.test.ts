import { describe, expect, it } from 'vitest';
import { running } from '../circuit/expected';
import { simulate } from '../circuit/simulate';
import { findDevice } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { neighboursOf, wantedWiring } from '../plan/neighbours';
import { worldOf } from '../houses/hand-wired';
import { furnaceFourWires, heatOnly } from '../houses/houses';
import { choosing, zonedHouse } from '../houses/zoned-houses';
import { wiringOf } from './from-job';
import { boards, landedTerminal, type Wiring } from './graph';
import { jointWiring, sharedBoards } from './joint';

const zones = (count: number) => choosing(zonedHouse(count), 'de-fellgate', 'spare-conductor');
const joined = (count: number): Wiring => {
  const job = zones(count);
  const [first] = job.thermostats;
  return jointWiring(wantedWiring(job, first!), neighboursOf(job, first!));
};
const ends = (wiring: Wiring, mark: string) =>
  wiring.strands
    .flatMap((strand) => landedTerminal(strand.far) ?? [])
    .filter((candidate) => candidate.endsWith(mark));

describe('several thermostats as one graph', () => {
  it('has each machine once, and every part under a name of its own', () => {
    const wiring = joined(3);
    expect(boards(wiring)).toHaveLength(1);
    for (const list of [wiring.devices, wiring.strands, wiring.cables, wiring.links]) {
      const ids = list.map((entry) => entry.id);
      expect(new Set(ids).size).toBe(ids.length);
    }
    expect(wiring.devices.filter((device) => device.kind === 'new-thermostat')).toHaveLength(3);
  });

  it('gives each zone of a panel a call terminal of its own, and all the same hot and common', () => {
    const wiring = joined(3);
    expect(ends(wiring, '.W1')).toEqual(['eq-1.W1']);
    expect([...ends(wiring, '.W1-2'), ...ends(wiring, '.W1-3')]).toEqual(['eq-1.W1-2', 'eq-1.W1-3']);
    expect(new Set(ends(wiring, '.R'))).toEqual(new Set(['eq-1.R']));
    const made = simulate(wiring, worldOf('boiler'), 'heat1');
    if (!made.ok) throw new Error(made.why);
    expect(running(made.result.loads)).toEqual(['zone-valve', 'boiler', 'circulator']);
    expect(made.result.feeds).toHaveLength(3);
    expect(made.result.feeds.every((feed) => feed.fed)).toBe(true);
  });

  it('takes the same mark on any other machine for the same screw', () => {
    const { job, thermostat } = furnaceFourWires();
    const wiring = wiringOf(job, thermostat);
    const both = jointWiring(wiring, [{ thermostat: 'th-2', wiring }]);
    expect(new Set(ends(both, '.W1')).size).toBe(1);
    expect(both.strands).toHaveLength(2 * wiring.strands.length);
  });

  it('leaves out a neighbour that shares no machine', () => {
    const house = furnaceFourWires();
    const wiring = wiringOf(house.job, house.thermostat);
    const elsewhere = wiringOf(heatOnly().job, heatOnly().thermostat);
    const moved: Wiring = {
      ...elsewhere,
      devices: elsewhere.devices.map((device) =>
        device.kind === 'board' ? { ...device, id: 'eq-9' } : device
      )
    };
    expect(sharedBoards(wiring, moved)).toEqual([]);
    expect(jointWiring(wiring, [{ thermostat: 'th-2', wiring: moved }])).toBe(wiring);
  });

  it('can only lower the voltage at a thermostat, never raise it', () => {
    const world = worldOf('boiler');
    const own = wantedWiring(zones(1), zones(1).thermostats[0]!);
    const device = own.devices.find((candidate) => candidate.kind === 'new-thermostat')?.id;
    const volts = (wiring: Wiring) => {
      const made = simulate(wiring, world, 'heat1');
      return made.ok ? (made.result.feeds.find((feed) => feed.device === device)?.volts ?? 0) : 0;
    };
    const falling = [own, joined(2), joined(3), joined(4)].map(volts);
    expect([...falling].sort((a, b) => b - a)).toEqual(falling);
    expect(new Set(falling.map((value) => value.toFixed(3))).size).toBe(4);
  });
});

describe('neighbours of a plan', () => {
  it('count as they are today until a device is chosen for them', () => {
    const job = zones(2);
    const [first, second] = job.thermostats;
    const open = { ...second!, choice: { device: null, method: null, variant: null } };
    const [asToday] = neighboursOf({ ...job, thermostats: [first!, open] }, first!);
    expect(asToday?.wiring.devices.some((device) => device.kind === 'new-thermostat')).toBe(false);
    const [asChosen] = neighboursOf(job, first!);
    expect(asChosen?.wiring.devices.some((device) => device.kind === 'new-thermostat')).toBe(true);
  });

  it('show in the proof as load and volts, and leave the rows of what runs alone', () => {
    const job = zones(3);
    const [first] = job.thermostats;
    const device = findDevice(job, 'de-fellgate') ?? null;
    const row = (neighbours?: []) =>
      planFor(job, first!, { device, ...(neighbours ? { neighbours } : {}) })
        .options.find((option) => option.method === 'spare-conductor')
        ?.proof?.worlds[0]?.rows.find((proofRow) => proofRow.call === 'heat1');
    const [alone, together] = [row([]), row()];
    expect(together?.after).toEqual(alone?.after);
    expect(together?.lost).toEqual([]);
    expect(together?.loadShare).toBeGreaterThan(2 * (alone?.loadShare ?? 1));
    expect(together?.voltsAfter).toBeLessThan(alone?.voltsAfter ?? 0);
  });
});
