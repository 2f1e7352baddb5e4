<script setup lang="ts">
/** Asks for a name, of a section; one that is there already can be deleted here. */
import { ref } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';

const props = defineProps<{
  title: string;
  name: string;
  keep: (name: string) => void;
  drop?: (() => void) | undefined;
}>();
const emit = defineEmits<{ close: [] }>();
const text = ref(props.name);
function save(): void {
  if (text.value.trim() === '') return;
  if (text.value.trim() !== props.name) props.keep(text.value.trim());
  emit('close');
}
function remove(): void {
  props.drop?.();
  emit('close');
}
</script>

<template>
  <el-dialog :model-value="true" :title width="min(440px, 94vw)" @close="emit('close')">
    <form class="form" @submit.prevent="save">
      <TextField v-model="text" label="Name" maxlength="120" autofocus data-test="name" />
      <p v-if="drop" class="says">Its rows stay when the section is deleted, in no section.</p>
      <div class="actions">
        <PlainButton leading type="submit" :disabled="text.trim() === ''" data-test="save-name">Save</PlainButton>
        <PlainButton data-test="leave-name" @click="emit('close')">Cancel</PlainButton>
        <PlainButton v-if="drop" class="delete" data-test="delete-section" @click="remove">Delete</PlainButton>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.says {
  margin: 0;
  color: var(--ink-soft);
}
.actions {
  display: flex;
  gap: 8px;
}
.delete {
  margin-left: auto;
}
</style>
