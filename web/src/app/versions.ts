import { useEventListener, useIntervalFn } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { Workbox } from 'workbox-window';

/** What there is to say of the version that this page is of. */
export type VersionNews =
  /** Another one is on this device and waits. */
  | 'ready'
  /** Another window has moved on to it. */
  | 'switched'
  /** The server has another one, and a part of this one is not to be had any more. */
  | 'renewed'
  /** A part of this one is not on the device, and the server cannot be reached. */
  | 'unreached';

const LOOK_EVERY = 60 * 60_000;

/**
 * Keeps the application on this device, so that it opens with no signal, and says when there is another version. Nothing
 * changes under the hands of somebody who is writing: they are asked, or come to it with the next reload.
 */
export function useVersions(): { news: Ref<VersionNews | undefined>; load: () => void } {
  const news = ref<VersionNews>();
  let load = () => location.reload();
  // A part that is loaded when it is wanted first, and is not there.
  useEventListener(window, 'vite:preloadError', () => {
    void isOther().then((other) => {
      if (news.value === undefined || news.value === 'unreached') news.value = other ? 'renewed' : 'unreached';
    });
  });
  const { serviceWorker } = navigator as { serviceWorker?: ServiceWorkerContainer };
  if (import.meta.env.PROD && serviceWorker) {
    const worker = new Workbox('/sw.js');
    let isAsked = false;
    worker.addEventListener('waiting', () => (news.value = 'ready'));
    const hadOne = serviceWorker.controller !== null;
    useEventListener(serviceWorker, 'controllerchange', () => {
      if (isAsked) void loadOnceActive(serviceWorker);
      else if (hadOne) news.value = 'switched';
    });
    load = () => {
      isAsked = true;
      if (news.value === 'ready') worker.messageSkipWaiting();
      else void loadOnceActive(serviceWorker);
    };
    // Without one the page works as well, as long as there is a signal.
    worker.register().catch(() => undefined);
    useIntervalFn(() => void worker.update().catch(() => undefined), LOOK_EVERY);
  }
  return { news, load: () => load() };
}

/** Loads the page again once the version that takes over has done so: Chromium can leave a load before that unanswered. */
async function loadOnceActive(serviceWorker: ServiceWorkerContainer): Promise<void> {
  const active = (await serviceWorker.getRegistration().catch(() => undefined))?.active;
  if (active?.state === 'activating')
    await new Promise((resolve) => active.addEventListener('statechange', resolve, { once: true }));
  location.reload();
}

/** Whether the server's page names another script than this one was made by. */
async function isOther(): Promise<boolean> {
  const own = document.querySelector<HTMLScriptElement>('script[type=module][src]')?.src;
  try {
    const page = await (await fetch('/index.html', { cache: 'no-store' })).text();
    return own !== undefined && !page.includes(new URL(own).pathname);
  } catch {
    return false;
  }
}
