<script setup lang="ts">
/** The bench's own keys, for thumbs: the drawn inch, digits in two rows as they stand on a tape, and how values join. */
import { ref } from 'vue';
import { Delete, CornerDownLeft } from 'lucide-vue-next';
import { useComfort } from '../../comfort/comfort.store.ts';
import { fraction } from '../entry/edits.ts';
import { useHand } from '../entry/hand.ts';
import DrawnInch from './DrawnInch.vue';
import {
  BACKSPACE,
  CLOSE,
  COMMA,
  FEET_AND_INCHES,
  FIGURES,
  JOINS,
  METRIC_UNITS,
  MORE_KEYS,
  OPEN,
  POINT,
  type Key,
} from './key-plan.ts';

const props = defineProps<{
  /** Divisions of the inch. */
  finest: number;
  metric: boolean;
  decimalComma: boolean;
  hasLast: boolean;
  /** The last step can be done again on its result. */
  canRepeat: boolean;
}>();
const emit = defineEmits<{ repeat: [] }>();

const hand = useHand();
const { comfort, tick, putAway } = useComfort();
const showsMore = ref(false);
const [millimetre, centimetre, metre] = METRIC_UNITS as [Key, Key, Key];

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

/** Held, it takes back one after the other. */
let holding: ReturnType<typeof setTimeout> | undefined;
function hold(): void {
  press(BACKSPACE);
  const again = () => {
    press(BACKSPACE);
    holding = setTimeout(again, 80);
  };
  holding = setTimeout(again, 450);
}
function release(): void {
  clearTimeout(holding);
}
</script>

<template>
  <div class="keys" :class="{ left: comfort.leftHanded }" role="group" aria-label="Keys" @pointerdown.prevent>
    <DrawnInch v-if="!metric" class="inch" :finest @pick="pick" />
    <div v-else class="units">
      <button
        v-for="key in METRIC_UNITS"
        :key="key.face"
        type="button"
        class="key"
        :aria-label="key.name"
        @click="press(key)"
      >
        {{ key.face }}
      </button>
    </div>

    <div v-if="showsMore" class="more">
      <button
        v-for="key in MORE_KEYS"
        :key="key.name"
        type="button"
        class="key"
        :aria-label="key.name"
        @click="pressMore(key)"
      >
        {{ key.face }}
      </button>
    </div>
    <div v-else class="main">
      <button
        v-for="key in FIGURES"
        :key="key.face"
        type="button"
        class="key figure"
        :data-key="key.face"
        @click="press(key)"
      >
        {{ key.face }}
      </button>
      <button
        v-for="key in JOINS"
        :key="key.face"
        type="button"
        class="key join"
        :aria-label="key.name"
        :data-key="key.face"
        @click="press(key)"
      >
        {{ key.face }}
      </button>
      <button
        type="button"
        class="key join"
        :aria-label="(decimalComma ? COMMA : POINT).name"
        data-key="."
        @click="press(decimalComma ? COMMA : POINT)"
      >
        {{ (decimalComma ? COMMA : POINT).face }}
      </button>
    </div>

    <div class="side">
      <template v-if="metric">
        <button type="button" class="key mark" :aria-label="millimetre.name" data-key="mm" @click="press(millimetre)">
          mm
        </button>
        <button type="button" class="key mark" :aria-label="metre.name" data-key="m" @click="press(metre)">m</button>
      </template>
      <template v-else>
        <button
          v-for="key in FEET_AND_INCHES"
          :key="key.face"
          type="button"
          class="key mark"
          :aria-label="key.name"
          :data-key="key.face"
          @click="press(key)"
        >
          {{ key.face }}
        </button>
      </template>
      <button
        type="button"
        class="key"
        aria-label="Take back"
        data-key="back"
        @pointerdown.prevent="hold"
        @pointerup="release"
        @pointercancel="release"
        @pointerleave="release"
        @keydown.enter.prevent="press(BACKSPACE)"
        @keydown.space.prevent="press(BACKSPACE)"
      >
        <Delete :size="24" aria-hidden="true" />
      </button>
    </div>

    <div class="foot">
      <button type="button" class="key" :aria-label="OPEN.name" data-key="(" @click="press(OPEN)">(</button>
      <button type="button" class="key" :aria-label="CLOSE.name" data-key=")" @click="press(CLOSE)">)</button>
      <button
        type="button"
        class="key words"
        :aria-expanded="showsMore"
        data-key="more"
        @click="showsMore = !showsMore"
      >
        {{ showsMore ? 'digits' : 'more' }}
      </button>
      <button
        type="button"
        class="key words"
        :disabled="!canRepeat"
        title="Does the last step again on its result"
        data-key="again"
        @click="emit('repeat')"
      >
        again
      </button>
      <button
        type="button"
        class="key enter"
        aria-label="Put it on the slate"
        data-key="enter"
        @click="hand.active?.enter()"
      >
        <CornerDownLeft :size="26" aria-hidden="true" />
      </button>
    </div>
    <span class="sr-only">{{ centimetre.name }}</span>
  </div>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template: 'inch inch' auto 'main side' auto 'foot foot' auto / 5fr 1.15fr;
  gap: 6px;
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
  gap: 6px;
}
.main,
.more {
  grid-area: main;
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 6px;
}
.more {
  grid-template-columns: repeat(4, 1fr);
}
.side {
  grid-area: side;
  display: grid;
  grid-template-rows: repeat(3, 1fr);
  gap: 6px;
}
.foot {
  grid-area: foot;
  display: grid;
  grid-template-columns: 1fr 1fr 1.25fr 1.25fr 1.9fr;
  gap: 6px;
}
.left .foot {
  direction: rtl;
}
.key {
  min-height: var(--touch);
  min-width: 0;
  padding: 0;
  display: flex;
  align-items: center;
  justify-content: center;
  border: 1px solid var(--groove);
  border-bottom-width: 3px;
  border-radius: 4px;
  background: var(--board);
  font-family: var(--figures);
  font-size: 24px;
  font-weight: 500;
  cursor: pointer;
}
.key:active:not(:disabled) {
  border-bottom-width: 1px;
  transform: translateY(2px);
  background: var(--chalk-wash);
}
.key:disabled {
  color: var(--ink-soft);
  border-bottom-width: 1px;
  background: var(--ground);
}
.figure {
  font-size: 30px;
  font-weight: 600;
}
.join {
  background: none;
  font-size: 28px;
}
.mark {
  border-color: var(--ink);
  font-size: 30px;
  font-weight: 600;
}
.words {
  font-family: var(--words);
  font-size: 16px;
}
.enter {
  background: var(--chalk);
  border-color: var(--chalk-deep);
  color: var(--on-chalk);
}
</style>
