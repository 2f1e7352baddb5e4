<script setup lang="ts">
/** The mark in hand: what it holds, and one touch each to add the reading on to it or knock it off. */
import { computed } from 'vue';
import { kindOf } from '@sprell/core';
import { inWords } from '@sprell/core/spoken';
import { useJob } from '../../../live/use-jobs.ts';
import { forDrawing, type Drawn } from '../../../ui/drawn.ts';
import SizeText from '../../../ui/SizeText.vue';
import type { JobMark } from '../../../job/index.ts';
import type { Amount, Refusal } from './amount.ts';

const props = defineProps<{
  mark: JobMark;
  /** What would be posted, as it is drawn; undefined while there is nothing. */
  amount: Drawn<Amount | undefined>;
  /** The sign that was touched although the kinds do not add up. */
  refusal: Refusal | undefined;
}>();
const emit = defineEmits<{
  /** Post what is in hand. */
  post: [operator: 'add' | 'subtract'];
  /** Post it as a size after all. */
  postAs: [unit: string];
  /** Put the mark in the entry. */
  use: [];
  /** Store the amount as a new mark instead. */
  keepNew: [];
}>();

const shown = computed(() => forDrawing(props.amount));
/** A number or an area is not offered to a length. */
const isOfItsKind = computed(
  () => props.mark.quantity === undefined || shown.value?.quantity.dimension === props.mark.quantity.dimension,
);
const isIdle = computed(() => shown.value === undefined || props.mark.problem !== undefined || !isOfItsKind.value);
const amountText = computed(() => (isIdle.value ? undefined : shown.value?.reading));
const job = useJob();
/** What the signs would do, in words. */
const says = computed(() => {
  const amount = amountText.value === undefined ? 'it' : inWords(amountText.value, job.style);
  return { subtract: `Subtract ${amount} from ${props.mark.name}`, add: `Add ${amount} to ${props.mark.name}` };
});
const title = computed(() => {
  if (shown.value !== undefined && !isOfItsKind.value)
    return `${props.mark.name} is a ${props.mark.quantity && kindOf(props.mark.quantity.dimension)}`;
  return undefined;
});
/** A plain number may have been meant as a size. */
const units = computed(() =>
  props.refusal?.kinds[0] === 'length' && props.refusal.kinds[1] === 'number' ? ['"', "'", ' mm'] : [],
);
</script>

<template>
  <div class="in-hand" role="group" aria-label="Mark in hand" data-test="in-hand">
    <button
      type="button"
      class="sign off"
      :aria-disabled="isIdle"
      :aria-label="says.subtract"
      :title="title ?? 'Subtract the reading'"
      data-test="knock-off"
      @pointerdown.prevent
      @click="emit('post', 'subtract')"
    >
      <span class="glyph">−</span><SizeText v-if="amountText" class="size" :text="amountText" />
    </button>
    <button
      type="button"
      class="held"
      :title="mark.problem ?? `Put ${mark.name} in the entry`"
      data-test="held"
      @pointerdown.prevent
      @click="emit('use')"
    >
      <span class="name">{{ mark.name }}</span> <SizeText class="value" :text="mark.reading" />
    </button>
    <button
      type="button"
      class="sign on"
      :aria-disabled="isIdle"
      :aria-label="says.add"
      :title="title ?? 'Add the reading'"
      data-test="add-on"
      @pointerdown.prevent
      @click="emit('post', 'add')"
    >
      <span class="glyph">+</span><SizeText v-if="amountText" class="size" :text="amountText" />
    </button>
    <p v-if="refusal" class="refused" role="alert">
      {{ mark.name }} is a {{ refusal.kinds[0] }}, and this
      {{ refusal.kinds[1] === 'number' ? 'is a plain number' : `is ${refusal.kinds[1]}` }}: they do not add up.
      <button
        v-for="unit in units"
        :key="unit"
        type="button"
        class="fix"
        data-test="post-fix"
        @click="emit('postAs', unit)"
      >
        {{ refusal.reading }}{{ unit.replace('"', '″').replace("'", '′') }}
      </button>
      <button type="button" class="fix" data-test="post-new" @click="emit('keepNew')">Store it as a new mark</button>
    </p>
  </div>
</template>

<style scoped>
.in-hand {
  display: grid;
  grid-template: 'held held' auto 'off on' auto 'refused refused' auto / 1fr 1fr;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--chalk-wash);
}
.held {
  grid-area: held;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0 8px;
  margin: 0;
  padding: 6px 10px 4px;
  min-width: 0;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.held:hover {
  color: var(--chalk);
}
.held .name {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.value {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 22px;
  white-space: nowrap;
}
.sign {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 4px;
  min-width: max(44px, var(--target));
  min-height: var(--touch);
  padding: 0 4px;
  border: 0;
  border-top: 1px solid var(--ink);
  background: var(--board);
  cursor: pointer;
  overflow: hidden;
}
.sign[aria-disabled='true'] {
  color: var(--ink-soft);
  background: none;
  cursor: default;
}
.sign:hover:not([aria-disabled='true']) {
  color: var(--chalk);
}
.off {
  grid-area: off;
  border-right: 1px solid var(--ink);
  border-bottom-left-radius: 2px;
}
.on {
  grid-area: on;
  border-bottom-right-radius: 2px;
}
.glyph {
  font-size: 22px;
  font-weight: 600;
  line-height: 1;
}
.size {
  font-family: var(--figures);
  font-size: 14px;
  white-space: nowrap;
}
.refused {
  grid-area: refused;
  margin: 0;
  padding: 6px 10px;
  border-top: 1px solid var(--ink);
  background: var(--pencil-wash);
}
.fix {
  width: 100%;
  min-height: var(--touch);
  margin-top: 4px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  font-weight: 600;
  cursor: pointer;
}
/* In one row: what it holds between the two signs. */
@media (max-width: 1023px) {
  .in-hand {
    grid-template:
      'off held on' auto 'refused refused refused' auto / minmax(max(44px, var(--target)), auto)
      1fr minmax(max(44px, var(--target)), auto);
    flex: none;
  }
  .held {
    display: block;
    padding: 2px 6px;
    line-height: 1.15;
    overflow: hidden;
  }
  .held .name {
    display: block;
    font-size: 14px;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .value {
    font-size: 16px;
  }
  .sign {
    border-top: 0;
    border-right: 1px solid var(--ink);
  }
  .on {
    border-right: 0;
    border-left: 1px solid var(--ink);
  }
  .sign {
    flex-direction: column;
    gap: 0;
  }
  .sign .size {
    font-size: 13px;
  }
}
@media (max-width: 760px) {
  .held {
    max-width: 96px;
  }
  .in-hand {
    position: relative;
  }
  /* Over the slate, as wide as the screen: the row itself has no room for words. */
  .refused {
    position: absolute;
    z-index: 3;
    left: -64px;
    bottom: calc(100% + 4px);
    width: calc(100vw - 16px);
    border: 1px solid var(--ink);
    border-radius: 3px;
  }
  .refused .fix {
    width: auto;
    margin-right: 6px;
    padding: 0 12px;
  }
}
</style>
