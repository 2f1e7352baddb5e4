<script setup lang="ts">
/** One input of a jig as it is written. */
import { Trash2 } from 'lucide-vue-next';
import { describeIssue, type Issue } from '@sprell/core';
import { INPUT_KINDS, type InputKind, type JigInput } from '@sprell/core/jig';
import IconButton from '../../ui/IconButton.vue';
import PickList from '../../ui/PickList.vue';
import TextField from '../../ui/TextField.vue';
import JigEntry from './JigEntry.vue';
import NameField from './NameField.vue';

defineProps<{ input: JigInput; issueOf: (field: string) => Issue | undefined }>();
const emit = defineEmits<{
  write: [said: Partial<JigInput>];
  rename: [name: string];
  /** Its title was written: it may be named after it. */
  titled: [];
  remove: [];
}>();

const KINDS = INPUT_KINDS.map((kind): readonly [InputKind, string] => [
  kind,
  kind === 'rate' ? 'so much for each' : kind,
]);
</script>

<template>
  <li class="card">
    <div class="fields">
      <TextField
        :model-value="input.title"
        label="What is asked for"
        placeholder="Width of the deck"
        maxlength="120"
        data-field="title"
        @update:model-value="(title: string) => emit('write', { title })"
        @blur="emit('titled')"
      />
      <NameField
        label="Name in the steps"
        placeholder="width"
        :name="input.name"
        :issue="issueOf('name')"
        @rename="(name) => emit('rename', name)"
      />
      <PickList
        :model-value="input.kind"
        label="Kind"
        :choices="KINDS"
        @update:model-value="(kind?: InputKind) => emit('write', { kind: kind ?? 'length' })"
      />
      <JigEntry
        :model-value="input.usual"
        label="Usual value"
        data-field="usual"
        :issue="issueOf('usual')"
        @update:model-value="(usual: string) => emit('write', { usual })"
      />
    </div>
    <details>
      <summary>Unit, limits, hint</summary>
      <div class="fields">
        <div>
          <TextField
            :model-value="input.unit"
            label="A bare number is in"
            placeholder="in"
            maxlength="40"
            @update:model-value="(unit: string) => emit('write', { unit })"
          />
          <p v-if="issueOf('unit')" class="wrong">{{ describeIssue(issueOf('unit') as Issue) }}</p>
        </div>
        <JigEntry
          :model-value="input.metric"
          label="Usual in a metric job"
          :issue="issueOf('metric')"
          @update:model-value="(metric: string) => emit('write', { metric })"
        />
        <JigEntry
          :model-value="input.least"
          label="At least"
          :issue="issueOf('least')"
          @update:model-value="(least: string) => emit('write', { least })"
        />
        <JigEntry
          :model-value="input.most"
          label="At most"
          :issue="issueOf('most')"
          @update:model-value="(most: string) => emit('write', { most })"
        />
        <TextField
          is-wide
          :model-value="input.hint"
          label="Hint"
          maxlength="120"
          @update:model-value="(hint: string) => emit('write', { hint })"
        />
        <el-checkbox
          :model-value="input.whole"
          label="Whole numbers only"
          @update:model-value="(whole) => emit('write', { whole: whole === true })"
        />
      </div>
    </details>
    <span class="corner">
      <IconButton name="Delete this input" @click="emit('remove')"><Trash2 :size="18" aria-hidden="true" /></IconButton>
    </span>
  </li>
</template>

<style scoped src="./writing.css"></style>
<style scoped>
summary {
  min-height: 44px;
  padding: 10px 0 0;
  cursor: pointer;
}
</style>
