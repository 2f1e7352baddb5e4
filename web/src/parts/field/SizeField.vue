<script setup lang="ts">
/** A field that takes any entry: a size, a sum, marks and lines. It says what that comes to, and mends it at a touch. */
import { computed, ref, useId } from 'vue';
import { describeIssue, readSide, type BareUnit, type Issue, type Scope, type Side } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import type { NamedMark } from '../entry/suggestions.ts';
import IssueText from './IssueText.vue';
import SizeInput from './SizeInput.vue';
import { useSize } from './use-size.ts';

const props = defineProps<{
  label: string;
  placeholder?: string;
  /** Something that the field's owner has against an entry which reckons: a kind that does not belong here. */
  issue?: Issue | undefined;
  /** Where it is measured: on paper it reads finer than on site. */
  side?: Side;
  /** A number without a unit is a number here, whatever the job says. */
  plain?: boolean;
  /** What it is, where not as the job says. */
  bare?: BareUnit | undefined;
  /** What its entry may name, where that is more than marks and lines. */
  scope?: (() => Scope) | undefined;
  /** How it reads, where the field's owner says so. */
  reads?: string | undefined;
  /** What its entry may name beside marks, for the letters of the keys. */
  names?: readonly NamedMark[];
}>();
const text = defineModel<string>({ required: true });
const emit = defineEmits<{ enter: []; leave: [] }>();

const [inputId, saysId] = [useId(), useId()];
const job = useJob();
const {
  reckoned,
  issue: found,
  quantity,
  written,
} = useSize(text, () => ({
  bare: props.plain === true ? 'plain' : props.bare,
  scope: props.scope,
}));
const input = ref<InstanceType<typeof SizeInput>>();
defineExpose({ written, focus: () => input.value?.focus() });
const reading = computed(() =>
  props.side === 'paper' && quantity.value ? readSide(quantity.value, 'paper', job.style) : reckoned.value?.reading,
);
const wrong = computed(() => found.value ?? props.issue);
</script>

<template>
  <div class="field">
    <label :for="inputId">{{ label }}</label>
    <SizeInput
      :id="inputId"
      ref="input"
      v-model="text"
      :label
      :reading="reads ?? reading?.text"
      :problem="wrong && describeIssue(wrong)"
      :placeholder
      :names
      :aria-describedby="saysId"
      @enter="emit('enter')"
      @blur="emit('leave')"
    />
    <p :id="saysId" class="says">
      <IssueText v-if="wrong" :issue="wrong" @mend="(fix) => (text = fix.entry)" />
      <SizeText v-else-if="reads ?? reading" :text="reads ?? reading?.text ?? ''" />
    </p>
  </div>
</template>

<style scoped src="../../ui/field.css" />
<style scoped>
.says {
  margin: 0;
  min-height: 1.4em;
  font-weight: 600;
  color: var(--ink);
}
</style>
