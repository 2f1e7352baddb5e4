<script setup lang="ts">
/** An answer over one input, with where it stands now. The same figures stand in the table. */
import { Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { computed, onMounted, ref } from 'vue';
import { Scatter } from 'vue-chartjs';
import { isMetric, makeRational, readQuantity, valueToNumber, type Quantity } from '@sprell/core';
import { useJob } from '../../live/use-jobs.ts';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

interface Point {
  readonly x: Quantity;
  readonly y: Quantity;
}
const props = defineProps<{
  curve: readonly Point[];
  now: Point | undefined;
  xTitle: string;
  yTitle: string;
}>();
const job = useJob();

const colours = ref({ line: '#1c4f8c', ink: '#24272c', groove: '#d9c9a9' });
onMounted(() => {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(name).trim();
  colours.value = { line: of('--chalk'), ink: of('--ink'), groove: of('--groove') };
});
const dimensions = computed(() => [props.curve[0]?.x.dimension ?? 0, props.curve[0]?.y.dimension ?? 0] as const);
/** Axes are in units of the tape, so that their figures are even. */
const FOOT = 0.3048;
function unitOf(dimension: number, most: number): number {
  if (isMetric(job.style.length)) return dimension === 1 && most < 2 ? 0.001 : 1;
  if (dimension < 1 || dimension > 3) return 1;
  return dimension === 1 && most < 3 * FOOT ? FOOT / 12 : FOOT ** dimension;
}
const units = computed(() => {
  const most = (of: 'x' | 'y') => Math.max(...props.curve.map((point) => valueToNumber(point[of].value)));
  const [ofX, ofY] = dimensions.value;
  return { x: unitOf(ofX, most('x')), y: unitOf(ofY, most('y')) };
});
const at = ({ x, y }: Point) => ({
  x: valueToNumber(x.value) / units.value.x,
  y: valueToNumber(y.value) / units.value.y,
});
const data = computed(() => ({
  datasets: [
    {
      label: props.yTitle,
      data: props.curve.map(at),
      showLine: true,
      borderColor: colours.value.line,
      backgroundColor: colours.value.line,
      borderWidth: 2,
      pointRadius: props.curve.length > 60 ? 0 : 2.5,
    },
    {
      label: 'now',
      data: props.now ? [at(props.now)] : [],
      borderColor: colours.value.ink,
      backgroundColor: colours.value.ink,
      pointRadius: 7,
      pointStyle: 'rectRot' as const,
    },
  ],
}));
/** A value of an axis as a tape reads it. */
function reading(amount: number, of: 'x' | 'y'): string {
  const dimension = dimensions.value[of === 'x' ? 0 : 1];
  const millionths = Math.round(amount * units.value[of] * 1e6);
  return readQuantity(
    { value: makeRational(millionths, 1_000_000), dimension },
    { ...job.style, finest: Math.min(job.style.finest, 8) },
  ).text;
}
const options = computed(() => {
  const font = { size: 14, family: 'Barlow' };
  const { ink, groove } = colours.value;
  const axis = (title: string, of: 'x' | 'y') => ({
    title: { display: true, text: title, color: ink, font },
    ticks: {
      color: ink,
      font,
      maxTicksLimit: 7,
      callback: (amount: number | string) => reading(Number(amount), of),
    },
    grid: { color: groove },
  });
  return {
    animation: false as const,
    maintainAspectRatio: false,
    plugins: {
      legend: { display: false },
      tooltip: {
        callbacks: {
          label: ({ parsed }: { parsed: { x: number | null; y: number | null } }) =>
            `${reading(parsed.x ?? 0, 'x')}: ${reading(parsed.y ?? 0, 'y')}`,
        },
      },
    },
    scales: { x: axis(props.xTitle, 'x'), y: axis(props.yTitle, 'y') },
  };
});
</script>

<template>
  <div class="chart">
    <Scatter :data :options :aria-label="`${yTitle} over ${xTitle}; the same figures stand in the table`" role="img" />
  </div>
</template>

<style scoped>
.chart {
  height: 260px;
  padding: 4px 16px 12px;
}
</style>
