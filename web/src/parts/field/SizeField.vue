<script setup lang="ts">
/** A field that takes any entry: a size, a sum, marks and lines. It says what that comes to, and mends it at a touch. */
import { computed, useId } from 'vue';
import { describeIssue, readSide, type Issue, type Side } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
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
}>();
const text = defineModel<string>({ required: true });
const emit = defineEmits<{ enter: [] }>();

const [inputId, saysId] = [useId(), useId()];
const job = useJob();
const { reckoned, issue: found, quantity, written } = useSize(text, () => props.plain === true);
defineExpose({ written });
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
      v-model="text"
      :label
      :reading="reading?.text"
      :problem="wrong && describeIssue(wrong)"
      :placeholder
      :aria-describedby="saysId"
      @enter="emit('enter')"
    />
    <p :id="saysId" class="says">
      <IssueText v-if="wrong" :issue="wrong" @mend="(fix) => (text = fix.entry)" />
      <SizeText v-else-if="reading" :text="reading.text" />
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
