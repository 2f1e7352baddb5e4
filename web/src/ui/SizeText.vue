<script setup lang="ts">
/** A reading or read-back with its fractions set as real fractions. What is copied from it is the text itself. */
import { computed } from 'vue';

const props = defineProps<{ /** Text with ⁄ between numerator and denominator. */ text: string }>();

/** The text cut into fractions, primes and what stands between them, each with the class it is set in. */
const pieces = computed(() =>
  props.text
    .split(/(\d+⁄\d+|′)/)
    .filter((piece) => piece !== '')
    .map((piece) => ({ piece, kind: piece.includes('⁄') ? 'fraction' : piece === '′' ? 'prime' : undefined })),
);
</script>

<template>
  <!-- prettier-ignore -->
  <span><span v-for="({ piece, kind }, index) in pieces" :key="index" :class="kind">{{ piece }}</span></span>
</template>

<style scoped>
.fraction {
  font-variant-numeric: diagonal-fractions;
}
/* The face gives a prime much room behind it, which tears 12′ 4 apart. */
.prime {
  margin-right: -0.3em;
}
</style>
