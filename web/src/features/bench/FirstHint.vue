<script setup lang="ts">
/** One thing worth knowing at a time, for somebody who is new here. It goes when it was done, or when it is put away. */
import { computed } from 'vue';
import { X } from 'lucide-vue-next';
import { useComfort } from '../../live/comfort.store.ts';
import { HINTS, type Hint } from './first-hints.ts';

const props = defineProps<{ /** What is on the bench that a hint can speak of. */ there: ReadonlySet<Hint> }>();
const { comfort, putAway } = useComfort();
const hint = computed(() => HINTS.find(({ key }) => props.there.has(key) && !comfort.hintsSeen.includes(key)));
</script>

<template>
  <p v-if="hint" class="hint" data-test="hint">
    <span>{{ hint.says }}</span>
    <button
      type="button"
      aria-label="Put this hint away"
      data-test="hint-away"
      @pointerdown.prevent
      @click="putAway(hint.key)"
    >
      <X :size="18" aria-hidden="true" />
    </button>
  </p>
</template>

<style scoped>
.hint {
  display: flex;
  align-items: center;
  gap: 8px;
  padding-left: 10px;
  border-left: 4px solid var(--chalk);
  background: var(--chalk-wash);
  font-size: calc(15px * var(--text-size));
  line-height: 1.25;
}
span {
  flex: 1;
}
button {
  display: grid;
  place-items: center;
  min-width: var(--touch);
  min-height: max(40px, var(--target));
  border: 0;
  background: none;
  color: inherit;
  cursor: pointer;
}
</style>
