/** All that may be wrong: every fault of the table and every pair, what no wire shows, each with its share of the belief. */
import type { World } from '../../devices/world';
import type { Wiring } from '../../wiring/graph';
import type { FaultTable } from '../fault-table';
import { CAUSE_ODDS, SHARE_OF_PAIRS, TOUCHED_FACTOR } from './odds';
import { isTouched, isTouchedUnseen, type Touched } from './touched';
import type { Cause, Hypothesis } from './types';
import { unseenKinds, unseenSays } from './unseen';

export interface Hypotheses {
  readonly causes: readonly Cause[];
  readonly list: readonly Hypothesis[];
  /** Belief in each before anything is looked at; together 1. */
  readonly prior: Float64Array;
}

export function hypothesesOf(wiring: Wiring, world: World, table: FaultTable, touched: Touched): Hypotheses {
  const causes = [...faultCauses(table, touched), ...unseenCauses(wiring, world, table, touched)];
  const list: Hypothesis[] = [];
  for (let row = 1; row < table.rows.length / 2; row += 1) {
    const hit = [table.rows[2 * row]!, table.rows[2 * row + 1]!].filter((fault) => fault >= 0);
    list.push({ causes: hit, row });
  }
  causes.forEach((cause, at) => {
    if (cause.fault === null) list.push({ causes: [at], row: 0 });
  });
  return { causes, list, prior: priorOf(causes, list) };
}

function faultCauses(table: FaultTable, touched: Touched): Cause[] {
  return table.faults.map(({ id, kind, says, hits }, fault) => {
    const mine = isTouched(touched, kind, hits);
    return {
      id,
      kind,
      says,
      hits,
      fault,
      touched: mine,
      odds: CAUSE_ODDS[kind] * (mine ? TOUCHED_FACTOR : 1)
    };
  });
}

function unseenCauses(wiring: Wiring, world: World, table: FaultTable, touched: Touched): Cause[] {
  return unseenKinds(wiring, world, table).map((kind) => {
    const mine = isTouchedUnseen(touched, kind);
    const odds = CAUSE_ODDS[kind] * (mine ? TOUCHED_FACTOR : 1);
    return { id: kind, kind, says: unseenSays(kind), hits: {}, fault: null, touched: mine, odds };
  });
}

function priorOf(causes: readonly Cause[], list: readonly Hypothesis[]): Float64Array {
  const odds = Float64Array.from(list, (hypothesis) =>
    hypothesis.causes.reduce((product, cause) => product * causes[cause]!.odds, 1)
  );
  const sum = (pair: boolean) =>
    list.reduce(
      (total, hypothesis, at) => total + (hypothesis.causes.length > 1 === pair ? odds[at]! : 0),
      0
    );
  const [singles, pairs] = [sum(false), sum(true)];
  const share = pairs > 0 ? SHARE_OF_PAIRS : 0;
  return odds.map((own, at) =>
    list[at]!.causes.length > 1 ? (own / pairs) * share : (own / singles) * (1 - share)
  );
}
