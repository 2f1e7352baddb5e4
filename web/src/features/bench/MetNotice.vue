<script setup lang="ts">
/** Marks of one name that were stored on two devices which did not know of each other's. */
import PlainButton from '../../ui/PlainButton.vue';
import type { MarksMet } from '../../job/index.ts';

defineProps<{
  met: readonly MarksMet[];
  /** The number of a line. */
  numberOf: (lineId: string) => number | undefined;
}>();
const emit = defineEmits<{ seen: [] }>();
</script>

<template>
  <div class="notice" role="alert" data-test="marks-met">
    <p v-for="{ name, mine, theirs, mineIs } in met" :key="`${mine}${theirs}`">
      <template v-if="mineIs">
        A mark <b>{{ name }}</b> was stored on another device too, in #{{ numberOf(theirs) }}. Yours, in #{{
          numberOf(mine)
        }}, is called <b>{{ mineIs }}</b> now, so that no size changes. Rename it on the story stick if it is to have
        another name.
      </template>
      <template v-else>
        The mark <b>{{ name }}</b> was stored again on two devices: here in #{{ numberOf(mine) }}, elsewhere in #{{
          numberOf(theirs)
        }}. It has the size that the lower of the two lines says: take the other off, or change it.
      </template>
    </p>
    <PlainButton @click="emit('seen')">OK</PlainButton>
  </div>
</template>

<style scoped src="./notice.css"></style>
