/** A test that was not good, as what was seen: finding out why begins with it, and asks nothing twice. */
import type { SeenEntry } from '../job/bench-schema';
import type { TakenReading } from '../job/after-schema';
import { controlOf } from '../devices/reach';
import { requestsOf } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import { screwThat, type Wiring } from '../wiring/graph';
import type { TestStep } from './test-plan';

/** What somebody saw of a load in a test; one that nobody looked at is left out. */
export type Ran = Readonly<Partial<Record<LoadId, boolean>>>;

/**
 * The entries of "seen" that a test makes, `at` ISO time. Of a set of calls each load goes to the request that starts it alone, where there is
 * one: what is looked at later is a single call.
 */
export function seenOfTest(
  { call, mustRun, mustNotRun }: Pick<TestStep, 'call' | 'mustRun' | 'mustNotRun'>,
  ran: Ran,
  readings: readonly TakenReading[],
  wiring: Wiring,
  at: string
): SeenEntry[] {
  const [request = 'idle'] = requestsOf(call);
  const looked = mustRun.flatMap((load): SeenEntry[] => {
    const runs = ran[load];
    return runs === undefined || request === 'idle'
      ? []
      : [{ at, observation: `${request}-${load}`, answer: runs ? 'runs' : 'still' }];
  });
  const uncalled: SeenEntry[] =
    call === 'idle' && mustNotRun.some((load) => ran[load] !== undefined)
      ? [
          {
            at,
            observation: 'uncalled',
            answer: mustNotRun.some((load) => ran[load] === true) ? 'something' : 'nothing'
          }
        ]
      : [];
  return [...looked, ...uncalled, ...voltsSeen(call, readings, wiring, at)];
}

/** A reading of the thermostat's own screws, by the points that finding out why asks about. */
function voltsSeen(
  call: TestStep['call'],
  readings: readonly TakenReading[],
  wiring: Wiring,
  at: string
): SeenEntry[] {
  const control = controlOf(wiring);
  const volts = readings.findLast(({ what }) => what === 'volts');
  if (!control || !volts) return [];
  const [first, second] = volts.between.split('-').map((mark) => screwThat(control, mark)?.id);
  const [request] = requestsOf(call);
  return first === undefined || second === undefined
    ? []
    : [{ at, observation: `${first}:${second}@${request ?? 'idle'}`, answer: volts.value }];
}

/** What was seen before, and what the test showed since: the newer answer to a question takes the older one's place. */
export function withSeen(before: readonly SeenEntry[], fresh: readonly SeenEntry[]): SeenEntry[] {
  const asked = new Set(fresh.map(({ observation }) => observation));
  return [...before.filter(({ observation }) => !asked.has(observation)), ...fresh];
}
