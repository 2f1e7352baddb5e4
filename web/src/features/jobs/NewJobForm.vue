<script setup lang="ts">
/** A new job: its title is enough; the rest has the set-up of the job that was open. */
import { computed, nextTick, onMounted, reactive, ref } from 'vue';
import type { BareUnit } from '@sprell/core';
import type { ListedJob, JobPart } from '../../job/index.ts';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import {
  BARE_NUMBERS,
  DECIMAL_MARKS,
  FINEST,
  groups,
  isMetricLength,
  MEASURES,
  METRIC_STEPS,
  MONEY,
} from './set-up-choices.ts';

const props = defineProps<{ others: readonly ListedJob[] }>();
const emit = defineEmits<{ made: []; leave: [] }>();
const jobs = useJobs();
const open = useJob();
const head = open.head;

const form = reactive({
  title: '',
  measure: head && isMetricLength(head.reading) ? ('mm' as const) : ('ft-in' as const),
  finest: head?.reading.finest ?? 16,
  metricStep: head?.reading.metricStep ?? '1',
  mark: head?.decimalComma ? ('comma' as const) : ('point' as const),
  groups: head?.thousands ? ('grouped' as const) : ('plain' as const),
  currency: head?.currency ?? '$',
  bare: undefined as BareUnit | undefined,
  from: undefined as string | undefined,
});
/** What a number without a unit is: on a new metric drawing millimetres, until something else is chosen. */
const bare = computed({
  get: (): BareUnit => form.bare ?? (form.measure === 'mm' ? 'mm' : 'plain'),
  set: (wanted) => (form.bare = wanted),
});
const parts = ref<JobPart[]>([]);
const showsMore = ref(false);
const problem = ref('');
const title = ref<HTMLElement>();
onMounted(async () => {
  await nextTick();
  title.value?.querySelector('input')?.focus();
});

const OTHERS = computed(() => props.others.map((job) => [job.id, job.title] as const));
const PARTS: readonly (readonly [JobPart, string])[] = [
  ['marks', 'Marks, with the lines that they come from'],
  ['scales', 'Drawing scales'],
];
/** The set-up of the job that something comes along from goes with it. */
async function follow(id: string | undefined): Promise<void> {
  const other = props.others.find((one) => one.id === id);
  parts.value = other ? ['marks', 'scales'] : [];
  if (!other) return;
  form.measure = isMetricLength(other.reading) ? 'mm' : 'ft-in';
  Object.assign(form, { finest: other.reading.finest, metricStep: other.reading.metricStep, currency: other.currency });
  form.bare = other.bareNumbers;
  form.mark = other.decimalComma ? 'comma' : 'point';
  form.groups = other.thousands ? 'grouped' : 'plain';
  await nextTick();
}

async function make(): Promise<void> {
  if (form.title.trim() === '') {
    problem.value = 'Give the job a name first: the street, the client, what is built.';
    title.value?.querySelector('input')?.focus();
    return;
  }
  const from = form.from ? await jobs.here(form.from) : undefined;
  const own = from?.head.reading ?? head?.reading;
  const isSame = own !== undefined && isMetricLength(own) === (form.measure === 'mm');
  await jobs.make({
    title: form.title.trim(),
    reading: {
      length: isSame ? own.length : form.measure,
      finest: form.finest,
      metricStep: form.metricStep,
      rounding: own?.rounding ?? 'nearest',
      fractions: own?.fractions ?? 'lowest',
    },
    fields: {
      thousands: form.groups === 'grouped',
      decimalComma: form.mark === 'comma',
      currency: form.currency,
      bareNumbers: bare.value,
    },
    ...(from ? { from: { job: from, parts: new Set(parts.value) } } : {}),
  });
  emit('made');
}
</script>

<template>
  <form class="form" aria-label="A new job" data-test="job-form" @submit.prevent="make">
    <div ref="title">
      <TextField
        v-model="form.title"
        label="Name of the job"
        maxlength="120"
        autocapitalize="sentences"
        placeholder="Shed, Orchard Lane"
        data-test="job-title"
      />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ChoiceBar v-model="form.measure" label="How sizes are read" :choices="MEASURES" test="measure" />
    <PickList
      v-if="form.measure === 'ft-in'"
      v-model="form.finest"
      label="Finest division"
      :choices="FINEST"
      data-test="job-finest"
    />
    <PickList v-else v-model="form.metricStep" label="Finest step" :choices="METRIC_STEPS" data-test="job-step" />
    <PickList
      v-model="form.from"
      label="Take over from another job"
      placeholder="nothing, a blank job"
      clearable
      :choices="OTHERS"
      data-test="job-from"
      @update:model-value="follow"
    />
    <el-checkbox-group v-if="form.from" v-model="parts" class="parts" aria-label="What is taken over">
      <el-checkbox v-for="[part, words] in PARTS" :key="part" :value="part" :data-test="`part-${part}`">{{
        words
      }}</el-checkbox>
    </el-checkbox-group>
    <PlainButton v-if="!showsMore" class="more" data-test="job-more" @click="showsMore = true"
      >Figures and money …</PlainButton
    >
    <template v-else>
      <ChoiceBar v-model="bare" label="A number without a unit is" :choices="BARE_NUMBERS" test="bare" />
      <ChoiceBar v-model="form.mark" label="Decimals" :choices="DECIMAL_MARKS" test="decimal" />
      <p class="about">This cannot be changed later: every entry of the job is read by it.</p>
      <ChoiceBar v-model="form.groups" label="Large figures" :choices="groups(form.mark)" test="groups" />
      <ChoiceBar v-model="form.currency" label="Money" :choices="MONEY" test="money" />
    </template>
    <div class="actions">
      <PlainButton leading type="submit" data-test="make-job">Start the job</PlainButton>
      <PlainButton @click="emit('leave')">Cancel</PlainButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  gap: 12px;
}
.parts {
  display: flex;
  flex-direction: column;
}
.more {
  align-self: flex-start;
}
.about,
.problem {
  margin: 0;
}
.about {
  color: var(--ink-soft);
}
.problem {
  color: var(--pencil);
}
.actions {
  display: flex;
  gap: 8px;
}
</style>
