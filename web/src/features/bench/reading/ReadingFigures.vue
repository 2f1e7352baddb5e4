<script setup lang="ts">
/**
 * The figures of the reading: all that a key has to redraw. They are put on the page without a template, which takes a fifth
 * of the time that comparing one does (decision 15).
 */
import { ref, watchPostEffect } from 'vue';
import { sizeNode } from '../../../ui/size-pieces.ts';

const props = defineProps<{
  /** Undefined where there is no reading. */
  text: () => string | undefined;
  /** Something else is said in its place. */
  isProblem: () => boolean;
  /** They are of a part of the entry: the rest is in error. */
  isPart: () => boolean;
  /** How it begins, where nothing is said instead. */
  nothing: string;
}>();
const figures = ref<HTMLElement>();

watchPostEffect(() => {
  const text = props.text();
  const { value: room } = figures;
  if (room === undefined) return;
  const said = text ?? (props.isProblem() ? '' : props.nothing);
  room.classList.toggle('nothing', text === undefined);
  room.classList.toggle('part', props.isPart());
  room.style.setProperty('--signs', String(text?.length ?? props.nothing.length));
  room.replaceChildren(said === '' ? '' : sizeNode(said));
});
</script>

<template>
  <div ref="figures" class="figures" data-test="reading"></div>
</template>

<style scoped>
.nothing {
  color: var(--ink-soft);
}
.part {
  color: var(--faint);
  text-decoration: underline dotted var(--pencil) 3px;
  text-underline-offset: 0.12em;
}
</style>
