<script setup lang="ts">
/** What a jig comes to: each answer large, with where it can go. */
import { computed } from 'vue';
import type { WrittenStep } from '@sprell/core/jig';
import { exactText, kindOf } from '@sprell/core';
import { ListPlus } from 'lucide-vue-next';
import SizeText from '../../ui/SizeText.vue';
import { say } from '../../ui/say.ts';
import { roundingWord } from '../../parts/reading/rounding-words.ts';
import ResultUses from '../../parts/result/ResultUses.vue';
import { useJob } from '../../live/use-jobs.ts';

const props = defineProps<{
  steps: readonly WrittenStep[];
  entryOf: (answer: string) => string | undefined;
  /** They are only looked at, and go nowhere. */
  isOnlyLookedAt: boolean;
}>();
const job = useJob();
const answers = computed(() => props.steps.filter(({ isAnswer, outcome }) => isAnswer && outcome !== undefined));

function wordFor({ outcome, readings: [only] }: WrittenStep): string | undefined {
  if (outcome?.kind !== 'quantity' || only === undefined) return undefined;
  return kindOf(outcome.quantity.dimension) === 'length' ? roundingWord('length', only) : undefined;
}

/** A list has no entry that comes to all of it: its values go one by one, as they are now. */
function listToSlate({ title, outcome }: WrittenStep): void {
  if (outcome?.kind !== 'list') return;
  const entries = outcome.quantities.flatMap((quantity) => exactText(quantity, job.style)?.plain ?? []);
  entries.forEach((entry, at) => job.lines.land(`${title.toLowerCase()} ${at + 1}: ${entry}`));
  void say(`${entries.length} lines are on the slate`);
}

/** A row of the list of quantities that follows the jig. */
async function toQuantities({ name, title, outcome }: WrittenStep): Promise<void> {
  const entry = props.entryOf(name);
  if (entry === undefined || outcome?.kind !== 'quantity') return;
  const { Quantities } = await import('../../job/quantities.ts');
  const kind = kindOf(outcome.quantity.dimension);
  const list = new Quantities(job);
  const as = { length: 'run', area: 'area', volume: 'volume' } as const;
  if (kind === 'length' || kind === 'area' || kind === 'volume')
    list.add({ name: title, measure: as[kind], length: entry });
  else list.add({ name: title, measure: 'each', count: entry });
  void say(`${title} is in the quantities`);
}
const isCountable = ({ outcome }: WrittenStep) =>
  outcome?.kind === 'quantity' && ['number', 'length', 'area', 'volume'].includes(kindOf(outcome.quantity.dimension));
</script>

<template>
  <ul class="answers">
    <li v-for="step in answers" :key="step.name" :data-answer="step.name" :class="{ first: step === answers[0] }">
      <span class="name">{{ step.title }}</span>
      <template v-if="step.outcome?.kind === 'answer'">
        <strong class="size">{{ step.outcome.yes ? 'yes' : 'no' }}</strong>
      </template>
      <template v-else-if="step.outcome?.kind === 'list'">
        <ol class="values">
          <li v-for="(reading, at) in step.readings" :key="at"><SizeText :text="reading.text" /></li>
        </ol>
        <button v-if="!isOnlyLookedAt" type="button" class="row" @click="listToSlate(step)">
          Put all on the slate
        </button>
      </template>
      <template v-else>
        <span class="reading">
          <SizeText class="size" :text="step.readings[0]?.text ?? ''" />
          <span v-if="wordFor(step)" class="rounding">{{ wordFor(step) }}</span>
        </span>
        <span v-if="!isOnlyLookedAt" class="uses">
          <ResultUses :name="step.title" :entry="() => entryOf(step.name)" :plain="step.readings[0]?.plain" />
          <button
            v-if="isCountable(step)"
            type="button"
            class="icon"
            :title="`Put ${step.title} in the quantities`"
            data-test="to-quantities"
            @click="toQuantities(step)"
          >
            <ListPlus :size="18" aria-hidden="true" /><span class="sr-only"
              >Put {{ step.title }} in the quantities</span
            >
          </button>
        </span>
      </template>
    </li>
  </ul>
</template>

<style scoped>
.answers {
  margin: 0;
  padding: 0;
  list-style: none;
}
.answers > li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 180px;
  align-items: center;
  gap: 0 8px;
  min-height: 48px;
  padding: 2px 4px 2px 16px;
  border-bottom: 1px solid var(--groove);
}
.size {
  font: 600 22px/1.15 var(--figures);
}
.first {
  background: var(--board);
}
.first .size {
  font-size: 40px;
}
.rounding {
  margin-left: 6px;
  color: var(--ink-soft);
  font-size: 15px;
}
.uses {
  display: flex;
  justify-content: flex-end;
}
.icon {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 44px;
  height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
.icon:hover {
  color: var(--chalk);
}
.values {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 4px 18px;
  margin: 2px 0;
  padding: 0;
  list-style-position: inside;
  font: 600 18px/1.5 var(--figures);
}
.row {
  grid-column: 1 / -1;
  justify-self: start;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
@media (max-width: 820px) {
  .answers > li {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 6px 16px;
  }
  .uses {
    grid-column: 1 / -1;
  }
}
</style>
