import { findingText } from '$core/words/findings/table';
import type { ToleranceResult } from '$core/circuit/tolerance';
import { powerable } from '$core/plan/powered';
import type { Arguments } from '../arguments';
import { isJob, loadJob } from '../load';
import { wrongUse, type Outcome } from '../outcome';
import { table } from '../page';
import { withThread } from '../thread';
import { planFromArguments } from './plan';
import { whichAndCall } from './simulate';

const MOST_DRAWS = 1_000_000;

/** The voltage at the thermostat over many houses whose values differ from their sheets. */
export async function tolerance(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const wanted = whichAndCall(args);
  if ('kind' in wanted) return wanted;
  const draws = wholeNumber(args.draws, 10_000);
  const seed = wholeNumber(args.seed, 1);
  if (draws === null || draws < 1 || draws > MOST_DRAWS || seed === null)
    return wrongUse(`--draws is a whole number from 1 to ${MOST_DRAWS}, --seed a whole number.`);
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const subject = powerable(made.plan, wanted.which);
  if ('code' in subject) return bad(made.thermostat.id, findingText(subject));
  const calls = wanted.call === null ? subject.calls : [wanted.call];
  const { wiring, world } = subject;
  const outcome = await withThread((client) =>
    client.run('tolerance', { wiring, world, calls, draws, seed })
  );
  if (!outcome.ok)
    return outcome.reason === 'failed' ? bad(outcome.at, outcome.why) : bad('the run', 'cancelled');
  return pageOf(made.thermostat.id, wanted.which, outcome.result);
}

function wholeNumber(text: string | undefined, otherwise: number): number | null {
  if (text === undefined) return otherwise;
  return /^\d{1,9}$/.test(text) ? Number(text) : null;
}

function bad(path: string, found: string): Outcome {
  return { kind: 'bad-file', faults: [{ path, expected: 'a circuit that can be solved', found }] };
}

function pageOf(thermostat: string, wiring: string, result: ToleranceResult): Outcome {
  const calls = result.calls.map(({ call, volts, below, above, dead }) => {
    const sorted = [...volts].sort((a, b) => a - b);
    const at = (share: number) =>
      sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? null;
    return { call, low: at(0.05), middle: at(0.5), high: at(0.95), below, above, dead };
  });
  const volts = (value: number | null) => (value === null ? '–' : `${value.toFixed(1)} V`);
  const percent = (share: number) => `${(share * 100).toFixed(2)} %`;
  return {
    kind: 'result',
    json: { thermostat, wiring, draws: result.draws, seed: result.seed, window: result.window, calls },
    page: [
      `${thermostat}, wiring ${wiring}: ${result.draws} draws, seed ${result.seed}`,
      ...table([
        ['call', '5 %', 'middle', '95 %', 'below window', 'above', 'a load dead'],
        ...calls.map((call) => [
          call.call,
          volts(call.low),
          volts(call.middle),
          volts(call.high),
          percent(call.below),
          percent(call.above),
          percent(call.dead)
        ])
      ])
    ].join('\n')
  };
}
