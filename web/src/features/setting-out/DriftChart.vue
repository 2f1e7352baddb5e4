<script setup lang="ts">
/** How far each member is out when the rounded gap is stepped off, against marks measured from one end. */
import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { computed, onMounted, ref } from 'vue';
import { Bar } from 'vue-chartjs';
import { isMetric, type Drift } from '@sprell/core';
import { useJob } from '../../live/use-jobs.ts';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

const props = defineProps<{ drift: readonly Drift[] }>();
const job = useJob();

const metric = computed(() => isMetric(job.style.length));
const unit = computed(() => (metric.value ? 'mm' : 'in'));
const colours = ref({ bar: '#1c4f8c', ink: '#24272c', groove: '#d9c9a9' });
onMounted(() => {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(name).trim();
  colours.value = { bar: of('--chalk'), ink: of('--ink'), groove: of('--groove') };
});

const data = computed(() => ({
  labels: props.drift.map(({ number }) => String(number)),
  datasets: [
    {
      data: props.drift.map(({ out }) => (metric.value ? out * 1000 : out / 0.0254)),
      backgroundColor: colours.value.bar,
    },
  ],
}));
const options = computed(() => {
  const axis = (text: string) => ({
    title: { display: true, text, color: colours.value.ink, font: { size: 14, family: 'Barlow' } },
    ticks: {
      maxTicksLimit: text === 'member' ? 40 : 6,
      color: colours.value.ink,
      font: { size: 14, family: 'Barlow' },
    },
    grid: { color: colours.value.groove },
  });
  return {
    animation: false as const,
    maintainAspectRatio: false,
    plugins: {
      tooltip: {
        callbacks: {
          title: ([item]: { label: string }[]) => `member ${item?.label}`,
          label: ({ dataIndex }: { dataIndex: number }) => props.drift[dataIndex]?.reading ?? 'in its place',
        },
      },
    },
    scales: { x: axis('member'), y: axis(`out by, ${unit.value}`) },
  };
});
</script>

<template>
  <div class="chart">
    <Bar :data :options role="img" aria-label="How far each member is out when the gap is stepped off" />
  </div>
</template>

<style scoped>
.chart {
  height: 200px;
}
</style>
