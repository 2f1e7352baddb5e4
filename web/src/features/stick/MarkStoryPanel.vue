<script setup lang="ts">
/** One mark: its value, how it came to it, and everything that can be done with it. */
import type { InputInstance } from 'element-plus';
import { computed, nextTick, ref, watch } from 'vue';
import { Hand } from 'lucide-vue-next';
import { kindOf, nameIssue, readQuantity } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import SizeText from '../../ui/SizeText.vue';
import TextField from '../../ui/TextField.vue';
import SizeField from '../../parts/field/SizeField.vue';
import AtHand from '../../parts/field/AtHand.vue';
import { useAtHand } from '../../parts/field/use-at-hand.ts';
import ResultUses from '../../parts/result/ResultUses.vue';
import { useSize } from '../../parts/field/use-size.ts';
import IssueText from '../../parts/field/IssueText.vue';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useJob } from '../../live/use-jobs.ts';
import { MarkStories, type MarkStory } from '../../job/mark-story.ts';
import LedgerRow from './LedgerRow.vue';

const props = defineProps<{ story: MarkStory }>();
const emit = defineEmits<{ use: [name: string]; renamed: [name: string]; removed: [] }>();

const job = useJob();
const stories = new MarkStories(job);
const name = computed(() => props.story.mark.name);
const plain = computed(() => props.story.mark.quantity && readQuantity(props.story.mark.quantity, job.style).plain);
const isHeld = computed(() => job.marks.inHand?.name === name.value);
const now = Date.now();

const use = useAtHand();
/** They stand above the keys there. */
const ownKeys = useOwnKeys();

const newName = ref<string>();
const isRemoving = ref(false);
const posting = ref('');
const note = ref(props.story.note);
watch(name, () => {
  newName.value = undefined;
  isRemoving.value = false;
  posting.value = '';
});
watch(
  () => [name.value, props.story.note],
  () => (note.value = props.story.note),
);

const nameProblem = computed(() => {
  const wanted = newName.value?.trim() ?? '';
  if (wanted === '' || wanted === name.value) return undefined;
  const others = job.marks.list.map((mark) => mark.name).filter((other) => other !== name.value);
  return nameIssue(wanted, others);
});
const nameField = ref<InputInstance>();
const header = ref<HTMLElement>();
/** The old name is there to be written over. */
async function askName(): Promise<void> {
  newName.value = name.value;
  await nextTick();
  nameField.value?.focus();
  nameField.value?.select();
}
async function leaveName(): Promise<void> {
  newName.value = undefined;
  await nextTick();
  header.value?.querySelector<HTMLElement>('[data-test=rename]')?.focus();
}
function rename(): void {
  const wanted = newName.value?.trim() ?? '';
  if (wanted === '' || nameProblem.value) return;
  void leaveName();
  if (wanted === name.value) return;
  stories.rename(name.value, wanted);
  emit('renamed', wanted);
}

/** To a count, a number without a unit is a number. */
const isCount = () =>
  props.story.mark.quantity !== undefined && kindOf(props.story.mark.quantity.dimension) !== 'length';
const { quantity: amount, reckoned, written } = useSize(posting, () => (isCount() ? { bare: 'plain' as const } : {}));
const unlike = computed(
  () =>
    amount.value !== undefined &&
    props.story.mark.quantity !== undefined &&
    amount.value.dimension !== props.story.mark.quantity.dimension,
);
const amountText = computed(() => reckoned.value?.reading?.text ?? '');
function post(sign: '+=' | '-='): void {
  if (amount.value === undefined || unlike.value) return;
  const back =
    sign === '+=' ? `Remove ${amountText.value} from ${name.value}` : `Put ${amountText.value} back on ${name.value}`;
  job.lines.land(`${name.value} ${sign} ${written()}`, undefined, back);
  posting.value = '';
}
function writeOver(): void {
  if (amount.value === undefined) return;
  job.lines.land(`${name.value} = ${written()}`, undefined, `Put ${name.value} back to ${props.story.mark.reading}`);
  posting.value = '';
}

function setNote(): void {
  if (props.story.base) job.lines.setNote(props.story.base.lineId, note.value);
}
function remove(keepValues: boolean): void {
  stories.removeMarks([name.value], keepValues);
  emit('removed');
}
const usedBy = computed(() => props.story.usedBy.join(', '));
</script>

