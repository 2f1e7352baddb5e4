<script setup lang="ts">
/** The take-off on a phone: a card for each row. */
import { Plus, Square, SquareCheck } from 'lucide-vue-next';
import type { ReadingStyle } from '@sprell/core';
import { rowSays } from '@sprell/core/quantities';
import SizeText from '../../ui/SizeText.vue';
import type { JobRow, JobSection } from '../../job/quantities.ts';
import { shownIn } from './columns.ts';

const props = defineProps<{
  sections: readonly JobSection[];
  style: ReadingStyle;
  subtotal: (section: string | undefined) => string;
  /** While rows are chosen: those that are. */
  chosen: ReadonlySet<string> | undefined;
}>();
const emit = defineEmits<{
  open: [row: JobRow];
  choose: [id: string];
  add: [section: string | undefined];
  renameSection: [id: string];
}>();
const made = (row: JobRow) => rowSays(row.worked, props.style)[0] ?? '';
const isWrong = (row: JobRow) => Object.keys(row.worked.issues).length > 0;
</script>

<template>
  <div class="cards" data-test="cards">
    <section v-for="section in sections" :key="section.id ?? ''" :aria-label="section.name || 'In no section'">
      <h2 v-if="section.id !== undefined || sections.length > 1">
        <button v-if="section.id" type="button" @click="emit('renameSection', section.id)">{{ section.name }}</button>
        <span v-else>In no section</span>
        <span class="subtotal">{{ subtotal(section.id) }}</span>
      </h2>
      <ul>
        <li v-for="row in section.rows" :key="row.id" :class="{ out: row.item.leftOut, wrong: isWrong(row) }">
          <button
            type="button"
            :data-card="row.item.name"
            :aria-pressed="chosen?.has(row.id)"
            @click="chosen ? emit('choose', row.id) : emit('open', row)"
          >
            <span class="name"
              ><component
                :is="chosen?.has(row.id) ? SquareCheck : Square"
                v-if="chosen"
                :size="20"
                aria-hidden="true"
                class="tick"
              />{{ row.item.name || 'A row without a name' }}</span
            >
            <span class="cost">{{ shownIn(row, 'cost', style) }}</span>
            <span class="made"
              ><SizeText :text="isWrong(row) && made(row) === '' ? 'needs mending' : made(row)"
            /></span>
          </button>
        </li>
      </ul>
      <button type="button" class="add" :data-add="section.name" @click="emit('add', section.id)">
        <Plus :size="18" aria-hidden="true" /> Add a row
      </button>
    </section>
  </div>
</template>

<style scoped>
.cards {
  padding: 0 12px 12px;
}
h2 {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 8px;
  margin: 14px 0 4px;
  border-bottom: 2px solid var(--ink);
  font-size: 18px;
  font-weight: 600;
}
h2 button {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  font-weight: 600;
  text-align: left;
}
.subtotal {
  font-family: var(--figures);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  width: 100%;
  min-height: 56px;
  padding: 6px 10px;
  border: 0;
  border-bottom: 1px solid var(--groove);
  background: var(--board);
  text-align: left;
}
.name {
  font-weight: 600;
}
.tick {
  margin-right: 8px;
  vertical-align: -4px;
}
[aria-pressed='true'] {
  background: var(--chalk-wash);
}
.cost {
  font: 600 20px/1.2 var(--figures);
}
.made {
  grid-column: 1 / -1;
  color: var(--ink-soft);
  font-family: var(--figures);
  font-size: 17px;
}
.out .name,
.out .cost {
  color: var(--faint);
  text-decoration: line-through;
}
.wrong .made {
  color: var(--pencil);
}
.add {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 48px;
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--chalk);
}
</style>
