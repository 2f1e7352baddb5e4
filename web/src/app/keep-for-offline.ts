import { registerSW } from 'virtual:pwa-register';

/**
 * Keeps the application on this device, so that it opens with no signal, and asks the browser not to throw the jobs
 * away when its room gets short.
 */
export function keepForOffline(): void {
  registerSW();
  const { storage } = navigator as { storage?: StorageManager };
  void storage?.persist().catch(() => undefined);
}
