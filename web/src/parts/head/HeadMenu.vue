<script setup lang="ts">
/** A list under a button of the head; it opens as soon as it is there, and from then on by the button. */
import type { DropdownInstance } from 'element-plus';
import { onKeyStroke } from '@vueuse/core';
import { onMounted, ref } from 'vue';

defineProps<{ anchor: HTMLElement; label: string }>();
const emit = defineEmits<{ choose: [command: string] }>();
const menu = ref<DropdownInstance>();
onMounted(() => menu.value?.handleOpen());
// While it opens, the focus is still on the button.
onKeyStroke('Escape', () => menu.value?.handleClose());
</script>

<template>
  <el-dropdown
    ref="menu"
    trigger="click"
    virtual-triggering
    :virtual-ref="anchor"
    placement="bottom-start"
    max-height="calc(100dvh - 72px)"
    @command="(command: string) => emit('choose', command)"
  >
    <template #dropdown>
      <el-dropdown-menu :aria-label="label"><slot /></el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
