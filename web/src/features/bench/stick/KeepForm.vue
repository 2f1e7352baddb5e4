<script setup lang="ts">
/** Keeps a result under a name: one touch asks, the next one names. A name that is there already is written over. */
import { computed, nextTick, ref } from 'vue';
import { freeNames, nameFromLabel, nameIssue } from '@sprell/core';
import { forDrawing, type Drawn } from '../../../ui/drawn.ts';
import SizeText from '../../../ui/SizeText.vue';
import IssueText from '../../../parts/field/IssueText.vue';
import type { JobMark } from '../../../job/index.ts';
import type { Amount } from './amount.ts';

const props = defineProps<{
  marks: readonly JobMark[];
  /** What would be kept, as it is drawn; undefined while there is nothing. */
  amount: Drawn<Amount | undefined>;
  /** Whether there is something to keep now. */
  canKeep: () => boolean;
}>();
const emit = defineEmits<{ keep: [name: string]; rest: [] }>();

const shown = computed(() => forDrawing(props.amount));
const isNaming = ref(false);
const typed = ref('');
const field = ref<HTMLInputElement>();
const SUGGESTED = 3;

const names = computed(() => props.marks.map(({ name }) => name));
/** What the line is called, as a name, and letters that are free. */
const suggested = computed(() => {
  const label = shown.value?.label;
  const named = label === undefined ? undefined : nameFromLabel(label, names.value);
  return [...(named === undefined ? [] : [named]), ...freeNames(names.value, SUGGESTED)].slice(0, SUGGESTED);
});
const name = computed(() => typed.value.trim());
const issue = computed(() => (name.value === '' ? undefined : nameIssue(name.value)));
/** The mark that would be written over. */
const old = computed(() => props.marks.find((mark) => mark.name.toLowerCase() === name.value.toLowerCase()));

/** By key: the name is typed next. */
async function ask(): Promise<void> {
  if (!props.canKeep()) return;
  isNaming.value = true;
  await nextTick();
  field.value?.focus();
}
/** @returns whether it was open */
function close(): boolean {
  const wasOpen = isNaming.value;
  isNaming.value = false;
  if (wasOpen) emit('rest');
  return wasOpen;
}
defineExpose({ ask, close });

function keep(chosen: string): void {
  // The entry may have been written on since the name was asked for.
  if (chosen === '' || nameIssue(chosen) !== undefined || !props.canKeep()) return;
  isNaming.value = false;
  typed.value = '';
  emit('keep', chosen);
}
</script>

<template>
  <div class="keep">
    <button
      type="button"
      class="button ask"
      :aria-disabled="shown === undefined"
      :aria-expanded="isNaming"
      data-test="keep"
      @pointerdown.prevent
      @click="isNaming = !isNaming && canKeep()"
    >
      store
    </button>
    <form v-if="isNaming" class="naming" @submit.prevent="keep(old?.name ?? name)" @keydown.esc.prevent="close">
      <button
        v-for="one in suggested"
        :key="one"
        type="button"
        class="button name"
        :class="{ long: one.length > 3 }"
        :aria-disabled="shown === undefined"
        :aria-label="`Keep as ${one}`"
        data-test="keep-as"
        @pointerdown.prevent
        @click="keep(one)"
      >
        {{ one }}
      </button>
      <input
        ref="field"
        v-model="typed"
        class="typed"
        aria-label="Name of the mark"
        placeholder="name"
        autocapitalize="off"
        autocomplete="off"
        maxlength="60"
      />
      <p v-if="issue" class="problem" role="alert">
        <IssueText :issue @mend="(fix) => (typed = fix.entry)" />
      </p>
      <p v-else-if="old && shown" class="over" role="status">
        {{ old.name }} is <SizeText :text="old.reading" /> now.
        <button type="submit" class="button" data-test="keep-over">
          Replace it: <SizeText :text="shown.reading" />
        </button>
      </p>
    </form>
  </div>
</template>

<style scoped>
.button {
  min-height: var(--touch);
  min-width: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  font-weight: 600;
  cursor: pointer;
}
.ask {
  width: 100%;
}
.button[aria-disabled='true'] {
  border-color: var(--groove);
  color: var(--ink-soft);
  background: none;
  cursor: default;
}
.naming {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
  margin-top: 6px;
}
.naming .name {
  padding: 0;
  overflow-wrap: anywhere;
}
.naming .long {
  grid-column: 1 / -1;
}
.typed {
  grid-column: 1 / -1;
  min-width: 0;
  min-height: var(--touch);
  padding: 0 8px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
}
.problem,
.over {
  grid-column: 1 / -1;
  margin: 0;
}
.over .button {
  width: 100%;
  margin-top: 4px;
  color: var(--ink);
}
@media (max-width: 760px) {
  .keep {
    display: flex;
    gap: 6px;
    min-width: 0;
  }
  .ask {
    width: auto;
  }
  .naming {
    display: flex;
    flex-wrap: wrap;
    margin: 0;
  }
  .naming .name {
    padding: 0 8px;
  }
  .typed {
    flex: 1 1 5.5em;
    width: 5.5em;
  }
  .problem,
  .over {
    flex: 1 0 100%;
  }
}
</style>
