import { readField, reckonTyped, solve, type Field, type Givens, type Solver } from '@sprell/core';
import { computed, ref, watch, type Ref } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';
import type { SetOut } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import { VOLUME_UNITS, VOLUMES_IN } from '../../parts/figure/volume-units.ts';

/** What stands in the fields of a shape: kept on this device until it is kept in the job under a name. */
export interface Draft {
  readonly givens: Givens;
  /** Which of several answers is looked at, by its title. */
  readonly answer: string;
  /** The setting-out of the job that it was opened from. */
  readonly setOutId: string | undefined;
  /** What that said when it was opened: fields that say so still follow it. */
  readonly opened?: string | undefined;
}
const EMPTY: Draft = { givens: [], answer: '', setOutId: undefined };

/** What fields say, in whatever order they were given. */
const said = ({ givens, answer }: Pick<Draft, 'givens' | 'answer'>) =>
  JSON.stringify([answer, ...[...givens].sort(([one], [other]) => (one < other ? -1 : 1))]);
const draftOf = ({ id, answer, givens }: SetOut): Draft => ({
  givens,
  answer,
  setOutId: id,
  opened: said({ givens, answer }),
});

/** Puts a setting-out of the job into the fields of its shape, for when that is shown next. */
export function putInFields(jobId: string | undefined, setOut: SetOut): void {
  remember(draftKey(jobId, setOut.shape), draftOf(setOut));
}

/** Kinds of fields in which a number without a unit can be a size. */
const SIZES: ReadonlySet<string> = new Set(['length']);
const draftKey = (jobId: string | undefined, shape: string) => `set-out.${jobId}.${shape}`;

/** The fields of a shape in the open job, worked out as they are written. */
export function useSetOut(solver: Readonly<Ref<Solver>>) {
  const job = useJob();
  const key = computed(() => draftKey(job.head?.id, solver.value.id));
  const draft = ref<Draft>(EMPTY);
  /** What stood in the fields before all of them were written over at once. */
  const before = ref<Draft>();
  watch(
    key,
    () => {
      // The fields were kept by themselves once.
      const kept = remembered<Draft | Givens>(key.value) ?? EMPTY;
      draft.value = 'givens' in kept ? kept : { ...EMPTY, givens: kept };
      before.value = undefined;
    },
    { immediate: true },
  );
  function keep(next: Draft): void {
    draft.value = next;
    const isEmpty = next.givens.length === 0 && next.setOutId === undefined;
    remember(key.value, isEmpty ? undefined : next);
  }

  const givens = computed(() => draft.value.givens);
  const given = (field: string) => givens.value.find(([id]) => id === field)?.[1] ?? '';
  /** What was written last is what contradicts the rest, where something does. */
  function give(field: string, entry: string): void {
    const others = givens.value.filter(([id]) => id !== field);
    keep({ ...draft.value, givens: entry === '' ? others : [...others, [field, entry]] });
    before.value = undefined;
  }
  /** Other contents for all fields at once; the old contents can be restored. */
  function replace(next: Draft): void {
    const was = draft.value;
    keep(next);
    before.value = was.givens.length === 0 ? undefined : was;
  }
  const clear = () => replace(EMPTY);
  const goBack = () => before.value && replace(before.value);
  const open = (setOut: SetOut) => replace(draftOf(setOut));
  /** The fields are from now on those of a setting-out of the job, which says what they say. */
  const belongTo = (setOutId: string) => keep({ ...draft.value, setOutId, opened: said(draft.value) });

  /** The setting-out of the job that the fields belong to; undefined for one that was deleted meanwhile. */
  const opened = computed(() =>
    job.setOuts.list.find(({ id, shape }) => id === draft.value.setOutId && shape === solver.value.id),
  );

  // What is changed in it elsewhere comes into fields that nobody touched.
  watch(
    opened,
    (now) => {
      if (now && draft.value.opened === said(draft.value) && said(now) !== draft.value.opened) keep(draftOf(now));
    },
    { immediate: true },
  );

  /** The entries as they are kept: a number without a unit is a size where the field is one. */
  const sized = computed((): Givens => {
    const options = { scope: job.slate.scope(), style: job.style, bare: job.reading.bare };
    return givens.value.map(([id, text]) => [
      id,
      SIZES.has(kindOfField(id)) ? reckonTyped(text, options).written : text,
    ]);
  });
  /** What is given besides the fields, where marks stand, is a length. */
  const kindOfField = (id: string) => allFields.value.find((field) => field.id === id)?.kind ?? 'length';
  const solved = computed(() => {
    return solve(solver.value, sized.value, { scope: job.slate.scope(), style: job.style });
  });
  const chosen = computed({
    get: () =>
      Math.max(
        0,
        solved.value.answers.findIndex(({ title }) => title === draft.value.answer),
      ),
    set: (at) => keep({ ...draft.value, answer: solved.value.answers[at]?.title ?? '' }),
  });
  const answer = computed(() => solved.value.answers[chosen.value]);
  const isChanged = computed(() => opened.value !== undefined && said(opened.value) !== said(draft.value));

  /** The unit of volumes that was chosen for this shape. */
  const volumeUnit = computed(() => VOLUME_UNITS.find(({ words }) => words === given(VOLUMES_IN)));
  const read = (field: Field) => {
    const known = answer.value?.known[field.id];
    return known && { known, ...readField(field, known, job.style, volumeUnit.value?.form) };
  };
  const allFields = computed(() => [...solver.value.fields, ...(solver.value.asks ?? [])]);
  const readings = computed(() =>
    Object.fromEntries(allFields.value.map((field) => [field.id, read(field)?.reading.text])),
  );
  const content = () => ({ shape: solver.value.id, answer: draft.value.answer, givens: sized.value });
  return {
    givens,
    given,
    give,
    clear,
    before,
    goBack,
    opened,
    isChanged,
    belongTo,
    open,
    content,
    solved,
    chosen,
    answer,
    read,
    readings,
    volumeUnit,
  };
}
