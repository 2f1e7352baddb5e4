<script setup lang="ts">
/** Asked before lines go that others use, or all of them. */
import PlainButton from '../../../ui/PlainButton.vue';
import QuestionDialog from '../../../ui/QuestionDialog.vue';

defineProps<{
  says: string;
  /** The value can stay where the line is used. */
  canKeepValue: boolean;
}>();
const emit = defineEmits<{ keepValue: []; takeOff: []; leave: [] }>();
</script>

<template>
  <QuestionDialog title="Delete?" @leave="emit('leave')">
    <p>{{ says }}</p>
    <template #answers>
      <PlainButton v-if="canKeepValue" leading data-test="keep-value" @click="emit('keepValue')"
        >Keep its value</PlainButton
      >
      <PlainButton data-test="take-off" @click="emit('takeOff')">Delete</PlainButton>
      <PlainButton @click="emit('leave')">Cancel</PlainButton>
    </template>
  </QuestionDialog>
</template>
