<script setup lang="ts">
/** One size of a shape: given here, or found and to be used elsewhere. */
import { computed, useId } from 'vue';
import { ArrowLeftToLine, Bookmark } from 'lucide-vue-next';
import {
  describeShapeIssue,
  exactText,
  kindOf,
  type Field,
  type ShapeIssue,
  type Quantity,
  type Reading,
} from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { roundingWord, roundingWords } from '../../parts/reading/rounding-words.ts';
import IssueText from '../../parts/field/IssueText.vue';

const props = defineProps<{
  field: Field;
  text: string;
  placeholder: string | undefined;
  issue: ShapeIssue | undefined;
  found: { readonly quantity: Quantity; readonly reading: Reading } | undefined;
  /** It is found and not given. */
  isFound: boolean;
  active: boolean;
}>();
const emit = defineEmits<{ give: [entry: string]; focus: []; slate: []; keep: [] }>();

const inputId = useId();
const saysId = useId();
const rounding = computed(() => {
  if (!props.found) return undefined;
  const { quantity, reading } = props.found;
  return kindOf(quantity.dimension) === 'length' ? roundingWord('length', reading) : undefined;
});
const job = useJob();
/** Longest exact form that says more than it hides. */
const SHORT_FORM = 40;
/** The true size, where the reading is not it and it is short enough to be read. */
const exactForm = computed(() => {
  if (!props.found || props.found.reading.rounding === 'exact') return undefined;
  const form = exactText(props.found.quantity, job.style)?.text;
  return form !== undefined && form.length <= SHORT_FORM ? form : undefined;
});
const cost = computed(() => props.found && roundingWords(props.found.quantity, props.found.reading));
</script>

<template>
  <div
    class="row"
    :class="{ active, found: isFound, given: field.given }"
    :data-field="field.id"
    @click="field.given || emit('focus')"
  >
    <label v-if="field.given" :for="inputId">{{ field.title }}</label>
    <span v-else class="name">{{ field.title }}</span>
    <el-input
      v-if="field.given"
      :id="inputId"
      class="input"
      :model-value="text"
      autocapitalize="off"
      autocomplete="off"
      spellcheck="false"
      enterkeyhint="next"
      maxlength="500"
      :placeholder
      :aria-invalid="issue !== undefined"
      :aria-describedby="saysId"
      @update:model-value="(entry: string) => emit('give', entry)"
      @focus="emit('focus')"
    />
    <span :id="saysId" class="reading">
      <template v-if="found && issue === undefined">
        <SizeText class="size" :text="found.reading.text" :title="cost" />
        <span v-if="rounding" class="rounding" :title="cost">{{ rounding }}</span>
      </template>
    </span>
    <span class="uses">
      <button
        type="button"
        :disabled="!found"
        :title="`Put ${field.title} on the slate`"
        data-test="to-slate"
        @click="emit('slate')"
      >
        <ArrowLeftToLine :size="18" aria-hidden="true" /><span class="sr-only">{{ field.title }} on the slate</span>
      </button>
      <button
        type="button"
        :disabled="!found"
        :title="`Store ${field.title} on the story stick`"
        data-test="to-stick"
        @click="emit('keep')"
      >
        <Bookmark :size="18" aria-hidden="true" /><span class="sr-only"
          >Store {{ field.title }} on the story stick</span
        >
      </button>
    </span>
    <p v-if="active && cost && !issue" class="true" data-test="true-size">
      <SizeText :text="cost" /><template v-if="exactForm">; exactly <SizeText :text="exactForm" /></template>
    </p>
    <p v-if="issue" class="issue">
      <IssueText :issue :says="describeShapeIssue(issue)" @mend="(fix) => emit('give', fix.entry)" />
    </p>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template:
    'name name uses' auto 'input reading uses' auto 'issue issue issue' auto / minmax(0, 1fr)
    126px 88px;
  align-items: center;
  gap: 0 10px;
  padding: 3px 16px 6px;
  border-bottom: 1px solid var(--groove);
}
.active {
  background: var(--chalk-wash);
}
label,
.name {
  grid-area: name;
  font-size: 15px;
  color: var(--ink-soft);
}
.name {
  grid-area: 1 / 1 / 3 / 2;
  padding: 6px 0;
}
.input {
  grid-area: input;
}
.reading {
  grid-area: reading;
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  line-height: 1.15;
}
.row:not(.given) .reading {
  grid-row: 1 / 3;
}
.size {
  font-family: var(--figures);
  font-size: 21px;
  font-weight: 600;
  white-space: nowrap;
}
.found .size {
  color: var(--chalk);
}
.rounding {
  font-size: 14px;
  color: var(--ink-soft);
}
.uses {
  grid-area: uses;
  display: flex;
}
.uses button {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 44px;
  height: 44px;
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
.uses button:disabled {
  opacity: 0.25;
}
.true {
  grid-column: 1 / 4;
  margin: 2px 0 0;
  font-size: 15px;
  color: var(--ink-soft);
}
.issue {
  grid-area: issue;
  margin: 2px 0 0;
}
</style>
