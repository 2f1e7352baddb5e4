<script setup lang="ts">
/** The one line being typed. Enter lands it; what is wrong with it, and the fixes, stand beneath. Nothing typed is ever lost. */
import { computed, ref, useId } from 'vue';
import { describeIssue, type Fix, type Reckoned } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';

const props = defineProps<{
  label: string;
  /** The entry worked out, undefined while it is empty. */
  reckoned: Reckoned | undefined;
  /** Editing a line that stands on the slate rather than writing a new one. */
  editing?: boolean;
}>();
const emit = defineEmits<{ land: []; cancel: [] }>();
const model = defineModel<string>({ required: true });

const input = ref<HTMLInputElement>();
const inputId = useId();
const messageId = useId();
/** Enter was pressed on an entry that stops short: from then on that is said, and no earlier. */
const insisted = ref(false);

const issue = computed(() => {
  const found = props.reckoned?.issue;
  return found && (found.code !== 'entry.unfinished' || insisted.value) ? found : undefined;
});
const ghost = computed(() => props.reckoned?.parsed.ghost ?? '');
const fixes = computed<readonly Fix[]>(() => issue.value?.fixes ?? []);

function typed(event: Event): void {
  insisted.value = false;
  model.value = (event.target as HTMLInputElement).value;
}

function enter(): void {
  if (props.reckoned?.issue) insisted.value = true;
  else if (props.reckoned) emit('land');
}

function apply(fix: Fix): void {
  model.value = fix.entry;
  input.value?.focus();
}

function focus(): void {
  input.value?.focus();
}
defineExpose({ focus });
</script>

<template>
  <div class="entry">
    <label class="sr-only" :for="inputId">{{ label }}</label>
    <div class="field" :class="{ wrong: issue }">
      <span class="typing">
        <input
          :id="inputId"
          ref="input"
          :value="model"
          data-test="entry"
          autocomplete="off"
          autocapitalize="off"
          autocorrect="off"
          spellcheck="false"
          enterkeyhint="done"
          placeholder="9'-7 1/4&quot; + 2' 9 3/8&quot;"
          :aria-invalid="issue !== undefined"
          :aria-describedby="issue && messageId"
          @input="typed"
          @keydown.enter.prevent="enter"
          @keydown.esc="emit('cancel')"
        />
        <span v-if="ghost" class="ghost" aria-hidden="true"
          ><span class="under">{{ model }}</span
          >{{ ghost }}</span
        >
      </span>
      <PlainButton v-if="editing" @click="emit('cancel')">Leave</PlainButton>
      <PlainButton leading :disabled="reckoned === undefined" data-test="land" @click="enter">{{
        editing ? 'Keep' : 'Enter'
      }}</PlainButton>
    </div>
    <div v-if="issue" :id="messageId" class="message" role="alert">
      <p>{{ describeIssue(issue) }}</p>
      <div v-if="fixes.length > 0" class="fixes">
        <PlainButton v-for="fix in fixes" :key="fix.entry" @click="apply(fix)">{{ fix.label }}</PlainButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.field {
  display: flex;
  gap: 8px;
  padding: 8px;
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
.typing {
  position: relative;
  flex: 1;
  min-width: 0;
}
input {
  width: 100%;
  min-height: var(--touch);
  border: 0;
  background: none;
  font-family: var(--figures);
  font-size: 24px;
  font-weight: 500;
  padding: 0 6px;
}
input:focus {
  outline: none;
}
input::placeholder {
  color: #766f60;
  opacity: 1;
}
.ghost {
  position: absolute;
  inset: 0;
  display: flex;
  align-items: center;
  padding: 0 6px;
  font-family: var(--figures);
  font-size: 24px;
  font-weight: 500;
  color: #8a8373;
  white-space: pre;
  overflow: hidden;
  pointer-events: none;
}
.under {
  visibility: hidden;
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
</style>
