import { callReport, simulateReport } from '$core/formats/reports';
import { WIRING_STATES, type WiringState } from '$core/job/bench-schema';
import { powerPlan, type Powered } from '$core/plan/powered';
import { readCall, type Call } from '$core/trade/calls';
import { voltsText } from '$core/trade/figures';
import { CALLS } from '$core/trade/vocabulary';
import type { Arguments } from '../arguments';
import { isJob, loadJob, pickThermostat } from '../load';
import { wrongUse, type Outcome, type WrongUse } from '../outcome';
import { findingLines, table } from '../page';
import { simulateOutcome } from './mains/circuit';
import { isMains } from './mains/plan';
import { planFromArguments } from './plan';

/** Powers up the wiring as recorded, or as the plan leaves it, for each call. */
export async function simulate(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const wanted = whichAndCall(args);
  if ('kind' in wanted) return wanted;
  const point = pickThermostat(job, args);
  if (!('kind' in point) && isMains(point)) return simulateOutcome(point, args, wanted);
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  return pageOf(made.thermostat.id, wanted.which, powerPlan(made.plan, wanted.which, wanted.call));
}

/** What --wiring and --call ask for. */
export function whichAndCall(args: Arguments): { which: WiringState; call: Call | null } | WrongUse {
  const word = args.wiring ?? 'before';
  // `before` is what is there before the work goes on: now.
  const which = word === 'before' ? 'now' : WIRING_STATES.find((state) => state === word);
  if (which === undefined) return wrongUse('--wiring is found, now (or before) or after.');
  const call = args.call === undefined ? null : readCall(args.call);
  if (args.call !== undefined && call === null)
    return wrongUse(
      `No call ${args.call}; known: ${CALLS.join(', ')}, several joined by + (heat1+humidify), and th-1:heat1 for one control.`
    );
  return { which, call };
}

function pageOf(thermostat: string, which: WiringState, { calls, findings }: Powered): Outcome {
  const rows = calls.map(({ result }) => [
    result.call as string,
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
      calls.map((call) => callReport(call.result, call.findings)),
      findings
    ),
    page: [
      `${thermostat}, wiring ${which}`,
      ...(rows.length > 0 ? table([['call', 'runs', 'thermostat', 'supplies'], ...rows]) : []),
      ...findingLines([...findings, ...calls.flatMap((call) => call.findings)])
    ].join('\n')
  };
}
