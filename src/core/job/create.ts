/** Empty records, in the one shape that the schema allows. Ids are handed in or counted up; nothing here is random. */
import type { Gauge } from '../trade/cable';
import type { ColourCode } from '../trade/colours';
import { NOTHING_PRIVATE } from './after-schema';
import {
  nextId,
  type CableId,
  type ConductorId,
  type EquipmentId,
  type JobId,
  type ThermostatId
} from './ids';
import {
  JOB_FORMAT,
  JOB_VERSION,
  type Cable,
  type Conductor,
  type ConductorEnd,
  type Equipment,
  type Job,
  type Thermostat,
  type WhereId
} from './schema';
import { screwIdFor } from './screws';
import { EMPTY_SURVEY, EMPTY_WALL_FACE } from './survey-schema';

export const UNSEEN: ConductorEnd = { state: 'unseen', on: [] };

/** On the first screw with this print. */
export function landedOn(at: WhereId, mark: string): ConductorEnd {
  return { state: 'landed', on: [{ at, screw: screwIdFor(mark) }] };
}

export function emptyConductor(id: ConductorId, cable: CableId, colour: ColourCode | null = null): Conductor {
  return {
    id,
    cable,
    colour,
    stripe: null,
    label: '',
    position: null,
    near: UNSEEN,
    far: UNSEEN,
    splices: [],
    continuity: 'untested'
  };
}

export interface CableSketch {
  readonly gauge?: Gauge | null;
  readonly lengthM?: number | null;
  readonly near?: WhereId | null;
  readonly far?: WhereId | null;
}

export function emptyCable(id: CableId, name: string, sketch: CableSketch = {}): Cable {
  const { gauge = null, lengthM = null, near = null, far = null } = sketch;
  return { id, name, gauge, lengthM, path: 'unknown', insulation: 'unknown', near, far };
}

export function emptyEquipment(id: EquipmentId, name: string): Equipment {
  return {
    id,
    name,
    place: '',
    maker: '',
    model: '',
    screws: [],
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
    behindSwitch: 'unknown',
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
    screws: [],
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
    seen: [],
    settings: [],
    readings: [],
    tests: [],
    testing: null,
    oldOneWent: 'unknown',
    private: NOTHING_PRIVATE,
    mains: null,
    log: [],
    oldTicks: [],
    notes: []
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
    places: [],
    devices: [],
    survey: EMPTY_SURVEY,
    closed: null
  };
}
