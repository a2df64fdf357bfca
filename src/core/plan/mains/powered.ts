/** The wiring of a plan as found, as it is now or as planned, powered up in the states that a call stands for. */
import type { SimulateFailure } from '../../circuit/simulate';
import type { WiringState } from '../../job/bench-schema';
import { rowFor, rowsOf, type MainsRow } from '../../proof/mains/rows';
import { solveRow, type RowState } from '../../proof/mains/ways';
import { requestsOf, type Call } from '../../trade/calls';
import type { Wiring } from '../../wiring/graph';
import type { MainsPlan } from './plan';

/** What is said of a call that no mains control can make. */
export const MAINS_CALLS = 'Mains controls have the calls idle, heating, hot-water and heating+hot-water.';

/** The row that a call such as `heating+hot-water` is; null for a call that no mains control can make. */
export function rowOfCall(plan: MainsPlan, call: Call): MainsRow | null {
  const asked = requestsOf(call);
  if (asked.some((request) => request !== 'heating' && request !== 'hot-water')) return null;
  return rowFor(plan.inputs, { heating: asked.includes('heating'), water: asked.includes('hot-water') });
}

export function mainsWiring(plan: MainsPlan, which: WiringState): Wiring {
  if (which === 'found') return plan.found;
  return which === 'now' ? plan.now.wiring : (plan.taken?.after ?? plan.now.wiring);
}

/** Every state of the house, or the one that a call is; `no-such-call` where there is none. */
export function powerMains(
  plan: MainsPlan,
  which: WiringState,
  call: Call | null
): readonly RowState[] | SimulateFailure | 'no-such-call' {
  const row = call === null ? null : rowOfCall(plan, call);
  if (call !== null && row === null) return 'no-such-call';
  const states: RowState[] = [];
  for (const asked of row === null ? rowsOf(plan.inputs) : [row]) {
    const state = solveRow(mainsWiring(plan, which), asked);
    if ('ok' in state) return state;
    states.push(state);
  }
  return states;
}
