<script setup lang="ts">
/** What the page does without until it is there: word of other versions, measuring tools, the offer to install. */
import { InstallOffer } from '../features/install/index.ts';
import { MeasuredTools } from '../features/measured/index.ts';
import VersionNotice from './VersionNotice.vue';
</script>

<template>
  <VersionNotice />
  <MeasuredTools />
  <InstallOffer />
</template>