<template>
  <section class="story" :aria-label="`Mark ${name}`" data-test="story">
    <header ref="header">
      <form v-if="newName !== undefined" class="rename" @submit.prevent="rename" @keydown.esc="leaveName">
        <el-input
          ref="nameField"
          v-model="newName"
          aria-label="New name of the mark"
          maxlength="60"
          autocapitalize="off"
          autocomplete="off"
          data-test="new-name"
        />
        <PlainButton leading type="submit" data-test="rename-now">Rename</PlainButton>
        <PlainButton @click="leaveName">Cancel</PlainButton>
        <p v-if="nameProblem" class="problem" role="alert">
          <IssueText :issue="nameProblem" @mend="(fix) => (newName = fix.entry)" />
        </p>
        <p v-else-if="usedBy" class="aside">{{ usedBy }} will say the new name.</p>
      </form>
      <template v-else>
        <h2>{{ name }}</h2>
        <PlainButton data-test="rename" @click="askName">Rename</PlainButton>
      </template>
    </header>
    <div class="value" :class="{ wrong: story.mark.problem }">
      <SizeText :text="story.mark.reading" data-test="mark-value" />
      <ResultUses v-if="story.mark.quantity" :name :entry="() => name" :plain />
    </div>
    <p v-if="story.mark.problem" class="problem" role="alert">{{ story.mark.problem }}</p>

    <div class="actions">
      <PlainButton leading data-test="use-mark" title="Put it in the entry on the bench" @click="emit('use', name)"
        >Use</PlainButton
      >
      <PlainButton :aria-pressed="isHeld" data-test="hold" @click="job.marks.takeInHand(name)"
        ><Hand :size="18" aria-hidden="true" />{{ isHeld ? 'Active' : 'Use this one' }}</PlainButton
      >
      <PlainButton data-test="remove-mark" @click="isRemoving = true">Delete</PlainButton>
    </div>
    <QuestionDialog v-if="isRemoving" :title="`Delete ${name}?`" @leave="isRemoving = false">
      <p>
        <template v-if="story.usedBy.length > 0">{{ name }} is used by {{ usedBy }}.</template>
        The line that kept it stays on the slate without the name<template v-if="story.postings.length > 0"
          >; its postings are struck out</template
        >.
      </p>
      <template #answers>
        <PlainButton
          v-if="story.usedBy.length > 0 && story.mark.quantity"
          leading
          data-test="remove-keeping"
          @click="remove(true)"
          >Keep its value</PlainButton
        >
        <PlainButton data-test="remove-now" @click="remove(false)">Delete</PlainButton>
        <PlainButton @click="isRemoving = false">Cancel</PlainButton>
      </template>
    </QuestionDialog>

    <div class="post">
      <SizeField v-model="posting" label="Add, subtract or replace" placeholder="any size or sum" @enter="post('+=')" />
      <AtHand v-if="!ownKeys" class="at-hand" @use="use" />
      <div class="actions">
        <PlainButton :disabled="!amount || unlike" data-test="post-on" @click="post('+=')">+ add</PlainButton>
        <PlainButton :disabled="!amount || unlike" data-test="post-off" @click="post('-=')">− subtract</PlainButton>
        <PlainButton :disabled="!amount" data-test="write-over" @click="writeOver">= replace</PlainButton>
      </div>
      <p v-if="unlike" class="problem" role="alert">
        {{ name }} and this are of different kinds: they do not add up. Write it over, or keep this as a mark of its
        own.
      </p>
    </div>

    <h3>How it came to this</h3>
    <ul class="ledger" data-test="ledger">
      <LedgerRow
        v-if="story.base"
        :entry="story.base"
        :is-posting="false"
        :now
        @freeze="stories.freeze(story.base.lineId)"
      />
      <LedgerRow
        v-for="entry in story.postings"
        :key="entry.lineId"
        :entry
        is-posting
        :now
        @strike="stories.strike(entry.lineId)"
        @put-back="stories.putBack(entry.lineId)"
        @freeze="stories.freeze(entry.lineId)"
      />
    </ul>
    <template v-if="story.before.length > 0">
      <h3>Written over</h3>
      <ul class="ledger" data-test="before">
        <li v-for="old in [...story.before].reverse()" :key="old.lineId" class="old">
          was <SizeText class="figure" :text="old.amount" /> in #{{ old.number }}
        </li>
      </ul>
    </template>
    <h3>Used by</h3>
    <ul v-if="story.users.length > 0" class="ledger" data-test="users">
      <li v-for="user in story.users" :key="user.id" class="old">#{{ user.number }} <SizeText :text="user.entry" /></li>
    </ul>
    <p v-else class="aside">No line uses it.</p>
    <TextField
      v-model="note"
      label="Note"
      maxlength="2000"
      placeholder="what, where, by whom"
      :disabled="!story.base"
      data-test="mark-note"
      @change="setNote"
    />
  </section>
</template>

<style scoped>
.story {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
h2 {
  margin: 0;
  font-size: 24px;
  font-weight: 600;
  overflow-wrap: anywhere;
}
h3 {
  margin: 8px 0 0;
  font-size: 16px;
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
.value {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  margin: 0;
  font: 600 44px/1.1 var(--figures);
}
.wrong {
  color: var(--pencil);
}
.rename {
  display: flex;
  flex-wrap: wrap;
  flex: 1;
  gap: 6px;
}
.rename .el-input {
  flex: 1 1 8em;
}
.rename p {
  flex: 1 0 100%;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.actions [aria-pressed='true'] {
  border-color: var(--chalk);
  color: var(--chalk);
}
.at-hand {
  padding: 0;
}
.post {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.ledger {
  margin: 0;
  padding: 0;
  list-style: none;
}
.old {
  padding: 6px 0;
  border-bottom: 1px solid var(--groove);
}
.figure {
  font-family: var(--figures);
  font-weight: 600;
}
.aside,
.problem {
  margin: 0;
  color: var(--ink-soft);
}
.problem {
  color: var(--pencil);
}
</style>
