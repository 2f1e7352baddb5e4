<script setup lang="ts">
/** All that measuring tools need, behind the page: it hears them, and shows what they sent when that is asked for. */
import { defineAsyncComponent } from 'vue';
import { listenToMeter } from '../../parts/meter/use-meter-keys.ts';
import { useMeter } from '../../live/meter.store.ts';
import MeterNotice from './MeterNotice.vue';

const MeasuredPanel = defineAsyncComponent(() => import('./MeasuredPanel.vue'));
const SimulatedMeter = defineAsyncComponent(() => import('./SimulatedMeter.vue'));
const meter = useMeter();
listenToMeter();
</script>

<template>
  <MeasuredPanel v-if="meter.open" />
  <MeterNotice v-if="meter.loose" />
  <SimulatedMeter v-if="meter.isSimulated" />
</template>
