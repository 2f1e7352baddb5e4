<script setup lang="ts">
/** The entry with what is wrong with it, and the fixes, beneath. Enter lands it. Nothing typed is ever lost. */
import { refDebounced } from '@vueuse/core';
import { computed, nextTick, onMounted, ref, shallowRef, useId, watch, type Ref } from 'vue';
import { X } from 'lucide-vue-next';
import {
  DEFAULT_STYLE,
  describeIssue,
  isMetric,
  type Fix,
  type Issue,
  type Reckoned,
  type TypedOptions,
} from '@sprell/core';
import type * as Mend from '@sprell/core/mend';
import { afterPaint } from '../../ui/after-paint.ts';
import { forDrawing } from '../../ui/drawn.ts';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { editorThere, loadEditor } from './entry-editor.ts';
import type EntryEditor from './EntryEditor.vue';
import PlainEntry from './PlainEntry.vue';
import { isBegun } from './begun-word.ts';
import { callNow } from './call-now.ts';
import type { NamedMark } from './suggestions.ts';
import { behindLines } from '../../ui/behind-lines.ts';

const props = defineProps<{
  label: string;
  /** What is written: the ref itself, so that a letter redraws nothing but the line (decision 15). */
  text: Ref<string>;
  /** The entry worked out, undefined while it is empty. */
  now: () => Reckoned | undefined;
  /** What it was worked out in. */
  options: () => TypedOptions;
  marks: readonly NamedMark[];
  /** Labels of the slate, to be given again. */
  labels?: () => readonly string[];
  hasLast: boolean;
  ownKeys: boolean;
  /** Editing a line of the slate rather than writing a new one. */
  editing?: boolean;
}>();
const emit = defineEmits<{ land: []; cancel: []; recall: [by: -1 | 1]; clear: []; pasteLines: [text: string] }>();
const model = props.text;

const editor = ref<InstanceType<typeof EntryEditor>>();
const plain = ref<InstanceType<typeof PlainEntry>>();
/** Undefined while a plain field stands in for it. */
const Editor = shallowRef(editorThere());
onMounted(async () => {
  if (Editor.value !== undefined) return;
  await behindLines(loadEditor);
  const soFar = await plain.value?.handOver();
  Editor.value = editorThere();
  await nextTick();
  if (soFar) editor.value?.goOn(soFar);
});
const written = computed(() => editor.value ?? plain.value);
const noLabels = () => [];
/** The props and events of both. */
const line = computed(() => ({
  text: props.text,
  label: props.label,
  hint: isMetricJob() ? '2400 mm − 2 × 35 mm' : '9′ 7 ¼″ + 2′ 9 ⅜″',
  marks: props.marks,
  labels: props.labels ?? noLabels,
  hasLast: props.hasLast,
  describedBy: issue.value && messageId,
  wrong: wrong.value,
  ghost: ghost.value,
  isBenchs: props.editing !== true,
  ownKeys: props.ownKeys,
}));
const messageId = useId();
const isMetricJob = () => isMetric((props.options().style ?? DEFAULT_STYLE).length);
/** Enter was pressed on an entry that stops short: from then on that is said, and no earlier. */
const insisted = ref(false);
watch(model, () => (insisted.value = false));

const found = computed(() => {
  const issue = props.now()?.issue;
  return issue && (insisted.value || !isUnderWay(issue)) ? issue : undefined;
});
/** An entry that stops short, that ends in the beginning of a known word, or that begins to store a new mark, is being typed. */
function isUnderWay({ code, start, end }: Issue): boolean {
  if (code === 'entry.unfinished') return true;
  // What a function is given is being written still: what it takes is said in the meantime.
  if (code === 'call.arguments' || code === 'kind.function') return callNow.value !== undefined;
  if (code !== 'name.unknown') return false;
  const behind = model.value.slice(end).trim();
  return behind === '=' || (behind === '' && isBegun(model.value.slice(start, end), props.marks));
}
/**
 * Milliseconds without a key after which there is something to say of an entry. Nearly every size is wrong until its
 * unit is there, and what is said beneath the entry moves what stands around it.
 */
const RESTS = 600;
const restedOn = refDebounced(model, RESTS);
const isHeard = computed(() => insisted.value || restedOn.value === model.value);

/** What mends an entry and what else it may mean is loaded lazily. */
const mend = shallowRef<typeof Mend>();
onMounted(async () => {
  mend.value = await behindLines(() => import('@sprell/core/mend'));
});
function withFixes(issue: Issue | undefined): Issue | undefined {
  const now = props.now();
  return issue && mend.value && now ? mend.value.mended(now, props.options()) : issue;
}

// Behind the frame that shows the reading.
const lateIssue = afterPaint(() => (isHeard.value ? withFixes(found.value) : undefined));
const issue = computed(() => forDrawing(lateIssue.value));
const fixes = computed<readonly Fix[]>(() => issue.value?.fixes ?? []);
const NONE: readonly Mend.Alternative[] = [];
/** No more than have room beneath an entry on a phone. */
const MOST = 2;
/** Other readings of what is typed: first of its numbers as sizes or counts. */
function offered(now: Reckoned): readonly Mend.Alternative[] {
  if (mend.value === undefined) return NONE;
  const options = props.options();
  return [...mend.value.otherSizes(model.value, options), ...mend.value.otherReadings(now, options)].slice(0, MOST);
}
const lateAlternatives = afterPaint(() => {
  const now = props.now();
  return isHeard.value && found.value === undefined && now ? offered(now) : NONE;
});
const alternatives = computed(() => forDrawing(lateAlternatives.value));
// What comes beneath the entry pushes it up.
watch([issue, alternatives], () => written.value?.moved(), { flush: 'post' });
const ghost = computed(() => props.now()?.parsed.ghost ?? '');
const isWritten = computed(() => model.value !== '');
const isNothing = computed(() => props.now() === undefined);
const wrong = computed(() => issue.value && { start: issue.value.start, end: issue.value.end });

