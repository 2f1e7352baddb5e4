<script setup lang="ts">
/** The name of a job and the words to find it by. */
import { ref } from 'vue';
import { TAG_LIMIT } from '@sprell/contract';
import type { ListedJob } from '../../job/index.ts';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';

const props = defineProps<{ job: ListedJob }>();
const emit = defineEmits<{ save: [title: string, tags: string[]]; leave: [] }>();
const title = ref(props.job.title);
const tags = ref(props.job.tags.join(', '));
const problem = ref('');

function save(): void {
  const words = tags.value.split(',').flatMap((word) => word.trim().slice(0, TAG_LIMIT.length).trim() || []);
  const each = [...new Map(words.map((word) => [word.toLowerCase(), word])).values()];
  if (title.value.trim() === '') problem.value = 'A job needs a name.';
  else if (each.length > TAG_LIMIT.count) problem.value = `No more than ${TAG_LIMIT.count} tags: leave some out.`;
  else emit('save', title.value.trim(), each);
}
</script>

<template>
  <form class="form" data-test="edit-job" @submit.prevent="save">
    <TextField v-model="title" label="Name of the job" maxlength="120" data-test="edit-title" />
    <TextField v-model="tags" label="Tags, with commas between" placeholder="roof, Harlow Road" data-test="edit-tags" />
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
