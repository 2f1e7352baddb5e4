<script setup lang="ts">
/** Letters in the place of the digits, for labels, names and words, with what a word may become above them. */
import { computed, ref } from 'vue';
import { CornerDownLeft, Delete } from 'lucide-vue-next';
import SizeText from '../../ui/SizeText.vue';
import { useComfort } from '../../live/comfort.store.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useHand } from '../entry/hand.ts';
import { offersFor, type Offer } from '../entry/offers.ts';
import KeyButton from './KeyButton.vue';
import { BACKSPACE, type Key } from './key-plan.ts';
import { letterRows, SIGNS, SPACE } from './letter-plan.ts';

const emit = defineEmits<{ digits: [] }>();
const hand = useHand();
const job = useJob();
const { comfort, tick } = useComfort();

const capitals = ref(false);
const rows = computed(() => letterRows(comfort.gloves, capitals.value));
const field = computed(() => (hand.isInField ? hand.field?.words() : undefined));
const ofJob = computed(() => (field.value?.isApart === true ? [] : job.marks.list));
const labels = computed(() =>
  field.value?.isApart === true ? [] : job.slate.rows.flatMap(({ line }) => line.label ?? []),
);
const named = computed(() => [...ofJob.value, ...(field.value?.names ?? [])]);
const offers = computed(() => offersFor(hand.entry, named.value, labels.value));

function press(key: Key): void {
  tick();
  hand.apply((entry) => key.press(entry, false));
  // One capital, as at the front of a label.
  capitals.value = false;
}
function take(offer: Offer): void {
  tick();
  hand.apply(offer.take);
}
</script>

<template>
  <div class="letters" :class="{ wide: comfort.gloves }">
    <div class="chips offers" role="group" aria-label="Words">
      <button
        v-for="offer in offers"
        :key="offer.label"
        type="button"
        class="chip"
        :title="offer.about"
        :data-offer="offer.label"
        @click="take(offer)"
      >
        {{ offer.label }} <SizeText v-if="offer.reading" class="chip-size" :text="offer.reading" />
      </button>
    </div>
    <div v-for="(row, at) in rows" :key="at" class="row" :class="`row-${at}`">
      <KeyButton
        v-if="at === rows.length - 1"
        class="wider"
        :plan="{ face: 'capital', name: 'capital letter', kind: 'word' }"
        :aria-pressed="capitals"
        @press="capitals = !capitals"
        >Aa</KeyButton
      >
      <KeyButton v-for="plan in row" :key="plan.face" :plan @press="press(plan)" />
      <KeyButton v-if="at === rows.length - 1" class="wider" :plan="BACKSPACE" @press="press(BACKSPACE)"
        ><Delete :size="22" aria-hidden="true"
      /></KeyButton>
    </div>
    <div class="row foot">
      <KeyButton class="wider" :plan="{ face: 'digits', name: 'digits', kind: 'word' }" @press="emit('digits')"
        >digits</KeyButton
      >
      <KeyButton v-for="plan in SIGNS" :key="plan.face" :plan @press="press(plan)" />
      <KeyButton class="space" :plan="SPACE" @press="press(SPACE)">space</KeyButton>
      <KeyButton class="wider" :plan="{ face: 'enter', name: 'Enter', kind: 'enter' }" @press="hand.active?.enter()"
        ><CornerDownLeft :size="24" aria-hidden="true"
      /></KeyButton>
    </div>
  </div>
</template>

<style scoped src="../../ui/chip.css"></style>
<style scoped>
.letters {
  display: grid;
  grid-template-rows: auto;
  grid-auto-rows: 1fr;
  gap: 6px;
}
.offers {
  min-height: var(--touch);
}
.row {
  display: flex;
  justify-content: center;
  gap: 4px;
}
.row > * {
  flex: 1 1 0;
  max-width: calc((100% - 36px) / 10);
  min-height: 0;
  font-size: 21px;
}
.wide .row > * {
  max-width: none;
  min-height: 56px;
}
.row > .wider {
  flex: 1.5 1 0;
  max-width: none;
  font-size: clamp(14px, 4.2vw, 16px);
}
.foot > * {
  max-width: none;
  font-size: 20px;
}
.foot > .space {
  flex: 2.2 1 0;
  font-size: 16px;
}
</style>
