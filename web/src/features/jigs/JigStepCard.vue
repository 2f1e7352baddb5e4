<script setup lang="ts">
/** One step of a jig as it is written, with what it comes to by the usual values. */
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-vue-next';
import type { Issue } from '@sprell/core';
import type { Figure, JigRepeat, JigStep } from '@sprell/core/jig';
import IconButton from '../../ui/IconButton.vue';
import PickList from '../../ui/PickList.vue';
import TextField from '../../ui/TextField.vue';
import type { NamedMark } from '../../parts/entry/suggestions.ts';
import JigEntry from './JigEntry.vue';
import NameField from './NameField.vue';

const props = defineProps<{
  step: JigStep;
  issueOf: (field: string) => Issue | undefined;
  reading: string | undefined;
  names: readonly NamedMark[];
  /** Figures of its entry that could be inputs. */
  figures: readonly Figure[];
  isFirst: boolean;
  isLast: boolean;
}>();
const emit = defineEmits<{
  write: [said: Partial<JigStep>];
  rename: [name: string];
  titled: [];
  toInput: [figure: Figure];
  move: [by: -1 | 1];
  remove: [];
}>();

const TAKES = [
  ['once', 'once'],
  ['sum', 'repeated, added up'],
  ['largest', 'repeated, the largest'],
  ['smallest', 'repeated, the smallest'],
  ['list', 'repeated, as a list'],
] as const;
type Takes = (typeof TAKES)[number][0];
const NEW_REPEAT = { counter: 'n', from: '1', to: '' } as const;

function setTake(take: Takes): void {
  emit('write', { repeat: take === 'once' ? null : { ...NEW_REPEAT, ...props.step.repeat, take } });
}
function writeRepeat(said: Partial<JigRepeat>): void {
  if (props.step.repeat) emit('write', { repeat: { ...props.step.repeat, ...said } });
}
</script>

<template>
  <li class="card">
    <div class="fields">
      <TextField
        :model-value="step.title"
        label="What it is"
        placeholder="Boards"
        maxlength="120"
        data-field="title"
        @update:model-value="(title: string) => emit('write', { title })"
        @blur="emit('titled')"
      />
      <NameField
        label="Name"
        placeholder="boards"
        :name="step.name"
        :issue="issueOf('name')"
        @rename="(name) => emit('rename', name)"
      />
      <div class="wide" data-field="entry">
        <JigEntry
          :model-value="step.entry"
          label="Entry"
          placeholder="up(width / (board + gap))"
          :names
          :issue="issueOf('entry')"
          :reading
          @update:model-value="(entry: string) => emit('write', { entry })"
        />
        <p v-if="figures.length > 0" class="figures">
          <span>Make an input of</span>
          <button
            v-for="one in figures"
            :key="one.start"
            type="button"
            :data-figure="one.text"
            @click="emit('toInput', one)"
          >
            {{ one.text }}
          </button>
        </p>
      </div>
      <PickList
        :model-value="step.repeat?.take ?? 'once'"
        label="Worked out"
        :choices="TAKES"
        @update:model-value="(take?: Takes) => setTake(take ?? 'once')"
      />
      <template v-if="step.repeat">
        <TextField
          :model-value="step.repeat.counter"
          label="The count is called"
          maxlength="40"
          @update:model-value="(counter: string) => writeRepeat({ counter })"
        />
        <JigEntry
          :model-value="step.repeat.from"
          label="From"
          :names
          :issue="issueOf('from')"
          @update:model-value="(from: string) => writeRepeat({ from })"
        />
        <JigEntry
          :model-value="step.repeat.to"
          label="To"
          :names
          :issue="issueOf('to')"
          @update:model-value="(to: string) => writeRepeat({ to })"
        />
      </template>
      <TextField
        :model-value="step.note"
        label="Note"
        maxlength="500"
        @update:model-value="(note: string) => emit('write', { note })"
      />
      <el-checkbox
        :model-value="step.isAnswer"
        label="An answer"
        data-test="is-answer"
        @update:model-value="(isAnswer) => emit('write', { isAnswer: isAnswer === true })"
      />
    </div>
    <span class="corner">
      <IconButton name="Move this step up" :disabled="isFirst" @click="emit('move', -1)"
        ><ArrowUp :size="18" aria-hidden="true"
      /></IconButton>
      <IconButton name="Move this step down" :disabled="isLast" @click="emit('move', 1)"
        ><ArrowDown :size="18" aria-hidden="true"
      /></IconButton>
      <IconButton name="Delete this step" @click="emit('remove')"><Trash2 :size="18" aria-hidden="true" /></IconButton>
    </span>
  </li>
</template>

<style scoped src="./writing.css"></style>
<style scoped>
.figures {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin: 0;
  color: var(--ink-soft);
  font-size: 15px;
}
.figures button {
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font: 600 16px/1 var(--figures);
  cursor: pointer;
}
</style>
