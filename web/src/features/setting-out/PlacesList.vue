<script setup lang="ts">
/** Places to be marked, one under the other; all of them can be copied, or put on the slate. */
import { computed } from 'vue';
import { useClipboard } from '@vueuse/core';
import { exactText, readQuantity, type Quantity } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import { say } from '../../ui/say.ts';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';

export interface PlaceRow {
  readonly number?: number;
  /** Where it stands, beside its own size. */
  readonly along?: Quantity;
  readonly size: Quantity;
}
const props = defineProps<{
  /** What one of them is called: the label of its line, with its number. */
  name: string;
  rows: readonly PlaceRow[];
}>();
const job = useJob();
const clipboard = useClipboard({ legacy: true });

const readings = computed(() =>
  props.rows.map(({ number, along, size }, at) => ({
    name: `${props.name} ${number ?? at + 1}`,
    number,
    along: along && readQuantity(along, job.style),
    size: readQuantity(size, job.style),
  })),
);

async function copy(): Promise<void> {
  const lines = readings.value.map(({ name, along, size }) => {
    const rounding = size.rounding === 'exact' ? '' : ` ${size.rounding}`;
    return `${name}: ${along ? `${along.plain}, ` : ''}${size.plain}${rounding}`;
  });
  await clipboard.copy(lines.join('\n'));
  void say(`Copied ${lines.length} sizes`);
}
/** As the true sizes they are; one whose true size cannot be written is put there as it reads. */
function toSlate(): void {
  const entries = props.rows.map(({ size }, at) => {
    const { name = '', size: reading } = readings.value[at] ?? {};
    return `${name}: ${exactText(size, job.style)?.plain ?? reading?.plain ?? ''}`;
  });
  if (job.isReader) return;
  job.lines.landAll(
    entries.map((entry) => () => entry),
    `Remove the ${entries.length} sizes from the slate`,
  );
  void say(`${entries.length} sizes are on the slate`);
}
</script>

<template>
  <div>
    <ol class="places" :class="{ pairs: rows[0]?.along }">
      <li v-for="(row, at) in readings" :key="at">
        <span v-if="row.number !== undefined" class="number">{{ row.number }}</span>
        <SizeText v-if="row.along" class="along" :text="row.along.text" />
        <SizeText class="size" :text="row.size.text" />
        <span class="rounding">{{ row.size.rounding === 'exact' ? '' : row.size.rounding }}</span>
      </li>
    </ol>
    <div v-if="rows.length > 0" class="list-uses">
      <PlainButton data-test="copy-places" @click="copy">Copy the list</PlainButton>
      <PlainButton data-test="places-to-slate" @click="toSlate">Put them on the slate</PlainButton>
    </div>
  </div>
</template>

<style scoped src="./places.css"></style>
<style scoped>
.list-uses {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
