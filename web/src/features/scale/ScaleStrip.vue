<script setup lang="ts">
/**
 * The scale in hand: what is typed on one side, what that is on the other. The side that is typed stands first, with its
 * picture and its name, so that the direction cannot be mistaken.
 */
import { computed } from 'vue';
import { ArrowLeftRight, ArrowRight, FileText, House, X } from 'lucide-vue-next';
import { describeIssue, kindOf, readSide, turn, type Quantity, type ReadingStyle, type Side } from '@sprell/core';
import { forDrawing, type Drawn } from '../../ui/drawn.ts';
import SizeText from '../../ui/SizeText.vue';
import { roundingWord } from '../../parts/reading/rounding-words.ts';
import type { JobScale } from '../../job/index.ts';
import { ON, OTHER } from './side-words.ts';

const props = defineProps<{
  scale: JobScale;
  /** The side that what is typed lies on. */
  from: Side;
  /** What is typed, as it is drawn; undefined while that comes to nothing. */
  quantity: Drawn<Quantity | undefined>;
  /** What is typed lies in the entry or at rest, so that the other side can go on the slate. */
  canLand: boolean;
  style: ReadingStyle;
}>();
const emit = defineEmits<{ turnRound: []; away: []; land: [] }>();

const other = computed(() => OTHER[props.from]);
const typed = computed(() => forDrawing(props.quantity));
const turned = computed(() =>
  typed.value && props.scale.scale ? turn(typed.value, props.scale.scale, props.from) : undefined,
);
/** A size on a side as it reads, with a word where it lies a little over or under what is shown. */
function shownOn(side: Side, quantity: Quantity | undefined): { readonly text: string; readonly rounding: string } {
  if (quantity === undefined) return { text: '', rounding: '' };
  const reading = readSide(quantity, side, props.style);
  return { text: reading.text, rounding: roundingWord(kindOf(quantity.dimension), reading) ?? '' };
}
const typedShown = computed(() => shownOn(props.from, typed.value));
const otherShown = computed(() => shownOn(other.value, turned.value?.ok === true ? turned.value.value : undefined));
const problem = computed(() => (turned.value?.ok === false ? describeIssue(turned.value.issue) : undefined));
</script>

<template>
  <section class="strip" :class="`from-${from}`" aria-label="Scale in hand" data-test="scale-strip">
    <header>
      <RouterLink class="title" to="/scales" title="The scale rule: all scales of this job"
        ><SizeText :text="scale.title" /><span v-if="scale.title !== scale.says" class="says"
          ><SizeText :text="scale.says" /></span
      ></RouterLink>
      <button
        type="button"
        class="tool"
        :title="`Type sizes ${ON[other]} instead`"
        data-test="turn-round"
        @pointerdown.prevent
        @click="emit('turnRound')"
      >
        <ArrowLeftRight :size="18" aria-hidden="true" /><span class="word">swap</span>
      </button>
      <button
        type="button"
        class="tool"
        aria-label="Put the scale away"
        title="Put the scale away"
        data-test="scale-away"
        @pointerdown.prevent
        @click="emit('away')"
      >
        <X :size="18" aria-hidden="true" />
      </button>
    </header>
    <div class="sides">
      <p class="side typed" data-test="typed-side">
        <span class="where"
          ><FileText v-if="from === 'paper'" :size="18" aria-hidden="true" /><House
            v-else
            :size="18"
            aria-hidden="true"
          />
          {{ ON[from] }}</span
        >
        <SizeText class="figure" :text="typedShown.text" /><span class="rounding">{{ typedShown.rounding }}</span>
      </p>
      <ArrowRight class="arrow" :size="22" aria-label="is" />
      <button
        type="button"
        class="side other"
        :aria-disabled="otherShown.text === '' || !canLand"
        :title="`Put the size ${ON[other]} on the slate`"
        data-test="other-side"
        @pointerdown.prevent
        @click="emit('land')"
      >
        <span class="where"
          ><FileText v-if="other === 'paper'" :size="18" aria-hidden="true" /><House
            v-else
            :size="18"
            aria-hidden="true"
          />
          {{ ON[other] }}</span
        >
        <SizeText class="figure" :text="otherShown.text" /><span class="rounding">{{ otherShown.rounding }}</span>
      </button>
    </div>
    <p v-if="problem" class="problem">{{ problem }}</p>
  </section>
</template>

<style scoped>
.strip {
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
}
header {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--groove);
  padding-left: 12px;
}
.title {
  flex: 1;
  min-width: 0;
  color: inherit;
  font-weight: 600;
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.title:hover {
  color: var(--chalk);
}
.says {
  margin-left: 10px;
  font-weight: 400;
  color: var(--ink-soft);
}
.tool {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  min-width: 44px;
  min-height: 40px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.tool:hover {
  color: var(--chalk);
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr);
  align-items: center;
}
.side {
  margin: 0;
  padding: 4px 12px 6px;
  min-width: 0;
  text-align: left;
}
.where {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 15px;
  color: var(--ink-soft);
}
.figure {
  font: 600 26px/1.15 var(--figures);
  overflow-wrap: anywhere;
}
.other {
  align-self: stretch;
  border: 0;
  background: var(--chalk-wash);
  cursor: pointer;
}
.other[aria-disabled='true'] {
  cursor: default;
}
.other:hover:not([aria-disabled='true']) .figure {
  color: var(--chalk);
}
.arrow {
  margin: 0 8px;
}
.problem {
  margin: 0;
  padding: 0 12px 6px;
  color: var(--pencil);
}
@media (max-width: 760px) {
  header {
    padding-left: 8px;
  }
  .word {
    position: absolute;
    clip-path: inset(50%);
  }
  .tool {
    min-height: 34px;
  }
  .side {
    padding: 2px 8px;
  }
  .figure {
    font-size: 20px;
  }
  .arrow {
    margin: 0 2px;
  }
}
</style>
