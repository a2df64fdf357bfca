/**
 * The job: what somebody saw at the wall and at the equipment of a house, with doubt kept.
 * The Valibot schema is the source of the types, of the JSON Schema and of the checks on everything that comes in.
 * It says what a file may hold, not what a house may be: impossible records are findings (`record-findings.ts`).
 */
import * as v from 'valibot';
import { Gauge } from '../trade/cable';
import { ColourCode } from '../trade/colours';
import { EndState, Family, MethodId } from '../trade/vocabulary';
import { DeviceFacts } from './device-facts';
import { FoundEnd, OtherLanding, Photo, StopAnswer, SupplyOff, TraceFinding } from './reading-schema';
import {
  CablePath,
  EMPTY_SURVEY,
  EMPTY_WALL_FACE,
  SignalReading,
  Survey,
  WallFace,
  YesNo
} from './survey-schema';
import { BenchNote, MOST_BENCH_NOTES, MoveTick } from './bench-schema';
import { CableId, ConductorId, DeviceId, EquipmentId, JobId, LinkId, SpliceId, ThermostatId } from './ids';
import { mark, positive, shortText, text, wholeNumber } from './primitives';

export const JOB_FORMAT = 'ulterum-job';
export const JOB_VERSION = 1;

/** A screw: the thermostat or machine it belongs to, and the mark beside it. */
export const TerminalRef = v.strictObject({
  at: v.union([ThermostatId, EquipmentId], 'the id of a thermostat or of equipment'),
  mark
});
export type TerminalRef = v.InferOutput<typeof TerminalRef>;

/**
 * One end of a conductor. `on` holds the terminal that it is landed on; more than one, or one on an end that is not landed, can be
 * written down and is reported as a finding.
 */
export const ConductorEnd = v.strictObject({
  state: EndState,
  on: v.pipe(v.array(TerminalRef), v.maxLength(8, 'at most 8 terminals'))
});
export type ConductorEnd = v.InferOutput<typeof ConductorEnd>;

export const Splice = v.strictObject({
  id: SpliceId,
  /** Colour of the conductor from here on towards the equipment; null when it was not seen. */
  colourBeyond: v.nullable(ColourCode),
  /** False for a joint that is only inferred, from a colour that differs between the ends. */
  seen: v.boolean('true or false: was the joint seen'),
  place: shortText
});
export type Splice = v.InferOutput<typeof Splice>;

export const Conductor = v.strictObject({
  id: ConductorId,
  cable: CableId,
  /** Colour at the wall. */
  colour: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  /** The user's own label on it: tape, a number, a letter. */
  label: shortText,
  /** Its place in the sheath or on the strip, counted by the user: tells two of one colour apart. */
  position: v.optional(v.nullable(wholeNumber(1, 200)), null),
  wall: ConductorEnd,
  equipment: ConductorEnd,
  splices: v.pipe(v.array(Splice), v.maxLength(8, 'at most 8 splices')),
  /** Measured from end to end with the power off. */
  continuity: v.picklist(['untested', 'proven', 'broken'], 'untested, proven or broken')
});
export type Conductor = v.InferOutput<typeof Conductor>;

export const Cable = v.strictObject({
  id: CableId,
  name: shortText,
  gauge: v.nullable(Gauge),
  /** One way, metres. */
  lengthM: v.nullable(positive(1000)),
  path: v.picklist(['free', 'stapled', 'unknown'], 'free, stapled or unknown')
});
export type Cable = v.InferOutput<typeof Cable>;

export const Link = v.strictObject({
  id: LinkId,
  end: v.picklist(['wall', 'equipment'], 'wall or equipment'),
  a: TerminalRef,
  b: TerminalRef,
  kind: v.picklist(['wire', 'clip', 'inside'], 'wire, clip or inside')
});
export type Link = v.InferOutput<typeof Link>;

export const MACHINE_KINDS = [
  'furnace',
  'air-handler',
  'boiler',
  'room-heater',
  'zone-panel',
  'zone-pump-panel',
  'outdoor-unit',
  /** A module of the old thermostat that stands between its conductors and a board. */
  'old-adapter',
  'other',
  'unknown'
] as const;
export type MachineKind = (typeof MACHINE_KINDS)[number];
export const FUELS = ['gas', 'oil', 'propane', 'electricity', 'wood', 'none', 'unknown'] as const;

export const ACCESSORY_KINDS = [
  'humidifier',
  'dehumidifier',
  'ventilator',
  'condensate-pump',
  'lamp'
] as const;
/** Something that hangs on a machine, and whether it needs a relay of its own. */
export const Accessory = v.strictObject({
  kind: v.picklist(ACCESSORY_KINDS, `one of ${ACCESSORY_KINDS.join(', ')}`),
  ownRelay: YesNo,
  note: shortText
});
export type Accessory = v.InferOutput<typeof Accessory>;

