<script setup lang="ts">
/** A name within a jig. It counts once the field is left: every letter of it would rename what uses it. */
import { ref, watch } from 'vue';
import { describeIssue, type Issue } from '@sprell/core';
import TextField from '../../ui/TextField.vue';

const props = defineProps<{ label: string; name: string; placeholder: string; issue: Issue | undefined }>();
const emit = defineEmits<{ rename: [name: string] }>();
const text = ref(props.name);
watch(
  () => props.name,
  (name) => (text.value = name),
);
</script>

<template>
  <div>
    <TextField
      v-model="text"
      :label
      :placeholder
      maxlength="40"
      data-field="name"
      @change="emit('rename', text.trim())"
    />
    <p v-if="issue" class="wrong">{{ describeIssue(issue) }}</p>
  </div>
</template>

<style scoped src="./writing.css"></style>
