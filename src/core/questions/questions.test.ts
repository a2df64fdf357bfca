/** Every field that is asked for anywhere: what may be answered is what a reader takes, and what lies beyond is what it refuses. */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { DeviceFacts } from '../job/device-facts';
import { Accessory, Cable, Conductor, Equipment, Thermostat } from '../job/schema';
import { BuildingFacts, CablePath, Habits, Survey, WallFace } from '../job/survey-schema';
import { DEVICE_QUESTIONS } from './device-questions';
import { BUILDING_QUESTIONS, HABIT_QUESTIONS, SURVEY_QUESTIONS } from './house-questions';
import { ACCESSORY_QUESTIONS, MACHINE_QUESTIONS } from './machine-questions';
import { answerText, chosenValue, isAnswered, type Question } from './question';
import {
  CABLE_QUESTIONS,
  OLD_THERMOSTAT_QUESTIONS,
  PATH_QUESTIONS,
  WALL_QUESTIONS,
  WIRE_QUESTIONS
} from './wall-questions';

type Entries = Readonly<Record<string, v.GenericSchema>>;
type Asked = readonly [of: string, entries: Entries, questions: Readonly<Record<string, Question>>];

const ASKED: readonly Asked[] = [
  ['building', BuildingFacts.entries, BUILDING_QUESTIONS],
  ['habits', Habits.entries, HABIT_QUESTIONS],
  ['survey', Survey.entries, SURVEY_QUESTIONS],
  ['machine', Equipment.entries, MACHINE_QUESTIONS],
  ['accessory', Accessory.entries, ACCESSORY_QUESTIONS],
  ['device', DeviceFacts.entries, DEVICE_QUESTIONS],
  ['wall', WallFace.entries, WALL_QUESTIONS],
  ['old thermostat', Thermostat.entries, OLD_THERMOSTAT_QUESTIONS],
  ['path', CablePath.entries, PATH_QUESTIONS],
  ['cable', Cable.entries, CABLE_QUESTIONS],
  ['wire', Conductor.entries, WIRE_QUESTIONS]
];

const all = ASKED.flatMap(([of, entries, questions]) =>
  Object.values(questions).map((question) => ({ of, question, schema: entries[question.field] }))
);
const fields = all.map(({ of, question, schema }) => [`${of}.${question.field}`, question, schema] as const);
const ofKind = <K extends Question['answer']['kind']>(kind: K) =>
  fields.flatMap(([name, question, schema]) =>
    question.answer.kind === kind && schema
      ? [[name, question.answer as Extract<Question['answer'], { kind: K }>, schema] as const]
      : []
  );
const takes = (schema: v.GenericSchema, value: unknown) => v.safeParse(schema, value).success;

describe('every field that is asked for', () => {
  it.each(fields)('%s is a field of its record', (_, question, schema) => {
    expect(schema, question.field).toBeDefined();
  });

  it.each(fields)(
    '%s is asked in whole sentences, and named in a few words',
    (_, { ask, label, why, help }) => {
      expect(label.length).toBeGreaterThan(1);
      expect(label.length).toBeLessThan(60);
      if (ask !== label) {
        expect(label).not.toMatch(/[.?]$/);
        expect(ask).toMatch(/[?.]$/);
      }
      for (const sentence of [why, help]) if (sentence !== '') expect(sentence).toMatch(/[.?]$/);
    }
  );

  it('has a name of its own within its form', () => {
    for (const [of, , questions] of ASKED) {
      const labels = Object.values(questions).map(({ label }) => label);
      expect(new Set(labels).size, of).toBe(labels.length);
    }
  });
});

describe('answers', () => {
  it.each(ofKind('number'))(
    'to %s reach as far as the record takes them, and not beyond',
    (_, answer, schema) => {
      expect(answer.least).toBeLessThan(answer.most);
      expect(takes(schema, answer.least)).toBe(true);
      expect(takes(schema, answer.most)).toBe(true);
      expect(takes(schema, answer.least - 1)).toBe(false);
      expect(takes(schema, answer.most + 1)).toBe(false);
      expect(takes(schema, null)).toBe(answer.optional);
      expect(takes(schema, answer.least + 0.5)).toBe(!answer.whole);
    }
  );

  it.each(ofKind('choice'))(
    'to %s are all taken as they are kept, and each has its own words',
    (name, answer, schema) => {
      for (const [code] of answer.choices)
        expect(takes(schema, chosenValue(answer, code)), `${name} ${code}`).toBe(true);
      const words = answer.choices.map(([, text]) => text);
      expect(new Set(words).size).toBe(words.length);
      expect(takes(schema, 'something that is no choice')).toBe(false);
    }
  );

  it.each(ofKind('several'))('to %s may be none, each, or all', (name, { choices }, schema) => {
    const codes = choices.map(([code]) => code);
    expect(takes(schema, [])).toBe(true);
    expect(takes(schema, codes)).toBe(true);
    for (const code of codes) expect(takes(schema, [code]), `${name} ${code}`).toBe(true);
    expect(takes(schema, ['something that is no choice'])).toBe(false);
  });

  it.each(ofKind('text'))(
    'to %s are as long as the record takes, and none of it is lost',
    (_, { most }, schema) => {
      // A terminal is printed in capitals.
      expect([takes(schema, 'x'.repeat(most)), takes(schema, 'R'.repeat(most))]).toContain(true);
      // A note is held shorter in the form than the record would take it.
      if (most < 2000) expect(takes(schema, 'R'.repeat(most + 1))).toBe(false);
    }
  );

  it.each(ofKind('day'))('to %s are days, or none', (_, __, schema) => {
    expect(takes(schema, '2026-11-28')).toBe(true);
    expect(takes(schema, null)).toBe(true);
    expect(takes(schema, 'tomorrow')).toBe(false);
  });

  it.each(ofKind('yes-or-no'))('to %s are yes or no', (_, __, schema) => {
    expect(takes(schema, true)).toBe(true);
    expect(takes(schema, false)).toBe(true);
    expect(takes(schema, 'yes')).toBe(false);
  });
});

describe('the line of an answer', () => {
  const say = { money: (sum: number) => `$${sum}`, day: (day: string) => day };
  const metric = { length: 'm', temperature: 'C' } as const;

  it.each(ofKind('choice'))('for %s is empty where nobody knows, and its own words else', (name, answer) => {
    const question = { field: name, ask: '', label: '', why: '', help: '', answer };
    for (const [code, text] of answer.choices) {
      const value = chosenValue(answer, code);
      expect(answerText(question, value, metric, say)).toBe(isAnswered(value) ? text : '');
    }
  });

  it('writes both units of a length from the same figure', () => {
    const length = { ...BUILDING_QUESTIONS.ceilingM };
    expect(answerText(length, 2.5, metric, say)).toBe('2.5 m');
    expect(answerText(length, 2.5, { ...metric, length: 'ft' }, say)).toMatch(/^8\.2 ft$/);
  });
});
