<script setup lang="ts">
/** The note under a line, written and kept on its own. */
import { onMounted, ref } from 'vue';
import PlainButton from '../../../ui/PlainButton.vue';

const props = defineProps<{ note: string; /** The line it stands under. */ number: number }>();
const emit = defineEmits<{ keep: [note: string]; leave: [] }>();
const text = ref(props.note);
const field = ref<HTMLInputElement>();
onMounted(() => field.value?.focus());
</script>

<template>
  <form class="note-field" @submit.prevent="emit('keep', text)" @keydown.esc.stop="emit('leave')">
    <input
      ref="field"
      v-model="text"
      :aria-label="`Note of line ${number}`"
      maxlength="2000"
      placeholder="what, where, by whom"
      autocomplete="off"
      enterkeyhint="done"
      data-test="note-field"
    />
    <PlainButton leading type="submit" data-test="save-words">Save</PlainButton>
    <PlainButton @click="emit('leave')">Cancel</PlainButton>
  </form>
</template>

<style scoped>
.note-field {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  flex: 1 0 100%;
}
input {
  flex: 1 1 10em;
  min-width: 0;
  min-height: var(--touch);
  padding: 0 10px;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
}
</style>
