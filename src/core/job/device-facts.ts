/** Facts of a thermostat as its own sheet states them: the same shape for the shipped catalogue and for a user's device. */
import { HOME_SYSTEMS } from '../trade/home-systems';
import { SETTING_IDS } from '../trade/setting-ids';
import * as v from 'valibot';
import { DeviceId } from './ids';
import { mark, positive, shortText, text, wholeNumber } from './primitives';

export const SUPPLY_NEEDS = [
  'common-required',
  'common-or-battery',
  'self-charging',
  'battery',
  /** A wired receiver at the equipment, and a wireless part with cells on the wall. `marks` are the receiver's. */
  'paired-receiver'
] as const;
export const RAILS = ['one-r', 'link-removable', 'link-to-be-cut', 'joined-inside'] as const;

export const ADAPTER_RULES = ['any', 'own', 'none', 'unknown'] as const;
/** Whether its sheet allows it to charge itself through an idle call: on any load, on none, or it says nothing. */
export const CHARGES_THROUGH = ['any', 'none', 'unknown'] as const;
export const ACCESSORY_OUTPUTS = ['none', 'powered', 'dry', 'unknown'] as const;

/** How a thermostat is set up: numbered functions, questions on its screen, switches, a dial, menus by name; or its sheet was not read. */
export const SET_UP_STYLES = ['unknown', 'numbers', 'questions', 'switches', 'dial', 'menus'] as const;

/** One setting as the device has it. */
export const SetUpEntry = v.strictObject({
  setting: v.picklist(SETTING_IDS, `one of ${SETTING_IDS.join(', ')}`),
  /** As its sheet names the place: a number, a question, a switch, a menu. */
  name: shortText,
  /** What each value is called or coded there. */
  values: v.pipe(
    v.array(v.strictObject({ value: shortText, shown: shortText })),
    v.maxLength(12, 'at most 12 values')
  ),
  /** The value as it comes out of the box; null where the sheet says nothing. */
  preset: v.nullable(shortText)
});
export type SetUpEntry = v.InferOutput<typeof SetUpEntry>;

export const SetUpMenu = v.strictObject({
  style: v.picklist(SET_UP_STYLES, `one of ${SET_UP_STYLES.join(', ')}`),
  entries: v.pipe(
    v.array(SetUpEntry),
    v.maxLength(SETTING_IDS.length, `at most ${SETTING_IDS.length} settings`)
  )
});
export type SetUpMenu = v.InferOutput<typeof SetUpMenu>;
export const UNREAD_MENU: SetUpMenu = { style: 'unknown', entries: [] };

export const DeviceFacts = v.strictObject({
  id: DeviceId,
  maker: shortText,
  model: shortText,
  /** What feeds it. */
  supply: v.picklist(SUPPLY_NEEDS, `one of ${SUPPLY_NEEDS.join(', ')}`),
  /** Terminals that it has, as printed. */
  marks: v.pipe(v.array(mark), v.maxLength(32, 'at most 32 terminals')),
  heatStages: wholeNumber(0, 4),
  coolStages: wholeNumber(0, 4),
  heatPump: v.boolean('true or false: can it drive a heat pump'),
  /** How it keeps the hot side for heating and that for cooling. */
  rails: v.picklist(RAILS, `one of ${RAILS.join(', ')}`),
  /** The hot terminal that feeds its own electronics. */
  electronicsFrom: mark,
  /** Voltage at its own terminals, volts AC RMS. */
  voltsMin: positive(400),
  voltsMax: positive(400),
  /** What its electronics draw, VA. */
  drawVa: positive(50),
  /** Plate, millimetres. */
  plateWidthMm: positive(1000),
  plateHeightMm: positive(1000),
  wifiBands: shortText,
  price: v.nullable(positive(100000)),
  note: text,
  /** What its sheet says of modules that put two calls on one conductor: any, only the one in its box, none, or nothing. */
  adapters: v.optional(v.picklist(ADAPTER_RULES, `one of ${ADAPTER_RULES.join(', ')}`), 'unknown'),
  /** Of one that charges itself: the loads that its sheet allows it on without a common. */
  chargesThrough: v.optional(v.picklist(CHARGES_THROUGH, `one of ${CHARGES_THROUGH.join(', ')}`), 'unknown'),
  /** Its outputs for a humidifier, a ventilator and the like: none, powered from R, or dry contacts. */
  accessoryOutputs: v.optional(
    v.picklist(ACCESSORY_OUTPUTS, `one of ${ACCESSORY_OUTPUTS.join(', ')}`),
    'unknown'
  ),
  /** Home systems that its sheet names; null where it says nothing. */
  worksWith: v.optional(
    v.nullable(v.pipe(v.array(v.picklist(HOME_SYSTEMS)), v.maxLength(HOME_SYSTEMS.length))),
    null
  ),
  /** Where its menus ask for the kind of system: codes or names, as its sheet has them. */
  setUp: v.optional(text, ''),
  /** Its settings one by one, as its sheet has them. */
  setUpMenu: v.optional(SetUpMenu, UNREAD_MENU)
});

/**
 * Facts as they are entered or come in from a file: those that have to agree with each other are held to it. A job that was kept with
 * others is still read.
 */
export const DeviceSheet = v.pipe(
  DeviceFacts,
  v.forward(
    v.partialCheck(
      [['voltsMin'], ['voltsMax']],
      ({ voltsMin, voltsMax }) => voltsMin < voltsMax,
      'less than the highest voltage'
    ),
    ['voltsMin']
  ),
  v.forward(
    v.partialCheck(
      [['electronicsFrom'], ['marks']],
      ({ electronicsFrom, marks }) => marks.includes(electronicsFrom),
      'one of its own terminals'
    ),
    ['electronicsFrom']
  )
);
export type DeviceFacts = v.InferOutput<typeof DeviceFacts>;
