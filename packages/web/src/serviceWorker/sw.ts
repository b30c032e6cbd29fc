/// <reference lib="webworker" />
// Serves the application's own files when the network does not. Knows nothing of the shop:
// what the server says is kept by the page itself.

declare const self: ServiceWorkerGlobalScope;
/** Put in by the build: every file of this version, and a name that changes with them. */
declare const FILES: readonly string[];
declare const VERSION: string;

const CACHE = `nodo-${VERSION}`;
const PAGE = '/index.html';

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll(FILES)));
});

self.addEventListener('activate', (event) => {
  const clean = async (): Promise<void> => {
    const old = (await caches.keys()).filter((name) => name !== CACHE);
    await Promise.all(old.map((name) => caches.delete(name)));
    await self.clients.claim();
  };
  event.waitUntil(clean());
});

// A newer version waits until the page says that it may take over.
self.addEventListener('message', ({ data }) => {
  if (data === 'take-over') void self.skipWaiting();
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (pathname.startsWith('/api/')) return;
  event.respondWith(request.mode === 'navigate' ? page(request) : keptFile(request));
});

/** From the server as long as it answers, so that a new version is not missed. */
async function page(request: Request): Promise<Response> {
  try {
    const fresh = await fetch(request);
    if (fresh.ok) return fresh;
  } catch {
    // No network: the kept page.
  }
  return (await caches.match(PAGE)) ?? Response.error();
}

/** Files carry their content's hash in their name: the kept one is the right one. */
async function keptFile(request: Request): Promise<Response> {
  return (await caches.match(request)) ?? fetch(request);
}
