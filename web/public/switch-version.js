/*
 * Runs in the service worker beside what the build makes. A new version waits while any page of the old one is open, and a
 * reload alone would never move on to it: when the last page is reloaded, a page that holds nothing is given in its place.
 * That one asks the new version to take over, and loads again once it has. Asking for a page while versions change is no
 * way round that: Chromium can leave such a load unanswered for ever.
 */
/** How often in a row the page in between was given. It gives up after a few, and the old version goes on. */
let putOff = 0;
const MOST_PUT_OFF = 3;

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
  // The one that is being reloaded is among them still.
  if (pages.length < 2 && putOff < MOST_PUT_OFF) {
    putOff += 1;
    return new Response(IN_BETWEEN, {
      headers: { 'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store' },
    });
  }
  putOff = 0;
  return (await caches.match('/index.html', { ignoreSearch: true })) ?? fetch(request);
}

const IN_BETWEEN = `<!doctype html>
<html lang="en">
<meta name="viewport" content="width=device-width">
<meta name="color-scheme" content="light dark">
<title>Sprell</title>
<script>
  const LONGEST = 4000;
  const isActive = (worker) => worker?.state === 'activated';
  const load = () => location.reload();
  navigator.serviceWorker.getRegistration().then((registration) => {
    const next = registration?.waiting ?? registration?.active;
    if (!next || isActive(next)) return load();
    next.addEventListener('statechange', () => {
      if (isActive(next)) load();
    });
    next.postMessage({ type: 'SKIP_WAITING' });
    setTimeout(() => next.state === 'installed' && load(), LONGEST);
  }, load);
</script>
`;
