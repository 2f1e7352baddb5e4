<script setup lang="ts">
/** Keeps what stands in the fields in the job: under a name, or in the setting-out that was opened. */
import { ref, useId, watch } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import type { SetOut } from '../../job/index.ts';

const props = defineProps<{
  opened: SetOut | undefined;
  /** The fields say something else than what was opened. */
  isChanged: boolean;
  /** There is nothing to be kept. */
  isEmpty: boolean;
}>();
const emit = defineEmits<{ keep: [name: string]; write: [name: string]; remove: [] }>();

const name = ref('');
watch(
  () => props.opened?.name,
  (opened) => (name.value = opened ?? ''),
  { immediate: true },
);
const id = useId();
const isNamed = () => name.value.trim() !== '';
function submit(): void {
  if (!isNamed()) return;
  if (props.opened) emit('write', name.value);
  else emit('keep', name.value);
}
</script>

<template>
  <form class="keep" :class="{ opened }" @submit.prevent="submit">
    <label :for="id">{{ opened ? 'Saved as' : 'Name' }}</label>
    <el-input
      :id="id"
      v-model="name"
      class="name"
      maxlength="120"
      autocomplete="off"
      placeholder="north gable"
      data-test="set-out-name"
    />
    <div class="actions">
      <PlainButton
        v-if="!opened"
        type="submit"
        leading
        :disabled="isEmpty || name.trim() === ''"
        data-test="keep-set-out"
        >Save in the job</PlainButton
      >
      <template v-else>
        <PlainButton
          type="submit"
          leading
          :disabled="name.trim() === '' || (!isChanged && name.trim() === opened.name)"
          data-test="write-set-out"
          >Save changes</PlainButton
        >
        <PlainButton
          :disabled="name.trim() === '' || (!isChanged && name.trim() === opened.name)"
          data-test="keep-another"
          @click="emit('keep', name)"
          >Save a copy</PlainButton
        >
        <PlainButton data-test="remove-set-out" @click="emit('remove')">Delete</PlainButton>
      </template>
    </div>
  </form>
</template>

<style scoped>
.keep {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 6px 10px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--groove);
}
label {
  color: var(--ink-soft);
  font-size: 15px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.opened .actions {
  grid-column: 1 / 4;
}
.opened .name {
  grid-column: 2 / 4;
}
</style>
