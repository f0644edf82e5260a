/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { version } from '$service-worker';

/**
 * Everything works without a network: what the app is made of is kept when it is first opened, each version by itself. A
 * new version waits until a person takes it, or until every tab of the old one is closed.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const KEPT = `gentle-arc-${version}`;
const SHELL = '/';
/** What is large and seldom used is kept when it is first used. */
const LIST = '/precache.json';
const NO_NETWORK = 'There is no network: this is asked of the server again when there is one.';

worker.addEventListener('install', (event) => event.waitUntil(keepAll()));
worker.addEventListener('activate', (event) => event.waitUntil(dropOthers()));
worker.addEventListener('message', ({ data }) => {
  if (data === 'take over') void worker.skipWaiting();
});

async function keepAll(): Promise<void> {
  const cache = await caches.open(KEPT);
  const names = (await (await fetch(LIST, { cache: 'no-store' })).json()) as string[];
  await cache.addAll([SHELL, ...names]);
}

async function dropOthers(): Promise<void> {
  for (const name of await caches.keys())
    if (name.startsWith('gentle-arc-') && name !== KEPT) await caches.delete(name);
  await worker.clients.claim();
}

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== location.origin) return;
  if (pathname.startsWith('/api/')) event.respondWith(asked(request));
  else if (request.method !== 'GET') return;
  else if (request.mode === 'navigate') event.respondWith(page(request));
  else event.respondWith(part(request));
});

/** A page is always the same shell: from the network, or as it was kept. */
async function page(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch (error) {
    const kept = await (await caches.open(KEPT)).match(SHELL);
    if (kept) return kept;
    throw error;
  }
}

/** What the app is made of never changes under its name. */
async function part(request: Request): Promise<Response> {
  const cache = await caches.open(KEPT);
  const kept = await cache.match(request, { ignoreVary: true });
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok && new URL(request.url).pathname.startsWith('/_app/immutable/'))
    await cache.put(request, answer.clone());
  return answer;
}

async function asked(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    return new Response(JSON.stringify({ error: { path: 'network', sentence: NO_NETWORK } }), {
      status: 503,
      headers: { 'content-type': 'application/json' },
    });
  }
}
