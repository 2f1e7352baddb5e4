<script setup lang="ts">
/** A phrase that was not understood: kept as it was heard, with the words that say nothing here marked. */
import { computed } from 'vue';
import type { Missed, Offer } from '@sprell/core/conversation';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';

const props = defineProps<{ missed: Missed }>();
const emit = defineEmits<{ take: [offer: Offer]; refuse: [] }>();

const pieces = computed(() => {
  const { heard, unknown } = props.missed;
  const found: { text: string; isLost: boolean }[] = [];
  let at = 0;
  for (const { start, end } of unknown) {
    if (start > at) found.push({ text: heard.slice(at, start), isLost: false });
    found.push({ text: heard.slice(start, end), isLost: true });
    at = end;
  }
  if (at < heard.length) found.push({ text: heard.slice(at), isLost: false });
  return found;
});
</script>

<template>
  <section class="missed" aria-label="What was not understood" data-test="missed">
    <p class="phrase">
      <template v-for="({ text, isLost }, n) in pieces" :key="n"
        ><mark v-if="isLost" data-test="missed-word">{{ text }}</mark
        ><template v-else>{{ text }}</template></template
      >
    </p>
    <p class="offers">
      <span>{{
        missed.offers.length > 0 ? 'Did you mean' : 'Marked words say nothing here. Say it in another way.'
      }}</span>
      <PlainButton
        v-for="offer in missed.offers"
        :key="offer.phrase"
        data-test="missed-offer"
        @click="emit('take', offer)"
        ><SizeText :text="offer.answer.readBack ?? offer.answer.entry" /><b v-if="offer.answer.reading"
          >= <SizeText :text="offer.answer.reading" /></b
      ></PlainButton>
      <PlainButton data-test="missed-refuse" @click="emit('refuse')">Not that</PlainButton>
    </p>
  </section>
</template>

<style scoped>
.missed {
  display: grid;
  gap: 6px;
  padding: 8px 10px;
  background: var(--pencil-wash);
}
p {
  margin: 0;
}
.phrase {
  font-size: calc(18px * var(--text-size));
  overflow-wrap: anywhere;
}
mark {
  padding: 0 2px;
  border-bottom: 3px solid var(--pencil);
  background: none;
  color: var(--pencil);
  font-weight: 600;
}
.offers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
b {
  font-weight: 600;
}
.offers :deep(.button) {
  white-space: nowrap;
}
</style>