export const Equipment = v.strictObject({
  id: EquipmentId,
  name: shortText,
  place: shortText,
  maker: shortText,
  model: shortText,
  /** Terminal marks seen on its board or strip. */
  marks: v.pipe(v.array(mark), v.maxLength(40, 'at most 40 terminals')),
  /** Nameplate of its control transformer, VA. */
  transformerVa: v.nullable(positive(1000)),
  /** Size of the transformer that is to take its place, VA, up to what Class 2 allows; null where it stays. */
  plannedVa: v.optional(v.nullable(positive(100)), null),
  /** Blade fuse on the board, amps; null when none was seen. */
  fuseAmps: v.nullable(positive(50)),
  kind: v.optional(v.picklist(MACHINE_KINDS, `one of ${MACHINE_KINDS.join(', ')}`), 'unknown'),
  fuel: v.optional(v.picklist(FUELS, `one of ${FUELS.join(', ')}`), 'unknown'),
  serial: v.optional(shortText, ''),
  /** Stages by its plate or board. */
  heatStages: v.optional(v.nullable(wholeNumber(0, 4)), null),
  coolStages: v.optional(v.nullable(wholeNumber(0, 4)), null),
  /** Its breaker, as the directory of the panel names it, and where its service switch is. */
  breaker: v.optional(shortText, ''),
  serviceSwitch: v.optional(shortText, ''),
  accessories: v.optional(v.pipe(v.array(Accessory), v.maxLength(12, 'at most 12 accessories')), []),
  /** Conductors under its screws that are not the thermostat's. */
  others: v.optional(v.pipe(v.array(OtherLanding), v.maxLength(40, 'at most 40')), []),
  /** The way to a common that no mark names. */
  trace: v.optional(v.pipe(v.array(TraceFinding), v.maxLength(20, 'at most 20 findings')), [])
});
export type Equipment = v.InferOutput<typeof Equipment>;

const minded = v.picklist([0, 1, 2], '0 (not at all), 1 (as usual) or 2 (much)');
export const Minds = v.strictObject({ cost: minded, work: minded, looks: minded });
export type Minds = v.InferOutput<typeof Minds>;

export const Thermostat = v.strictObject({
  id: ThermostatId,
  name: shortText,
  /** Terminals of the old plate, as printed. */
  marks: v.pipe(v.array(mark), v.maxLength(32, 'at most 32 terminals')),
  /** What the old one lives on. */
  oldSupply: v.picklist(['none', 'battery', 'common', 'unknown'], 'none, battery, common or unknown'),
  equipment: v.pipe(v.array(EquipmentId), v.maxLength(8, 'at most 8 machines')),
  cables: v.pipe(v.array(Cable), v.maxLength(16, 'at most 16 cables')),
  conductors: v.pipe(v.array(Conductor), v.maxLength(200, 'at most 200 conductors')),
  links: v.pipe(v.array(Link), v.maxLength(100, 'at most 100 links')),
  /** Answers to the observations of `identify`, by their id. */
  observed: v.record(
    shortText,
    v.union([shortText, v.pipe(v.number(), v.finite())], 'an answer or a reading')
  ),
  /** What the user knows it to be; the evidence is still weighed, and what disagrees is said. */
  statedFamily: v.nullable(Family),
  /** An outlet near the wall plate. */
  outlet: v.picklist(['near', 'none', 'unknown'], 'near, none or unknown'),
  choice: v.strictObject({
    device: v.nullable(DeviceId),
    method: v.nullable(MethodId),
    /** Which of the method's variants; null for the best. */
    variant: v.optional(v.nullable(shortText), null)
  }),
  /** How much the user minds cost, work and looks; harm and lost functions always come first. */
  minds: v.optional(Minds, { cost: 1, work: 1, looks: 1 }),
  face: v.optional(WallFace, EMPTY_WALL_FACE),
  signal: v.optional(v.pipe(v.array(SignalReading), v.maxLength(200, 'at most 200 readings')), []),
  path: v.optional(CablePath, { stretches: [], more: 0 }),
  /** Answers to the stop questions, by their id. */
  stops: v.optional(v.record(shortText, StopAnswer), {}),
  /** Supplies that were cut, by the id of the supply. */
  off: v.optional(v.record(shortText, SupplyOff), {}),
  mercury: v.optional(YesNo, 'unknown'),
  photos: v.optional(v.pipe(v.array(Photo), v.maxLength(60, 'at most 60 photos')), []),
  foundEnds: v.optional(v.pipe(v.array(FoundEnd), v.maxLength(200, 'at most 200 ends')), []),
  bench: v.optional(
    v.pipe(v.array(BenchNote), v.maxLength(MOST_BENCH_NOTES, `at most ${MOST_BENCH_NOTES} notes`)),
    []
  ),
  /** Moves that were done, each with its time. */
  done: v.optional(v.pipe(v.array(MoveTick), v.maxLength(400, 'at most 400 moves')), [])
});
export type Thermostat = v.InferOutput<typeof Thermostat>;

export const Job = v.strictObject({
  format: v.literal(JOB_FORMAT, `"${JOB_FORMAT}"`),
  version: v.literal(JOB_VERSION, `${JOB_VERSION}`),
  id: JobId,
  name: v.pipe(shortText, v.minLength(1, 'a name')),
  place: shortText,
  note: text,
  units: v.strictObject({
    length: v.picklist(['m', 'ft'], 'm or ft'),
    temperature: v.picklist(['C', 'F'], 'C or F')
  }),
  equipment: v.pipe(v.array(Equipment), v.maxLength(24, 'at most 24 machines')),
  thermostats: v.pipe(v.array(Thermostat), v.maxLength(40, 'at most 40 thermostats')),
  /** Thermostats whose facts the user entered. */
  devices: v.pipe(v.array(DeviceFacts), v.maxLength(60, 'at most 60 devices')),
  survey: v.optional(Survey, EMPTY_SURVEY)
});
export type Job = v.InferOutput<typeof Job>;
