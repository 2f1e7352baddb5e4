import type { LocalStore } from './local-store.ts';

let opened: Promise<LocalStore> | undefined;

/** The jobs of this device. Where the browser has no database for them, they are kept while the page is open. */
export function localStore(): Promise<LocalStore> {
  opened ??= open();
  return opened;
}

async function open(): Promise<LocalStore> {
  try {
    const { DexieStore } = await import('./dexie-store.ts');
    return await new DexieStore().ready();
  } catch {
    const { MemoryStore } = await import('./memory-store.ts');
    return new MemoryStore();
  }
}

/** Another store from now on: for tests. */
export function useLocalStore(store: LocalStore | undefined): void {
  opened = store && Promise.resolve(store);
}
