<script setup lang="ts">
/** Setting out: a shape from the sizes that are known, drawn to scale as they are written. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue';
import {
  describeIssue,
  isMetric,
  nameFromLabel,
  readQuantity,
  slateEntry,
  SOLVERS,
  type Ends,
  type Field,
  type Solver,
} from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import ScreenHead from '../bench/ScreenHead.vue';
import { useJobStore } from '../job/job.store.ts';
import ArcOrdinates from './ArcOrdinates.vue';
import AtHand from './AtHand.vue';
import FigurePicture from './FigurePicture.vue';
import ShapeField from './ShapeField.vue';
import ShapeList from './ShapeList.vue';
import { SAMPLES } from './samples.ts';
import { useSetOut } from './use-set-out.ts';
import { wantedWords } from './wanted-words.ts';

const SpacingMarks = defineAsyncComponent(() => import('./SpacingMarks.vue'));

const props = defineProps<{ shape: string }>();

const store = useJobStore();
onMounted(async () => {
  if (store.job === undefined) await store.start();
});

const solver = computed(() => SOLVERS.find(({ id }) => id === props.shape) ?? (SOLVERS[0] as Solver));
const { givens, given, give, clear, solved, chosen, answer, read, readings } = useSetOut(solver);

const form = ref<HTMLElement>();
const active = ref<string>();
watch(solver, () => (active.value = undefined));
/** What can be written first, then what comes of it. */
const fields = computed(() => {
  const all = [...solver.value.fields, ...(solver.value.asks ?? [])];
  const isThere = ({ id, besides }: Field) => besides !== true || answer.value?.known[id] !== undefined;
  return [...all.filter((field) => field.given), ...all.filter((field) => !field.given && isThere(field))];
});
/** What holds where a field is left empty; before anything is given, what could be. */
function hint({ id, otherwise }: Field): string | undefined {
  if (otherwise) return isMetric(store.style.length) ? otherwise.metric : otherwise.imperial;
  return givens.value.length === 0 ? SAMPLES[solver.value.id]?.find(([field]) => field === id)?.[1] : undefined;
}
const isFound = (field: Field) => answer.value?.known[field.id]?.how === 'found';

/** Goes to a field: by a touch on its size in the picture. */
async function goTo(field: string): Promise<void> {
  active.value = field;
  await nextTick();
  form.value?.querySelector<HTMLInputElement>(`[data-field="${field}"] input`)?.focus();
}
/** Writes a mark or a line where the cursor is, or in the first field that is empty. */
function use(entry: string): void {
  const id = active.value ?? fields.value.find((field) => field.given && given(field.id) === '')?.id;
  if (id === undefined) return;
  const input = form.value?.querySelector<HTMLInputElement>(`[data-field="${id}"] input`);
  const text = given(id);
  const at = document.activeElement === input ? (input?.selectionStart ?? text.length) : text.length;
  give(id, text.slice(0, at) + entry + text.slice(at));
  void goTo(id);
}

function toSlate(field: Field): void {
  const known = answer.value?.known[field.id];
  if (known) store.land(`${field.title.toLowerCase()}: ${slateEntry(field, known)}`);
}
function keep(field: Field): void {
  const known = answer.value?.known[field.id];
  const names = store.marks.map(({ name }) => name);
  const name = nameFromLabel(field.title.toLowerCase(), names);
  if (known && name !== undefined) store.land(`${name} = ${known.entry}`);
}

/** Members over a length have places to be marked. */
const ends = computed((): Ends | undefined => {
  const { id } = solver.value;
  return id === 'spacing-gaps' ? 'gaps' : id === 'spacing-members' ? 'members' : undefined;
});

const titleOf = (id: string) => fields.value.find((field) => field.id === id)?.title ?? id;
const wanted = computed(() => wantedWords(solved.value.wanted, titleOf));
const contradiction = computed(() => {
  const found = solved.value.contradiction;
  return found && { field: found.field, says: readQuantity(found.comesOutAt, store.style).text };
});
</script>

