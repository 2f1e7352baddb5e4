<script setup lang="ts">
/** A mark on the bench: one touch puts it in the entry, one takes it in hand. */
import { Hand } from 'lucide-vue-next';
import SizeText from '../../../ui/SizeText.vue';
import type { JobMark } from '../../../job/index.ts';

defineProps<{
  mark: JobMark;
  used: boolean;
  inHand: boolean;
  /** What lies between it and the mark below, shown in place of its size. */
  gap: string | undefined;
  gapLabel: string | undefined;
}>();
const emit = defineEmits<{ use: []; hold: [] }>();
</script>

<template>
  <li :class="{ held: inHand }">
    <button
      type="button"
      class="mark"
      :class="{ used, wrong: mark.problem !== undefined }"
      :data-mark="mark.name"
      :title="mark.problem"
      :aria-label="gapLabel"
      @pointerdown.prevent
      @click="emit('use')"
    >
      <span class="name">{{ mark.name }}</span>{{ ' ' }}
      <span class="size">
        <template v-if="gap !== undefined"><span class="plus">+</span><SizeText :text="gap" /></template>
        <SizeText v-else :text="mark.reading" />
      </span>
    </button>
    <button
      type="button"
      class="hold"
      :aria-pressed="inHand"
      :aria-label="`Add to and subtract from ${mark.name}`"
      title="Use this one: add and subtract go to it"
      :data-hold="mark.name"
      @pointerdown.prevent
      @click="emit('hold')"
    >
      <Hand :size="18" aria-hidden="true" />
    </button>
  </li>
</template>

<style scoped>
li {
  display: flex;
  border-bottom: 1px solid var(--groove);
}
.held {
  background: var(--chalk-wash);
}
.mark {
  flex: 1;
  min-width: 0;
  min-height: var(--row, var(--touch));
  padding: 3px 6px;
  border: 0;
  background: none;
  text-align: left;
  line-height: 1.15;
  cursor: pointer;
}
.mark:hover {
  background: var(--raised);
}
.mark.used {
  box-shadow: inset 4px 0 0 var(--chalk);
}
.wrong .size {
  color: var(--pencil);
}
.name {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.size {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
  white-space: nowrap;
}
.plus {
  margin-right: 3px;
  color: var(--chalk);
}
.hold {
  flex: none;
  width: max(40px, var(--target));
  min-height: var(--row, var(--touch));
  padding: 0;
  border: 0;
  background: none;
  color: var(--faint);
  cursor: pointer;
}
.hold:hover,
.hold[aria-pressed='true'] {
  color: var(--chalk);
}
.hold[aria-pressed='true'] {
  background: var(--chalk);
  color: var(--on-chalk);
}
/* Name and size on one line, where rows stand close. */
.close {
  --row: 30px;
}
.close .mark,
.laid .mark {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  padding-block: 0;
}
/* A name is never cut down to its first letter: the size goes below it first. */
.close .mark {
  flex-wrap: wrap;
}
.close .name {
  flex: 1 1 auto;
  min-width: min(4em, 100%);
}
.close .hold {
  width: 30px;
}
.close .size {
  font-size: 16px;
}
.laid {
  height: var(--row);
  overflow: hidden;
}
.laid .mark {
  padding-inline: 8px 2px;
}
.laid .size {
  font-size: var(--laid-size, 16px);
}
.laid .hold {
  width: 26px;
}
@media (pointer: coarse) {
  .laid .hold {
    width: max(48px, var(--target));
  }
}
/* Beside each other, in a row that is scrolled. */
.chip {
  flex: none;
  border-bottom: 0;
  border-right: 1px solid var(--ink);
}
.chip .mark {
  padding: 2px 4px 2px 10px;
}
.chip .name {
  font-size: 14px;
}
.chip .hold {
  width: var(--target);
}
</style>
