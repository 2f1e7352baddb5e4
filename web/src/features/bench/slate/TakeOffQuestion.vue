<script setup lang="ts">
/** Asked before lines go that others use, or all of them. */
import PlainButton from '../../../ui/PlainButton.vue';

defineProps<{
  says: string;
  /** The value can stay where the line is used. */
  canKeepValue: boolean;
}>();
const emit = defineEmits<{ keepValue: []; takeOff: []; leave: [] }>();
</script>

<template>
  <div class="ask" role="alertdialog" aria-label="Take it off?" @keydown.esc="emit('leave')">
    <p>{{ says }}</p>
    <PlainButton v-if="canKeepValue" leading data-test="keep-value" @click="emit('keepValue')"
      >Keep its value</PlainButton
    >
    <PlainButton data-test="take-off" @click="emit('takeOff')">Take off</PlainButton>
    <PlainButton @click="emit('leave')">Leave</PlainButton>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 12px;
  background: var(--pencil-wash);
}
p {
  flex: 1 1 12em;
  margin: 0;
}
</style>
