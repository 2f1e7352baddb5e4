<script setup lang="ts">
/** A part of a screen with a heading of its own. */
defineProps<{
  title: string;
  /** Told to a reader who does not see it, where it is more than the heading. */ label?: string;
}>();
</script>

<template>
  <section class="card" :aria-label="label ?? title">
    <h2>{{ title }}</h2>
    <slot />
  </section>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 12px 16px 16px;
  border: 1px solid var(--groove);
  border-radius: 3px;
}
.card > :slotted(p) {
  margin: 0;
}
h2 {
  margin: 0;
  font-size: 18px;
}
</style>
