<script setup lang="ts" generic="Value extends string | number">
/** One of a longer list, with its name above it. */
defineProps<{
  label: string;
  choices: readonly (readonly [value: Value, words: string])[];
  placeholder?: string;
  /** It can be left open again. */
  clearable?: boolean;
}>();
const chosen = defineModel<Value>();
</script>

<template>
  <div class="field">
    <span aria-hidden="true">{{ label }}</span>
    <el-select v-model="chosen" :aria-label="label" :placeholder :clearable>
      <el-option v-for="[value, words] in choices" :key="value" :value :label="words" />
    </el-select>
  </div>
</template>

<style scoped src="./field.css" />
