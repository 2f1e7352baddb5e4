<script setup lang="ts">
/** What every row of the slate has: a grip in front, dots behind, what can be done with it beneath. */
const props = withDefaults(
  defineProps<{
    /** Its line. */
    id: string;
    /** The Tab key stops at it; the rest of the lines is gone to by arrow keys. */
    isStop: boolean;
    /** What the row is called for somebody who does not see it. */
    name: string;
    /** It is being edited. */
    editing: boolean;
    /** What can be done with it is shown. */
    open: boolean;
    /** Whether it is chosen; undefined while nothing is being chosen. */
    selected?: boolean | undefined;
  }>(),
  { selected: undefined },
);
const emit = defineEmits<{ toggle: []; select: []; move: [by: -1 | 1] }>();

/** Alt with an arrow moves a row; while it is edited, the arrows are the editor's. */
function byKey(event: KeyboardEvent): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key] as -1 | 1 | undefined;
  if (by === undefined || !event.altKey || props.editing) return;
  event.preventDefault();
  emit('move', by);
}
</script>

<template>
  <div class="row" :data-row="id" @keydown="byKey">
    <div v-if="editing" class="editing"><slot name="editor" /></div>
    <template v-else>
      <label v-if="selected !== undefined" class="tick">
        <input
          type="checkbox"
          :tabindex="isStop ? 0 : -1"
          :checked="selected"
          :aria-label="`Select ${name}`"
          @change="emit('select')"
        />
      </label>
      <span v-else class="grip" aria-hidden="true"></span>
      <slot />
      <button
        type="button"
        class="dots"
        :aria-label="`More for ${name}`"
        :aria-expanded="open"
        :tabindex="isStop && open ? 0 : -1"
        data-test="dots"
        @pointerdown.prevent
        @click="emit('toggle')"
      ></button>
    </template>
    <div v-if="open && !editing" class="rest"><slot name="rest" /></div>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  align-items: stretch;
  border-bottom: 1px solid var(--groove);
}
.editing,
.rest {
  grid-column: 1 / -1;
}
.editing {
  padding: 6px 8px;
}
.tick {
  display: grid;
  place-items: center;
  min-width: var(--touch);
}
.tick input {
  width: 24px;
  height: 24px;
  accent-color: var(--chalk);
}
.rest {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 4px 8px 10px 28px;
}
/* Dots in a pattern, for there are two in every line: an icon is put together by itself with every key (decision 15). */
.grip,
.dots {
  display: grid;
  place-items: center;
}
.grip::before,
.dots::before {
  content: '';
  width: 12px;
  height: 18px;
  background: radial-gradient(circle, currentColor 1.3px, transparent 1.8px) 0 0 / 6px 6px;
}
.dots::before {
  width: 18px;
  height: 6px;
}
.grip {
  width: 24px;
  color: var(--faint);
  cursor: grab;
  touch-action: none;
}
.dots {
  width: max(40px, var(--target));
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.dots:hover {
  background: var(--raised);
}
/* A finger holds the line itself; its words are not selected meanwhile. */
@media (pointer: coarse) {
  .row {
    user-select: none;
    -webkit-touch-callout: none;
  }
  .grip {
    width: 8px;
    visibility: hidden;
  }
}
@media (max-width: 760px) {
  .rest {
    padding-left: 8px;
  }
}
</style>
