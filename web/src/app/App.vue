<script setup lang="ts">
/** The frame around every screen. Looks and text size hold on each of them, whichever is opened first. */
import { onMounted, shallowRef, type Component } from 'vue';
import { useComfort } from '../live/comfort.store.ts';

useComfort();

/** Behind everything else: the files for days without a signal. Loaded at once then, for it is there when others are gone. */
const versionNotice = shallowRef<Component>();
async function keepForOffline(): Promise<void> {
  versionNotice.value = (await import('./VersionNotice.vue')).default;
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
  <component :is="versionNotice" v-if="versionNotice" />
</template>
