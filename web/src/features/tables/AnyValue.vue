<script setup lang="ts">
/** One value in its whole family of units, each one touch from the slate, the stick and the clipboard. */
import { computed, ref, useTemplateRef } from 'vue';
import { exactText, isMetric, parse, readQuantity, reckonTyped } from '@sprell/core';
import { familyReadings, tapeNeighbours, type FamilyMember, type FamilyReading } from '@sprell/core/tables';
import PickList from '../../ui/PickList.vue';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';
import ResultUses from '../../parts/result/ResultUses.vue';
import { useJob } from '../../live/use-jobs.ts';

const text = defineModel<string>({ required: true });
const decimals = defineModel<number>('decimals', { required: true });
const job = useJob();
const field = useTemplateRef('field');
defineExpose({ focus: () => field.value?.focus() });

const DECIMALS = [
  [-1, 'as each unit has them'],
  ...[0, 1, 2, 3, 4, 5, 6].map((count) => [count, `${count}`] as const),
] as const;
const example = computed(() => (isMetric(job.style.length) ? '238 mm' : `9' 7 1/4"`));
const options = () => ({ scope: job.slate.scope(), style: job.style, bare: job.reading.bare });
const shown = computed(() => (text.value.trim() === '' ? example.value : text.value));
const quantity = computed(() => {
  const { issue, outcome } = reckonTyped(shown.value, options());
  return issue === undefined && outcome?.kind === 'quantity' ? outcome.quantity : undefined;
});
const asked = computed(() => (decimals.value < 0 ? undefined : decimals.value));
const family = computed(() => (quantity.value ? familyReadings(quantity.value, job.style, asked.value) : []));
const neighbours = computed(() => (quantity.value ? tapeNeighbours(quantity.value, job.style) : []));
const offBy = (n: number) => {
  const off = neighbours.value[n]?.off;
  return off
    ? readQuantity(off, { ...job.style, length: 'mm' }, { units: [{ unit: 'mm', power: 1 }], decimals: 1 }).text
    : '';
};

/** The entry that reads so, live where it can ask for it; else the figure that is shown. */
function entryFor({ to }: FamilyMember, { plain }: FamilyReading): string {
  const written = reckonTyped(shown.value, options()).written.trim();
  const isPlain = parse(written, job.style).entry?.directives.length === 0;
  return to === undefined || !isPlain ? plain : `${written} ${to}`;
}
const markEntry = () => (quantity.value ? (exactText(quantity.value, job.style)?.plain ?? shown.value) : undefined);
const opened = ref<string>();
</script>

<template>
  <section class="any" aria-label="Any value">
    <div class="asked">
      <SizeField ref="field" v-model="text" label="Any value" :placeholder="example" data-field="any" />
      <PickList v-model="decimals" label="Decimals" :choices="DECIMALS" />
    </div>
    <p v-if="quantity && family.length === 0" class="none">A plain number has no units: give it one.</p>
    <ul v-if="family.length > 0" class="family" data-test="family">
      <li v-for="{ member, reading } in family" :key="member.id" :data-unit="member.id">
        <button
          type="button"
          class="title"
          :aria-expanded="opened === member.id"
          :title="`${member.title}: ${member.source}`"
          @click="opened = opened === member.id ? undefined : member.id"
        >
          {{ member.title }}
        </button>
        <span class="value"
          ><SizeText class="size" :text="reading.text" /><span v-if="!reading.isExact" class="rounded"
            >rounded</span
          ></span
        >
        <ResultUses
          :name="member.title"
          :entry="() => entryFor(member, reading)"
          :mark="markEntry"
          :plain="reading.plain"
        />
        <p v-if="opened === member.id" class="source">{{ member.source }}.</p>
      </li>
    </ul>
    <div v-if="neighbours.length > 0" class="near">
      <h2>On the tape</h2>
      <ol data-test="near">
        <li v-for="(one, n) in neighbours" :key="n" :class="{ nearest: one.isNearest }">
          <SizeText class="size" :text="one.text" /><span class="off"><SizeText :text="offBy(n)" /></span>
        </li>
      </ol>
      <p class="none">The marks around it, and by how much it lies over each.</p>
    </div>
  </section>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 12px;
  padding: 12px 16px 4px;
}
.family,
.near ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
.family {
  border-top: 1px solid var(--groove);
}
.family li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 132px;
  align-items: center;
  gap: 0 8px;
  min-height: 46px;
  padding: 0 4px 0 16px;
  border-bottom: 1px solid var(--groove);
}
.title {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
  cursor: pointer;
}
.value {
  text-align: right;
}
.size {
  font: 600 20px/1.2 var(--figures);
}
.rounded,
.off {
  margin-left: 6px;
  color: var(--ink-soft);
  font-size: 14px;
}
.source,
.none {
  margin: 0;
  color: var(--ink-soft);
  font-size: 15px;
}
.source {
  grid-column: 1 / -1;
  padding: 0 0 8px;
}
.none {
  padding: 6px 16px;
}
h2 {
  margin: 0;
  padding: 14px 16px 6px;
  font-size: 19px;
  font-weight: 600;
}
.near ol {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 0 16px;
}
.near li {
  display: flex;
  flex-direction: column;
  align-items: center;
  flex: none;
  padding: 6px 12px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--tape, var(--board));
}
.near .nearest {
  border-color: var(--ink);
  background: var(--board);
}
.off {
  margin: 0;
}
</style>
