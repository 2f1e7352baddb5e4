<script setup lang="ts">
/** One line of a mark's ledger: what it brought, from where and when; struck out, it can be put back. */
import { computed } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { timeWords } from '../../ui/time-words.ts';
import type { MarkEntry } from '../../job/mark-story.ts';

const props = defineProps<{
  entry: MarkEntry;
  /** Postings can be struck out; what kept the mark cannot. */
  isPosting: boolean;
  now: number;
}>();
const emit = defineEmits<{ strike: []; putBack: []; freeze: [] }>();

const source = computed(() => `#${props.entry.number}${props.entry.label === null ? '' : ` ${props.entry.label}`}`);
</script>

<template>
  <li class="row" :class="{ struck: entry.struck }" :data-posting="entry.number">
    <span class="sign">{{ entry.sign }}</span>
    <SizeText class="amount" :text="entry.amount" data-test="amount" />
    <span class="source">
      {{ source }}<template v-if="entry.entry !== entry.amount">: <SizeText :text="entry.entry" /></template>
      <span class="when">{{ timeWords(entry.at, now) }}</span>
    </span>
    <SizeText class="after" :text="entry.struck ? 'struck out' : entry.after" />
    <span class="tools">
      <PlainButton
        v-if="entry.isLive && !entry.struck"
        title="It follows its sources. This writes its value here, so that it stays as it is."
        data-test="freeze"
        @click="emit('freeze')"
        >Freeze</PlainButton
      >
      <!-- One button for both, so that it keeps the focus. -->
      <PlainButton
        v-if="entry.struck || isPosting"
        :data-test="entry.struck ? 'put-back' : 'strike'"
        @click="entry.struck ? emit('putBack') : emit('strike')"
        >{{ entry.struck ? 'Restore' : 'Remove' }}</PlainButton
      >
    </span>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template: 'sign amount after' auto 'sign source tools' auto / 18px 1fr auto;
  gap: 0 8px;
  padding: 6px 0;
  align-items: start;
  border-bottom: 1px solid var(--groove);
}
.sign {
  grid-area: sign;
  font-weight: 600;
  font-size: 20px;
  line-height: 1.2;
}
.amount,
.after {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 19px;
}
.amount {
  grid-area: amount;
}
.after {
  grid-area: after;
  text-align: right;
  color: var(--ink-soft);
  white-space: nowrap;
}
.source {
  grid-area: source;
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
.when {
  white-space: nowrap;
  margin-left: 0.3em;
}
.when::before {
  content: '· ';
}
.struck .amount,
.struck .source {
  text-decoration: line-through;
}
.tools {
  grid-area: tools;
  display: flex;
  gap: 6px;
  justify-content: end;
}
.tools:empty {
  display: none;
}
</style>
