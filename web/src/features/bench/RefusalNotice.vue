<script setup lang="ts">
/** A change that the server did not do, shown until somebody has seen to it. */
import { useClipboard } from '@vueuse/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import type { Refusal } from '../../job/index.ts';

defineProps<{
  refusal: Refusal;
  /** Words as they were understood. */
  read: (words: string) => string;
  /** There is an entry field free to write it again in. */
  canWrite: boolean;
}>();
const emit = defineEmits<{ again: [entry: string]; drop: [] }>();
const clipboard = useClipboard({ legacy: true, copiedDuring: 4000 });
</script>

<template>
  <div class="notice" role="alert" data-test="refusal">
    <p>
      The server did not keep {{ refusal.what }}: {{ refusal.why }}.
      <template v-if="refusal.says"
        >It says <SizeText class="words" :text="refusal.isEntry ? read(refusal.says) : refusal.says"
      /></template>
    </p>
    <PlainButton
      v-if="refusal.isEntry && refusal.says && canWrite"
      data-test="write-again"
      @click="emit('again', refusal.says)"
      >Write it again</PlainButton
    >
    <PlainButton v-if="refusal.says" data-test="copy-refused" @click="clipboard.copy(refusal.says)">{{
      clipboard.copied.value ? 'Copied' : 'Copy'
    }}</PlainButton>
    <PlainButton data-test="drop-refused" @click="emit('drop')">Delete</PlainButton>
  </div>
</template>

<style scoped src="./notice.css"></style>
<style scoped>
.words {
  font-weight: 600;
  overflow-wrap: anywhere;
}
</style>
