<script setup lang="ts">
/** A plain field with its name above it. What else is said of it goes to the field itself. */
defineOptions({ inheritAttrs: false });
defineProps<{ label: string; /** It takes the room of two. */ isWide?: boolean }>();
const text = defineModel<string>({ required: true });
</script>

<template>
  <label class="field" :class="{ wide: isWide }">
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
<style scoped>
.wide {
  grid-column: 1 / -1;
}
</style>
