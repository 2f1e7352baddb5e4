<script setup lang="ts">
/** The story stick beside the bench: keep a result, the mark in hand, and every mark within reach. */
import { computed, ref } from 'vue';
import { ArrowDownWideNarrow, Columns3, Maximize2 } from 'lucide-vue-next';
import type { ReadingStyle } from '@sprell/core';
import type { JobMark } from '../../../job/index.ts';
import type { Drawn } from '../../../ui/drawn.ts';
import type { Amount, Refusal } from './amount.ts';
import InHand from './InHand.vue';
import KeepForm from './KeepForm.vue';
import { MARK_ORDERS, type MarkOrder } from '../../../parts/marks/mark-order.ts';
import RodList from './RodList.vue';

defineProps<{
  marks: readonly JobMark[];
  style: ReadingStyle;
  /** Names of marks that the entry uses, in lower case. */
  used: ReadonlySet<string>;
  inHand: JobMark | undefined;
  /** What would be kept, added on or knocked off, as it is drawn: undefined where there is nothing, or it keeps itself already. */
  amount: Drawn<Amount | undefined>;
  /** Whether there is something to keep now. */
  canKeep: () => boolean;
  /** Why the last sign that was touched posted nothing. */
  refusal: Refusal | undefined;
}>();
const emit = defineEmits<{
  use: [name: string];
  hold: [name: string];
  keep: [name: string];
  post: [operator: 'add' | 'subtract'];
  postAs: [unit: string];
  keepNew: [];
  /** The form for a name is closed. */
  rest: [];
}>();

const keepForm = ref<InstanceType<typeof KeepForm>>();
defineExpose({
  /** Asks for the name to keep the amount by. */
  ask: () => keepForm.value?.ask(),
  /** @returns whether that question was open */
  close: () => keepForm.value?.close() === true,
});

const order = defineModel<MarkOrder>('order', { required: true });
const gaps = defineModel<boolean>('gaps', { required: true });
/** Every mark stands in the place of the slate, and not here. */
const laidOut = defineModel<boolean>('laidOut', { required: true });
const sorted = computed(() => MARK_ORDERS.find((one) => one.order === order.value));
function nextOrder(): void {
  const at = MARK_ORDERS.findIndex((one) => one.order === order.value);
  order.value = MARK_ORDERS[(at + 1) % MARK_ORDERS.length]?.order ?? 'size';
}
</script>

<template>
  <section class="stick" :class="{ out: laidOut }" aria-label="Story stick">
    <KeepForm
      ref="keepForm"
      class="keep"
      :marks
      :amount
      :can-keep
      @keep="(name) => emit('keep', name)"
      @rest="emit('rest')"
    />
    <InHand
      v-if="inHand"
      class="hand"
      :mark="inHand"
      :amount
      :refusal
      @use="emit('use', inHand.name)"
      @post="(operator) => emit('post', operator)"
      @post-as="(unit) => emit('postAs', unit)"
      @keep-new="emit('keepNew')"
    />
    <slot v-if="laidOut" />
    <RodList
      v-else-if="marks.length > 0"
      class="on-rod"
      :marks
      :style
      :used
      :in-hand="inHand?.name"
      :order
      :gaps
      @use="(name) => emit('use', name)"
      @hold="(name) => emit('hold', name)"
    />
    <p v-else class="none">Sizes you keep stand here, one touch from the entry.</p>
    <div v-if="marks.length > 0 || laidOut" class="tools">
      <button
        type="button"
        class="tool all"
        :aria-pressed="laidOut"
        :title="laidOut ? 'The slate again' : 'Every mark at once, in the place of the slate'"
        data-test="lay-out"
        @click="laidOut = !laidOut"
      >
        <Columns3 :size="18" aria-hidden="true" />all
      </button>
      <button
        type="button"
        class="tool"
        :aria-pressed="gaps"
        title="What lies between a mark and the one below it"
        data-test="gaps"
        @click="gaps = !gaps"
      >
        gaps
      </button>
      <button
        type="button"
        class="tool"
        :title="`How the marks are sorted: ${sorted?.words}`"
        data-test="order"
        @click="nextOrder"
      >
        <ArrowDownWideNarrow :size="18" aria-hidden="true" />{{ sorted?.word }}
      </button>
      <RouterLink
        class="tool whole"
        to="/stick"
        title="The whole story stick: postings, names, printing"
        data-test="open-stick"
        ><Maximize2 :size="18" aria-hidden="true" /><span class="sr-only">The whole story stick</span></RouterLink
      >
    </div>
  </section>
</template>

<style scoped>
.stick {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  padding: 10px 10px 4px 0;
}
.on-rod {
  flex: 1;
}
.none {
  color: var(--ink-soft);
  margin: 0;
}
.tools {
  display: flex;
  justify-content: space-between;
  border-top: 1px solid var(--ink);
}
.tool {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 5px;
  min-width: max(40px, var(--target));
  min-height: var(--touch);
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  font-size: 14px;
  text-decoration: none;
  white-space: nowrap;
  cursor: pointer;
}
.tool:hover,
.tool[aria-pressed='true'] {
  color: var(--chalk);
}
.tool[aria-pressed='true'] {
  font-weight: 600;
  text-decoration: underline;
}
@media (min-width: 761px) and (max-width: 1023px) {
  .stick:not(:has(form)) {
    display: grid;
    grid-template: 'keep hand' auto 'rod rod' minmax(0, 1fr) 'tools tools' auto / 72px minmax(0, 1fr);
  }
  .keep {
    grid-area: keep;
  }
  .hand {
    grid-area: hand;
  }
  .on-rod,
  .none {
    grid-area: rod;
  }
  .tools {
    grid-area: tools;
  }
  /* While a name is asked for, it needs the room. */
  .stick:has(form) .tools {
    display: none;
  }
}
@media (max-width: 760px) {
  .stick {
    flex-direction: row;
    align-items: stretch;
    min-height: var(--touch);
    padding: 0;
    gap: 6px;
  }
  .on-rod {
    min-width: 0;
  }
  /* While a name is asked for, it has the row to itself. */
  .stick:has(form) .hand,
  .stick:has(form) .on-rod {
    display: none;
  }
  .keep:has(form) {
    flex: 1;
  }
  /* Room for one more touch; the others come where the marks are laid out. */
  .tools {
    margin-left: auto;
    border-top: 0;
  }
  .stick:not(.out) .tool:not(.all),
  .stick:has(form) .tools {
    display: none;
  }
  .stick:not(.out) .all {
    flex-direction: column;
    gap: 0;
  }
  /* The mark in hand leads there as well. */
  .out .whole,
  .out .tool svg {
    display: none;
  }
  .none {
    margin: auto 0;
  }
}
</style>
