<script setup lang="ts">
/** One size of a shape that may be given. While it is found from the others, the empty field shows what they say. */
import { computed, useId } from 'vue';
import { describeShapeIssue, type Field, type Reading, type ShapeIssue } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import IssueText from '../../parts/field/IssueText.vue';
import SizeInput from '../../parts/field/SizeInput.vue';

const props = defineProps<{
  field: Field;
  text: string;
  /** What holds, or could, while it is empty. */
  placeholder: string | undefined;
  issue: ShapeIssue | undefined;
  /** What the entry comes to; undefined while it is empty. */
  reading: Reading | undefined;
  active: boolean;
}>();
const emit = defineEmits<{ give: [entry: string]; focus: []; enter: [] }>();

const [inputId, saysId] = [useId(), useId()];
const problem = computed(() => props.issue && describeShapeIssue(props.issue));
</script>

<template>
  <div class="given" :class="{ active }" :data-field="field.id">
    <label :for="inputId">{{ field.title }}</label>
    <SizeInput
      :id="inputId"
      :model-value="text"
      :label="field.title"
      :reading="reading?.text"
      :problem
      :placeholder
      :aria-describedby="saysId"
      @update:model-value="(entry: string) => emit('give', entry)"
      @focus="emit('focus')"
      @enter="emit('enter')"
    />
    <p :id="saysId" class="says">
      <IssueText v-if="issue" class="issue" :issue :says="problem" @mend="(fix) => emit('give', fix.entry)" />
      <SizeText v-else-if="reading && reading.plain !== text.trim()" class="size" :text="reading.text" />
    </p>
  </div>
</template>

<style scoped>
.given {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  min-width: 0;
  padding: 4px 8px;
}
.active {
  background: var(--chalk-wash);
}
label {
  font-size: 15px;
  line-height: 1.2;
  color: var(--ink-soft);
}
.says {
  margin: 0;
  min-height: 1.3em;
  line-height: 1.3;
}
.size {
  font-family: var(--figures);
  font-weight: 600;
  white-space: nowrap;
}
</style>
