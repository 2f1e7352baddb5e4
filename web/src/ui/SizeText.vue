<script setup lang="ts">
/** A reading or read-back with its fractions set as real fractions. What is copied from it is the plain text. */
import { computed } from 'vue';

const props = defineProps<{ /** Text with ⁄ between numerator and denominator. */ text: string }>();

/** The text cut into fractions and what stands between them. */
const pieces = computed(() => props.text.split(/(\d+⁄\d+)/).map((piece) => ({ piece, isFraction: /^\d+⁄\d+$/.test(piece) })));
</script>

<template>
  <span class="size"><template v-for="({ piece, isFraction }, index) in pieces" :key="index"><span v-if="isFraction" class="fraction">{{ piece }}</span><template v-else>{{ piece }}</template></template></span>
</template>

<style scoped>
.fraction {
  font-variant-numeric: diagonal-fractions;
}
</style>
