/**
 * Keeps the whole application in the browser, so that it opens with its server gone. All files of a build are taken together, and handed out
 * together: a new build waits until the person takes it, and never mixes with the one that is open.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
/** Filled in when it is built: every file of the application, and a name of its own for the build. */
declare const __FILES__: readonly string[];
declare const __BUILD__: string;

const CACHE = `junctura-${__BUILD__}`;
const PAGE = '/index.html';
/** What only a running server can answer. */
const LIVE = /^\/(stand-ins|hand-over|healthz)(\/|$)/;

worker.addEventListener('install', (event) => {
  event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll([...__FILES__])));
});

worker.addEventListener('activate', (event) => {
  const clear = async (): Promise<void> => {
    const names = (await caches.keys()).filter((name) => name.startsWith('junctura-') && name !== CACHE);
    await Promise.all(names.map((name) => caches.delete(name)));
    await worker.clients.claim();
  };
  event.waitUntil(clear());
});

worker.addEventListener('message', ({ data }) => {
  if (data === 'take-over') void worker.skipWaiting();
});

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== worker.location.origin || LIVE.test(pathname)) return;
  const kept = async (): Promise<Response> => {
    const cache = await caches.open(CACHE);
    return (await cache.match(request.mode === 'navigate' ? PAGE : pathname)) ?? fetch(request);
  };
  event.respondWith(kept());
});
