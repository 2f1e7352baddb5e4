<script setup lang="ts">
/** A button that is an icon: its name is its tooltip, and what is read aloud. */
defineProps<{ name: string }>();
</script>

<template>
  <button type="button" class="icon" :aria-label="name" :title="name"><slot /></button>
</template>

<style scoped>
.icon {
  display: inline-grid;
  place-items: center;
  flex: none;
  width: var(--touch);
  height: var(--touch);
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.icon:hover {
  color: var(--chalk);
}
</style>
