import type * as Server from './job-server.ts';
import { jobServer } from './job-server-loader.ts';
import { thisBrowsersMemory, type Memory } from './local-memory.ts';
import type { LocalStore } from './local/local-store.ts';
import { localStore } from './local/local-store-loader.ts';
import { NotifyingStore, type PageNotice } from './local/notifying-store.ts';

export type JobServer = Pick<typeof Server, 'list' | 'open' | 'since' | 'send' | 'listen'>;

/** What a page works with: its browser's jobs, the server, and the other pages of the same browser. */
export interface Device {
  /** The jobs of this device. */
  store(): Promise<LocalStore>;
  server(): Promise<JobServer>;
  readonly memory: Memory;
  /** Runs where no other page of this browser runs the same. */
  alone(work: () => Promise<void>): Promise<void>;
  /** @param hear is called for what other pages do to what they share with this one */
  hear(hear: (notice: PageNotice) => void): void;
}

const CHANNEL = 'sprell.outbox';

function thisBrowser(): Device {
  const others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(CHANNEL);
  const notify = (notice: PageNotice) => others?.postMessage(notice);
  let opened: Promise<LocalStore> | undefined;
  return {
    store: () => (opened ??= localStore().then((store) => new NotifyingStore(store, notify))),
    server: jobServer,
    memory: thisBrowsersMemory,
    alone: (work) => {
      // Where there are no locks there is one page to begin with.
      const { locks } = navigator as { locks?: LockManager };
      return locks ? locks.request(CHANNEL, work) : work();
    },
    hear: (hear) => {
      others?.addEventListener('message', ({ data }: MessageEvent<PageNotice>) => {
        hear(data);
      });
    },
  };
}

let makeDevice = thisBrowser;

/** The device that a page begins on. */
export function deviceHere(): Device {
  return makeDevice();
}

/** Another device for pages that begin from now on: for practice, and for tests. */
export function useDevice(device: (() => Device) | undefined): void {
  makeDevice = device ?? thisBrowser;
}
