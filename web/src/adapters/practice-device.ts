import { useDevice, type Device } from './device.ts';
import { rememberApart, thisBrowsersMemory } from './local-memory.ts';
import { localStore, openStore, useLocalStore } from './local/local-store-loader.ts';
import { RequestFailure } from './request-failure.ts';

const NAME = 'practice';

/**
 * From now on this page works on a device of its own: its jobs lie in another database, what it remembers under other keys, and
 * nothing goes to the server or to other pages. It is there again when somebody comes back.
 */
export function beginPractice(): void {
  rememberApart(NAME);
  useLocalStore(openStore(`sprell-${NAME}`));
  const device: Device = {
    store: localStore,
    server: () => Promise.reject(new RequestFailure('offline', 'Practice stays on this device.')),
    memory: thisBrowsersMemory,
    alone: (work) => work(),
    hear: () => undefined,
  };
  useDevice(() => device);
}
