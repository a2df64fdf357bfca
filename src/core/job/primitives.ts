/** Small schemas that the entities share. Their messages say what is expected, to be read after "expected". */
import * as v from 'valibot';

/** Most characters of a name, a label, a place. */
export const SHORT_TEXT = 120;
/** Most characters of a note. */
export const LONG_TEXT = 4000;
export const shortText = v.pipe(
  v.string('text'),
  v.maxLength(SHORT_TEXT, `at most ${SHORT_TEXT} characters`)
);
export const text = v.pipe(v.string('text'), v.maxLength(LONG_TEXT, `at most ${LONG_TEXT} characters`));

/** A moment, ISO 8601 in UTC to the millisecond at most. */
export const timeText = v.pipe(v.string('a time'), v.isoTimestamp('a time such as 2026-01-31T08:30:00.000Z'));

/** A terminal mark as a device's sheet names it. */
export const mark = v.pipe(
  v.string('a terminal mark'),
  v.regex(/^[A-Z0-9+\-/]+$/, 'a terminal mark of 1 to 8 capitals, digits, +, - or /'),
  v.maxLength(8, 'a terminal mark of 1 to 8 capitals, digits, +, - or /')
);

/** What may stand beside a screw of a house: nothing, or up to twelve capitals, digits and a few signs. */
export const PRINTED_MARK = /^[A-Z0-9+\-/().* ]{0,12}$/;

/** A mark as printed beside a screw; empty where nothing is printed. */
export const printedMark = v.pipe(
  v.string('a mark as printed, or an empty text'),
  v.regex(PRINTED_MARK, 'a mark of at most 12 capitals, digits, spaces, +, -, /, ., *, ( or )')
);

export function positive(most: number) {
  return v.pipe(
    v.number('a number'),
    v.finite('a finite number'),
    v.gtValue(0, 'a number above 0'),
    v.maxValue(most, `a number of at most ${most}`)
  );
}

export function wholeNumber(least: number, most: number) {
  return v.pipe(
    v.number('a number'),
    v.integer('a whole number'),
    v.minValue(least, `at least ${least}`),
    v.maxValue(most, `at most ${most}`)
  );
}
