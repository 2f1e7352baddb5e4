<script setup lang="ts">
/** Word of another version. It lies over the page: nothing moves when it comes. */
import { computed } from 'vue';
import PlainButton from '../ui/PlainButton.vue';
import { useVersions, type VersionNews } from './versions.ts';

const { news, load } = useVersions();

const SAYS: Readonly<Record<VersionNews, string>> = {
  ready: 'There is a new Sprell. It loads in a moment; all that you wrote stays.',
  switched: 'Sprell is a new one in another window. Load it here too; all that you wrote stays.',
  renewed: 'Sprell was renewed, and this page is of the one before: load it anew. All that you wrote stays.',
  unreached:
    'That part of Sprell is not on this device yet, and the server cannot be reached. Try again with a signal.',
};
const says = computed(() => (news.value === undefined ? undefined : SAYS[news.value]));
</script>

<template>
  <div v-if="says" class="version" role="status" data-test="version">
    <p>{{ says }}</p>
    <PlainButton v-if="news !== 'unreached'" leading data-test="load-version" @click="load">Load it</PlainButton>
    <PlainButton data-test="later" @click="news = undefined">{{
      news === 'unreached' ? 'Close' : 'Later'
    }}</PlainButton>
  </div>
</template>

<style scoped>
.version {
  position: fixed;
  inset: calc(var(--touch) + 12px) 8px auto;
  z-index: 30;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  max-width: 560px;
  margin: 0 auto;
  padding: 8px 12px;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  box-shadow: 0 4px 14px rgb(0 0 0 / 25%);
}
p {
  flex: 1 1 240px;
  margin: 0;
}
</style>
