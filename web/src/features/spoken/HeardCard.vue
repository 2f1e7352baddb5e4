<script setup lang="ts">
/** What was heard, as an entry that does not count yet, with what can be done about it. */
import { nextTick, ref, watch } from 'vue';
import { Check, Pencil, X } from 'lucide-vue-next';
import type { Offer, Waiting } from '@sprell/core/conversation';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';

const props = defineProps<{
  waiting: Waiting;
  /** What the field is called, where it goes into one. */
  field: string | undefined;
}>();
const emit = defineEmits<{ enter: []; refuse: []; take: [offer: Offer]; rewrite: [entry: string] }>();

/** Written by hand as long as it is another entry than was heard. */
const byHand = ref<string>();
const input = ref<InstanceType<typeof SizeField>>();
watch(
  () => props.waiting.phrase,
  () => (byHand.value = undefined),
);
async function change(): Promise<void> {
  byHand.value = props.waiting.answer.entry;
  await nextTick();
  input.value?.focus();
}
function write(text: string): void {
  byHand.value = text;
  emit('rewrite', text);
}
const enterSays = () => {
  const { place } = props.waiting;
  if (place.to === 'line') return `Change line ${place.number}`;
  return place.to === 'field' ? `Into ${props.field ?? 'the field'}` : 'Put on the slate';
};
</script>

<template>
  <section class="heard" aria-label="What was heard" data-test="heard">
    <p class="phrase" data-test="heard-phrase">
      “{{ waiting.heard }}”<span v-if="waiting.isGuessed" class="guessed"> taken as “{{ waiting.phrase }}”</span>
    </p>
    <SizeField
      v-if="byHand !== undefined"
      ref="input"
      label="The entry, by hand"
      :model-value="byHand"
      @update:model-value="write"
      @enter="emit('enter')"
    />
    <p v-else class="entry" data-test="heard-entry">
      <SizeText :text="waiting.answer.readBack ?? waiting.answer.entry" />
    </p>
    <p v-if="waiting.answer.problem && byHand === undefined" class="problem" data-test="heard-problem">
      {{ waiting.answer.problem.sentence }}
    </p>
    <p v-else-if="waiting.answer.reading && byHand === undefined" class="reading">
      <SizeText :text="waiting.answer.reading" data-test="heard-reading" />
      <small v-if="waiting.answer.rounding" data-test="heard-rounding"
        ><SizeText :text="waiting.answer.rounding"
      /></small>
    </p>
    <!-- The field keeps the cursor: were the keys to go, the button would move from under the finger. -->
    <div class="acts" @pointerdown.prevent>
      <PlainButton
        leading
        :disabled="waiting.answer.problem !== undefined"
        data-test="heard-enter"
        @click="emit('enter')"
        ><Check :size="20" aria-hidden="true" />{{ enterSays() }}</PlainButton
      >
      <PlainButton data-test="heard-refuse" @click="emit('refuse')"
        ><X :size="20" aria-hidden="true" />Not that</PlainButton
      >
      <PlainButton v-if="byHand === undefined" data-test="heard-change" @click="change"
        ><Pencil :size="18" aria-hidden="true" />By hand</PlainButton
      >
    </div>
    <p v-if="waiting.offers.length > 0" class="offers">
      <span>Or did you say</span>
      <PlainButton
        v-for="offer in waiting.offers"
        :key="offer.phrase"
        data-test="heard-offer"
        @click="emit('take', offer)"
        ><SizeText :text="offer.answer.readBack ?? offer.answer.entry"
      /></PlainButton>
    </p>
  </section>
</template>

<style scoped>
.heard {
  display: grid;
  gap: 4px;
}
p {
  margin: 0;
}
.phrase {
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
.guessed {
  color: var(--ink);
}
.entry {
  font: 500 calc(20px * var(--text-size)) / 1.25 var(--figures);
  overflow-wrap: anywhere;
}
.reading {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 14px;
  font: 600 calc(38px * var(--text-size)) / 1.1 var(--figures);
}
.reading small {
  font-size: calc(18px * var(--text-size));
  font-weight: 500;
}
.problem {
  padding: 6px 10px;
  background: var(--pencil-wash);
}
.acts,
.offers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 4px;
}
</style>
