<script setup lang="ts">
/** A part of a screen with a heading of its own. */
defineProps<{
  title: string;
  /** Read aloud where it is more than the heading. */
  label?: string;
}>();
</script>

<template>
  <el-card shadow="never" role="region" :aria-label="label ?? title">
    <h2>{{ title }}</h2>
    <slot />
  </el-card>
</template>

<style scoped>
.el-card {
  --el-card-bg-color: transparent;
  --el-card-padding: 12px 16px 16px;
}
.el-card > :deep(.el-card__body) {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
h2,
:slotted(p) {
  margin: 0;
}
h2 {
  font-size: 18px;
}
</style>
