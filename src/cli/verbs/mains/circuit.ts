/** `simulate` and `spice` of mains controls. */
import { settled } from '$core/circuit/simulate';
import { PLAIN_CASE } from '$core/devices/world';
import { rowReport } from '$core/formats/mains-reports';
import { spiceOf } from '$core/formats/spice';
import type { WiringState } from '$core/job/bench-schema';
import type { MainsPlan } from '$core/plan/mains/plan';
import { callOfRow, rowFor, rowsOf, type MainsRow } from '$core/proof/mains/rows';
import { rowText, runsText } from '$core/proof/mains/row-text';
import { MAINS_WORLD, solveRow, type RowState } from '$core/proof/mains/ways';
import { requestsOf, type Call } from '$core/trade/calls';
import type { Wiring } from '$core/wiring/graph';
import type { Arguments } from '../../arguments';
import { wrongUse, type Outcome } from '../../outcome';
import { table } from '../../page';
import { isPlan, mainsPlanFor, type MainsPoint } from './plan';

/** The row that a call such as `heating+hot-water` is; null for a call that no mains control can make. */
function rowOfCall(plan: MainsPlan, call: Call): MainsRow | null {
  const asked = requestsOf(call);
  if (asked.some((request) => request !== 'heating' && request !== 'hot-water')) return null;
  return rowFor(plan.inputs, { heating: asked.includes('heating'), water: asked.includes('hot-water') });
}

const NO_SUCH_CALL = 'Mains controls have the calls idle, heating, hot-water and heating+hot-water.';

export function wiringIn(plan: MainsPlan, which: WiringState): Wiring {
  if (which === 'found') return plan.found;
  return which === 'now' ? plan.now.wiring : (plan.taken?.after ?? plan.now.wiring);
}

export function simulateOutcome(
  point: MainsPoint,
  args: Arguments,
  { which, call }: { readonly which: WiringState; readonly call: Call | null }
): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  const row = call === null ? null : rowOfCall(plan, call);
  if (call !== null && row === null) return wrongUse(NO_SUCH_CALL);
  const wiring = wiringIn(plan, which);
  const states: RowState[] = [];
  for (const one of row === null ? rowsOf(plan.inputs) : [row]) {
    const state = solveRow(wiring, one);
    if ('ok' in state)
      return {
        kind: 'bad-file',
        faults: [{ path: state.at, expected: 'a circuit that can be solved', found: state.why }]
      };
    states.push(state);
  }
  return {
    kind: 'result',
    json: { thermostat: point.id, wiring: which, calls: states.map(rowReport) },
    page: [
      `${point.name}, wiring ${which}`,
      ...table([
        ['state', 'runs', 'spur'],
        ...states.map((state) => [
          rowText(state.row, plan.found),
          runsText(state),
          state.result.supplies
            .map(({ amps, fuseOpen }) => `${amps.toFixed(2)} A${fuseOpen ? ', fuse open' : ''}`)
            .join('; ')
        ])
      ])
    ].join('\n')
  };
}

export function spiceOutcome(
  point: MainsPoint,
  args: Arguments,
  { which, call }: { readonly which: WiringState; readonly call: Call }
): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  const row = rowOfCall(plan, call);
  if (row === null) return wrongUse(NO_SUCH_CALL);
  const wiring = wiringIn(plan, which);
  const circuit = settled(
    wiring,
    MAINS_WORLD,
    callOfRow(row, wiring),
    PLAIN_CASE,
    args.complex ? 'complex' : 'resistive'
  );
  if ('ok' in circuit)
    return {
      kind: 'bad-file',
      faults: [{ path: circuit.at, expected: 'a circuit that can be solved', found: circuit.why }]
    };
  const { text, analysis, nodes } = spiceOf(circuit, `${point.name}, ${call}, wiring ${which}`);
  return {
    kind: 'result',
    json: {
      thermostat: point.id,
      wiring: which,
      call,
      analysis,
      nodes: Object.fromEntries(nodes),
      netlist: text
    },
    page: text.trimEnd()
  };
}
