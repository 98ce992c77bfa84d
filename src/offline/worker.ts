/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

// The service worker of the cutting sheets and the sewing runs: one that was opened once opens again without the network, with the scripts, styles
// and fonts that it was made of. Everything else goes to the network as ever.

declare const self: ServiceWorkerGlobalScope;

const SHEET = /^\/(batches\/\d+\/cutting|sewing)\/\d+\/?$/;
const FILES = 'files';
const SHEETS = 'sheets';
/** A sheet that the server does not give within so many seconds is taken from here. */
const PATIENCE_S = 4;

const files = new CacheFirst({
  cacheName: FILES,
  plugins: [new ExpirationPlugin({ maxEntries: 400, purgeOnQuotaError: true })],
});
const sheets = new NetworkFirst({
  cacheName: SHEETS,
  networkTimeoutSeconds: PATIENCE_S,
  plugins: [new ExpirationPlugin({ maxEntries: 40, purgeOnQuotaError: true })],
});
registerRoute(({ url }) => url.origin === self.location.origin && url.pathname.startsWith('/_next/static/'), files);
registerRoute(({ request, url }) => request.mode === 'navigate' && SHEET.test(url.pathname), sheets);

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/** A page that was loaded before this worker was there says what it is and what it was made of. */
self.addEventListener('message', (event) => {
  const { keep } = event.data as { keep?: { page: string; files: string[] } };
  if (keep) event.waitUntil(keepAll(keep.page, keep.files));
});

async function keepAll(page: string, all: readonly string[]) {
  const kept = await caches.open(FILES);
  const isNew = await Promise.all(all.map(async (url) => !(await kept.match(url))));
  await Promise.allSettled(all.filter((_, i) => isNew[i]).map((url) => kept.add(url)));
  const answer = await fetch(page, { headers: { accept: 'text/html' } });
  if (answer.ok) await (await caches.open(SHEETS)).put(page, answer);
}
