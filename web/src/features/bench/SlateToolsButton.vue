<script setup lang="ts">
/** Calls the tools of the slate on a phone, where they have no room of their own. */
import { ListTree } from 'lucide-vue-next';

defineProps<{ shown: boolean }>();
const emit = defineEmits<{ toggle: [] }>();
</script>

<template>
  <button
    type="button"
    class="slate-tools"
    :aria-pressed="shown"
    aria-label="Search, select, headings, total"
    data-test="slate-tools"
    @pointerdown.prevent
    @click="emit('toggle')"
  >
    <ListTree :size="20" aria-hidden="true" />slate
  </button>
</template>

<style scoped>
.slate-tools {
  display: none;
}
@media (max-width: 760px), (max-width: 1023px) and (max-height: 480px) {
  .slate-tools {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    min-width: max(44px, var(--target));
    min-height: 48px;
    padding: 0 4px;
    border: 0;
    background: none;
    color: var(--ink-soft);
    font-size: 14px;
    line-height: 1.1;
    cursor: pointer;
  }
  .slate-tools[aria-pressed='true'] {
    background: var(--chalk-wash);
    color: var(--chalk);
  }
}
</style>
