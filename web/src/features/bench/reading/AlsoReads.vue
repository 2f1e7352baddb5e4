<script setup lang="ts">
/** The same value in every other unit at once; each is one touch to copy, and one to make the main one. */
import { computed, ref } from 'vue';
import { useClipboard } from '@vueuse/core';
import { ArrowUpToLine } from 'lucide-vue-next';
import {
  kindOf,
  readQuantity,
  ABOUT_UNITS,
  unitById,
  type LengthStyle,
  type Quantity,
  type Reading,
  type ReadingForm,
  type ReadingStyle,
  type UnitId,
} from '@sprell/core';
import { forDrawing, type Drawn } from '../../../ui/drawn.ts';
import SizeText from '../../../ui/SizeText.vue';
import { LENGTH_NAMES } from './reading-change.ts';

const props = defineProps<{
  quantity: Drawn<Quantity>;
  /** The quantity at this moment: what is copied. */
  now: () => Quantity | undefined;
  /** Text of the main reading. */
  main: string;
  style: ReadingStyle;
}>();
const emit = defineEmits<{
  /** Make this the main unit of lengths. */
  lead: [length: LengthStyle];
  /** Read it so: words for the end of an entry. */
  readAs: [words: string];
}>();

interface Other {
  readonly name: string;
  readonly text: string;
  readonly plain: string;
  /** How any quantity reads so. */
  readonly read: (quantity: Quantity) => Reading;
  /** Makes it the main reading. */
  readonly lead: () => void;
}

const LENGTHS: readonly LengthStyle[] = ['mm', 'ft-in', 'in', 'm', 'ft', 'cm', 'yd', 'in-dec'];

const power = (unit: UnitId, n = 1): ReadingForm => ({ units: [{ unit, power: n }] });
/** Units that other kinds are read in beside the main one. */
const UNITS_BY_KIND: Readonly<Partial<Record<string, readonly ReadingForm[]>>> = {
  area: [power('ft', 2), power('m', 2), power('yd', 2), power('in', 2), power('square')],
  volume: [power('yd', 3), power('ft', 3), power('m', 3), power('l'), power('bf'), power('gal')],
  mass: [power('kg'), power('lb'), power('g'), power('oz')],
};

/** Units as an entry has them behind `to`: `ft2`, `yd3`, `kg`. */
function wordsOf({ units = [] }: ReadingForm): string {
  return units.map(({ unit, power: n }) => `${unitById(unit as UnitId).words[0]}${n === 1 ? '' : n}`).join(' ');
}

function otherReading(name: string, quantity: Quantity, read: Other['read'], lead: Other['lead']): Other {
  const { text, plain } = read(quantity);
  return { name, text, plain, read, lead };
}

const others = computed<readonly Other[]>(() => {
  const { style } = props;
  const quantity = forDrawing(props.quantity);
  const kind = kindOf(quantity.dimension);
  const found: readonly Other[] =
    kind === 'length'
      ? LENGTHS.map((length) =>
          otherReading(
            LENGTH_NAMES[length],
            quantity,
            (one) => readQuantity(one, { ...style, length }),
            () => emit('lead', length),
          ),
        )
      : (UNITS_BY_KIND[kind] ?? []).map((form) =>
          otherReading(
            ABOUT_UNITS[form.units?.[0]?.unit as UnitId].split(',')[0] as string,
            quantity,
            (one) => readQuantity(one, style, form),
            () => emit('readAs', `to ${wordsOf(form)}`),
          ),
        );
  // Under a foot, feet and inches read as inches do.
  const texts = found.map(({ text }) => text);
  return found.filter(({ text }, at) => text !== props.main && texts.indexOf(text) === at);
});

const clipboard = useClipboard({ legacy: true });
const copied = ref<string>();
async function copy({ read }: Other): Promise<void> {
  const now = props.now();
  // Of another kind by now, it does not read so.
  if (now?.dimension !== forDrawing(props.quantity).dimension) return;
  const { plain } = read(now);
  await clipboard.copy(plain);
  copied.value = plain;
}
</script>

<template>
  <ul v-if="others.length > 0" class="also" aria-label="Other units">
    <li v-for="(other, at) in others" :key="at">
      <button
        type="button"
        class="figure"
        :title="`Copy ${other.plain}`"
        :aria-label="`Copy ${other.text}, ${other.name}`"
        data-test="also"
        @pointerdown.prevent
        @click="copy(other)"
      >
        <SizeText :text="other.text" /><span v-if="copied === other.plain" class="copied">copied</span>
      </button>
      <button
        type="button"
        class="lead"
        :aria-label="`Read it in ${other.name}`"
        :title="`Read it in ${other.name}`"
        @pointerdown.prevent
        @click="other.lead"
      >
        <ArrowUpToLine :size="18" aria-hidden="true" />
      </button>
    </li>
  </ul>
</template>

<style scoped>
.also {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 7.6em), 1fr));
  gap: 0 10px;
  margin: 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid var(--groove);
}
li {
  display: flex;
  border-bottom: 1px solid var(--groove);
  min-width: 0;
}
.figure,
.lead {
  min-height: var(--touch);
  border: 0;
  background: none;
  cursor: pointer;
  text-align: left;
}
.figure {
  flex: 1;
  min-width: 0;
  padding: 2px 0;
  font-family: var(--figures);
  font-size: calc(19px * var(--text-size));
  font-weight: 600;
  line-height: 1.15;
}
.copied {
  margin-left: 8px;
  font-family: var(--words);
  font-size: 14px;
  font-weight: 400;
  color: var(--ink-soft);
}
.lead {
  display: grid;
  place-items: center;
  min-width: var(--target);
  padding: 0;
  color: var(--ink-soft);
}
.figure:hover,
.lead:hover {
  color: var(--chalk);
}
@media (max-width: 760px) {
  .also {
    display: flex;
    gap: 0;
    overflow-x: auto;
    border-bottom: 1px solid var(--groove);
  }
  li {
    flex: none;
    border-bottom: 0;
    border-right: 1px solid var(--groove);
    padding: 0 4px 0 2px;
    margin-right: 8px;
  }
}
</style>
