<script setup lang="ts">
/** One key: its face, what it is called where the face does not say it, and its place among the kinds of keys. */
import type { Key } from './key-plan.ts';

defineProps<{ plan: Pick<Key, 'face' | 'name' | 'kind'> }>();
const emit = defineEmits<{ press: [] }>();
</script>

<template>
  <button
    type="button"
    class="key"
    :class="plan.kind"
    :aria-label="plan.name === plan.face ? undefined : plan.name"
    :data-key="plan.face"
    @click="emit('press')"
  >
    <slot>{{ plan.face }}</slot>
  </button>
</template>

<style scoped>
.key {
  min-height: var(--touch);
  min-width: 0;
  padding: 0;
  display: flex;
  align-items: center;
  justify-content: center;
  border: 1px solid var(--groove);
  border-bottom-width: 3px;
  border-radius: 4px;
  background: var(--board);
  font-family: var(--figures);
  font-size: 24px;
  font-weight: 500;
  cursor: pointer;
}
.key:active:not(:disabled) {
  border-bottom-width: 1px;
  transform: translateY(2px);
  background: var(--chalk-wash);
}
.key:disabled {
  color: var(--ink-soft);
  border-bottom-width: 1px;
  background: var(--ground);
}
.figure {
  font-size: 30px;
  font-weight: 600;
}
.join {
  background: none;
  font-size: 28px;
}
.mark {
  border-color: var(--ink);
  font-size: 30px;
  font-weight: 600;
}
.word {
  font-family: var(--words);
  font-size: 16px;
}
@media (max-width: 360px) {
  .word {
    font-size: 14px;
  }
}
.enter {
  background: var(--chalk);
  border-color: var(--chalk-deep);
  color: var(--on-chalk);
}
/* All of them stay in view on the smallest phones, and on those that lie on their side. */
@media (max-width: 760px) and (max-height: 600px), (max-width: 1023px) and (max-height: 480px) {
  .key {
    min-height: 44px;
  }
}
</style>
