/** Wirings written by hand for tests and measurements, without a job behind them. */
import type { World } from '../devices/world';
import type { DeviceFacts } from '../job/device-facts';
import { conductorOhms } from '../trade/cable';
import type { Family } from '../trade/vocabulary';
import {
  screwsOfMarks,
  terminalId,
  type Adapter,
  type Board,
  type NewThermostat,
  type PlugInTransformer,
  type Receiver,
  type Splitter,
  type Strand,
  type TerminalId,
  type WireLink,
  type Wiring
} from '../wiring/graph';

export function worldOf(family: Family, more: Partial<World> = {}): World {
  const heatPump = family === 'heat-pump' || family === 'dual-fuel';
  return {
    id: family,
    family,
    blowerInHeat: heatPump ? 'g' : 'board',
    blowerInCool: 'g',
    compressor: ['furnace-ac', 'heat-pump', 'dual-fuel', 'boiler-plus-ac', 'cooling-only'].includes(family),
    reversing: heatPump ? 'O' : 'none',
    says: `a ${family}`,
    ...more
  };
}

/** Every board and small part is at a machine of its own name, every thermostat at the wall. */
export function boardOf(id: string, marks: readonly string[], more: Partial<Board> = {}): Board {
  return {
    kind: 'board',
    id,
    at: id,
    name: id,
    screws: screwsOfMarks(id, marks),
    transformerVa: 40,
    fuseAmps: 3,
    tracedCommon: null,
    machine: 'unknown',
    accessories: [],
    others: [],
    ...more
  };
}

export function thermostatOf(facts: DeviceFacts, id: string = facts.id): NewThermostat {
  return {
    kind: 'new-thermostat',
    id,
    at: 'wall',
    control: id,
    name: facts.model,
    screws: screwsOfMarks(id, facts.marks),
    facts
  };
}

export function receiverOf(facts: DeviceFacts): Receiver {
  return {
    kind: 'receiver',
    id: 'receiver',
    at: 'machine',
    control: 'receiver',
    name: facts.model,
    screws: screwsOfMarks('receiver', facts.marks),
    facts
  };
}

export const splitter: Splitter = {
  kind: 'splitter',
  id: 'split',
  at: 'wall',
  name: 'splitter',
  screws: screwsOfMarks('split', ['Y', 'G', 'K'])
};

export const adapter: Adapter = {
  kind: 'adapter',
  id: 'adapter',
  at: 'machine',
  name: 'adapter',
  screws: screwsOfMarks('adapter', ['R', 'C', 'K', 'Y', 'G'])
};

export const plug: PlugInTransformer = {
  kind: 'plug-in-transformer',
  id: 'plug',
  at: 'outlet',
  name: 'plug-in supply',
  screws: screwsOfMarks('plug', ['R', 'C']),
  va: 20
};

/** `[device, mark]`, or null for an end that is on nothing. */
export type End = readonly [device: string, mark: string] | null;

/** 15 m of 18 AWG unless said otherwise. */
export function strandOf(id: string, near: End, far: End, lengthM = 15): Strand {
  const landing = (end: End) =>
    end === null
      ? ({ state: 'loose' } as const)
      : ({ state: 'landed', terminal: terminalId(...end) } as const);
  return {
    id,
    cable: 'ca-1',
    name: id,
    colour: null,
    colourBeyond: null,
    stripe: null,
    spliced: 'no',
    continuity: 'proven',
    ohms: conductorOhms(18, lengthM),
    near: landing(near),
    far: landing(far)
  };
}

export function linkOf(at: 'wall' | 'machine', a: TerminalId, b: TerminalId): WireLink {
  return { id: `ln-${a}-${b}`, at, a, b, kind: 'wire' };
}

/** A wiring of these parts: what is at the wall, at an outlet, and at machines follows from the parts. */
export function wiringFrom(parts: Pick<Wiring, 'devices' | 'strands'> & Partial<Wiring>): Wiring {
  const machines = parts.devices.filter((device) => device.kind === 'board');
  return {
    cables: [],
    links: [],
    places: [
      { id: 'wall', kind: 'wall', name: 'wall' },
      { id: 'outlet', kind: 'outlet', name: 'outlet' },
      { id: 'machine', kind: 'machine', name: machines[0]?.name ?? 'machine' },
      ...machines.map((machine) => ({ id: machine.at, kind: 'machine' as const, name: machine.name }))
    ],
    ...parts
  };
}
