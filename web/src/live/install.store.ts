import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { installPrompt } from './install-asked.ts';
import { useKept } from './use-kept.ts';

/** Somebody who came on so many days means to come again. */
const DAYS = 2;

/**
 * Putting Sprell among the applications of this device. It is offered once, on the second day that somebody works here, and from
 * the settings at any time where the browser can.
 */
export const useInstall = defineStore('install', () => {
  const kept = useKept<{ days: string[]; isSaid: boolean }>('install', { days: [], isSaid: false });

  useEventListener(window, 'appinstalled', () => {
    installPrompt.value = undefined;
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
    const { value: asked } = installPrompt;
    said();
    installPrompt.value = undefined;
    await asked?.prompt();
  }
  return {
    canInstall: computed(() => installPrompt.value !== undefined),
    isOffered: computed(
      () => installPrompt.value !== undefined && !kept.value.isSaid && kept.value.days.length >= DAYS,
    ),
    worked,
    said,
    install,
  };
});
