<script setup lang="ts">
/** The bench's own keys, for thumbs: the drawn inch, digits in two rows as they stand on a tape, and how values join. */
import { computed, defineAsyncComponent, ref } from 'vue';
import { useIntervalFn, useTimeoutFn } from '@vueuse/core';
import { Delete, CornerDownLeft } from 'lucide-vue-next';
import { useComfort } from '../../live/comfort.store.ts';
import { fraction } from '../entry/edits.ts';
import { useHand } from '../entry/hand.ts';
import DrawnInch from './DrawnInch.vue';
import KeyButton from './KeyButton.vue';
import {
  BACKSPACE,
  CLOSE,
  COMMA,
  FEET_AND_INCHES,
  FIGURES,
  JOINS,
  METRIC_SIDE,
  METRIC_UNITS,
  MORE_KEYS,
  OPEN,
  POINT,
  type Key,
} from './key-plan.ts';

// Most entries are digits alone.
const LetterKeys = defineAsyncComponent(() => import('./LetterKeys.vue'));

const props = withDefaults(
  defineProps<{
    /** Divisions of the inch. */
    finest: number;
    metric: boolean;
    decimalComma: boolean;
    hasLast: boolean;
    /** The last step can be done again on its result; undefined where there are no steps. */
    canRepeat?: boolean | undefined;
    /** What Enter does here. */
    enterSays?: string;
  }>(),
  { canRepeat: undefined, enterSays: 'Put it on the slate' },
);
const emit = defineEmits<{ repeat: [] }>();

const hand = useHand();
const { comfort, tick, putAway } = useComfort();
const showsMore = ref(false);
const board = ref<HTMLElement>();
/** Height of the letters, while they are shown: that of the digits, so that nothing around them moves. */
const lettersHeight = ref<number>();
const point = computed(() => (props.decimalComma ? COMMA : POINT));

function press(key: Key): void {
  tick();
  hand.apply((entry) => key.press(entry, props.hasLast));
}
function pressMore(key: Key): void {
  press(key);
  showsMore.value = false;
}
function pick(num: number, den: number): void {
  tick();
  putAway('fraction');
  hand.apply((entry) => fraction(entry, num, den));
}

function showLetters(): void {
  const padding = (side: 'Top' | 'Bottom') =>
    parseFloat(getComputedStyle(board.value as HTMLElement)[`padding${side}`]);
  lettersHeight.value = (board.value as HTMLElement).clientHeight - padding('Top') - padding('Bottom');
}

/** Held, it takes back one after the other. */
const REPEATS_AFTER = 450;
const REPEATS_EVERY = 80;
const repeat = useIntervalFn(() => press(BACKSPACE), REPEATS_EVERY, { immediate: false, immediateCallback: true });
const held = useTimeoutFn(repeat.resume, REPEATS_AFTER, { immediate: false });
function hold(): void {
  press(BACKSPACE);
  held.start();
}
function release(): void {
  held.stop();
  repeat.pause();
}
</script>

<template>
  <div
    ref="board"
    class="keys"
    :class="{ left: comfort.leftHanded }"
    role="group"
    aria-label="Keys"
    @pointerdown.prevent
  >
    <LetterKeys
      v-if="lettersHeight !== undefined"
      class="letters"
      :style="{ height: `${lettersHeight}px` }"
      @digits="lettersHeight = undefined"
    />
    <template v-else>
      <DrawnInch v-if="!metric" class="inch" :finest @pick="pick" />
      <div v-else class="units">
        <KeyButton v-for="plan in METRIC_UNITS" :key="plan.face" :plan @press="press(plan)" />
      </div>

      <div v-if="showsMore" class="behind">
        <KeyButton v-for="plan in MORE_KEYS" :key="plan.name" :plan @press="pressMore(plan)" />
      </div>
      <div v-else class="main">
        <KeyButton v-for="plan in [...FIGURES, ...JOINS, point]" :key="plan.face" :plan @press="press(plan)" />
      </div>

      <div class="side">
        <KeyButton v-for="plan in metric ? METRIC_SIDE : FEET_AND_INCHES" :key="plan.face" :plan @press="press(plan)" />
        <KeyButton
          :plan="BACKSPACE"
          @pointerdown.prevent="hold"
          @pointerup="release"
          @pointercancel="release"
          @pointerleave="release"
          @keydown.enter.prevent="press(BACKSPACE)"
          @keydown.space.prevent="press(BACKSPACE)"
          ><Delete :size="24" aria-hidden="true"
        /></KeyButton>
      </div>

      <div class="foot">
        <KeyButton v-for="plan in [OPEN, CLOSE]" :key="plan.face" :plan @press="press(plan)" />
        <KeyButton
          :plan="{ face: 'more', name: showsMore ? 'digits' : 'more', kind: 'word' }"
          :aria-expanded="showsMore"
          @press="showsMore = !showsMore"
          >{{ showsMore ? 'digits' : 'more' }}</KeyButton
        >
        <KeyButton :plan="{ face: 'abc', name: 'letters', kind: 'word' }" @press="showLetters" />
        <KeyButton
          v-if="canRepeat !== undefined"
          :plan="{ face: 'repeat', name: 'repeat', kind: 'word' }"
          :disabled="!canRepeat"
          title="Does the last step again on its result"
          @press="emit('repeat')"
        />
        <KeyButton :plan="{ face: 'enter', name: enterSays, kind: 'enter' }" @press="hand.active?.enter()"
          ><CornerDownLeft :size="26" aria-hidden="true"
        /></KeyButton>
      </div>
    </template>
  </div>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template: 'inch inch' auto 'main side' auto 'foot foot' auto / 5fr 1.15fr;
  gap: var(--key-gap);
  user-select: none;
  touch-action: manipulation;
}
.left {
  grid-template: 'inch inch' auto 'side main' auto 'foot foot' auto / 1.15fr 5fr;
}
.inch,
.units {
  grid-area: inch;
}
.units {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: var(--key-gap);
}
.main,
.behind {
  grid-area: main;
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: var(--key-gap);
}
.behind {
  grid-template-columns: repeat(4, 1fr);
}
.side {
  grid-area: side;
  display: grid;
  grid-template-rows: repeat(3, 1fr);
  gap: var(--key-gap);
}
.foot {
  grid-area: foot;
  display: grid;
  grid-auto-columns: 1fr;
  grid-auto-flow: column;
  gap: var(--key-gap);
}
.letters {
  grid-area: inch / inch / foot / foot;
}
.left .foot {
  direction: rtl;
}
</style>
