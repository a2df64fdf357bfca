/** Long work of the command line, in a thread of its own; in this one where the bundle with the thread is not there. */
import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { clientOf, type Client } from '$worker/client';
import type { FromThread, Port, ToThread } from '$worker/protocol';
import { inThisThread } from '$worker/queue';

const entry = new URL('./thread.js', import.meta.url);

/** Runs `work` with a client, and lets the thread go afterwards. */
export async function withThread<T>(work: (client: Client) => Promise<T>): Promise<T> {
  if (!existsSync(entry)) {
    const here = {
      now: () => performance.now(),
      soon: (next: () => void) => void setImmediate(next),
      slice: 100
    };
    return work(clientOf(inThisThread(here)));
  }
  const thread = new Worker(entry);
  const port: Port<ToThread, FromThread> = {
    post: (message) => thread.postMessage(message),
    listen: (hear) => void thread.on('message', hear)
  };
  const broken = new Promise<never>((_, reject) => thread.once('error', reject));
  try {
    return await Promise.race([work(clientOf(port)), broken]);
  } finally {
    await thread.terminate();
  }
}
