<script setup lang="ts">
/** One check of a jig as it is written: with these inputs it must come to that. */
import { computed } from 'vue';
import { Trash2 } from 'lucide-vue-next';
import type { CheckOutcome, JigCheck, JigInput, JigStep } from '@sprell/core/jig';
import IconButton from '../../ui/IconButton.vue';
import PickList from '../../ui/PickList.vue';
import TextField from '../../ui/TextField.vue';
import { useJob } from '../../live/use-jobs.ts';
import { outcomeText } from './outcome-text.ts';

const props = defineProps<{
  check: JigCheck;
  inputs: readonly JigInput[];
  steps: readonly JigStep[];
  /** What it came to; undefined while the jig cannot run. */
  came: CheckOutcome | undefined;
}>();
const emit = defineEmits<{ write: [said: Partial<JigCheck>]; remove: [] }>();
const job = useJob();

const answers = computed(() =>
  props.steps.filter(({ isAnswer }) => isAnswer).map(({ name, title }) => [name, title || name] as const),
);
const says = computed(() => {
  if (props.came === undefined) return '';
  const { holds, got, issue } = props.came;
  return holds ? 'It holds.' : `It comes to ${outcomeText(got, job.style, issue)}.`;
});
function writeInput(place: number, text: string): void {
  const { inputs } = props.check;
  emit('write', { inputs: props.inputs.map((_, at) => (at === place ? text : (inputs[at] ?? ''))) });
}
</script>

<template>
  <li class="card">
    <div class="fields">
      <TextField
        :model-value="check.title"
        label="What is checked"
        maxlength="120"
        @update:model-value="(title: string) => emit('write', { title })"
      />
      <TextField
        v-for="(input, place) in inputs"
        :key="place"
        :model-value="check.inputs[place] ?? ''"
        :label="input.title || input.name"
        :placeholder="input.usual"
        maxlength="500"
        @update:model-value="(text: string) => writeInput(place, text)"
      />
      <PickList
        :model-value="check.answer"
        label="Which answer"
        :choices="answers"
        @update:model-value="(answer?: string) => emit('write', { answer: answer ?? '' })"
      />
      <div data-field="comes-to">
        <TextField
          :model-value="check.comesTo"
          label="Must come to"
          maxlength="500"
          @update:model-value="(comesTo: string) => emit('write', { comesTo })"
        />
        <p class="about">{{ says }}</p>
      </div>
      <TextField
        :model-value="check.within"
        label="May be off by"
        maxlength="500"
        @update:model-value="(within: string) => emit('write', { within })"
      />
    </div>
    <span class="corner">
      <IconButton name="Delete this check" @click="emit('remove')"><Trash2 :size="18" aria-hidden="true" /></IconButton>
    </span>
  </li>
</template>

<style scoped src="./writing.css"></style>
