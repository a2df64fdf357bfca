/** Wirings written by hand for tests and measurements, without a job behind them. */
import type { World } from '../devices/world';
import type { DeviceFacts } from '../job/device-facts';
import { conductorOhms } from '../trade/cable';
import type { Family } from '../trade/vocabulary';
import {
  terminalId,
  type Adapter,
  type Board,
  type NewThermostat,
  type PlugInTransformer,
  type Receiver,
  type Splitter,
  type Strand,
  type TerminalId,
  type WireLink
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

export function boardOf(id: string, marks: readonly string[], more: Partial<Board> = {}): Board {
  return {
    kind: 'board',
    id,
    place: 'equipment',
    name: id,
    marks,
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
  return { kind: 'new-thermostat', id, place: 'wall', name: facts.model, marks: facts.marks, facts };
}

export function receiverOf(facts: DeviceFacts): Receiver {
  return {
    kind: 'receiver',
    id: 'receiver',
    place: 'equipment',
    name: facts.model,
    marks: facts.marks,
    facts
  };
}

export const splitter: Splitter = {
  kind: 'splitter',
  id: 'split',
  place: 'wall',
  name: 'splitter',
  marks: ['Y', 'G', 'K']
};

export const adapter: Adapter = {
  kind: 'adapter',
  id: 'adapter',
  place: 'equipment',
  name: 'adapter',
  marks: ['R', 'C', 'K', 'Y', 'G']
};

export const plug: PlugInTransformer = {
  kind: 'plug-in-transformer',
  id: 'plug',
  place: 'outlet',
  name: 'plug-in supply',
  marks: ['R', 'C'],
  va: 20
};

/** `[device, mark]`, or null for an end that is on nothing. */
export type End = readonly [device: string, mark: string] | null;

/** 15 m of 18 AWG unless said otherwise. */
export function strandOf(id: string, wall: End, equipment: End, lengthM = 15): Strand {
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
    wall: landing(wall),
    equipment: landing(equipment)
  };
}

export function linkOf(place: WireLink['place'], a: TerminalId, b: TerminalId): WireLink {
  return { id: `ln-${a}-${b}`, place, a, b, kind: 'wire' };
}
