<script setup lang="ts">
/** The large key that is held while one speaks, by finger, mouse, or Space; hands-free, a touch wakes it. */
import { computed, onBeforeUnmount, ref } from 'vue';
import { useEventListener } from '@vueuse/core';
import { Mic } from 'lucide-vue-next';
import type { ListeningState } from './listening.ts';

const props = defineProps<{ hearing: ListeningState; wake: string }>();
const emit = defineEmits<{ press: []; release: [] }>();

const button = ref<HTMLButtonElement>();
defineExpose({ focus: () => button.value?.focus() });
const isHeld = ref(false);
function press(): void {
  if (isHeld.value) return;
  isHeld.value = true;
  emit('press');
}
function release(): void {
  if (!isHeld.value) return;
  isHeld.value = false;
  emit('release');
}
function hold(event: PointerEvent): void {
  // The finger may leave the key: it is held until it is lifted.
  (event.target as HTMLElement).setPointerCapture(event.pointerId);
  press();
}

/** Space is for the key wherever nothing is typed. */
const FIELDS = 'input, textarea, select, [contenteditable], [role="option"], [role="switch"], [role="radio"]';
const isForKey = ({ target, key }: KeyboardEvent) => {
  if (key !== ' ' || !(target instanceof Element)) return false;
  const other = target.closest(`button, a, summary, ${FIELDS}`);
  return other === null || other === button.value;
};
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    if (!isForKey(event)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    press();
  },
  { capture: true },
);
useEventListener(
  window,
  'keyup',
  (event: KeyboardEvent) => {
    if (event.key !== ' ' || !isHeld.value) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    release();
  },
  { capture: true },
);
useEventListener(window, 'blur', release);
onBeforeUnmount(release);

const words = computed(() => {
  switch (props.hearing.mode) {
    case 'held':
      return 'Listening: let go when done';
    case 'awake':
      return 'Listening';
    case 'asleep':
      return `Say “${props.wake}”, or touch here`;
    case 'off':
      return 'Hold and speak';
  }
});
</script>

<template>
  <button
    ref="button"
    type="button"
    class="talk"
    :class="hearing.mode"
    :aria-pressed="hearing.mode === 'held' || hearing.mode === 'awake'"
    data-test="talk"
    @pointerdown.prevent="hold"
    @pointerup="release"
    @pointercancel="release"
    @contextmenu.prevent
  >
    <span class="level" aria-hidden="true" :style="{ transform: `scaleX(${hearing.level})` }" />
    <Mic :size="26" aria-hidden="true" />
    <span class="words">{{ words }}</span>
  </button>
</template>

<style scoped>
.talk {
  position: relative;
  display: flex;
  flex: 1;
  align-items: center;
  justify-content: center;
  gap: 12px;
  min-height: calc(var(--touch) + 16px);
  padding: 8px 16px;
  overflow: hidden;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font: 600 calc(18px * var(--text-size)) / 1.2 var(--words);
  cursor: pointer;
  touch-action: none;
  user-select: none;
}
.held,
.awake {
  background: var(--chalk);
  border-color: var(--chalk);
  color: var(--on-chalk);
}
.asleep {
  border-style: dashed;
}
/* The loudness, along the lower edge of the key. */
.level {
  position: absolute;
  inset: auto 0 0;
  height: 6px;
  background: currentcolor;
  transform-origin: left;
}
</style>
