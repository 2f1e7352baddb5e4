<script setup lang="ts">
/** A reading or read-back with its fractions set as real fractions. What is copied from it is the text itself. */
import { computed } from 'vue';
import { sizeStretches } from './size-pieces.ts';

const props = defineProps<{ /** Text with ⁄ between numerator and denominator. */ text: string }>();

const stretches = computed(() => sizeStretches(props.text));
</script>

<template>
  <!-- prettier-ignore -->
  <span><span v-for="({ isFigure, pieces }, at) in stretches" :key="at" :class="isFigure && 'size-figure'"><span v-for="({ text: piece, kind }, index) in pieces" :key="index" :class="kind && `size-${kind}`">{{ piece }}</span></span></span>
</template>
