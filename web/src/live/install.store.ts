import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useKept } from './use-kept.ts';

/** What a browser that can install says of it; it is in no standard yet. */
interface InstallPrompt extends Event {
  prompt(): Promise<{ readonly outcome: 'accepted' | 'dismissed' }>;
}

/** Somebody who came on so many days means to come again. */
const DAYS = 2;

/**
 * Putting Sprell among the applications of this device. It is offered once, on the second day that somebody works here, and from
 * the settings at any time where the browser can.
 */
export const useInstall = defineStore('install', () => {
  const prompt = shallowRef<InstallPrompt>();
  const kept = useKept<{ days: string[]; isSaid: boolean }>('install', { days: [], isSaid: false });

  useEventListener(window, 'beforeinstallprompt', (event) => {
    // The browser would ask by itself, whenever it likes.
    event.preventDefault();
    prompt.value = event as InstallPrompt;
  });
  useEventListener(window, 'appinstalled', () => {
    prompt.value = undefined;
    said();
  });

  /** Somebody works here today. */
  function worked(now = new Date()): void {
    const today = now.toDateString();
    const { days } = kept.value;
    if (days.length >= DAYS || days.includes(today)) return;
    kept.value = { ...kept.value, days: [...days, today] };
  }
  /** It was offered, and is not offered again. */
  function said(): void {
    kept.value = { ...kept.value, isSaid: true };
  }
  async function install(): Promise<void> {
    const { value: asked } = prompt;
    said();
    prompt.value = undefined;
    await asked?.prompt();
  }
  return {
    canInstall: computed(() => prompt.value !== undefined),
    isOffered: computed(() => prompt.value !== undefined && !kept.value.isSaid && kept.value.days.length >= DAYS),
    worked,
    said,
    install,
  };
});
