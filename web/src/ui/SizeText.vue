<script setup lang="ts">
/** A reading or read-back with its fractions set as real fractions. What is copied from it is the text itself. */
import { computed } from 'vue';
import { sizePieces } from './size-pieces.ts';

const props = defineProps<{ /** Text with ⁄ between numerator and denominator. */ text: string }>();

const pieces = computed(() => sizePieces(props.text));
</script>

<template>
  <!-- prettier-ignore -->
  <span><span v-for="({ text: piece, kind }, index) in pieces" :key="index" :class="kind && `size-${kind}`">{{ piece }}</span></span>
</template>
