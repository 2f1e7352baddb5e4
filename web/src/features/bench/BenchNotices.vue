<script setup lang="ts">
/** What the bench has to say of the open job: what failed, what changed on another device, what the server did not take. */
import { computed, defineAsyncComponent } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import { readBackOf, type Refusal } from '../../job/index.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';

// Not on the first screen: they come when they are wanted.
const NumberNotice = defineAsyncComponent(() => import('./NumberNotice.vue'));
const ConflictNotice = defineAsyncComponent(() => import('./ConflictNotice.vue'));
const RefusalNotice = defineAsyncComponent(() => import('./RefusalNotice.vue'));
const MetNotice = defineAsyncComponent(() => import('./MetNotice.vue'));
const RefusalList = defineAsyncComponent(() => import('./RefusalList.vue'));

const props = defineProps<{
  /** Nothing stands in the entry that words could take the place of. */ isFree: () => boolean;
}>();
const emit = defineEmits<{ /** What the server did not take goes back to the entry. */ write: [words: string] }>();
const jobs = useJobs();
const job = useJob();

const read = (words: string) => readBackOf(words, job.style);
/** One or two are seen to by themselves, more together. */
const refusedAlone = computed(() => (job.refusals.list.length > 2 ? [] : job.refusals.list));
const canWrite = computed(() => props.isFree() && !job.isReader);
function writeAgain(refused: Refusal, words: string): void {
  emit('write', words);
  void job.refusals.drop([refused]);
}
</script>

<template>
  <div>
    <p v-if="job.failure" class="failure" role="alert">
      {{ job.failure }} <PlainButton @click="jobs.start()">Try again</PlainButton>
    </p>
    <NumberNotice
      v-if="job.slate.renumbered.length > 0"
      :renumbered="job.slate.renumbered"
      @seen="job.slate.seeRenumbered()"
    />
    <MetNotice
      v-if="job.marksApart.met.length > 0"
      :met="job.marksApart.met"
      :number-of="(id) => job.slate.get(id)?.number ?? undefined"
      @seen="job.marksApart.see()"
    />
    <ConflictNotice
      v-for="conflict in job.conflicts.list"
      :key="conflict.kept.id"
      :conflict
      :read
      @choose="(choice) => job.conflicts.resolve(conflict, choice)"
    />
    <RefusalNotice
      v-for="refused in refusedAlone"
      :key="refused.kept.id"
      :refusal="refused"
      :read
      :can-write
      @again="(words) => writeAgain(refused, words)"
      @drop="job.refusals.drop([refused])"
    />
    <RefusalList
      v-if="refusedAlone.length === 0 && job.refusals.list.length > 0"
      :refusals="job.refusals.list"
      :read
      @drop="job.refusals.drop(job.refusals.list)"
    />
  </div>
</template>

<style scoped>
.failure {
  margin: 0;
  padding: 8px 24px;
  background: var(--pencil-wash);
}
</style>
