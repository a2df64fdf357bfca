/**
 * What is recorded once the thermostat is lit: the settings that were made, the readings that were taken, what came of each test, and how the
 * job was left. Times are ISO; temperatures °C; days `YYYY-MM-DD`.
 */
import * as v from 'valibot';
import { SETTING_IDS } from '../trade/setting-ids';
import { CallText } from './bench-schema';
import { PhotoId } from './ids';
import { shortText, timeText } from './primitives';

export const SettingName = v.picklist(SETTING_IDS, `one of ${SETTING_IDS.join(', ')}`);

/** A setting as it was made. The last one of its id counts. */
export const SettingMade = v.strictObject({ setting: SettingName, value: shortText, at: timeText });
export type SettingMade = v.InferOutput<typeof SettingMade>;

export const TEST_RESULTS = ['good', 'bad', 'put-off', 'cannot'] as const;
export type TestResult = (typeof TEST_RESULTS)[number];

const celsius = v.pipe(
  v.number('a number'),
  v.minValue(-60, 'at least -60 °C'),
  v.maxValue(120, 'at most 120 °C')
);

export const MEASURED = ['volts', 'supply-air', 'return-air', 'outdoors'] as const;
export type Measured = (typeof MEASURED)[number];

/** A reading: what of, between which screws, in which state, when. `value`: volts AC, or °C. */
export const TakenReading = v.strictObject({
  at: timeText,
  what: v.picklist(MEASURED, `one of ${MEASURED.join(', ')}`),
  /** Two screws of a place, as they are printed: `R-C`; empty for a temperature. */
  between: shortText,
  call: CallText,
  value: v.pipe(v.number('a number'), v.minValue(-60, 'at least -60'), v.maxValue(400, 'at most 400')),
  /** Read from an instrument, or taken from the simulated weather service, or from a weather year of the user's own. */
  from: v.picklist(['typed', 'simulated', 'weather-year'], 'typed, simulated or weather-year')
});
export type TakenReading = v.InferOutput<typeof TakenReading>;

/** What came of a test. The last one of a call counts; those before it stay on the record. */
export const TestDone = v.strictObject({
  call: CallText,
  at: timeText,
  result: v.picklist(TEST_RESULTS, `one of ${TEST_RESULTS.join(', ')}`),
  /** Why it cannot be tested, or what was not good. */
  why: shortText,
  /** The day that it is put off to. */
  until: v.nullable(v.pipe(v.string(), v.isoDate('a day as YYYY-MM-DD'))),
  /** When the call was begun and ended; null where it never was. */
  began: v.nullable(timeText),
  ended: v.nullable(timeText),
  outdoorC: v.nullable(celsius)
});
export type TestDone = v.InferOutput<typeof TestDone>;

/** The test that is running: it goes on while the page is closed. */
export const Testing = v.strictObject({
  call: CallText,
  began: timeText,
  /** When the call was ended, and what it started is running down; null while it calls. */
  ended: v.nullable(timeText)
});
export type Testing = v.InferOutput<typeof Testing>;

/** Kept for the owner, and left out of everything that leaves the device. */
export const PrivateFacts = v.strictObject({
  registration: shortText,
  hardwareAddress: shortText,
  /** Photos that show them. */
  photos: v.pipe(v.array(PhotoId), v.maxLength(20, 'at most 20 photos'))
});
export type PrivateFacts = v.InferOutput<typeof PrivateFacts>;
export const NOTHING_PRIVATE: PrivateFacts = { registration: '', hardwareAddress: '', photos: [] };

export const OLD_ONE_WENT = ['unknown', 'kept', 'passed-on', 'collected'] as const;

/** Who left the job, and when. A closed job is not changed until it is opened again. */
export const Closed = v.strictObject({ at: timeText, by: shortText });
export type Closed = v.InferOutput<typeof Closed>;
