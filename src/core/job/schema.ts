/**
 * The job: what somebody saw at the wall and at the equipment of a house, with doubt kept.
 * The Valibot schema is the source of the types, of the JSON Schema and of the checks on everything that comes in.
 * It says what a file may hold, not what a house may be: impossible records are findings (`record-findings.ts`).
 */
import * as v from 'valibot';
import { Gauge } from '../trade/cable';
import { ColourCode } from '../trade/colours';
import { EndState, Family, MethodId } from '../trade/vocabulary';
import { RoleSource, ScrewRole } from '../trade/roles';
import { DeviceFacts } from './device-facts';
import { OLD_SUPPLIES } from './graph-schema';
import { listOf } from './limits';
import { JobNote, LogEntry, OldTick } from './log-schema';
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
import {
  Closed,
  NOTHING_PRIVATE,
  OLD_ONE_WENT,
  PrivateFacts,
  SettingMade,
  TakenReading,
  TestDone,
  Testing
} from './after-schema';
import { BenchNote, SeenEntry } from './bench-schema';
import { MainsControls } from './mains-schema';
import {
  CableId,
  ConductorId,
  DeviceId,
  EquipmentId,
  JobId,
  LinkId,
  PlaceId,
  ScrewId,
  SpliceId,
  ThermostatId
} from './ids';
import { positive, printedMark, shortText, text, wholeNumber } from './primitives';

export const JOB_FORMAT = 'ulterum-job';
export const JOB_VERSION = 2;

/** What somebody says that a screw is for, and how that is known. */
export const ScrewStatement = v.strictObject({ means: ScrewRole, from: RoleSource });
export type ScrewStatement = v.InferOutput<typeof ScrewStatement>;

/** A terminal. `mark`: as printed beside it, which may be nothing, or what stands beside another one as well. */
export const Screw = v.strictObject({
  id: ScrewId,
  mark: printedMark,
  role: v.optional(v.nullable(ScrewStatement), null)
});
export type Screw = v.InferOutput<typeof Screw>;

/** Where an end may be: at the wall (the id of the thermostat there), at a machine, or at a place of its own. */
export const WhereId = v.union(
  [ThermostatId, EquipmentId, PlaceId],
  'the id of a thermostat, a machine or a place'
);
export type WhereId = v.InferOutput<typeof WhereId>;

/** A screw of a thermostat's plate, of a machine or of another place. */
export const ScrewRef = v.strictObject({ at: WhereId, screw: ScrewId });
export type ScrewRef = v.InferOutput<typeof ScrewRef>;

/**
 * One end of a conductor. `on` holds the terminal that it is landed on; more than one, or one on an end that is not landed, can be
 * written down and is reported as a finding.
 */
export const ConductorEnd = v.strictObject({
  state: EndState,
  on: v.pipe(v.array(ScrewRef), v.maxLength(8, 'at most 8 terminals'))
});
export type ConductorEnd = v.InferOutput<typeof ConductorEnd>;

/** Somewhere that is neither a thermostat's wall nor a machine: an outlet with a supply in it, a strip where cables meet, a joint. */
export const Place = v.strictObject({
  id: PlaceId,
  kind: v.picklist(['outlet', 'wiring-centre', 'joint'], 'outlet, wiring-centre or joint'),
  name: shortText,
  screws: listOf(Screw, 'terminals of a machine'),
  /** Nameplate of a supply that sits there, VA; null where none does, or nobody has read it. */
  supplyVa: v.nullable(positive(1000))
});
export type Place = v.InferOutput<typeof Place>;

export const Splice = v.strictObject({
  id: SpliceId,
  /** Colour of the conductor from here on towards the far end; null when it was not seen. */
  colourBeyond: v.nullable(ColourCode),
  /** False for a joint that is only inferred, from a colour that differs between the ends. */
  seen: v.boolean('true or false: was the joint seen'),
  place: shortText
});
export type Splice = v.InferOutput<typeof Splice>;

export const Conductor = v.strictObject({
  id: ConductorId,
  cable: CableId,
  /** Colour at the near end. */
  colour: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  /** The user's own label on it: tape, a number, a letter. */
  label: shortText,
  /** Its place in the sheath or on the strip, counted by the user: tells two of one colour apart. */
  position: v.optional(v.nullable(wholeNumber(1, 200)), null),
  /** The end nearer to the thermostat, and the one further on. Where each is, its screw says, else its cable. */
  near: ConductorEnd,
  far: ConductorEnd,
  splices: listOf(Splice, 'splices'),
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
  path: v.picklist(['free', 'stapled', 'unknown'], 'free, stapled or unknown'),
  /** `brittle`: it cracks when the wire is bent. */
  insulation: v.optional(v.picklist(['sound', 'brittle', 'unknown'], 'sound, brittle or unknown'), 'unknown'),
  /** The two places that it joins; null where nobody knows. */
  near: v.nullable(WhereId),
  far: v.nullable(WhereId)
});
export type Cable = v.InferOutput<typeof Cable>;

