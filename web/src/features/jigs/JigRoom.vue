<script setup lang="ts">
/** One jig at work: what is given, what it comes to, and how. */
import { computed, ref } from 'vue';
import { describeIssue, readQuantity } from '@sprell/core';
import { fixedValue, type JigInput, type JigSet } from '@sprell/core/jig';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import AtHand from '../../parts/field/AtHand.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { goToInput } from '../../parts/field/size-inputs.ts';
import { useAtHand } from '../../parts/field/use-at-hand.ts';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useJob } from '../../live/use-jobs.ts';
import { namesOf, useSaidFields } from '../../live/said-fields.ts';
import JigAnswers from './JigAnswers.vue';
import JigChecks from './JigChecks.vue';
import JigSteps from './JigSteps.vue';
import SideBySide from './SideBySide.vue';
import WhatIf from './WhatIf.vue';
import { useJigRun } from './use-jig-run.ts';

const props = defineProps<{ set: JigSet; /** Its answers go nowhere. */ isOnlyLookedAt: boolean }>();
const running = useJigRun(() => props.set);
const { typed, read, run, inputs, steps, readingOf, entryOf, give, replace } = running;
const job = useJob();
const use = useAtHand();
const ownKeys = useOwnKeys();

useSaidFields(() => ({
  fields: inputs.value.map(({ input }) => ({
    id: input.name,
    names: namesOf(input.title, input.name),
    isPlain: input.kind === 'number',
    put: (entry) => give(input.name, entry),
  })),
}));

/** What holds where nothing is typed, as sizes are set; one that cannot be worked out, as it is written. */
function offeredText({ title }: JigInput, offered: string): string {
  const value = fixedValue(offered, props.set.jig.decimalComma, title);
  return value.ok ? readQuantity(value.value, job.style).text : offered;
}

type Look = 'steps' | 'over' | 'side' | 'checks';
const look = ref<Look>('steps');
const LOOKS: readonly (readonly [Look, string])[] = [
  ['steps', 'Steps'],
  ['over', 'What if'],
  ['side', 'Side by side'],
  ['checks', 'Checks'],
];
const stopped = computed(() => (run.value?.ok ? run.value.value.issue : undefined));
/** On a phone it stays in view while the fields are written. */
const first = computed(() => steps.value.find(({ isAnswer, readings }) => isAnswer && readings.length === 1));
const isTouched = computed(() => Object.keys(typed.value).length > 0);
</script>

<template>
  <div class="work">
    <section class="given" aria-label="Inputs">
      <div class="head">
        <h2>Inputs</h2>
        <PlainButton :disabled="!isTouched" data-test="usual" @click="replace({})">Usual values</PlainButton>
      </div>
      <div class="fields">
        <div v-for="({ input, offered, issue }, place) in inputs" :key="input.name" :data-field="input.name">
          <SizeField
            :model-value="typed[input.name] ?? ''"
            :label="input.title"
            :placeholder="offeredText(input, offered)"
            :issue
            :plain="input.kind !== 'length'"
            :reads="(typed[input.name] ?? '').trim() === '' ? undefined : readingOf(place)"
            @update:model-value="(text: string) => give(input.name, text)"
            @enter="goToInput(1)"
          />
          <p v-if="input.hint" class="hint">{{ input.hint }}</p>
        </div>
      </div>
      <AtHand v-if="!ownKeys" @use="use" />
    </section>
    <p v-if="first" class="in-short" aria-hidden="true">
      {{ first.title }} <SizeText class="short-size" :text="first.readings[0]?.text ?? ''" />
    </p>
    <section class="found" aria-label="Answers">
      <div class="head"><h2>Answers</h2></div>
      <p v-if="read.program === undefined" class="wrong">
        This jig cannot run: {{ read.troubles[0] && describeIssue(read.troubles[0].issue) }}
      </p>
      <p v-if="run && !run.ok && !inputs.some(({ issue }) => issue)" class="wrong">{{ describeIssue(run.issue) }}</p>
      <p v-if="stopped" class="wrong">
        It stops at step {{ (run?.ok ? run.value.reached : 0) + 1 }}. {{ describeIssue(stopped) }}
      </p>
      <JigAnswers :steps :entry-of="entryOf" :is-only-looked-at />
    </section>
    <section class="how" aria-label="How it goes">
      <ChoiceBar v-model="look" class="looks" label="What is shown" :choices="LOOKS" test="look" />
      <JigSteps v-if="look === 'steps'" :steps :told="set.jig.steps" />
      <WhatIf v-else-if="look === 'over'" :running :jig-id="set.jig.id" />
      <SideBySide v-else-if="look === 'side'" :running :jig-id="set.jig.id" />
      <JigChecks v-else-if="read.program" :set :program="read.program" />
    </section>
  </div>
</template>

<style scoped>
.work {
  display: grid;
  grid-template: 'given found' auto 'how how' auto / minmax(0, 5fr) minmax(0, 6fr);
  border-top: 1px solid var(--groove);
}
.given {
  grid-area: given;
  border-right: 1px solid var(--groove);
}
.found {
  grid-area: found;
}
.how {
  grid-area: how;
  min-width: 0;
  border-top: 1px solid var(--groove);
}
.head {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 56px;
  padding: 4px 16px;
}
h2 {
  flex: 1;
  margin: 0;
  font-size: 19px;
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  align-items: end;
  gap: 0 14px;
  padding: 0 16px 8px;
}
.hint {
  margin: -4px 0 6px;
  color: var(--ink-soft);
  font-size: 14px;
}
.wrong {
  margin: 0;
  padding: 6px 16px;
  color: var(--pencil);
}
.looks {
  padding: 10px 16px;
}
.in-short {
  display: none;
}
@media (max-width: 820px) {
  .work {
    display: flex;
    flex-direction: column;
  }
  .in-short {
    position: sticky;
    top: 0;
    z-index: 1;
    display: flex;
    justify-content: space-between;
    align-items: center;
    order: -1;
    min-height: 52px;
    margin: 0;
    padding: 0 16px;
    border-bottom: 1px solid var(--groove);
    background: var(--board);
  }
  .short-size {
    font: 600 26px/1.1 var(--figures);
  }
  .given {
    border-right: 0;
  }
  .how {
    scroll-margin-top: 56px;
  }
  .looks {
    overflow-x: auto;
  }
}
</style>
