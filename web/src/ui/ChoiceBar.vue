<script setup lang="ts" generic="Value extends string | number">
/** One of a few choices, side by side; arrow keys go through them. */
defineProps<{
  /** What is chosen: read aloud. */
  label: string;
  choices: readonly (readonly [value: Value, words: string])[];
  /** Tests find a choice by this and its value. */
  test: string;
}>();
const chosen = defineModel<Value>({ required: true });
</script>

<template>
  <el-radio-group v-model="chosen" class="choice-bar" size="large" :aria-label="label">
    <el-radio-button v-for="[value, words] in choices" :key="value" :value :data-test="`${test}-${value}`">{{
      words
    }}</el-radio-button>
  </el-radio-group>
</template>

<style scoped>
.choice-bar {
  flex-wrap: nowrap;
}
.choice-bar :deep(.el-radio-button) {
  --el-radio-button-checked-text-color: var(--on-chalk);
}
.choice-bar :deep(.el-radio-button__inner) {
  display: flex;
  align-items: center;
  height: 100%;
  min-height: var(--touch);
  padding: 4px 14px;
  font-size: calc(16px * var(--text-size));
  line-height: 1.15;
  white-space: normal;
}
.choice-bar :deep(.is-active .el-radio-button__inner) {
  font-weight: 600;
}
</style>
