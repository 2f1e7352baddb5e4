<script setup lang="ts">
/** This job uses an earlier version of a jig: what the newer one would change, and the way to it. */
import { computed, ref } from 'vue';
import type { LineResult } from '@sprell/core';
import type { JigSet } from '@sprell/core/jig';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { say } from '../../ui/say.ts';
import { useJob } from '../../live/use-jobs.ts';
import type { KeptJig } from '../../job/index.ts';
import { outcomeText } from './outcome-text.ts';

const props = defineProps<{ inJob: KeptJig; newer: JigSet }>();
const job = useJob();
const isShown = ref(false);
const changed = computed(() => (isShown.value ? job.jigs.changedBy(props.inJob.id, props.newer) : []));
const text = (result: LineResult) =>
  outcomeText(result.ok ? result.outcome : undefined, job.style, result.ok ? undefined : result.issue);
function take(): void {
  const { version } = props.newer.jig;
  job.jigs.take(props.inJob.id, props.newer);
  void say(`This job uses version ${version} now`);
}
</script>

<template>
  <aside class="newer" data-test="newer">
    <p>This job uses version {{ inJob.version }}. There is a version {{ newer.jig.version }}.</p>
    <div class="acts">
      <PlainButton v-if="!isShown" data-test="what-changes" @click="isShown = true">What would change?</PlainButton>
      <PlainButton data-test="take-newer" @click="take">Use version {{ newer.jig.version }} in this job</PlainButton>
    </div>
    <p v-if="isShown && changed.length === 0">No line of the slate would come to anything else.</p>
    <ul v-if="changed.length > 0">
      <li v-for="one in changed" :key="one.number">
        #{{ one.number }} <SizeText :text="one.entry" />: <SizeText :text="text(one.before)" /> becomes
        <strong><SizeText :text="text(one.after)" /></strong>
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.newer {
  margin: 0 16px 10px;
  padding: 8px 12px;
  border-left: 3px solid var(--chalk);
  background: var(--chalk-wash);
}
p {
  margin: 0 0 6px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
ul {
  max-height: 220px;
  margin: 8px 0 0;
  padding-left: 18px;
  overflow: auto;
}
</style>