<template>
  <main class="view">
    <ScreenHead title="Setting out" />
    <ShapeList :chosen="solver.id" />
    <div class="body">
      <section ref="form" class="form" :aria-label="solver.title">
        <div class="title">
          <h2>{{ solver.title }}</h2>
          <PlainButton :disabled="givens.length === 0" data-test="clear" @click="clear">Begin anew</PlainButton>
        </div>
        <ShapeField
          v-for="field in fields"
          :key="field.id"
          :field
          :text="given(field.id)"
          :placeholder="hint(field)"
          :issue="solved.issues[field.id]"
          :found="read(field)"
          :is-found="isFound(field)"
          :active="active === field.id"
          @give="(entry) => give(field.id, entry)"
          @focus="active = field.id"
          @slate="toSlate(field)"
          @keep="keep(field)"
        />
      </section>
      <div class="work">
        <div v-if="solved.answers.length > 1" class="answers" role="radiogroup" aria-label="Which of the two">
          <label v-for="(one, at) in solved.answers" :key="at" :class="{ chosen: chosen === at }">
            <input v-model="chosen" type="radio" name="answer" :value="at" />{{ one.title }}
          </label>
        </div>
        <p v-if="contradiction" class="says problem" role="status">
          <span
            >{{ titleOf(contradiction.field) }} comes out at <SizeText :text="contradiction.says" /> from the rest. Take
            one of them out.</span
          >
          <PlainButton data-test="take-out" @click="give(contradiction.field, '')"
            >Take {{ titleOf(contradiction.field) }} out</PlainButton
          >
        </p>
        <p v-else-if="solved.impossible" class="says problem" role="status">{{ describeIssue(solved.impossible) }}</p>
        <p v-else-if="wanted" class="says" role="status" data-test="wanted">{{ wanted }}</p>
        <ul v-if="answer && answer.breaks.length > 0" class="says problem" role="status" data-test="breaks">
          <li v-for="one in answer.breaks" :key="one.code">{{ describeIssue(one) }}</li>
        </ul>
        <FigurePicture
          v-if="answer?.figure"
          class="figure"
          :figure="answer.figure"
          :title="solver.title"
          :readings
          :active
          @pick="goTo"
        />
        <div v-else class="figure" />
        <AtHand @use="use" />
        <ArcOrdinates v-if="solver.id === 'arc' && answer?.figure" class="marks" :answer />
        <SpacingMarks v-if="ends && answer?.figure" class="marks" :answer :ends />
      </div>
    </div>
  </main>
</template>

<style scoped>
.view {
  display: flex;
  flex-direction: column;
  min-height: 100dvh;
}
.body {
  flex: 1;
  display: grid;
  grid-template-columns: 430px minmax(0, 1fr);
}
.form {
  border-right: 1px solid var(--groove);
}
.title {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--groove);
}
h2 {
  margin: 0;
  font-size: 19px;
  font-weight: 600;
}
.work {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  min-width: 0;
}
.figure {
  height: max(300px, calc(100dvh - 320px));
  background: var(--board);
  border-bottom: 1px solid var(--groove);
}
.says {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 0;
  padding: 10px 16px;
  font-size: 17px;
  background: var(--chalk-wash);
}
.problem {
  background: var(--pencil-wash);
}
ul.says {
  display: block;
  padding-left: 32px;
}
.answers {
  display: flex;
  gap: 8px;
  padding: 8px 16px;
}
.answers label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
}
.answers .chosen {
  border-color: var(--chalk);
  background: var(--chalk-wash);
  font-weight: 600;
}
@media (max-width: 820px) {
  .body {
    display: flex;
    flex-direction: column;
  }
  .work {
    display: contents;
  }
  .work > * {
    order: -1;
  }
  /* It stays in view while the fields beneath are written. */
  .figure {
    position: sticky;
    top: 0;
    z-index: 1;
    height: 236px;
  }
  .work > .marks {
    order: 1;
  }
  .form {
    border-right: 0;
  }
}
</style>
