<script setup lang="ts">
/** Every mark in a table, sorted by a touch on its heading. */
import { computed } from 'vue';
import { readQuantity, type ReadingStyle, type Rod } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { timeWords } from '../../ui/time-words.ts';
import { ordered, type MarkOrder } from '../../parts/marks/mark-order.ts';
import type { JobMark } from '../../job/index.ts';
import type { MarkOnRod } from '../../parts/marks/mark-on-rod.ts';

const props = defineProps<{
  marks: readonly JobMark[];
  rod: Rod<MarkOnRod>;
  style: ReadingStyle;
  chosen: string | undefined;
  noteOf: (mark: JobMark) => string;
}>();
const emit = defineEmits<{ choose: [name: string] }>();
const order = defineModel<MarkOrder>('order', { required: true });

const now = Date.now();
const gaps = computed(() => new Map(props.rod.marks.map(({ mark, gap }) => [mark.name, gap])));
const shown = computed(() => {
  const lengths = [...props.rod.marks].reverse().map(({ mark }): JobMark => mark);
  const others = props.marks.filter((mark) => !gaps.value.has(mark.name));
  return ordered([...lengths, ...others], order.value);
});
function gapText(name: string): string {
  const gap = gaps.value.get(name);
  return gap ? `+${readQuantity(gap, props.style).text}` : '';
}
const HEADS: readonly (readonly [order: MarkOrder, words: string])[] = [
  ['name', 'mark'],
  ['size', 'size'],
  ['age', 'kept'],
];
const sorted = (one: MarkOrder) => (order.value === one ? (one === 'name' ? 'ascending' : 'descending') : 'none');
</script>

<template>
  <table>
    <thead>
      <tr>
        <template v-for="[one, words] in HEADS" :key="one">
          <th scope="col" :class="{ age: one === 'age' }" :aria-sort="sorted(one)">
            <button type="button" class="head" :data-sort="one" @click="order = one">
              {{ words }} <span v-if="order === one" aria-hidden="true">{{ one === 'name' ? '↑' : '↓' }}</span>
            </button>
          </th>
          <th v-if="one === 'size'" scope="col">above the next</th>
        </template>
        <th scope="col">note</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="mark in shown" :key="mark.name" :class="{ chosen: mark.name === chosen }">
        <td>
          <button type="button" class="name" :data-row="mark.name" @click="emit('choose', mark.name)">
            {{ mark.name }}
          </button>
        </td>
        <td class="size"><SizeText :text="mark.reading" /></td>
        <td class="size"><SizeText :text="gapText(mark.name)" /></td>
        <td class="age">{{ timeWords(mark.keptAt, now) }}</td>
        <td class="note"><SizeText :text="noteOf(mark)" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 0;
  text-align: left;
  font-weight: 500;
  color: var(--ink-soft);
  border-bottom: 1px solid var(--ink);
}
.head,
.name {
  min-height: 40px;
  min-width: 48px;
  padding: 0 4px 0 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.name {
  font-weight: 600;
}
.head:hover,
.name:hover {
  color: var(--chalk);
}
td {
  padding: 0 10px 0 0;
  border-bottom: 1px solid var(--groove);
}
.size {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
  white-space: nowrap;
}
.note {
  color: var(--ink-soft);
}
.chosen td {
  background: var(--chalk-wash);
}
/* There is no room for when it was kept; its story says so. */
@media (max-width: 520px) {
  .age {
    display: none;
  }
}
</style>
