<script setup lang="ts">
/** What each section or item costs, in every way that is set side by side; a bar leads to its rows. The same figures stand in the table. */
import { BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js';
import { computed, onMounted, ref } from 'vue';
import { Bar } from 'vue-chartjs';
import { makeRational, valueToNumber, type ReadingStyle } from '@sprell/core';
import { readMoney } from '@sprell/core/quantities';
import type { Compared, Way } from './compared.ts';

Chart.register(BarElement, CategoryScale, Legend, LinearScale, Tooltip);

const props = defineProps<{ compared: Compared; style: ReadingStyle; by: 'section' | 'item' }>();
const emit = defineEmits<{ rows: [ids: readonly string[]] }>();

const colours = ref({ bars: ['#1c4f8c'], ink: '#24272c', groove: '#d9c9a9' });
onMounted(() => {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(name).trim();
  colours.value = {
    bars: [of('--chalk'), of('--ink-soft'), of('--faint')],
    ink: of('--ink'),
    groove: of('--groove'),
  };
});
/** A version has one colour, and its second price half of it. Red is kept for what needs attention. */
function colourOf({ version, price }: Way): string {
  const versions = [...new Set(props.compared.ways.map((way) => way.version))];
  const colour = colours.value.bars[versions.indexOf(version) % colours.value.bars.length] ?? '';
  // Of #rgb and #rrggbb alike.
  const whole = /^#[0-9a-f]{3}$/i.test(colour) ? colour.replace(/[0-9a-f]/gi, '$&$&') : colour;
  return price === 'other' && /^#[0-9a-f]{6}$/i.test(whole) ? `${whole}70` : whole;
}
const data = computed(() => ({
  labels: props.compared.rows.map(({ title }) => title),
  datasets: props.compared.ways.map((way, at) => ({
    label: way.title,
    data: props.compared.rows.map(({ costs }) => valueToNumber(costs[at] ?? { kind: 'rational', num: 0, den: 1 })),
    backgroundColor: colourOf(way),
    borderColor: colourOf({ ...way, price: 'price' }),
    borderWidth: 1,
  })),
}));
/** Money along the axis, without coins. */
const inWhole = (cost: number) =>
  readMoney(makeRational(Math.round(cost)), props.style).text.replace(/[.,]00(?=\D*$)/, '');
const options = computed(() => {
  const font = { size: 14, family: 'Barlow' };
  const { ink, groove } = colours.value;
  return {
    animation: false as const,
    maintainAspectRatio: false,
    indexAxis: 'y' as const,
    onClick: (_: unknown, hit: { index: number }[]) => {
      const row = hit[0] && props.compared.rows[hit[0].index];
      if (row) emit('rows', row.rows);
    },
    plugins: {
      legend: { display: props.compared.ways.length > 1, labels: { color: ink, font, boxWidth: 14 } },
      tooltip: {
        callbacks: {
          label: ({ dataIndex, datasetIndex }: { dataIndex: number; datasetIndex: number }) => {
            const cost = props.compared.rows[dataIndex]?.costs[datasetIndex];
            return cost ? readMoney(cost, props.style).text : '';
          },
        },
      },
    },
    scales: {
      x: {
        ticks: { color: ink, font, maxTicksLimit: 6, callback: (cost: number | string) => inWhole(Number(cost)) },
        grid: { color: groove },
      },
      y: { ticks: { color: ink, font }, grid: { display: false } },
    },
  };
});
</script>

<template>
  <div class="chart" :style="{ height: `${60 + compared.rows.length * (20 + 18 * compared.ways.length)}px` }">
    <Bar :data :options role="img" :aria-label="`Cost by ${by}; the same figures stand in the table`" />
  </div>
</template>
