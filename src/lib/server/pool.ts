/**
 * What takes long is done in threads, never on the event loop. Two lanes: a quick one, so that an ordinary house never waits behind forty
 * thermostats, and one for everything else. What turns out not to be quick is begun anew in the other lane.
 */
import type { IncomingMessage } from 'node:http';
import { availableParallelism } from 'node:os';
import { readBody, refuse } from './body';
import type { WorkKind } from './compute';
import { inEither, Lane, type LaneOutcome } from './lane';
import { isSmall } from './small';
import work, { type Done, type Work } from './thread';

/** Where the built server has put the module that the threads run; a server under development has none. */
const THREAD = process.env.ULTERUM_THREAD;

const QUICK = { threads: 1, mostWaiting: 64, mostWaitMs: 10_000, mostMs: 1000, mostMb: 256 };
const LONG = {
  threads: Math.max(1, availableParallelism() - 1),
  mostWaiting: 64,
  mostWaitMs: 40_000,
  mostMs: 10_000,
  mostMb: 512
};

interface Lanes {
  readonly quick: Lane<Work, Done>;
  readonly long: Lane<Work, Done>;
}

let lanes: Lanes | null = null;

function lanesOf(filename: string): Lanes {
  if (!lanes) {
    const made = {
      quick: new Lane<Work, Done>({ filename, ...QUICK }),
      // Hard houses leave the processor to what is quick, and to the event loop.
      long: new Lane<Work, Done>({ filename, ...LONG, nice: 10 })
    };
    lanes = made;
    process.once('sveltekit:shutdown', () => void Promise.all([made.quick.end(), made.long.end()]));
  }
  return lanes;
}

/** Answers a request to compute something of the job in its body. `connection`: what it came in on, where that is known. */
export async function computed(
  kind: WorkKind,
  request: Request,
  connection: IncomingMessage | undefined
): Promise<Response> {
  const body = await readBody(request);
  if (!body.ok) return body.response;
  const asked: Work = { kind, bytes: body.bytes };
  const left = leaving(connection);
  try {
    return responseOf(THREAD === undefined ? here(asked) : await inLanes(lanesOf(THREAD), asked, left.gone));
  } finally {
    left.stop();
  }
}

function inLanes({ quick, long }: Lanes, asked: Work, gone: AbortSignal): Promise<LaneOutcome<Done>> {
  return isSmall(asked.bytes) ? inEither([quick, long], asked, gone) : long.run(asked, gone);
}

function here(asked: Work): LaneOutcome<Done> {
  return { ok: true, result: work(asked) };
}

/** A signal that tells when the other side has closed the connection before it was answered. */
function leaving(connection: IncomingMessage | undefined): { readonly gone: AbortSignal; stop(): void } {
  const controller = new AbortController();
  const leave = () => controller.abort();
  connection?.socket.once('close', leave);
  if (connection?.socket.destroyed) leave();
  return { gone: controller.signal, stop: () => void connection?.socket.off('close', leave) };
}

const HEADERS = { 'content-type': 'application/json' };

function responseOf(outcome: LaneOutcome<Done>): Response {
  if (outcome.ok)
    return new Response(outcome.result.json, { status: outcome.result.status, headers: HEADERS });
  switch (outcome.why) {
    case 'full': {
      const response = refuse(503, 'Too many houses are waiting.');
      response.headers.set('retry-after', String(outcome.afterSeconds));
      return response;
    }
    case 'too-long':
      return tooMuch(`${LONG.mostMs / 1000} s`);
    case 'too-large':
      return tooMuch(`${LONG.mostMb} MB of memory`);
    case 'gone':
      // Nobody reads it.
      return new Response(null, { status: 499 });
  }
}

function tooMuch(most: string): Response {
  return refuse(422, `This takes more than ${most}.`, [
    { path: 'job', expected: `one that takes at most ${most}`, found: 'more' }
  ]);
}
