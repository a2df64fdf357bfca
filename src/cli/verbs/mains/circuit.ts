/** `simulate` and `spice` of mains controls. */
import { settled, type SimulateFailure } from '$core/circuit/simulate';
import { PLAIN_CASE } from '$core/devices/world';
import { rowReport } from '$core/formats/mains-reports';
import { spiceOf } from '$core/formats/spice';
import type { WiringState } from '$core/job/bench-schema';
import { MAINS_CALLS, mainsWiring, powerMains, rowOfCall } from '$core/plan/mains/powered';
import { callOfRow } from '$core/proof/mains/rows';
import { rowText, runsText } from '$core/proof/mains/row-text';
import { MAINS_WORLD } from '$core/proof/mains/ways';
import type { Call } from '$core/trade/calls';
import type { Arguments } from '../../arguments';
import { wrongUse, type Outcome } from '../../outcome';
import { table } from '../../page';
import { isPlan, mainsPlanFor, type MainsPoint } from './plan';

export function simulateOutcome(
  point: MainsPoint,
  args: Arguments,
  { which, call }: { readonly which: WiringState; readonly call: Call | null }
): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  const states = powerMains(plan, which, call);
  if (states === 'no-such-call') return wrongUse(MAINS_CALLS);
  if ('ok' in states) return unsolved(states);
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

function unsolved({ at, why }: SimulateFailure): Outcome {
  return { kind: 'bad-file', faults: [{ path: at, expected: 'a circuit that can be solved', found: why }] };
}

export function spiceOutcome(
  point: MainsPoint,
  args: Arguments,
  { which, call }: { readonly which: WiringState; readonly call: Call }
): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  const row = rowOfCall(plan, call);
  if (row === null) return wrongUse(MAINS_CALLS);
  const wiring = mainsWiring(plan, which);
  const circuit = settled(
    wiring,
    MAINS_WORLD,
    callOfRow(row, wiring),
    PLAIN_CASE,
    args.complex ? 'complex' : 'resistive'
  );
  if ('ok' in circuit) return unsolved(circuit);
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
