/** A plan's wiring powered up, before or after, call by call: what the command line, the server and the bench show. */
import { callsOf, combinedCallsOf } from '../devices/calls';
import type { World } from '../devices/world';
import { simulate, type CallResult } from '../circuit/simulate';
import { worldsOf } from '../identify/worlds';
import { harmFindings } from '../proof/harm';
import { unsolvable } from '../proof/proof-findings';
import { finding, type Finding } from '../findings/finding';
import type { WiringState } from '../job/bench-schema';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';
import type { Plan } from './plan';

export interface Powerable {
  readonly wiring: Wiring;
  /** The likeliest. */
  readonly world: World;
  readonly calls: readonly Call[];
}

/** What can be powered up of a plan, or why nothing can. */
export function powerable(plan: Plan, which: WiringState): Powerable | Finding {
  const before = plan.wiringFound;
  const [likeliest] = worldsOf(plan.identification, before);
  if (!likeliest) return finding('stop', 'system-unknown', { what: 'nothing-to-power' });
  const wiring = { found: before, now: plan.wiringNow, after: plan.wiringAfter }[which];
  if (wiring === null) return finding('stop', 'system-unknown', { what: 'no-wiring-after' });
  return {
    wiring,
    world: likeliest.world,
    calls: [...callsOf(likeliest.world, before), ...combinedCallsOf(likeliest.world, before)]
  };
}

export interface PoweredCall {
  readonly result: CallResult;
  readonly findings: readonly Finding[];
}

export interface Powered {
  readonly calls: readonly PoweredCall[];
  /** Why nothing, or not everything, was solved. */
  readonly findings: readonly Finding[];
}

/** Powers up the wiring in one call, or in every call of the system. */
export function powerPlan(plan: Plan, which: WiringState, wanted: Call | null = null): Powered {
  const subject = powerable(plan, which);
  if ('code' in subject) return { calls: [], findings: [subject] };
  const calls: PoweredCall[] = [];
  for (const call of wanted === null ? subject.calls : [wanted]) {
    const outcome = simulate(subject.wiring, subject.world, call);
    if (!outcome.ok) {
      return { calls: [], findings: [unsolvable(outcome, subject.world)] };
    }
    calls.push({ result: outcome.result, findings: harmFindings(outcome.result) });
  }
  return { calls, findings: [] };
}
