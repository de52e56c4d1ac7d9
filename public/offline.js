/**
 * Keeps the table view of a visit and all that it loads, so that a treatment goes on, and can be opened again, without
 * the network. Only table views are kept: pages of the record are always asked for. A view is forgotten when its
 * treatment has ended, when somebody signs out, and after half a day.
 */
const cacheName = 'velvet-stone-table';
const patienceMs = 4000;
const longestMs = 12 * 3_600_000;
const tablePath = /^\/visits\/\d+\/table$/;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(Promise.all([self.clients.claim(), forgetOld()])));

self.addEventListener('message', (event) => {
  const { kind, path, assets } = event.data ?? {};
  const answer = (isDone) => event.ports[0]?.postMessage({ isDone });
  const task = kind === 'keep' ? keep(path, assets) : kind === 'forget' ? forget(path) : undefined;
  if (task) event.waitUntil(task.then(answer, () => answer(false)));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate' && tablePath.test(url.pathname)) event.respondWith(pageFromHouse(request, url));
  // Files with a hash in their names never change.
  else if (url.pathname.startsWith('/_astro/')) event.respondWith(fileFromHere(request));
});

/** @returns true when the page and every file that it needs are here */
async function keep(path, assets) {
  if (!tablePath.test(path)) return false;
  const cache = await caches.open(cacheName);
  const page = await fetch(path, { credentials: 'same-origin' }).catch(() => undefined);
  if (page?.ok && !page.redirected) await cache.put(path, page);
  else if (page || !(await cache.match(path))) return false;
  const missing = [];
  for (const asset of assets) if (!(await cache.match(asset))) missing.push(asset);
  await cache.addAll(missing);
  return true;
}

async function forget(path) {
  const cache = await caches.open(cacheName);
  return cache.delete(path);
}

async function forgetOld() {
  const cache = await caches.open(cacheName);
  for (const request of await cache.keys()) {
    if (tablePath.test(new URL(request.url).pathname) && isOld(await cache.match(request))) await cache.delete(request);
  }
}

const isOld = (response) => Date.now() - Date.parse(response?.headers.get('date') ?? '') > longestMs;

/** The house first; the page that is kept when nobody answers in time. */
async function pageFromHouse(request, url) {
  const cache = await caches.open(cacheName);
  const kept = await cache.match(url.pathname);
  const usable = kept && !isOld(kept) ? kept : undefined;
  try {
    // A navigation takes no signal of its own.
    const answer = await (usable ? Promise.race([fetch(request), afterPatience()]) : fetch(request));
    return answer.status >= 500 && usable ? usable : answer;
  } catch (error) {
    if (usable) return usable;
    throw error;
  }
}

const afterPatience = () =>
  new Promise((_, reject) => setTimeout(() => reject(new Error('the house does not answer')), patienceMs));

async function fileFromHere(request) {
  return (await caches.match(request)) ?? fetch(request);
}