export const Link = v.strictObject({
  id: LinkId,
  /** Where it is. */
  at: WhereId,
  a: ScrewRef,
  b: ScrewRef,
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
  'three-wire-valve',
  'hydro-air',
  'fan-coil',
  'oil-with-fan-centre',
  'electric-heat-relay',
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
  /** The screws of its board or strip, as far as they were read. */
  screws: listOf(Screw, 'terminals of a machine'),
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
  /** Its control transformer hangs behind the burner's switch or a limit: common dies with it. */
  behindSwitch: v.optional(YesNo, 'unknown'),
  accessories: v.optional(listOf(Accessory, 'accessories'), []),
  /** Conductors under its screws that are not the thermostat's. */
  others: v.optional(listOf(OtherLanding, 'conductors of others'), []),
  /** The way to a common that no mark names. */
  trace: v.optional(listOf(TraceFinding, 'trace findings'), [])
});
export type Equipment = v.InferOutput<typeof Equipment>;

const minded = v.picklist([0, 1, 2], '0 (not at all), 1 (as usual) or 2 (much)');
export const Minds = v.strictObject({ cost: minded, work: minded, looks: minded });
export type Minds = v.InferOutput<typeof Minds>;

export const Thermostat = v.strictObject({
  id: ThermostatId,
  name: shortText,
  /** The screws of the old plate. */
  screws: listOf(Screw, 'terminals of a plate'),
  /** What feeds the old one. */
  oldSupply: v.picklist(OLD_SUPPLIES, OLD_SUPPLIES.join(', ')),
  equipment: listOf(EquipmentId, 'machines of a thermostat'),
  cables: listOf(Cable, 'cables'),
  conductors: listOf(Conductor, 'conductors'),
  links: listOf(Link, 'links'),
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
  signal: v.optional(listOf(SignalReading, 'signal readings'), []),
  path: v.optional(CablePath, { stretches: [], more: 0 }),
  /** Answers to the stop questions, by their id. */
  stops: v.optional(v.record(shortText, StopAnswer), {}),
  /** Supplies that were cut, by the id of the supply. */
  off: v.optional(v.record(shortText, SupplyOff), {}),
  mercury: v.optional(YesNo, 'unknown'),
  photos: v.optional(listOf(Photo, 'photos'), []),
  foundEnds: v.optional(listOf(FoundEnd, 'found ends'), []),
  bench: v.optional(listOf(BenchNote, 'bench notes'), []),
  seen: v.optional(listOf(SeenEntry, 'things seen'), []),
  settings: v.optional(listOf(SettingMade, 'settings made'), []),
  readings: v.optional(listOf(TakenReading, 'readings'), []),
  tests: v.optional(listOf(TestDone, 'test results'), []),
  /** The test that is running now. */
  testing: v.optional(v.nullable(Testing), null),
  /** Where the old thermostat went. */
  oldOneWent: v.optional(v.picklist(OLD_ONE_WENT, OLD_ONE_WENT.join(', ')), 'unknown'),
  private: v.optional(PrivateFacts, NOTHING_PRIVATE),
  /** The timer, the thermostats, valves, pump and boiler of mains controls, where that is what hangs here. */
  mains: v.optional(v.nullable(MainsControls), null),
  /** What has been done, in order: the house as it is now is what was found with these changes. */
  log: v.optional(listOf(LogEntry, 'log entries'), []),
  /** Ticks of a file of version 1 that nobody has taken over into the log yet. */
  oldTicks: v.optional(listOf(OldTick, 'notes'), []),
  /** What was done or said that no other field holds. */
  notes: v.optional(listOf(JobNote, 'notes'), [])
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
  equipment: listOf(Equipment, 'machines'),
  thermostats: listOf(Thermostat, 'thermostats'),
  /** Outlets, strips and joints that conductors end at. */
  places: v.optional(listOf(Place, 'places'), []),
  /** Thermostats whose facts the user entered. */
  devices: listOf(DeviceFacts, 'devices'),
  survey: v.optional(Survey, EMPTY_SURVEY),
  closed: v.optional(v.nullable(Closed), null)
});
export type Job = v.InferOutput<typeof Job>;
