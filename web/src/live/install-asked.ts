import { shallowRef } from 'vue';

/** What a browser that can install says of it; it is in no standard yet. */
export interface InstallPrompt extends Event {
  prompt(): Promise<unknown>;
}

/** The browser may be asked to install: it says so once, early, and would ask by itself, whenever it likes. */
export const installPrompt = shallowRef<InstallPrompt>();
addEventListener('beforeinstallprompt', (event) => {
  event.preventDefault();
  installPrompt.value = event as InstallPrompt;
});