function enter(): void {
  const now = props.now();
  if (now?.issue) insisted.value = true;
  else if (now) emit('land');
}

/**
 * Takes what a button offered. It was made for the entry as it stood; where that was written on meanwhile, it is found again
 * by what it says, and nothing is written where it does not apply any more.
 */
function take(label: string): void {
  const now = props.now();
  if (now === undefined || mend.value === undefined) return;
  const offers = now.issue ? (mend.value.mended(now, props.options())?.fixes ?? []) : offered(now);
  const offer = offers.find((one) => one.label === label);
  if (offer !== undefined) model.value = offer.entry;
  written.value?.focus();
}

defineExpose({ focus: () => written.value?.focus(), take: () => written.value?.take() });
</script>

<template>
  <div class="entry" :class="{ benchs: !editing }" data-test="entry-field">
    <div class="field" :class="{ wrong: issue }">
      <component
        :is="Editor"
        v-if="Editor"
        ref="editor"
        v-bind="line"
        @land="enter"
        @cancel="emit('cancel')"
        @recall="(by: -1 | 1) => emit('recall', by)"
        @paste-lines="(text: string) => emit('pasteLines', text)"
      />
      <PlainEntry
        v-else
        ref="plain"
        v-bind="line"
        @land="enter"
        @cancel="emit('cancel')"
        @recall="(by) => emit('recall', by)"
        @paste-lines="(text) => emit('pasteLines', text)"
      />
      <button
        v-if="isWritten && !editing"
        type="button"
        class="clear"
        aria-label="Clear the entry"
        title="Clear the entry"
        data-test="clear-entry"
        @pointerdown.prevent
        @click="emit('clear')"
      >
        <X :size="22" aria-hidden="true" />
      </button>
      <PlainButton v-if="editing" @pointerdown.prevent @click="emit('cancel')">Cancel</PlainButton>
      <PlainButton
        v-if="editing || !ownKeys"
        leading
        :disabled="isNothing"
        data-test="land"
        @pointerdown.prevent
        @click="enter"
        >{{ editing ? 'Save' : 'Enter' }}</PlainButton
      >
    </div>
    <div v-if="issue" :id="messageId" class="message" role="alert">
      <p>{{ describeIssue(issue) }}</p>
      <div v-if="fixes.length > 0" class="fixes">
        <PlainButton v-for="(fix, n) in fixes" :key="n" @pointerdown.prevent @click="take(fix.label)"
          ><SizeText :text="fix.label"
        /></PlainButton>
      </div>
    </div>
    <div v-if="alternatives.length > 0" class="taken">
      <span v-if="alternatives.length === 1">{{ alternatives[0]?.taken }}. Or:</span>
      <span v-else>Or:</span>
      <PlainButton
        v-for="other in alternatives"
        :key="other.entry"
        :title="other.taken"
        @pointerdown.prevent
        @click="take(other.label)"
        ><SizeText :text="other.label"
      /></PlainButton>
    </div>
  </div>
</template>

<style scoped>
.field {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 4px 6px;
  background: var(--board);
  border: 2px solid var(--ink);
  border-radius: 4px;
}
.field:focus-within {
  border-color: var(--chalk);
}
.wrong,
.wrong:focus-within {
  border-color: var(--pencil);
}
.clear {
  display: grid;
  place-items: center;
  width: var(--touch);
  height: var(--touch);
  flex: none;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.message {
  margin-top: 8px;
  padding: 8px 12px;
  background: var(--pencil-wash);
  border-left: 4px solid var(--pencil);
}
.message p {
  margin: 0;
}
.fixes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
/* A size stays in one piece; words too long for the row are cut rather than a figure broken. */
.fixes > *,
.taken > :not(span) {
  max-width: 100%;
  overflow: hidden;
  white-space: nowrap;
}
.taken {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin-top: 6px;
  color: var(--ink-soft);
}
/* One row: the keys below it have no room to give. */
@media (max-width: 760px) {
  .taken {
    flex-wrap: nowrap;
    margin-top: 2px;
    font-size: 14px;
    line-height: 1.2;
  }
  .taken > span {
    flex: 1;
  }
  .taken > :not(span) {
    flex: none;
    padding: 0 10px;
    font-size: inherit;
  }
}
/* It lies over what stands above the entry, so that neither that nor a key moves under a finger. */
@media (max-width: 760px) {
  .benchs :is(.message, .taken) {
    position: absolute;
    z-index: 5;
    inset: auto 8px calc(100% + 52px);
    margin: 0;
    padding: 6px 10px;
    border: 1px solid var(--ink);
    border-radius: 3px;
    background: var(--pencil-wash);
  }
  .benchs .taken {
    background: var(--chalk-wash);
  }
}
</style>
