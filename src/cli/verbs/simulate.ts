import { callReport, simulateReport } from '$core/formats/reports';
import { powerPlan, type Powered, type Which } from '$core/plan/powered';
import { voltsText } from '$core/trade/figures';
import { CALLS, type Call } from '$core/trade/vocabulary';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import { wrongUse, type Outcome, type WrongUse } from '../outcome';
import { findingLines, table } from '../page';
import { planFromArguments } from './plan';

/** Powers up the wiring as recorded, or as the plan leaves it, for each call. */
export async function simulate(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const wanted = whichAndCall(args);
  if ('kind' in wanted) return wanted;
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  return pageOf(made.thermostat.id, wanted.which, powerPlan(made.plan, wanted.which, wanted.call));
}

/** What --wiring and --call ask for. */
export function whichAndCall(args: Arguments): { which: Which; call: Call | null } | WrongUse {
  const which = args.wiring ?? 'before';
  if (which !== 'before' && which !== 'after') return wrongUse('--wiring is before or after.');
  const call = args.call === undefined ? null : CALLS.find((one) => one === args.call);
  if (call === undefined) return wrongUse(`No call ${args.call}; known: ${CALLS.join(', ')}.`);
  return { which, call };
}

function pageOf(thermostat: string, which: Which, { calls, findings }: Powered): Outcome {
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
