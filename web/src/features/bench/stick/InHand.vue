<script setup lang="ts">
/** The mark in hand: what it holds, and one touch each to add the reading on to it or knock it off. */
import { computed, ref, watch } from 'vue';
import { kindOf } from '@sprell/core';
import SizeText from '../../../ui/SizeText.vue';
import type { JobMark } from '../../job/job-marks.ts';
import type { Amount } from './amount.ts';

const props = defineProps<{
  mark: JobMark;
  /** What would be posted; undefined while there is nothing. */
  amount: Amount | undefined;
}>();
const emit = defineEmits<{
  post: [operator: 'add' | 'subtract', entry: string];
  /** Keep the amount as a new mark instead. */
  keepNew: [];
}>();

/** The sign that was touched although the kinds do not add up. */
const refused = ref<'add' | 'subtract'>();
watch(
  () => [props.mark.name, props.amount?.entry],
  () => (refused.value = undefined),
);

const kinds = computed(() => {
  if (props.amount === undefined || props.mark.quantity === undefined) return undefined;
  const [one, other] = [props.mark.quantity.dimension, props.amount.quantity.dimension].map(kindOf);
  return props.mark.quantity.dimension === props.amount.quantity.dimension ? undefined : ([one, other] as const);
});
/** A plain number may have been meant as a size. */
const units = computed(() => (kinds.value?.[0] === 'length' && kinds.value[1] === 'number' ? ['"', "'", ' mm'] : []));

function post(operator: 'add' | 'subtract'): void {
  if (props.amount === undefined || props.mark.problem !== undefined) return;
  if (kinds.value) refused.value = operator;
  else emit('post', operator, props.amount.entry);
}
defineExpose({ post });
function postAs(unit: string): void {
  if (props.amount && refused.value) emit('post', refused.value, `(${props.amount.entry})${unit}`);
}
</script>

<template>
  <div class="in-hand" role="group" aria-label="Mark in hand" data-test="in-hand">
    <button
      type="button"
      class="sign off"
      :disabled="!amount || mark.problem !== undefined"
      :aria-label="`Knock ${amount?.reading ?? 'it'} off ${mark.name}`"
      title="Knock the reading off"
      data-test="knock-off"
      @pointerdown.prevent
      @click="post('subtract')"
    >
      <span class="glyph">−</span><SizeText v-if="amount" class="size" :text="amount.reading" />
    </button>
    <RouterLink class="held" to="/stick" :title="mark.problem ?? `How ${mark.name} came to this`" data-test="held">
      <span class="name">{{ mark.name }}</span> <SizeText class="value" :text="mark.reading" />
    </RouterLink>
    <button
      type="button"
      class="sign on"
      :disabled="!amount || mark.problem !== undefined"
      :aria-label="`Add ${amount?.reading ?? 'it'} on to ${mark.name}`"
      title="Add the reading on"
      data-test="add-on"
      @pointerdown.prevent
      @click="post('add')"
    >
      <span class="glyph">+</span><SizeText v-if="amount" class="size" :text="amount.reading" />
    </button>
    <p v-if="refused && kinds" class="refused" role="alert">
      {{ mark.name }} is a {{ kinds[0] }}, and this {{ kinds[1] === 'number' ? 'a plain number' : `is ${kinds[1]}` }}:
      they do not add up.
      <button v-for="unit in units" :key="unit" type="button" class="fix" data-test="post-fix" @click="postAs(unit)">
        {{ amount?.reading }}{{ unit.replace('"', '″').replace("'", '′') }}
      </button>
      <button type="button" class="fix" data-test="post-new" @click="emit('keepNew')">Keep it as a new mark</button>
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
  color: inherit;
  text-decoration: none;
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
  min-width: 44px;
  min-height: var(--touch);
  padding: 0 4px;
  border: 0;
  border-top: 1px solid var(--ink);
  background: var(--board);
  cursor: pointer;
  overflow: hidden;
}
.sign:disabled {
  color: var(--ink-soft);
  background: none;
  cursor: default;
}
.sign:hover:not(:disabled) {
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
    grid-template: 'off held on' auto 'refused refused refused' auto / 44px 1fr 44px;
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
  .sign .size {
    display: none;
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
