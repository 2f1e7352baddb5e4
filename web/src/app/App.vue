<script setup lang="ts">
/** The frame around every screen. Looks and text size hold on each of them, whichever is opened first. */
import { useComfort } from '../features/comfort/comfort.store.ts';

useComfort();
</script>

<template>
  <RouterView />
</template>
