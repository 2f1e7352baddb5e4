/*
 * Runs in the service worker beside what the build makes. A new version waits while any page of the old one is open, and a
 * reload alone would never move on to it: the last page that is loaded anew does. What was written is kept apart from the
 * pages and is there again.
 */
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { pathname } = new URL(request.url);
  const isPage = request.mode === 'navigate' && !pathname.startsWith('/api/') && pathname !== '/outbox';
  if (!isPage || !self.registration.waiting) return;
  event.stopImmediatePropagation();
  event.respondWith(newOrOld(request));
});

async function newOrOld(request) {
  const pages = await self.clients.matchAll({ type: 'window' });
  // The one that is being loaded is among them still.
  if (pages.length < 2 && self.registration.waiting) {
    self.registration.waiting.postMessage({ type: 'SKIP_WAITING' });
    return new Response('', { headers: { Refresh: '0' } });
  }
  return (await caches.match('/index.html', { ignoreSearch: true })) ?? fetch(request);
}
