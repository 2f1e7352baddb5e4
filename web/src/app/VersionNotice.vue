<script setup lang="ts">
/** Word of another version. It lies over the head of the page: nothing moves when it comes, and no figure is covered. */
import { computed } from 'vue';
import PlainButton from '../ui/PlainButton.vue';
import { useVersions, type VersionNews } from './versions.ts';

const { news, load } = useVersions();

const SAYS: Readonly<Record<VersionNews, string>> = {
  ready: 'A new Sprell is here. All that you wrote stays.',
  switched: 'Another window has a new Sprell. Load it here too; all that you wrote stays.',
  renewed: 'This page is of an older Sprell, and a part of it is gone. Load the new one; all that you wrote stays.',
  unreached: 'That part is not on this device yet, and the server cannot be reached. Try again with a signal.',
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

<style scoped src="../ui/over-head.css"></style>
<style scoped>
.version {
  max-width: 430px;
}
p {
  flex: 1 1 180px;
}
</style>
