/** What can be looked at: with the chance of each answer under each hypothesis. */
import type { Call } from '../../trade/calls';
import type { World } from '../../devices/world';
import type { Wiring } from '../../wiring/graph';
import type { Cause, Hypothesis } from '../causes/types';
import type { FaultTable, ReadingPoint } from '../fault-table';

/** What it takes: eyes and ears, hands on screws, a meter on live low voltage, or a meter and two places at once. */
export type Needs = 'eyes' | 'hands' | 'meter' | 'helper';

export interface Answer {
  readonly value: string;
  readonly label: string;
}

/** What a meter would show: the volts that each hypothesis gives, and how far a reading may be off them. */
export interface Volts {
  readonly point: ReadingPoint;
  readonly call: Call;
  readonly headOff: boolean;
  /** Volts AC by hypothesis; NaN where nothing defines any, so that a meter shows a phantom or nothing; -1 where nobody can say. */
  readonly means: Float32Array;
}

export interface Observation {
  readonly id: string;
  readonly ask: string;
  /** How it is done, in a sentence; empty where the question says it. */
  readonly how: string;
  /** Id of the place. */
  readonly place: string;
  readonly power: 'on' | 'off' | 'either';
  readonly needs: Needs;
  /** The call in which it is made: a dark thermostat makes none. Null where none is needed. */
  readonly call: Call | null;
  /** By itself, without the way to it. */
  readonly minutes: number;
  readonly answers: readonly Answer[];
  /** Id of the cause that it looks for, where that is one: its second answer says that it is so. */
  readonly of?: string;
  /** By answer, then by hypothesis: 0 to 1. */
  readonly chances: readonly Float32Array[];
  /** For a reading of volts: a number may be answered instead of a band. */
  readonly volts: Volts | null;
}

/** What observations are made from. */
export interface Situation {
  readonly wiring: Wiring;
  readonly world: World;
  readonly table: FaultTable;
  readonly causes: readonly Cause[];
  readonly list: readonly Hypothesis[];
}

/** One kind of look: every observation of it that this house has. */
export interface ObservationRule {
  observationsOf(situation: Situation): readonly Observation[];
}

/** How often an eye errs, an answer is pressed wrong, or a house does what nobody thought of. */
export const EYE_ERRS = 0.03;
