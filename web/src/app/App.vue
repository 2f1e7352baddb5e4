<script setup lang="ts">
/** The frame around every screen. Looks and text size hold on each of them, whichever is opened first. */
import { computed, defineAsyncComponent, nextTick, onMounted, shallowRef, type Component } from 'vue';
import { useTitle } from '@vueuse/core';
import { useRoute, useRouter } from 'vue-router';
import { comfortPanel } from '../features/comfort/index.ts';
import { firstQuestion } from '../features/jobs/index.ts';
import { spokenPanel } from '../features/spoken/index.ts';
import { useComfort } from '../live/comfort.store.ts';
import '../live/install-asked.ts';
import { followAddress } from '../live/job-address.ts';
import { useOwnKeys } from '../live/own-keys.ts';
import { useSpokenPanel } from '../live/spoken.store.ts';
import { useJobs } from '../live/use-jobs.ts';
import { useHand } from '../parts/entry/hand.ts';

const ComfortPanel = defineAsyncComponent(comfortPanel);
const KeyDock = defineAsyncComponent(() => import('../parts/dock/KeyDock.vue'));
const SpokenPanel = defineAsyncComponent(spokenPanel);
const FirstQuestion = defineAsyncComponent(firstQuestion);
const comfort = useComfort();
const spoken = useSpokenPanel();
const hand = useHand();
const ownKeys = useOwnKeys();
const jobs = useJobs();
const [router, route] = [useRouter(), useRoute()];
followAddress(router, jobs);
useTitle(computed(() => [route.meta['title'], jobs.open.head?.title, 'Sprell'].filter(Boolean).join(' · ')));

/** A reader's voice, and the Tab key, begin at the top of a screen that was arrived at, unless it has a better place. */
router.afterEach(async (to, from) => {
  if (from.matched.length === 0 || to.path === from.path) return;
  await nextTick();
  if (document.activeElement === document.body) document.querySelector<HTMLElement>('h1')?.focus();
});

/** Behind everything else: the files for days without a signal. Loaded at once then, for it is there when others are gone. */
const behind = shallowRef<Component>();
async function keepForOffline(): Promise<void> {
  behind.value = (await import('./BehindPage.vue')).default;
  // The jobs are not thrown away when the device's room gets short.
  const { storage } = navigator as { storage?: StorageManager };
  await storage?.persist().catch(() => undefined);
}
onMounted(() => {
  const begin = () => void keepForOffline().catch(() => undefined);
  if (document.readyState === 'complete') begin();
  else window.addEventListener('load', begin, { once: true });
});
</script>

<template>
  <RouterView />
  <SpokenPanel v-if="spoken.open" />
  <KeyDock v-if="hand.isInField && ownKeys" />
  <FirstQuestion v-if="jobs.isFirst" />
  <ComfortPanel v-if="comfort.open" @close="comfort.open = false" />
  <component :is="behind" v-if="behind" />
</template>
