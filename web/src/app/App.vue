<script setup lang="ts">
/** The frame around every screen. */
</script>

<template>
  <RouterView />
</template>
