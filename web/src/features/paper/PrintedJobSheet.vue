<script setup lang="ts">
/** The job sheet, while the browser prints by its own command. */
import { ref } from 'vue';
import { useEventListener } from '@vueuse/core';
import JobSheetPages from './JobSheetPages.vue';

const isPrinting = ref(false);
useEventListener(window, 'beforeprint', () => (isPrinting.value = true));
useEventListener(window, 'afterprint', () => (isPrinting.value = false));
</script>

<template>
  <JobSheetPages v-if="isPrinting" />
</template>
