<script setup lang="ts">
/**
 * The bench's keys along the lower edge of any screen, for the field that the cursor stands in: what it comes to, the fields
 * before and behind it, and what the bench has in hand.
 */
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue';
import { useResizeObserver } from '@vueuse/core';
import { ChevronLeft, ChevronRight } from 'lucide-vue-next';
import { isMetric } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useHand } from '../entry/hand.ts';
import AtHand from '../field/AtHand.vue';
import { goToInput } from '../field/size-inputs.ts';
import { useAtHand } from '../field/use-at-hand.ts';
import KeyBoard from '../keys/KeyBoard.vue';

const hand = useHand();
const job = useJob();
const use = useAtHand();
const words = computed(() => hand.field?.words());

/** With what is said under it. */
function showField(): void {
  document.activeElement?.closest('[data-field], .field')?.scrollIntoView({ block: 'nearest' });
}
function goOn(by: 1 | -1): void {
  if (goToInput(by)) showField();
}
/** The screen keeps this much free, and its fields are scrolled to above it. */
const dock = ref<HTMLElement>();
const { style } = document.documentElement;
useResizeObserver(dock, ([entry]) => {
  style.setProperty('--dock', `${Math.ceil(entry?.borderBoxSize[0]?.blockSize ?? 0)}px`);
});
onMounted(async () => {
  style.setProperty('--dock', `${dock.value?.offsetHeight ?? 0}px`);
  await nextTick();
  showField();
});
onBeforeUnmount(() => style.removeProperty('--dock'));
</script>

<template>
  <aside ref="dock" class="dock" aria-label="Keys for this field" data-test="dock" @pointerdown.prevent>
    <div class="bar">
      <button type="button" aria-label="Field before" data-test="field-before" @click="goOn(-1)">
        <ChevronLeft :size="26" aria-hidden="true" />
      </button>
      <p class="words" :class="{ wrong: words?.problem }">
        <span class="label">{{ words?.label }}</span>
        <SizeText
          v-if="words?.reading && !words.problem"
          class="reading"
          :text="words.reading"
          data-test="dock-reading"
        />
        <span v-else-if="words?.problem" class="problem">{{ words.problem }}</span>
      </p>
      <button type="button" class="next" data-test="field-after" @click="goOn(1)">
        next <ChevronRight :size="26" aria-hidden="true" />
      </button>
    </div>
    <AtHand class="at-hand" @use="use" />
    <KeyBoard
      class="board"
      :finest="job.style.finest"
      :metric="isMetric(job.style.length)"
      :decimal-comma="job.style.decimalComma"
      :has-last="false"
      enter-says="Next"
    />
  </aside>
</template>

<style scoped>
.dock {
  position: fixed;
  inset: auto 0 0;
  z-index: 20;
  padding-bottom: 8px;
  border-top: 2px solid var(--ink);
  background: var(--ground);
}
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 52px;
  padding: 0 8px;
}
.bar button {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: var(--touch);
  min-height: 44px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  cursor: pointer;
}
.next {
  padding-left: 12px;
}
.words {
  flex: 1;
  min-width: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
  line-height: 1.1;
}
.label {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 14px;
  color: var(--ink-soft);
}
.reading {
  font: 600 26px/1.1 var(--figures);
  white-space: nowrap;
}
.problem {
  max-height: 2.4em;
  overflow: hidden;
  font-size: 14px;
  color: var(--pencil);
}
.at-hand {
  padding: 0 8px 6px;
}
.board {
  max-width: 620px;
  margin-inline: auto;
  padding: 0 8px;
}
/* A short screen: the field itself has to stay in view. */
@media (max-height: 700px) {
  .at-hand {
    display: none;
  }
}
@media (max-height: 480px) {
  .bar {
    min-height: 44px;
  }
}
</style>
