/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
/**
 * Makes the product work with the network gone, slow or lying. Everything that the page may ever load is put by at installation, lazy parts
 * too: a cellar is no place to find out that a part is missing. Pages are drawn in the browser, so one shell serves every address, and what
 * is put by answers first: an error page of a gateway or a sign-in page is never taken for the application. Jobs and photos are in the
 * browser's own database and need no network anyway.
 *
 * A newer version waits until no page runs on the older one, whose parts stay that long, or until the only page asks for it.
 */
import { build, files, version } from '$service-worker';

const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `ulterum-${version}`;
/** A page that nothing is drawn on: where the server draws, its page is for one address only. */
const SHELL = '/shell';
/** So long an answer is waited for where there is one at hand. */
const PATIENCE_MS = 1500;
const WEATHER = ['harrowdale', 'saltmere', 'colderbrook', 'duneford'].map((place) => `/api/weather/${place}`);

worker.addEventListener('install', (event) => {
  event.waitUntil(putBy());
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(dropOld().then(() => worker.clients.claim()));
});

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const address = new URL(request.url);
  if (request.method !== 'GET' || address.origin !== worker.location.origin) return;
  const answered = address.pathname.startsWith('/api/') || address.pathname === '/healthz';
  if (request.mode === 'navigate' && !answered) event.respondWith(shell(request));
  else if (address.pathname.startsWith('/_app/immutable/') || files.includes(address.pathname))
    event.respondWith(keptFirst(request));
  else if (address.pathname.startsWith('/api/')) event.respondWith(networkFirst(request));
});

worker.addEventListener('message', (event) => {
  if (event.data === 'take-over') event.waitUntil(takeOver());
});

/** Only where no other page would lose the parts that it runs on. */
async function takeOver(): Promise<void> {
  const pages = await worker.clients.matchAll({ type: 'window', includeUncontrolled: true });
  if (pages.length <= 1) await worker.skipWaiting();
}

async function putBy(): Promise<void> {
  const cache = await caches.open(CACHE);
  await cache.addAll([SHELL, ...build, ...files]);
  await putThreadsBy(cache);
  // The weather is a help, not a need: its absence must not spoil the installation.
  await Promise.allSettled(WEATHER.map((address) => cache.add(address)));
}

/** The list of the build names the first file of each thread, and not those that it loads: they are found by what the files name. */
async function putThreadsBy(cache: Cache): Promise<void> {
  const waiting = build.filter((address) => address.includes('/workers/'));
  const known = new Set(waiting);
  for (let address = waiting.pop(); address !== undefined; address = waiting.pop()) {
    const text = (await (await cache.match(address))?.text()) ?? '';
    for (const [, path = ''] of text.matchAll(/["'`](\.{1,2}\/[\w./-]+\.js)["'`]/g)) {
      const part = new URL(path, new URL(address, worker.location.origin)).pathname;
      if (known.has(part)) continue;
      known.add(part);
      await cache.add(part);
      waiting.push(part);
    }
  }
}

async function dropOld(): Promise<void> {
  const names = await caches.keys();
  await Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name)));
}

async function shell(request: Request): Promise<Response> {
  const kept = await (await caches.open(CACHE)).match(SHELL);
  return kept ?? fetch(request);
}

async function keptFirst(request: Request): Promise<Response> {
  const kept = await caches.match(request);
  if (kept) return kept;
  const fresh = await fetch(request);
  if (fresh.ok) await (await caches.open(CACHE)).put(request, fresh.clone());
  return fresh;
}

async function networkFirst(request: Request): Promise<Response> {
  const kept = await caches.match(request);
  if (!kept) return fetch(request);
  try {
    const fresh = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
    const ours = fresh.headers.get('content-type')?.startsWith('application/json') ?? false;
    return fresh.status < 500 && ours ? fresh : kept;
  } catch {
    return kept;
  }
}
