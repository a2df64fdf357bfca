/** What all server routes share: a body of limited size, and errors as JSON with the path at fault. */
import { json } from '@sveltejs/kit';
import type { Fault } from '$core/formats/faults';
import { MOST_BYTES } from '$core/formats/job-json';

export type BodyRead =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly response: Response };

export function refuse(status: number, message: string, faults: readonly Fault[] = []): Response {
  return json({ message, faults }, { status });
}

/** Reads a JSON body of at most 2 MB; counts what arrives instead of trusting what was announced. */
export async function readBody(request: Request): Promise<BodyRead> {
  const announced = Number(request.headers.get('content-length') ?? 0);
  if (announced > MOST_BYTES) return { ok: false, response: tooLarge(`${announced} bytes`) };
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.length;
    if (size > MOST_BYTES) return { ok: false, response: tooLarge('more') };
    chunks.push(chunk);
  }
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

function tooLarge(found: string): Response {
  return refuse(413, 'The body is too large.', [
    { path: 'the body', expected: `at most ${MOST_BYTES / 1_000_000} MB`, found }
  ]);
}
