/** The web worker for long work, started once when it is first needed. */
import { clientOf, type Client } from '$worker/client';
import type { FromThread, ToThread } from '$worker/protocol';
import { inThisThread } from '$worker/queue';

let client: Client | null = null;

export function longWork(): Client {
  client ??= clientOf(portOf());
  return client;
}

function portOf() {
  try {
    const worker = new Worker(new URL('../../worker/browser.ts', import.meta.url), { type: 'module' });
    return {
      post: (message: ToThread) => worker.postMessage(message),
      listen: (hear: (message: FromThread) => void) =>
        worker.addEventListener('message', ({ data }: MessageEvent<FromThread>) => hear(data))
    };
  } catch {
    // No worker to be had: the same work in short slices here, so that the page stays awake.
    return inThisThread({ now: () => performance.now(), soon: (next) => void setTimeout(next), slice: 20 });
  }
}
