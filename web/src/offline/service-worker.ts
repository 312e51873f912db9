/// <reference lib="webworker" />
import { type PrecacheEntry, Serwist, type SerwistPlugin } from 'serwist';
import { pageOf } from './page-of.mjs';

/**
 * Keeps the whole program on this device: every page, script, font and picture of one build, fetched when it is
 * installed and answered from there ever after. So the program runs without its server, and no page ever mixes
 * scripts of two builds. A new build is installed beside it and waits until the user asks for it (`update.ts`).
 *
 * The API is left alone. What the shops hold is not here: it is in the browser's database.
 */
declare const self: ServiceWorkerGlobalScope & {
  /** Put in by `scripts/build-offline.mjs`. */
  readonly __PAGES: readonly string[];
  readonly __KEPT: PrecacheEntry[];
};

const pages = new Set(self.__PAGES);

/**
 * A worker of a page is told what to load behind the `#` of its address. A kept answer has an address of its own,
 * without that; an answer made anew has that of the request.
 */
const answerWorkers: SerwistPlugin = {
  handlerWillRespond: async ({ request, response }) =>
    request.destination === 'worker' ? new Response(response.body, response) : response,
};

const offline = new Serwist({
  precacheEntries: self.__KEPT,
  precacheOptions: {
    plugins: [answerWorkers],
    cleanURLs: false,
    directoryIndex: null,
    cleanupOutdatedCaches: true,
    // Next marks the address of an icon by what it holds.
    ignoreURLParametersMatching: [/^(apple-)?icon\./],
  },
  skipWaiting: false,
  clientsClaim: true,
});

/** Where a page is fetched from: that of a shop, as the page of a shop called `-`. */
const addressOf = (page: string) => page.replace(/^\/shop\//, '/shop/-/');

async function kept(address: string): Promise<Response> {
  const response = await offline.matchPrecache(address);
  if (!response) throw new Error(`${address} is not kept`);
  return response;
}

// A page that is opened, reloaded or entered by its address.
offline.registerCapture(
  ({ request, url, sameOrigin }) =>
    sameOrigin && request.mode === 'navigate' && pages.has(pageOf(url.pathname)),
  async ({ url }) => kept(addressOf(pageOf(url.pathname))),
);

/** What Next asks for when one page leads to another: of a page all, or the named part of it. */
function partRequested(request: Request, page: string): string {
  const part = request.headers.get('next-router-segment-prefetch') ?? '/_full';
  return `/offline${page === '/' ? '/index' : page}.segments${part}.segment.rsc`;
}

offline.registerCapture(
  ({ request, url, sameOrigin }) =>
    sameOrigin && request.headers.get('rsc') === '1' && pages.has(pageOf(url.pathname)),
  async ({ request, url }) => {
    const part = await kept(partRequested(request, pageOf(url.pathname)));
    const headers = { 'content-type': 'text/x-component' };
    return new Response(part.body, { headers });
  },
);

offline.addEventListeners();
