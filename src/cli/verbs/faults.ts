import { findingText } from '$core/words/findings/table';
import { caseName, PLAIN_CASE } from '$core/devices/world';
import { FLAGS, loadRuns, type FaultTable } from '$core/diagnose/fault-table';
import { powerable } from '$core/plan/powered';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import type { Outcome } from '../outcome';
import { wrap } from '../page';
import { withThread } from '../thread';
import { planFromArguments } from './plan';
import { whichAndCall } from './simulate';

/** What each single fault, and with --pairs each pair, does in each call. */
export async function faults(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const wanted = whichAndCall(args);
  if ('kind' in wanted) return wanted;
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const subject = powerable(made.plan, wanted.which);
  const bad = (path: string, found: string): Outcome => ({
    kind: 'bad-file',
    faults: [{ path, expected: 'a circuit that can be solved', found }]
  });
  if ('code' in subject) return bad(made.thermostat.id, findingText(subject));
  const calls = wanted.call === null ? subject.calls : [wanted.call];
  const { wiring, world } = subject;
  const outcome = await withThread((client) =>
    client.run('faults', { wiring, world, calls, pairs: args.pairs })
  );
  if (!outcome.ok)
    return outcome.reason === 'failed' ? bad(outcome.at, outcome.why) : bad('the run', 'cancelled');
  const rows = rowsOf(outcome.result);
  return {
    kind: 'result',
    json: { thermostat: made.thermostat.id, wiring: wanted.which, rows },
    page: rows
      .flatMap((row) => [
        ...wrap(row.says.join('; and ') || 'nothing wrong', '', '  '),
        ...row.calls.map(
          ({ call, runs, volts, flags }) =>
            `  ${call.padEnd(10)} ${[runs.join(', ') || '–', volts === null ? '' : `${volts.toFixed(1)} V`, ...flags].filter(Boolean).join('; ')}`
        )
      ])
      .join('\n')
  };
}

function rowsOf(table: FaultTable) {
  const { calls, loads, rows, volts, flags, cases, worstCase, starvedVolts } = table;
  return Array.from({ length: rows.length / 2 }, (_, row) => {
    const hit = [rows[2 * row] ?? -1, rows[2 * row + 1] ?? -1].flatMap((index) => table.faults[index] ?? []);
    return {
      faults: hit.map((fault) => fault.id),
      says: hit.map((fault) => fault.says),
      calls: calls.map((call, column) => {
        const at = row * calls.length + column;
        const bits = flags[at] ?? 0;
        const v = volts[at] ?? NaN;
        return {
          call,
          runs: loads.filter((_, load) => loadRuns(table, at, load)),
          volts: Number.isNaN(v) ? null : v,
          // What runs is that of the plain case, the volts are those of the worst.
          worstCase:
            cases.length > 1 && !Number.isNaN(v) ? caseName(cases[worstCase[at] ?? 0] ?? PLAIN_CASE) : null,
          flags: [
            ...(bits & FLAGS.fuseOpen
              ? [bits & FLAGS.burns ? 'fuse opens, or the transformer burns: no fuse seen' : 'fuse opens']
              : []),
            ...(bits & FLAGS.overloaded ? ['transformer overloaded'] : []),
            ...(bits & FLAGS.chatter ? ['a relay chatters'] : []),
            ...(bits & FLAGS.starved
              ? [`a coil gets ${(starvedVolts[at] ?? NaN).toFixed(1)} V and does not pull in`]
              : [])
          ]
        };
      })
    };
  });
}
