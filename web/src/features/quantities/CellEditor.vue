<script setup lang="ts">
/** A cell of the table while it is written in: the field, and beneath it what it comes to, what is wrong, what may be meant. */
import { computed, onMounted, ref, useId, useTemplateRef, watch } from 'vue';
import { describeIssue, type BareUnit, type Scope } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { offersFor } from '../../parts/entry/offers.ts';
import type { NamedMark } from '../../parts/entry/suggestions.ts';
import IssueText from '../../parts/field/IssueText.vue';
import SizeInput from '../../parts/field/SizeInput.vue';
import { useSize } from '../../parts/field/use-size.ts';

const props = defineProps<{
  label: string;
  /** The entry as it stands; `begun`: the letter that took its place. */
  start: string;
  begun: string | undefined;
  /** It holds words, and no entry. */
  isWords: boolean;
  bare: BareUnit;
  scope: () => Scope;
  names: readonly NamedMark[];
}>();
const emit = defineEmits<{
  /** What was written is kept, and the cursor goes on. */
  keep: [text: string, to: 'out' | 'down'];
  cancel: [];
}>();

const text = ref(props.begun ?? props.start);
const input = useTemplateRef<InstanceType<typeof SizeInput>>('input');
const words = useTemplateRef<HTMLInputElement>('words');
const { reckoned, issue } = useSize(text, () => ({ bare: props.bare, scope: props.scope }));
/** Names and words that what is written may become; nothing is stored or labelled from here. */
const offers = computed(() => {
  if (props.isWords || !/\p{L}[\p{L}\p{N}_]*$/u.test(text.value)) return [];
  const entry = { text: text.value, from: text.value.length, to: text.value.length };
  return offersFor(entry, props.names, [])
    .filter(({ label }) => !/[:=]$/.test(label))
    .slice(0, MOST);
});
const MOST = 6;
const id = useId();
const take = (offer: (typeof offers.value)[number]) => {
  text.value = offer.take({ text: text.value, from: text.value.length, to: text.value.length }).text;
};
/** The offer that the arrow keys stand at: Enter and Tab take it. */
const offered = ref(-1);
watch(offers, () => (offered.value = -1));
function byKey(event: KeyboardEvent): void {
  const { key } = event;
  const count = offers.value.length;
  const now = offers.value[offered.value];
  if (count > 0 && (key === 'ArrowDown' || key === 'ArrowUp')) {
    const step = key === 'ArrowDown' ? 1 : -1;
    offered.value = offered.value < 0 && step < 0 ? count - 1 : (offered.value + step + count) % count;
  } else if (now !== undefined && (key === 'Enter' || key === 'Tab')) take(now);
  else return;
  event.preventDefault();
  event.stopPropagation();
}

onMounted(() => {
  const field = words.value ?? input.value;
  field?.focus();
  if (props.begun === undefined) (document.activeElement as HTMLInputElement | null)?.select();
});
let isDone = false;
/** Once: a key that ends it takes the focus as well. */
function keep(to: 'out' | 'down'): void {
  if (isDone) return;
  isDone = true;
  emit('keep', text.value, to);
}
function cancel(): void {
  isDone = true;
  emit('cancel');
}
</script>

<template>
  <div class="editor" @keydown.capture="byKey" @keydown.esc.stop.prevent="cancel" @keydown.enter.stop>
    <input
      v-if="isWords"
      ref="words"
      v-model="text"
      class="words"
      maxlength="200"
      autocomplete="off"
      :aria-label="label"
      @keydown.enter.prevent="keep('down')"
      @blur="keep('out')"
    />
    <SizeInput
      v-else
      ref="input"
      v-model="text"
      :label
      :aria-label="label"
      :reading="reckoned?.reading?.text"
      :problem="issue && describeIssue(issue)"
      :names
      :aria-activedescendant="offered < 0 ? undefined : `${id}-${offered}`"
      @enter="keep('down')"
      @blur="keep('out')"
    />
    <div v-if="!isWords && (issue || reckoned?.reading || offers.length > 0)" class="below" @pointerdown.prevent>
      <IssueText v-if="issue && offers.length === 0" :issue @mend="(fix) => (text = fix.entry)" />
      <SizeText v-else-if="!issue && reckoned?.reading" class="reads" :text="reckoned.reading.text" />
      <div v-if="offers.length > 0" class="offers" role="group" aria-label="Names">
        <button
          v-for="(offer, at) in offers"
          :id="`${id}-${at}`"
          :key="offer.label"
          type="button"
          class="chip"
          :class="{ offered: at === offered }"
          :aria-current="at === offered || undefined"
          tabindex="-1"
          @click="take(offer)"
        >
          {{ offer.label }} <SizeText v-if="offer.reading" class="chip-size" :text="offer.reading" />
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped src="../../ui/chip.css"></style>
<style scoped>
.editor {
  position: relative;
  height: 100%;
}
.editor :deep(.el-input__wrapper),
.words {
  height: 100%;
  padding: 0 6px;
  border: 0;
  border-radius: 0;
  box-shadow: inset 0 0 0 2px var(--chalk);
  background: var(--raised);
}
.words {
  width: 100%;
}
.editor :deep(.el-input) {
  height: 100%;
}
.below {
  position: absolute;
  z-index: 10;
  top: 100%;
  left: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-width: 180px;
  width: max-content;
  max-width: 380px;
  padding: 8px 10px;
  border: 1px solid var(--ink);
  border-radius: 0 0 3px 3px;
  background: var(--board);
  line-height: 1.35;
  text-align: left;
  white-space: normal;
}
.reads {
  font: 600 22px/1.1 var(--figures);
}
.offered {
  outline: 2px solid var(--chalk);
}
.offers {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
</style>
