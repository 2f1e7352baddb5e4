<script setup lang="ts">
/** Drawings as the browser prints them, a sheet a page, in place of all else; on the screen nothing is seen of them. */
import type { Drawing } from '@sprell/core';
import DrawingPicture from './DrawingPicture.vue';

defineProps<{ drawings: readonly Drawing[]; title: string }>();

/** The name of a sheet's page: paper is Letter where it is as wide or as high as that, and stands or lies. */
const LETTER = 279.4;
function pageOf({ width, height }: Drawing): string {
  const paper = Math.max(width, height) === LETTER ? 'letter' : 'a4';
  return `${paper}-${width > height ? 'lying' : 'standing'}`;
}
</script>

<template>
  <Teleport to="body">
    <div class="pages">
      <DrawingPicture
        v-for="(drawing, n) in drawings"
        :key="n"
        :class="pageOf(drawing)"
        :drawings="[drawing]"
        :title
        actual-size
      />
    </div>
  </Teleport>
</template>

<style>
.pages {
  display: none;
}
@page a4-lying {
  size: 297mm 210mm;
  margin: 0;
}
@page a4-standing {
  size: 210mm 297mm;
  margin: 0;
}
@page letter-lying {
  size: 279.4mm 215.9mm;
  margin: 0;
}
@page letter-standing {
  size: 215.9mm 279.4mm;
  margin: 0;
}
@media print {
  .pages > .a4-lying {
    page: a4-lying;
  }
  .pages > .a4-standing {
    page: a4-standing;
  }
  .pages > .letter-lying {
    page: letter-lying;
  }
  .pages > .letter-standing {
    page: letter-standing;
  }
  body:has(> .pages) > :not(.pages) {
    display: none !important;
  }
  .pages {
    display: block;
  }
  .pages > svg {
    display: block;
    break-after: page;
  }
  .pages > svg:last-child {
    break-after: auto;
  }
}
</style>
