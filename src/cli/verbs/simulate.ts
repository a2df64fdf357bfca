import { simulate as simulateCall, type CallResult } from '$core/circuit/simulate';
import { callsOf } from '$core/devices/calls';
import { callReport, simulateReport } from '$core/formats/reports';
import { worldsOf } from '$core/identify/worlds';
import { harmFindings } from '$core/supply/harm';
import { finding, type Finding } from '$core/trade/findings';
import { CALLS, type Call } from '$core/trade/vocabulary';
import { assumeUnseenEnds } from '$core/wiring/from-job';
import { voltsText } from '$core/trade/figures';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import { wrongUse, type Outcome } from '../outcome';
import { findingLines, table } from '../page';
import { planFromArguments } from './plan';

/** Powers up the wiring as recorded, or as the plan leaves it, for each call. */
export async function simulate(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const which = args.wiring ?? 'before';
  if (which !== 'before' && which !== 'after') return wrongUse('--wiring is before or after.');
  const wanted = args.call === undefined ? null : CALLS.find((one) => one === args.call);
  if (wanted === undefined) return wrongUse(`No call ${args.call}; known: ${CALLS.join(', ')}.`);
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const { plan, thermostat } = made;
  const { wiring: before } = assumeUnseenEnds(plan.wiringBefore);
  const wiring = which === 'before' ? before : plan.wiringAfter;
  const [likeliest] = worldsOf(plan.identification, before);
  if (!likeliest || wiring === null) {
    const text =
      wiring === null
        ? 'There is no wiring after: no way is open.'
        : 'The system is not known: there is nothing to power up.';
    return simulated(thermostat.id, which, [], [finding('stop', 'system-unknown', text)]);
  }
  const { world } = likeliest;
  const calls: { result: CallResult; findings: Finding[] }[] = [];
  for (const call of wanted === null ? callsOf(world, before) : [wanted]) {
    const one = simulateCall(wiring, world, call);
    if (!one.ok) {
      const code = one.reason === 'no-model' ? 'no-circuit' : 'circuit-not-solvable';
      return simulated(
        thermostat.id,
        which,
        [],
        [finding('stop', code, `Not solved: ${one.why}.`, [one.at])]
      );
    }
    calls.push({ result: one.result, findings: harmFindings(one.result) });
  }
  return simulated(thermostat.id, which, calls, []);
}

function simulated(
  thermostat: string,
  which: 'before' | 'after',
  calls: readonly { result: CallResult; findings: Finding[] }[],
  findings: readonly Finding[]
): Outcome {
  const rows = calls.map(({ result }) => [
    result.call as Call,
    result.loads
      .filter((load) => load.energised)
      .map((load) => `${load.id} ${load.volts.toFixed(1)} V`)
      .join(', ') || '–',
    voltsText(result.thermostatVolts),
    result.supplies
      .map(
        (supply) =>
          `${supply.name} ${supply.va.toFixed(1)} of ${supply.ratedVa} VA${supply.fuseOpen ? ', fuse open' : ''}`
      )
      .join('; ')
  ]);
  return {
    kind: 'result',
    json: simulateReport(
      thermostat,
      which,
      calls.map((one) => callReport(one.result, one.findings)),
      findings
    ),
    page: [
      `${thermostat}, wiring ${which}`,
      ...(rows.length > 0 ? table([['call', 'runs', 'thermostat', 'supplies'], ...rows]) : []),
      ...findingLines([...findings, ...calls.flatMap((one) => one.findings)])
    ].join('\n')
  };
}
