<script setup lang="ts">
/** A plain field with its name above it. What else is said of it goes to the field itself. */
defineOptions({ inheritAttrs: false });
defineProps<{ label: string }>();
const text = defineModel<string>({ required: true });
</script>

<template>
  <label class="field">
    <span>{{ label }}</span>
    <el-input
      v-model="text"
      autocapitalize="off"
      autocomplete="off"
      maxlength="200"
      spellcheck="false"
      v-bind="$attrs"
    />
  </label>
</template>

<style scoped src="./field.css" />
