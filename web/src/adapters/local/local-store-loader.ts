import type { LocalStore } from './local-store.ts';

let opened: Promise<LocalStore> | undefined;

/** The jobs of this device. Where the browser has no database for them, they are kept while the page is open. */
export function localStore(): Promise<LocalStore> {
  opened ??= openStore();
  return opened;
}

/** @param name of the database: another than the usual one is a store of its own */
export async function openStore(name?: string): Promise<LocalStore> {
  try {
    const { DexieStore } = await import('./dexie-store.ts');
    return await new DexieStore(name).ready();
  } catch {
    const { MemoryStore } = await import('./memory-store.ts');
    return new MemoryStore();
  }
}

/** Another store from now on: for practice, and for tests. */
export function useLocalStore(store: LocalStore | Promise<LocalStore> | undefined): void {
  opened = store && Promise.resolve(store);
}
