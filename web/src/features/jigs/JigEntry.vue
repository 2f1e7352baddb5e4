<script setup lang="ts">
/** The entry of a step: it says what it comes to with the usual values, or what is wrong with it. */
import { useId } from 'vue';
import { describeIssue, type Issue } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import IssueText from '../../parts/field/IssueText.vue';
import SizeInput from '../../parts/field/SizeInput.vue';
import type { NamedMark } from '../../parts/entry/suggestions.ts';

defineProps<{
  label: string;
  issue: Issue | undefined;
  reading?: string | undefined;
  placeholder?: string;
  names?: readonly NamedMark[];
}>();
const text = defineModel<string>({ required: true });
const [inputId, saysId] = [useId(), useId()];
</script>

<template>
  <div class="field">
    <label :for="inputId">{{ label }}</label>
    <SizeInput
      :id="inputId"
      v-model="text"
      :label
      :reading
      :problem="issue && describeIssue(issue)"
      :placeholder
      :names="names ?? []"
      is-apart
      :aria-describedby="saysId"
    />
    <p :id="saysId" class="says">
      <IssueText v-if="issue" :issue @mend="(fix) => (text = fix.entry)" />
      <SizeText v-else-if="reading" :text="reading" />
    </p>
  </div>
</template>

<style scoped src="../../ui/field.css" />
<style scoped>
.says {
  margin: 0;
  min-height: 1.4em;
  color: var(--ink);
  font-weight: 600;
}
</style>
