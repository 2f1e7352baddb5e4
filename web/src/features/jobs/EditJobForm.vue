<script setup lang="ts">
/** The name of a job, the words to find it by, and how its figures are written and read. */
import { ref } from 'vue';
import { TAG_LIMIT, type JobFields } from '@sprell/contract';
import type { ListedJob } from '../../job/index.ts';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';
import { BARE_NUMBERS, groups, MONEY } from './set-up-choices.ts';

const props = defineProps<{ job: ListedJob }>();
const emit = defineEmits<{ save: [fields: Partial<JobFields>]; leave: [] }>();
const title = ref(props.job.title);
const tags = ref(props.job.tags.join(', '));
const bare = ref(props.job.bareNumbers);
const grouped = ref(props.job.thousands ? ('grouped' as const) : ('plain' as const));
const currency = ref(props.job.currency);
const problem = ref('');
/** Only what was changed is said: what somebody else sets meanwhile stays. */
function changed(tagsNow: string[]): Partial<JobFields> {
  const { job } = props;
  const all = {
    title: title.value.trim(),
    tags: tagsNow,
    bareNumbers: bare.value,
    thousands: grouped.value === 'grouped',
    currency: currency.value,
  };
  return Object.fromEntries(
    Object.entries(all).filter(
      ([name, value]) => JSON.stringify(value) !== JSON.stringify(job[name as keyof typeof all]),
    ),
  );
}

function save(): void {
  const words = tags.value.split(',').flatMap((word) => word.trim().slice(0, TAG_LIMIT.length).trim() || []);
  const each = [...new Map(words.map((word) => [word.toLowerCase(), word])).values()];
  if (title.value.trim() === '') problem.value = 'A job needs a name.';
  else if (each.length > TAG_LIMIT.count) problem.value = `No more than ${TAG_LIMIT.count} tags: leave some out.`;
  else emit('save', changed(each));
}
</script>

<template>
  <form class="form" data-test="edit-job" @submit.prevent="save">
    <TextField v-model="title" label="Name of the job" maxlength="120" data-test="edit-title" />
    <TextField v-model="tags" label="Tags, with commas between" placeholder="roof, Harlow Road" data-test="edit-tags" />
    <ChoiceBar v-model="bare" label="A number without a unit is" :choices="BARE_NUMBERS" test="bare" />
    <ChoiceBar
      v-model="grouped"
      label="Large figures"
      :choices="groups(job.decimalComma ? 'comma' : 'point')"
      test="groups"
    />
    <ChoiceBar v-model="currency" label="Money" :choices="MONEY" test="money" />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="actions">
      <PlainButton leading type="submit" data-test="save-job">Save</PlainButton>
      <PlainButton @click="emit('leave')">Cancel</PlainButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.problem {
  margin: 0;
  color: var(--pencil);
}
.actions {
  display: flex;
  gap: 8px;
}
</style>
