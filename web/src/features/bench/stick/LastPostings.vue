<script setup lang="ts">
/** How the mark in hand came to what it is: its postings, the last at the top. */
import { computed } from 'vue';
import SizeText from '../../../ui/SizeText.vue';
import { useJob } from '../../../live/use-jobs.ts';
import { MarkStories } from '../../../job/mark-story.ts';

const job = useJob();
const stories = new MarkStories(job);

const rows = computed(() => {
  const story = job.marks.inHand && stories.of(job.marks.inHand.name);
  if (story === undefined) return [];
  const standing = story.postings.filter(({ struck }) => !struck).reverse();
  return [...standing, ...(story.base ? [story.base] : [])];
});
</script>

<template>
  <ol v-if="rows.length > 0" class="postings" aria-label="Its postings, the last first">
    <li v-for="row in rows" :key="row.number">
      <span class="number">#{{ row.number }}</span>
      <span class="label">{{ row.label ?? '' }}</span>
      <span class="figure"
        ><span v-if="row.sign !== '='" class="sign">{{ row.sign }}</span
        ><SizeText :text="row.amount ?? '–'"
      /></span>
    </li>
  </ol>
</template>

<style scoped>
.postings {
  flex: 1;
  min-height: 0;
  margin: 0;
  padding: 0;
  list-style: none;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: baseline;
  gap: 6px;
  padding: 5px 6px;
  border-bottom: 1px solid var(--groove);
}
.number {
  color: var(--ink-soft);
  font-size: 14px;
}
.label {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.figure {
  font-family: var(--figures);
  font-weight: 600;
  white-space: nowrap;
}
.sign {
  margin-right: 2px;
  color: var(--chalk);
}
/* Under the mark in hand there is room for them on a wide screen alone. */
@media (max-width: 1023px) {
  .postings {
    display: none;
  }
}
</style>
