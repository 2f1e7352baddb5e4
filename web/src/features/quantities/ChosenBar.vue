<script setup lang="ts">
/** What can be done with the rows that are chosen. It lies over the list, so that nothing moves when the first is chosen. */
import { computed } from 'vue';
import { ArrowDown, ArrowUp, ClipboardPaste, Copy, CopyPlus, Scissors, Trash2, X } from 'lucide-vue-next';
import IconButton from '../../ui/IconButton.vue';
import PlainButton from '../../ui/PlainButton.vue';
import type { Quantities } from '../../job/quantities.ts';
import type { useRowActs } from './use-row-acts.ts';

const props = defineProps<{ chosen: readonly string[]; list: Quantities; acts: ReturnType<typeof useRowActs> }>();
const emit = defineEmits<{ close: [] }>();

const sections = computed(() => [
  ['', 'no section'] as const,
  ...props.list.sections.flatMap(({ id, name }) => (id === undefined ? [] : [[id, name] as const])),
]);
const areOut = computed(() =>
  props.list.rows.filter(({ id }) => props.chosen.includes(id)).every(({ item }) => item.leftOut),
);
function remove(): void {
  props.acts.remove(props.chosen);
  emit('close');
}
</script>

<template>
  <div class="bar" role="toolbar" aria-label="The rows that are chosen" data-test="chosen-bar">
    <strong>{{ chosen.length }} {{ chosen.length === 1 ? 'row' : 'rows' }}</strong>
    <template v-if="chosen.length > 0">
      <IconButton name="Move the rows up" @click="acts.moveBy(chosen, -1)"
        ><ArrowUp :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton name="Move the rows down" @click="acts.moveBy(chosen, 1)"
        ><ArrowDown :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton name="Copy the rows" data-test="copy-rows" @click="acts.copy(chosen)"
        ><Copy :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton name="Cut the rows" data-test="cut-rows" @click="acts.copy(chosen, true)"
        ><Scissors :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton
        v-if="acts.taken.value"
        name="Paste the rows below"
        data-test="paste-rows"
        @click="acts.paste(chosen.at(-1))"
        ><ClipboardPaste :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton name="Duplicate the rows" data-test="duplicate-rows" @click="list.duplicate(chosen)"
        ><CopyPlus :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton name="Delete the rows" data-test="delete-rows" @click="remove"
        ><Trash2 :size="20" aria-hidden="true"
      /></IconButton>
      <PlainButton data-test="leave-rows-out" @click="list.writeAll(chosen, { leftOut: !areOut })">{{
        areOut ? 'Count them again' : 'Leave out'
      }}</PlainButton>
      <el-select
        class="to-section"
        :model-value="undefined"
        aria-label="Move to a section"
        placeholder="Move to a section"
        data-test="rows-to-section"
        @change="(section: string) => list.move(chosen, section || undefined, undefined)"
      >
        <el-option v-for="[id, name] in sections" :key="id" :value="id" :label="name" />
      </el-select>
    </template>
    <IconButton class="close" name="Choose none" data-test="choose-none" @click="emit('close')"
      ><X :size="20" aria-hidden="true"
    /></IconButton>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  padding: 6px 10px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--raised);
}
strong {
  margin-right: 8px;
}
.to-section {
  width: 190px;
}
.close {
  margin-left: auto;
}
</style>
