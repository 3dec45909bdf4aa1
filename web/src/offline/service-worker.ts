import { ExpirationPlugin } from 'workbox-expiration';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { isKept, marked } from './kept';

/** Of a service worker's own world only what is used here: the compiler reads this file with the page's types. */
declare const self: {
  readonly __WB_MANIFEST: (PrecacheEntry | string)[];
  skipWaiting(): Promise<void>;
  addEventListener(type: 'message', heard: (event: MessageEvent<{ type?: string } | null>) => void): void;
};

// The whole application is kept on the device: a page opens, and a cook goes on, while the server is away.
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    // The page that pairs a device is the server's own, as are its certificate and files; what lies under /api is no page.
    denylist: [/^\/api\//, /^\/pair\b/, /^\/certificate$/, /\.\w+$/],
  }),
);

// What was last read stands in while the server is away; it is never preferred to an answer.
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && isKept(url.pathname + url.search),
  new NetworkFirst({
    cacheName: 'hervir-last-read',
    plugins: [
      new ExpirationPlugin({ maxEntries: 80, purgeOnQuotaError: true }),
      { cachedResponseWillBeUsed: ({ cachedResponse }) => Promise.resolve(marked(cachedResponse)) },
    ],
  }),
);

// A new version waits until the cook takes it: a page never changes under wet hands.
self.addEventListener('message', (event) => {
  if (event.data?.type === 'SKIP_WAITING') void self.skipWaiting();
});
