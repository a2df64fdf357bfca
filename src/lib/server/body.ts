/** What all server routes share: a body of limited size and time, and errors as JSON with the path at fault. */
import { json } from '@sveltejs/kit';
import type { Fault } from '$core/job/faults';
import { refusal } from './answer';

/** A house of ordinary size has a few kilobytes. */
export const MOST_BYTES = 2_000_000;

export type BodyRead =
  | { readonly ok: true; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly ok: false; readonly response: Response };

export function refuse(status: number, message: string, faults: readonly Fault[] = []): Response {
  return json(refusal(status, message, faults).body, { status });
}

/**
 * Reads a JSON body of at most 2 MB; counts what arrives instead of trusting what was announced. A body that is too large is read to its
 * end before it is refused, as far as the server lets it in, so that the sender gets the answer instead of a broken connection.
 */
export async function readBody(request: Request, mostMs = MOST_BODY_MS): Promise<BodyRead> {
  const kind = request.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase() ?? '';
  if (kind !== 'application/json') return { ok: false, response: wrongKind(kind) };
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  const late = deadline(mostMs);
  try {
    for (;;) {
      const next = await Promise.race([reader?.read() ?? END, late.over]);
      if (next === 'late') {
        // Not cancelled: that would close the connection before the answer is out.
        return { ok: false, response: tooSlow(mostMs) };
      }
      if (next.done) break;
      size += next.value.length;
      if (size <= MOST_BYTES) chunks.push(next.value);
    }
  } catch (error) {
    if (!isTooLarge(error)) throw error;
    return { ok: false, response: tooLarge('more') };
  } finally {
    late.stop();
  }
  if (size > MOST_BYTES) return { ok: false, response: tooLarge(`${size} bytes`) };
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.length;
  }
  return { ok: true, bytes };
}

/** A body that trickles in holds a connection and nothing else; after this it is let go. */
const MOST_BODY_MS = 20_000;

const END = { done: true, value: undefined } as const;

function deadline(ms: number): { readonly over: Promise<'late'>; stop(): void } {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const over = new Promise<'late'>((late) => (timer = setTimeout(() => late('late'), ms)));
  return { over, stop: () => clearTimeout(timer) };
}

function tooSlow(ms: number): Response {
  const response = refuse(408, 'The body took too long.', [
    { path: 'the body', expected: `all of it within ${ms / 1000} s`, found: 'a part of it' }
  ]);
  response.headers.set('connection', 'close');
  return response;
}

function wrongKind(found: string): Response {
  return refuse(415, 'The body is of the wrong kind.', [
    { path: 'content-type', expected: 'application/json', found: found === '' ? 'nothing' : found }
  ]);
}

/** The server's own limit, a little above ours, ends the stream with an error of this status. */
function isTooLarge(error: unknown): boolean {
  return error instanceof Error && 'status' in error && error.status === 413;
}

function tooLarge(found: string): Response {
  const response = refuse(413, 'The body is too large.', [
    { path: 'the body', expected: `at most ${MOST_BYTES / 1_000_000} MB`, found }
  ]);
  response.headers.set('connection', 'close');
  return response;
}
