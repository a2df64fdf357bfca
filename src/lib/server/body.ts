/** What all server routes share: a body of limited size, and errors as JSON with the path at fault. */
import { json } from '@sveltejs/kit';
import type { Fault } from '$core/job/faults';
import { MOST_BYTES } from '$core/formats/job-json';

export type BodyRead =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly response: Response };

export function refuse(status: number, message: string, faults: readonly Fault[] = []): Response {
  return json({ message, faults }, { status });
}

/**
 * Reads a JSON body of at most 2 MB; counts what arrives instead of trusting what was announced. A body that is too large is read to its
 * end before it is refused, as far as the server lets it in, so that the sender gets the answer instead of a broken connection.
 */
export async function readBody(request: Request): Promise<BodyRead> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of request.body ?? []) {
      size += chunk.length;
      if (size <= MOST_BYTES) chunks.push(chunk);
    }
  } catch (error) {
    if (!isTooLarge(error)) throw error;
    return { ok: false, response: tooLarge('more') };
  }
  if (size > MOST_BYTES) return { ok: false, response: tooLarge(`${size} bytes`) };
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.length;
  }
  try {
    return { ok: true, value: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) };
  } catch (error) {
    if (!(error instanceof SyntaxError || error instanceof TypeError)) throw error;
    return {
      ok: false,
      response: refuse(400, 'The body is no JSON.', [
        { path: 'the body', expected: 'JSON', found: error.message }
      ])
    };
  }
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
