<script setup lang="ts">
/** A jig from outside: what it does is shown before it may run. */
import { computed } from 'vue';
import { jigSetOf } from '@sprell/contract';
import { describeIssue } from '@sprell/core';
import { readJig, type JigSet } from '@sprell/core/jig';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';

const props = defineProps<{ name: string; text: string }>();
const emit = defineEmits<{ keep: [set: JigSet]; leave: [] }>();
const file = computed(() => jigSetOf(props.text));
const troubles = computed(() => (file.value.ok ? readJig(file.value.value).troubles : []));
const where = ({ part, index, jig }: { part: string; index: number; jig: string | undefined }) =>
  `${jig === undefined ? '' : `in ${jig}, `}${part === 'jig' ? 'the jig' : `${part} ${index + 1}`}`;
function saveIt(): void {
  if (!file.value.ok) return;
  emit('keep', file.value.value);
  emit('leave');
}
</script>

<template>
  <QuestionDialog :title="file.ok ? file.value.jig.title : name" @leave="emit('leave')">
    <template v-if="file.ok">
      <p v-if="file.value.jig.about">{{ file.value.jig.about }}</p>
      <p v-if="file.value.jig.inputs.length > 0">
        It asks for {{ file.value.jig.inputs.map(({ title, name: named }) => title || named).join(', ') }}.
      </p>
      <ol class="steps" data-test="file-steps">
        <li v-for="step in file.value.jig.steps" :key="step.name">
          {{ step.title || step.name }}<template v-if="step.isAnswer"> (answer)</template>:
          <code>{{ step.entry }}</code>
        </li>
      </ol>
      <p v-if="file.value.uses.length > 0">
        It brings {{ file.value.uses.map(({ title }) => title).join(', ') }} along, which it uses.
      </p>
      <div v-if="troubles.length > 0" class="wrong" role="alert">
        <p>It cannot run, and is not saved:</p>
        <ul>
          <li v-for="(one, at) in troubles.slice(0, 8)" :key="at">{{ where(one) }}: {{ describeIssue(one.issue) }}</li>
        </ul>
      </div>
    </template>
    <div v-else class="wrong" role="alert">
      <p>{{ file.problem.sentence }}</p>
      <p v-if="file.problem.place">In the file at {{ file.problem.place }}. Nothing was saved.</p>
    </div>
    <template #answers>
      <PlainButton @click="emit('leave')">Cancel</PlainButton>
      <PlainButton v-if="file.ok && troubles.length === 0" leading data-test="save-from-file" @click="saveIt"
        >Save with your jigs</PlainButton
      >
    </template>
  </QuestionDialog>
</template>

<style scoped>
.steps {
  max-height: 40vh;
  margin: 8px 0;
  padding-left: 22px;
  overflow: auto;
}
.wrong {
  color: var(--pencil);
}
</style>
