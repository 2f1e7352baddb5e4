<script setup lang="ts">
/** A cell of the table while something is chosen in it: the list opens at once. */
import type { SelectInstance } from 'element-plus';
import { nextTick, onMounted, useTemplateRef } from 'vue';

defineProps<{ label: string; value: string; choices: readonly (readonly [value: string, words: string])[] }>();
const emit = defineEmits<{ choose: [value: string]; leave: [] }>();
const list = useTemplateRef<SelectInstance>('list');
onMounted(async () => {
  await nextTick();
  // As a touch on it would.
  (list.value?.$el as HTMLElement | undefined)?.querySelector<HTMLElement>('.el-select__wrapper')?.click();
});
</script>

<template>
  <el-select
    ref="list"
    class="choice"
    :model-value="value"
    :aria-label="label"
    @keydown.stop
    @change="emit('choose', $event as string)"
    @visible-change="(isOpen: boolean) => isOpen || emit('leave')"
  >
    <el-option v-for="[one, words] in choices" :key="one" :value="one" :label="words" />
  </el-select>
</template>

<style scoped>
.choice {
  display: block;
  height: 100%;
}
.choice :deep(.el-select__wrapper) {
  min-height: 100%;
  padding: 0 6px;
  border-radius: 0;
  box-shadow: inset 0 0 0 2px var(--chalk);
}
</style>
