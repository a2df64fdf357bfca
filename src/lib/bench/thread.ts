/** The web worker for long work, started once when it is first needed. */
import { clientOf, type Client } from '$worker/client';
import type { FromThread, Port, TaskKind, Tasks, ToThread } from '$worker/protocol';

let client: Client | null = null;

export function longWork(): Client {
  client ??= clientOf(portOf());
  return client;
}

/** What the thread gives, or null and why it gives nothing. */
export type Hear<T> = (result: T | null, trouble: string) => void;

/** Asks the thread and returns the way to stop: after that nothing is heard any more. */
export function ask<K extends TaskKind>(
  kind: K,
  request: Tasks[K]['request'],
  hear: Hear<Tasks[K]['result']>,
  onProgress: (share: number) => void = () => undefined
): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  longWork()
    .run(kind, request, { signal, onProgress })
    .then(
      (outcome) => {
        if (signal.aborted) return;
        if (outcome.ok) hear(outcome.result, '');
        else hear(null, outcome.reason === 'failed' ? outcome.why : '');
      },
      (error: unknown) => {
        if (!signal.aborted) hear(null, error instanceof Error ? error.message : String(error));
      }
    );
  return () => stop.abort();
}

function portOf(): Port<ToThread, FromThread> {
  try {
    const worker = new Worker(new URL('../../worker/browser.ts', import.meta.url), { type: 'module' });
    return {
      post: (message: ToThread) => worker.postMessage(message),
      listen: (hear: (message: FromThread) => void) =>
        worker.addEventListener('message', ({ data }: MessageEvent<FromThread>) => hear(data))
    };
  } catch {
    return inSlices();
  }
}

/** No worker to be had: the same work in short slices here, so that the page stays awake. It is loaded only then. */
function inSlices(): Port<ToThread, FromThread> {
  let hear: (message: FromThread) => void = () => undefined;
  const port = import('$worker/queue').then(({ inThisThread }) => {
    const here = inThisThread({
      now: () => performance.now(),
      soon: (next) => void setTimeout(next),
      slice: 20
    });
    here.listen((message) => hear(message));
    return here;
  });
  return {
    post: (message) => void port.then((here) => here.post(message)),
    listen: (next) => void (hear = next)
  };
}
