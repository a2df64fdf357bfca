/**
 * Has the parts of the working thread put by for a cellar without a network. The list that the service worker is built with leaves out what a
 * thread loads, so the thread loads all of it once nobody waits for anything, and the page asks for each part through the service worker.
 */
import { longWork } from '../bench/thread';

const QUIET_MS = 4000;
let begun = false;

export function putThreadBy(): void {
  if (begun || typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  begun = true;
  setTimeout(() => void put(), QUIET_MS);
}

async function put(): Promise<void> {
  await navigator.serviceWorker.ready;
  const outcome = await longWork()
    .run('warm', null)
    .catch(() => null);
  if (!outcome?.ok) return;
  // What cannot be had now is asked for again when it is needed.
  await Promise.allSettled(outcome.result.map((address) => fetch(address)));
  document.documentElement.dataset['putBy'] = 'yes';
}
