/**
 * A field of the record, described once: what is asked, why, in which unit, what may be answered. Forms, cards and the history draw on it.
 * Limits and answers come from the schema of the field; what has no words of its own does not compile.
 */
import type * as v from 'valibot';
import { boundsOf, mostCharacters } from '../job/bounds';
import { SHORT_TEXT } from '../job/primitives';
import { shownText, type Quantity, type Units } from '../trade/units';

export type Choice = readonly [value: string, text: string];

export type Answering =
  | {
      readonly kind: 'number';
      readonly quantity: Quantity;
      /** Of a plain number, such as kW; `money` for a sum in the user's currency. */
      readonly unit: string;
      /** In metric units, as the schema has them. */
      readonly least: number;
      readonly most: number;
      readonly digits: number;
      readonly whole: boolean;
      /** Whether it may be left empty. */
      readonly optional: boolean;
    }
  /** `holds`: what the record keeps of the chosen word; the choice `''` is kept as null. */
  | { readonly kind: 'choice'; readonly choices: readonly Choice[]; readonly holds: 'text' | 'number' }
  | { readonly kind: 'several'; readonly choices: readonly Choice[] }
  | { readonly kind: 'yes-or-no' }
  | { readonly kind: 'text'; readonly most: number; readonly placeholder: string }
  | { readonly kind: 'day' };

export interface Question {
  /** The field's key in its record. */
  readonly field: string;
  /** As a person is asked. */
  readonly ask: string;
  /** The field's name in forms and in the history. */
  readonly label: string;
  /** What the answer is for; empty where the label says it. */
  readonly why: string;
  /** How to find it out; empty where everybody knows. */
  readonly help: string;
  readonly answer: Answering;
}

/** A value of a field, as the record holds it. */
export type FieldValue = string | number | boolean | null | readonly string[];

interface Wording {
  readonly label: string;
  /** The label, where it is left out. */
  readonly ask?: string;
  readonly why?: string;
  readonly help?: string;
}

interface NumberWording extends Wording {
  readonly quantity?: Quantity;
  readonly unit?: string;
  readonly digits?: number;
  readonly whole?: boolean;
  readonly optional?: boolean;
}

type Entries = Readonly<Record<string, v.GenericSchema>>;
type ValueOf<E extends Entries, F extends keyof E> = v.InferOutput<E[F]>;
type WordsFor<T> = Readonly<Record<Extract<T, string>, string>>;

function base(field: string, { label, ask = label, why = '', help = '' }: Wording) {
  return { field, label, ask, why, help };
}

/** Makers of questions about the fields of one schema. */
export function questionsAbout<E extends Entries>(schema: { readonly entries: E }) {
  const entry = (field: string) => schema.entries[field] as v.GenericSchema;
  return {
    number<F extends keyof E & string>(field: F, wording: NumberWording): Question {
      const { quantity = 'plain', unit = '', digits = 1, whole = false, optional = true } = wording;
      const limits = { ...boundsOf(entry(field)), digits: whole ? 0 : digits, whole, optional };
      return { ...base(field, wording), answer: { kind: 'number', quantity, unit, ...limits } };
    },
    /** Every value of the field has its word; they stand in the order of `words`. */
    choice<F extends keyof E & string>(
      field: F,
      wording: Wording & { readonly words: WordsFor<ValueOf<E, F>> }
    ): Question {
      const choices = Object.entries<string>(wording.words);
      return { ...base(field, wording), answer: { kind: 'choice', choices, holds: 'text' } };
    },
    text<F extends keyof E & string>(
      field: F,
      wording: Wording & { readonly placeholder?: string }
    ): Question {
      const most = Math.min(mostCharacters(entry(field)), 2000);
      return {
        ...base(field, wording),
        answer: {
          kind: 'text',
          most: Number.isFinite(most) ? most : SHORT_TEXT,
          placeholder: wording.placeholder ?? ''
        }
      };
    },
    several<F extends keyof E & string>(
      field: F,
      wording: Wording & { readonly words: Readonly<Record<string, string>> }
    ): Question {
      return {
        ...base(field, wording),
        answer: { kind: 'several', choices: Object.entries(wording.words) }
      };
    },
    yesOrNo<F extends keyof E & string>(field: F, wording: Wording): Question {
      return { ...base(field, wording), answer: { kind: 'yes-or-no' } };
    },
    day<F extends keyof E & string>(field: F, wording: Wording): Question {
      return { ...base(field, wording), answer: { kind: 'day' } };
    }
  };
}

export const YES_NO_WORDS = { unknown: 'not known', yes: 'yes', no: 'no' } as const;

/** What the record keeps where a word was chosen. */
export function chosenValue(answer: Answering, code: string): FieldValue {
  if (answer.kind !== 'choice') return code;
  if (code === '') return null;
  return answer.holds === 'number' ? Number(code) : code;
}

/** Answers that say that nobody knows. */
const OPEN: readonly FieldValue[] = ['unknown', '', null];

export function isAnswered(value: FieldValue): boolean {
  return !OPEN.includes(value) && !(Array.isArray(value) && value.length === 0);
}

/** The answer as it is read in a line: `130 m²`, `draughty`, `Larkhub, Odelle Home`; empty where nobody knows. */
export function answerText(
  { answer }: Question,
  value: FieldValue,
  units: Units,
  say: { readonly money: (sum: number, digits: number) => string; readonly day: (day: string) => string }
): string {
  if (!isAnswered(value)) return '';
  if (answer.kind === 'number' && typeof value === 'number') {
    if (answer.unit === 'money') return say.money(value, answer.digits);
    if (answer.quantity === 'plain') return `${Number(value.toFixed(answer.digits))} ${answer.unit}`.trim();
    return shownText(value, answer.quantity, units, answer.quantity === 'temperature' ? 1 : answer.digits);
  }
  if (answer.kind === 'day' && typeof value === 'string') return say.day(value);
  if (answer.kind === 'yes-or-no') return value === true ? 'yes' : 'no';
  if (answer.kind === 'choice' || answer.kind === 'several') {
    const chosen = (Array.isArray(value) ? value : [value]).map(String);
    return answer.choices
      .filter(([code]) => chosen.includes(code))
      .map(([, text]) => text)
      .join(', ');
  }
  return String(value);
}
