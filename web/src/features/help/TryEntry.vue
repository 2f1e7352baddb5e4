<script setup lang="ts">
/** Puts an entry into the one of the bench, behind what stands there. */
import { useRouter } from 'vue-router';
import { insertAtEnd, writeDown, writtenDown } from '../../parts/entry/written-down.ts';

const props = defineProps<{ entry: string }>();
const router = useRouter();
function put(): void {
  if (writtenDown().trim() === '') writeDown(props.entry);
  else insertAtEnd(props.entry);
  void router.push('/');
}
</script>

<template>
  <button type="button" :title="`Put ${entry} into the entry`" :data-try="entry" @click="put">
    <kbd>{{ entry }}</kbd>
  </button>
</template>

<style scoped>
button {
  min-height: 44px;
  padding: 2px 10px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font: inherit;
  text-align: left;
  overflow-wrap: anywhere;
  cursor: pointer;
}
button:hover {
  border-color: var(--chalk);
  color: var(--chalk);
}
kbd {
  font-family: var(--figures);
  font-size: 18px;
  font-weight: 500;
  white-space: pre-wrap;
}
</style>
