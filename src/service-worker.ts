/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
/**
 * Makes the product work with the network gone. Everything that the page may ever load is put by at installation, lazy parts too: a cellar
 * is no place to find out that a part is missing. Pages are drawn in the browser, so one shell serves every address. Jobs and photos are
 * in the browser's own database and need no network anyway.
 */
import { build, files, version } from '$service-worker';

const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `ulterum-${version}`;
const SHELL = '/';
const WEATHER = ['harrowdale', 'saltmere', 'colderbrook', 'duneford'].map((place) => `/api/weather/${place}`);

worker.addEventListener('install', (event) => {
  event.waitUntil(putBy().then(() => worker.skipWaiting()));
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(dropOld().then(() => worker.clients.claim()));
});

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const address = new URL(request.url);
  if (request.method !== 'GET' || address.origin !== worker.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(shell(request));
  else if (address.pathname.startsWith('/_app/immutable/') || files.includes(address.pathname))
    event.respondWith(keptFirst(request));
  else if (address.pathname.startsWith('/api/')) event.respondWith(networkFirst(request));
});

async function putBy(): Promise<void> {
  const cache = await caches.open(CACHE);
  await cache.addAll([SHELL, ...build, ...files]);
  // The weather is a help, not a need: its absence must not spoil the installation.
  await Promise.allSettled(WEATHER.map((one) => cache.add(one)));
}

async function dropOld(): Promise<void> {
  const names = await caches.keys();
  await Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name)));
}

async function shell(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    return (await caches.match(SHELL)) ?? Response.error();
  }
}

async function keptFirst(request: Request): Promise<Response> {
  const kept = await caches.match(request);
  if (kept) return kept;
  const fresh = await fetch(request);
  if (fresh.ok) await (await caches.open(CACHE)).put(request, fresh.clone());
  return fresh;
}

async function networkFirst(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    return (await caches.match(request)) ?? Response.error();
  }
}
