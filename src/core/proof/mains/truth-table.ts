/** Mains controls solved over all states of what may ask, and held against what the layout has to do. */
import type { SimulateFailure } from '../../circuit/simulate';
import type { Layout } from '../../trade/mains';
import type { Wiring } from '../../wiring/graph';
import { amiss, expectedOf, type RowExpected } from './expected';
import { mainsHarms, type MainsTrouble } from './harms';
import { rowsOf, type MainsInputs, type MainsRow } from './rows';
import { solveRow, type RowOutcome, type RowState } from './ways';

export interface TruthRow {
  readonly state: RowOutcome;
  readonly expected: RowExpected | null;
  readonly amiss: ReturnType<typeof amiss>;
}

export interface TruthTable {
  readonly rows: readonly TruthRow[];
  readonly harms: readonly MainsTrouble[];
}

export interface TableInput {
  readonly wiring: Wiring;
  readonly inputs: MainsInputs;
  readonly layout: Layout;
  /** Cables that have to be dead. */
  readonly dead?: readonly string[];
}

export function truthTable({ wiring, inputs, layout, dead = [] }: TableInput): TruthTable | SimulateFailure {
  const states: RowState[] = [];
  for (const row of rowsOf(inputs)) {
    const state = solveRow(wiring, row);
    if ('ok' in state) return state;
    states.push(state);
  }
  return {
    rows: states.map(({ row, heatingWay, waterWay, boiler, pump }) => {
      const state = { row, heatingWay, waterWay, boiler, pump };
      const expected = expectedOf(layout, row);
      return { state, expected, amiss: expected === null ? [] : amiss(state, expected) };
    }),
    harms: mainsHarms(wiring, states, dead)
  };
}

export function isTable(made: TruthTable | SimulateFailure): made is TruthTable {
  return 'rows' in made;
}

/** Rows in which the two do not do the same; the wirings may differ, the rows are the same ones. */
export function changedRows(before: TruthTable, after: TruthTable): MainsRow[] {
  return before.rows.flatMap(({ state }, at) => {
    const then = after.rows[at]?.state;
    if (!then) return [];
    const same =
      state.boiler === then.boiler &&
      state.pump === then.pump &&
      (!state.boiler || (state.heatingWay === then.heatingWay && state.waterWay === then.waterWay));
    return same ? [] : [state.row];
  });
}
