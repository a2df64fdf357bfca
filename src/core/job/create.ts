/** Empty records, in the one shape that the schema allows. Ids are handed in or counted up; nothing here is random. */
import type { Gauge } from '../trade/cable';
import type { ColourCode } from '../trade/colours';
import {
  nextId,
  type CableId,
  type ConductorId,
  type EquipmentId,
  type JobId,
  type ThermostatId
} from './ids';
import { EMPTY_SURVEY, EMPTY_WALL_FACE } from './survey-schema';
import {
  JOB_FORMAT,
  JOB_VERSION,
  type Cable,
  type Conductor,
  type ConductorEnd,
  type Equipment,
  type Job,
  type Thermostat
} from './schema';

export const UNSEEN: ConductorEnd = { state: 'unseen', on: [] };

export function landedOn(at: ThermostatId | EquipmentId, mark: string): ConductorEnd {
  return { state: 'landed', on: [{ at, mark }] };
}

export function emptyConductor(id: ConductorId, cable: CableId, colour: ColourCode | null = null): Conductor {
  return {
    id,
    cable,
    colour,
    stripe: null,
    label: '',
    position: null,
    wall: UNSEEN,
    equipment: UNSEEN,
    splices: [],
    continuity: 'untested'
  };
}

export function emptyCable(
  id: CableId,
  name: string,
  gauge: Gauge | null = null,
  lengthM: number | null = null
): Cable {
  return { id, name, gauge, lengthM, path: 'unknown' };
}

export function emptyEquipment(id: EquipmentId, name: string): Equipment {
  return {
    id,
    name,
    place: '',
    maker: '',
    model: '',
    marks: [],
    transformerVa: null,
    plannedVa: null,
    fuseAmps: null,
    kind: 'unknown',
    fuel: 'unknown',
    serial: '',
    heatStages: null,
    coolStages: null,
    breaker: '',
    serviceSwitch: '',
    accessories: [],
    others: [],
    trace: []
  };
}

export function emptyThermostat(
  id: ThermostatId,
  name: string,
  equipment: readonly EquipmentId[]
): Thermostat {
  return {
    id,
    name,
    marks: [],
    oldSupply: 'unknown',
    equipment: [...equipment],
    cables: [],
    conductors: [],
    links: [],
    observed: {},
    statedFamily: null,
    outlet: 'unknown',
    choice: { device: null, method: null, variant: null },
    face: EMPTY_WALL_FACE,
    signal: [],
    path: { stretches: [], more: 0 },
    stops: {},
    off: {},
    mercury: 'unknown',
    photos: [],
    foundEnds: [],
    minds: { cost: 1, work: 1, looks: 1 },
    bench: [],
    done: []
  };
}

/** A job with one thermostat and the machine that it drives, nothing read yet. */
export function newJob(id: JobId, name: string): Job {
  const equipment = emptyEquipment(nextId('equipment', []), 'Furnace, air handler or boiler');
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    id,
    name,
    place: '',
    note: '',
    units: { length: 'm', temperature: 'C' },
    equipment: [equipment],
    thermostats: [emptyThermostat(nextId('thermostat', []), 'Thermostat', [equipment.id])],
    devices: [],
    survey: EMPTY_SURVEY
  };
}
