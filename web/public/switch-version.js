/*
 * Runs in the service worker beside what the build makes. A new version waits while any page of the old one is open, and a
 * reload alone would never move on to it: the last page that is loaded anew does. What was written is kept apart from the
 * pages and is there again.
 */
/** Loads that were put off since the new version was asked to take over: it does so once nothing of the old one is under way. */
let putOff = 0;
const MOST_PUT_OFF = 200;

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { pathname } = new URL(request.url);
  const isPage = request.mode === 'navigate' && !pathname.startsWith('/api/') && pathname !== '/outbox';
  if (!isPage || (!self.registration.waiting && putOff === 0)) return;
  event.stopImmediatePropagation();
  event.respondWith(newOrOld(request));
});

async function newOrOld(request) {
  const pages = await self.clients.matchAll({ type: 'window' });
  // The one that is being loaded is among them still.
  if (pages.length < 2 && putOff < MOST_PUT_OFF) {
    putOff += 1;
    self.registration.waiting?.postMessage({ type: 'SKIP_WAITING' });
    return new Response('', { headers: { Refresh: '0' } });
  }
  return (await caches.match('/index.html', { ignoreSearch: true })) ?? fetch(request);
}
