<script setup lang="ts">
/** Lines that were given another number when they met those of another device. What uses them follows by itself. */
import { computed } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';

const props = defineProps<{ renumbered: readonly (readonly [was: number, is: number])[] }>();
const emit = defineEmits<{ seen: [] }>();

const says = computed(() => {
  const all = props.renumbered.map(([was, is]) => `#${was} is #${is} now`);
  return all.length > 3 ? `${all.slice(0, 3).join(', ')}, and ${all.length - 3} more` : all.join(', ');
});
</script>

<template>
  <div class="notice" role="status" data-test="renumbered">
    <p>{{ says }}: another device had used the number.</p>
    <PlainButton @click="emit('seen')">OK</PlainButton>
  </div>
</template>

<style scoped src="./notice.css"></style>
