<script setup lang="ts">
/** A drawing scale as people meet it: so much for so much, a ratio, or a line of the drawing whose size is known. */
import { computed, reactive, ref, toRef, watch } from 'vue';
import { COMMON_SCALES, describeIssue, type ScaleDefinition, type Side } from '@sprell/core';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import TextField from '../../ui/TextField.vue';
import { useSize } from '../../parts/field/use-size.ts';
import SizeField from '../../parts/field/SizeField.vue';
import { useJob } from '../../live/use-jobs.ts';
import type { ScaleContent } from '../../job/index.ts';

const props = defineProps<{
  /** A scale to be edited; undefined for a new one. */
  start: ScaleContent | undefined;
}>();
const emit = defineEmits<{ keep: [content: ScaleContent]; leave: [] }>();

const job = useJob();
const KINDS: readonly (readonly [ScaleDefinition['kind'], string])[] = [
  ['sizes', 'So much for so much'],
  ['ratio', 'A ratio'],
  ['copy', 'A line I know'],
];
const SIDES: Readonly<Record<ScaleDefinition['kind'], Readonly<Record<Side, string>>>> = {
  sizes: { paper: 'On paper', site: 'is, on site' },
  ratio: { paper: 'Paper', site: 'to site' },
  copy: { paper: 'It measures, on paper', site: 'and is, on site' },
};
const PLACEHOLDERS: Readonly<Record<ScaleDefinition['kind'], Readonly<Record<Side, string>>>> = {
  sizes: { paper: '1/4"', site: "1'" },
  ratio: { paper: '1', site: '20' },
  copy: { paper: '6 3/8"', site: `26' 4"` },
};
const empty = (): ScaleContent => ({ kind: 'sizes', paper: '', site: '', name: null });
const content = reactive<{ -readonly [K in keyof ScaleContent]: ScaleContent[K] }>(props.start ?? empty());
watch(
  () => content.kind,
  (kind) => {
    if (kind === 'ratio' && content.paper === '') content.paper = '1';
  },
);

const RATIO = /^\s*(\d[\d.,]*)\s*:\s*(\d[\d.,]*)\s*$/;
/** 1:48 written in one field is a ratio, whatever was to be written there. */
const asRatio = computed(() => {
  const found = RATIO.exec(content.paper) ?? RATIO.exec(content.site);
  return found && { paper: found[1] as string, site: found[2] as string };
});
function takeRatio(): void {
  if (asRatio.value) Object.assign(content, { kind: 'ratio', ...asRatio.value });
}

const isRatio = () => content.kind === 'ratio';
const ofSide = () => (isRatio() ? { bare: 'plain' as const } : {});
const sides = { paper: useSize(toRef(content, 'paper'), ofSide), site: useSize(toRef(content, 'site'), ofSide) };
/** With the units that were not typed. */
const asKept = (): ScaleContent => ({ ...content, paper: sides.paper.written(), site: sides.site.written() });
const issue = computed(() =>
  content.paper.trim() === '' || content.site.trim() === '' ? undefined : job.scales.issueOf(asKept()),
);
const isWhole = computed(() => content.paper.trim() !== '' && content.site.trim() !== '' && issue.value === undefined);
/** Each field shows by itself what is wrong with its own entry. */
const ofField = (side: Side) => (issue.value?.side === side ? issue.value.issue : undefined);
const says = ref<string>();

function keep(): void {
  if (!isWhole.value) {
    says.value = issue.value ? describeIssue(issue.value.issue) : 'Both sides of the scale are needed.';
    return;
  }
  says.value = undefined;
  emit('keep', asKept());
  if (props.start === undefined) Object.assign(content, empty());
}
const COMMON = COMMON_SCALES.map(({ title }, at) => [at, title] as const);
function pick(at: number | undefined): void {
  Object.assign(content, COMMON_SCALES[at ?? -1]?.definition);
}
</script>

<template>
  <form class="form" :aria-label="start ? 'Edit the scale' : 'A new scale'" @submit.prevent="keep">
    <ChoiceBar v-model="content.kind" label="How the scale is given" :choices="KINDS" test="kind" />
    <p v-if="content.kind === 'copy'" class="about">
      For a copy that came out at the wrong size: measure a line on it whose real size is written there.
    </p>
    <div class="sides">
      <SizeField
        v-model="content.paper"
        :label="SIDES[content.kind].paper"
        :placeholder="PLACEHOLDERS[content.kind].paper"
        :issue="ofField('paper')"
        side="paper"
        :plain="isRatio()"
        data-test="scale-paper"
        @enter="keep"
      />
      <SizeField
        v-model="content.site"
        :label="SIDES[content.kind].site"
        :placeholder="PLACEHOLDERS[content.kind].site"
        :issue="ofField('site')"
        :plain="isRatio()"
        data-test="scale-site"
        @enter="keep"
      />
    </div>
    <p v-if="asRatio" class="about">
      This is a ratio.
      <PlainButton data-test="as-ratio" @click="takeRatio">Use {{ asRatio.paper }}:{{ asRatio.site }}</PlainButton>
    </p>
    <TextField
      label="Name of the drawing, if you like"
      maxlength="120"
      placeholder="old drawings"
      data-test="scale-name"
      :model-value="content.name ?? ''"
      @update:model-value="(name) => (content.name = name || null)"
    />
    <PickList
      label="Or a common scale"
      placeholder="choose …"
      :choices="COMMON"
      :model-value="undefined"
      data-test="common"
      @update:model-value="pick"
    />
    <div class="actions">
      <PlainButton leading type="submit" data-test="keep-scale" :disabled="!isWhole">{{
        start ? 'Save' : 'Add and use it'
      }}</PlainButton>
      <PlainButton v-if="start" @click="emit('leave')">Cancel</PlainButton>
      <span v-if="says" role="alert" class="problem"><SizeText :text="says" /></span>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.about {
  margin: 0;
  color: var(--ink-soft);
}
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: end;
  gap: 8px;
}
.sides :deep(.says) {
  min-height: 0;
}
.sides > * {
  align-self: start;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.problem {
  color: var(--pencil);
}
</style>
