<script setup lang="ts">
/** The checks that are kept with a jig: with these inputs it must come to that. */
import { computed } from 'vue';
import { Check, X } from 'lucide-vue-next';
import type { JigProgram } from '@sprell/core';
import { runChecks, type CheckOutcome, type JigSet } from '@sprell/core/jig';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { outcomeText } from './outcome-text.ts';

const props = defineProps<{ set: JigSet; program: JigProgram }>();
const job = useJob();
const checks = computed(() => runChecks(props.set.jig, props.program));
const titleOf = (name: string) => props.set.jig.steps.find((step) => step.name === name)?.title ?? name;
const given = ({ check }: CheckOutcome) =>
  check.inputs.flatMap((text, at) => {
    const input = props.set.jig.inputs[at];
    return input ? [`${input.title} ${text === '' ? input.usual : text}`] : [];
  });
const came = ({ got, issue }: CheckOutcome) => outcomeText(got, job.style, issue);
</script>

<template>
  <p v-if="checks.length === 0" class="none">No checks are kept with this jig.</p>
  <ul v-else class="checks" data-test="checks">
    <li v-for="(one, at) in checks" :key="at" :class="{ fails: !one.holds }">
      <component :is="one.holds ? Check : X" :size="20" :aria-label="one.holds ? 'holds' : 'does not hold'" />
      <div>
        <strong>{{ one.check.title || titleOf(one.check.answer) }}</strong>
        <p class="given"><SizeText :text="given(one).join(' · ')" /></p>
        <p>
          {{ titleOf(one.check.answer) }} must come to <SizeText :text="one.check.comesTo" /><template v-if="!one.holds"
            >, and comes to <SizeText :text="came(one)" /></template
          >.
        </p>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 14px 16px;
  color: var(--ink-soft);
}
.checks {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 10px;
  padding: 8px 16px;
  border-bottom: 1px solid var(--groove);
}
svg {
  flex: none;
  margin-top: 2px;
}
p {
  margin: 0;
}
.given {
  color: var(--ink-soft);
  font-size: 15px;
}
.fails {
  color: var(--pencil);
}
</style>
