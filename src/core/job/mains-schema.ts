/**
 * The record of mains heating controls: the devices with their screws, the cables and wires between them, what is under each number of the
 * wiring centre. Ends that nobody has read stay `unseen`, screws that nobody can name stay `unknown`.
 */
import * as v from 'valibot';
import { ColourCode } from '../trade/colours';
import {
  BoilerInput,
  Competence,
  ContactKind,
  MainsFunction,
  MainsMethod,
  MainsPart,
  Serves
} from '../trade/mains';
import { EndState } from '../trade/vocabulary';
import { ControllerFacts } from './controller-facts';
import { CableId, ConductorId, ControllerId, LinkId, MainsDeviceId, ScrewId } from './ids';
import { listOf } from './limits';
import { LogEntry } from './log-schema';
import { positive, printedMark, shortText, text, timeText } from './primitives';
import { YesNo } from './survey-schema';

/** A screw as printed, and what it does. */
export const MainsScrew = v.strictObject({ id: ScrewId, mark: printedMark, does: MainsFunction });
export type MainsScrew = v.InferOutput<typeof MainsScrew>;

export const MainsDevice = v.strictObject({
  id: MainsDeviceId,
  part: MainsPart,
  name: shortText,
  place: shortText,
  screws: listOf(MainsScrew, 'terminals of a machine'),
  /** Of a valve, a thermostat, a pump. */
  serves: v.optional(Serves, 'unknown'),
  /** Of a timer: how its contacts are made. */
  contacts: v.optional(ContactKind, 'unknown'),
  /** Of a timer: heating cannot be on without hot water. */
  heatingBringsWater: v.optional(YesNo, 'unknown'),
  /** Of a boiler. */
  input: v.optional(BoilerInput, 'unknown'),
  /** Of a boiler: it makes hot water at the tap by itself. */
  combination: v.optional(YesNo, 'unknown'),
  /** Of a spur: its fuse, A. */
  fuseAmps: v.optional(v.nullable(positive(63)), null),
  note: v.optional(text, '')
});
export type MainsDevice = v.InferOutput<typeof MainsDevice>;

export const MainsCable = v.strictObject({
  id: CableId,
  name: shortText,
  /** The devices that it joins; null where nobody knows. */
  near: v.nullable(MainsDeviceId),
  far: v.nullable(MainsDeviceId),
  lengthM: v.optional(v.nullable(positive(1000)), null)
});
export type MainsCable = v.InferOutput<typeof MainsCable>;

export const MainsEnd = v.strictObject({
  state: EndState,
  on: v.nullable(v.strictObject({ device: MainsDeviceId, screw: ScrewId }))
});
export type MainsEnd = v.InferOutput<typeof MainsEnd>;

export const MainsWire = v.strictObject({
  id: ConductorId,
  cable: CableId,
  colour: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  /** Colour of a sleeve that says that it is used otherwise than its insulation says. */
  sleeve: v.optional(v.nullable(ColourCode), null),
  label: v.optional(shortText, ''),
  near: MainsEnd,
  far: MainsEnd,
  /** Measured from end to end with the power off. */
  continuity: v.optional(
    v.picklist(['untested', 'proven', 'broken'], 'untested, proven or broken'),
    'untested'
  )
});
export type MainsWire = v.InferOutput<typeof MainsWire>;

/** A short piece of wire, or a bridge inside, between two screws of one device. */
export const MainsLink = v.strictObject({
  id: LinkId,
  device: MainsDeviceId,
  a: ScrewId,
  b: ScrewId,
  kind: v.picklist(['wire', 'inside'], 'wire or inside')
});
export type MainsLink = v.InferOutput<typeof MainsLink>;

/** Who does the work on the mains, said for this job by the user. */
export const MainsCompetence = v.strictObject({
  who: Competence,
  name: v.optional(shortText, ''),
  at: v.nullable(timeText)
});

/** Dead by an approved tester, itself proven before and after: what was read, V. */
export const DeadProof = v.strictObject({
  at: timeText,
  testerBefore: v.boolean('true or false'),
  liveNeutral: v.nullable(v.boolean('true or false')),
  liveEarth: v.nullable(v.boolean('true or false')),
  neutralEarth: v.nullable(v.boolean('true or false')),
  testerAfter: v.boolean('true or false')
});
export type DeadProof = v.InferOutput<typeof DeadProof>;

export const MainsChoice = v.strictObject({
  controller: v.nullable(ControllerId),
  method: v.nullable(MainsMethod),
  variant: v.optional(v.nullable(shortText), null)
});

/** Whether a test of a row was good; the rows are those of the truth table. */
export const MainsTest = v.strictObject({
  row: shortText,
  result: v.picklist(['good', 'bad', 'put-off', 'cannot'], 'good, bad, put-off or cannot'),
  at: timeText,
  /** The day that it is put off to, `YYYY-MM-DD`. */
  until: v.optional(v.nullable(v.pipe(v.string('a day'), v.isoDate('a day such as 2026-12-31'))), null),
  note: v.optional(text, '')
});
export type MainsTest = v.InferOutput<typeof MainsTest>;

export const MainsControls = v.strictObject({
  devices: listOf(MainsDevice, 'mains devices'),
  cables: listOf(MainsCable, 'mains cables'),
  wires: listOf(MainsWire, 'conductors'),
  links: listOf(MainsLink, 'links'),
  /** Answers about the layout, by the id of the question. */
  observed: v.optional(v.record(shortText, shortText), {}),
  controllers: v.optional(listOf(ControllerFacts, 'devices'), []),
  choice: v.optional(MainsChoice, { controller: null, method: null, variant: null }),
  competence: v.optional(MainsCompetence, { who: 'unsaid', name: '', at: null }),
  dead: v.optional(v.nullable(DeadProof), null),
  tests: v.optional(listOf(MainsTest, 'test results'), []),
  seen: v.optional(v.record(shortText, shortText), {}),
  /** What has been done on the mains wiring, in order. */
  log: v.optional(listOf(LogEntry, 'log entries'), []),
  /** Settings made on the controller, by the id of the setting. */
  settings: v.optional(v.record(shortText, shortText), {})
});
export type MainsControls = v.InferOutput<typeof MainsControls>;
