/**
 * Stands between a tablet and the server, so that a kitchen goes on while the server is away: what the program is made of is kept with
 * each build; pages are shown as the server draws them, and as they were last drawn when it does not answer. Writes pass by it: they wait
 * in the page that made them (ui/batch). Bundled by scripts/build.mjs, which fills in what there is to keep.
 */
import { cacheNames } from 'workbox-core';
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { isPage, KEEP_PAGES, NOT_KEPT, PAGES, pagesOf } from '../ui/alone/kept-pages';

/** Filled in by the build: its files, each with its own name, and the build's name. */
declare const BUILT: { readonly url: string; readonly revision: string | null }[];
declare const BUILD: string;

/** What this program needs of its own scope. */
interface Scope {
  addEventListener(on: 'message', hear: (event: { readonly data: unknown; waitUntil(work: Promise<unknown>): void }) => void): void;
  addEventListener(on: 'activate', hear: (event: { waitUntil(work: Promise<unknown>): void }) => void): void;
  readonly clients: { claim(): Promise<void> };
}
const scope = self as unknown as Scope;

/** Pages that stay, those that are asked for among them. */
const MOST_PAGES = 80;
const KEPT = pagesOf(BUILD);

// A worker of the program reads what it needs behind the # of its own address. What lies in a cache bears its address without that: so it
// gets the same script as an answer without an address, which then has the one that was asked for.
registerRoute(
  ({ request, sameOrigin }) => sameOrigin && request.destination === 'worker',
  async ({ request }) => {
    const kept = await matchPrecache(request.url.replace(/[?#].*$/, ''));
    return kept ? new Response(kept.body, { headers: kept.headers }) : fetch(request);
  },
);
precacheAndRoute(BUILT);
cleanupOutdatedCaches();

// A page that was drawn by a newer build asks for files that this one does not have: they have their own names and never change.
registerRoute(({ url }) => url.pathname.startsWith('/_next/static/'), new CacheFirst({ cacheName: `${cacheNames.runtime}-${BUILD}` }));

const pages = new NetworkFirst({ cacheName: KEPT });
registerRoute(
  ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && isPage(url.pathname),
  async (options) => {
    try {
      return await pages.handle(options);
    } catch {
      // Mend for a sign is Mend for its batch, where that is all there is.
      const plain = new URL(options.url);
      plain.searchParams.delete('sign');
      return (await caches.match(plain.href)) ?? (await caches.match(NOT_KEPT)) ?? Response.error();
    }
  },
);

/** Who is put out, or is not in, takes nothing of the kitchen along. */
registerRoute(
  ({ request, url }) => request.mode === 'navigate' && url.pathname === '/enter',
  async ({ request }) => {
    await forget('');
    return fetch(request);
  },
);

/** Pages of all builds but one are gone. @param but '' for none. */
async function forget(but: string): Promise<void> {
  for (const name of await caches.keys()) if (name.startsWith(PAGES) && name !== but) await caches.delete(name);
}

/** Draws these pages once more and keeps them; one that the server does not give stays as it was. */
async function keep(addresses: readonly string[]): Promise<void> {
  const cache = await caches.open(KEPT);
  for (const address of addresses) {
    const page = await fetch(address, { credentials: 'same-origin' }).catch(() => null);
    if (page?.ok && !page.redirected) await cache.put(address, page);
  }
  // What was kept or visited longest ago stands first, and goes first.
  const all = await cache.keys();
  for (const old of all.slice(0, Math.max(0, all.length - MOST_PAGES))) await cache.delete(old);
}

scope.addEventListener('message', (event) => {
  const { data } = event;
  if (typeof data !== 'object' || data === null || !('kind' in data) || data.kind !== KEEP_PAGES || !('addresses' in data) || !Array.isArray(data.addresses))
    return;
  event.waitUntil(keep(data.addresses.filter((a): a is string => typeof a === 'string' && a.startsWith('/'))));
});
scope.addEventListener('activate', (event) => event.waitUntil(forget(KEPT).then(() => scope.clients.claim())));
