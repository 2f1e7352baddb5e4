<script setup lang="ts">
/** A button of the bench: flat on the board, large enough for a thumb. */
defineProps<{ /** Marked as the one most likely wanted. */ leading?: boolean }>();
</script>

<template>
  <button type="button" class="button" :class="{ leading }"><slot /></button>
</template>

<style scoped>
.button {
  min-height: var(--touch);
  min-width: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  font-weight: 500;
  cursor: pointer;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
}
.button:hover:not(:disabled) {
  border-color: var(--chalk);
  color: var(--chalk);
}
.button:disabled,
.leading:disabled {
  background: var(--ground);
  border-color: var(--groove);
  color: var(--ink-soft);
  cursor: default;
}
.leading:not(:disabled) {
  background: var(--chalk);
  border-color: var(--chalk);
  color: var(--on-chalk);
}
.leading:hover:not(:disabled) {
  background: var(--chalk-deep);
  color: var(--on-chalk);
}
</style>
