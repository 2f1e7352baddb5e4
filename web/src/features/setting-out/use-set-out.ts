import { readField, solve, type Field, type Givens, type Solver } from '@sprell/core';
import { computed, ref, watch, type Ref } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { useJobStore } from '../job/job.store.ts';

/** What is typed for a shape, in the open job: kept on this device, and worked out as it is written. */
export function useSetOut(solver: Readonly<Ref<Solver>>) {
  const store = useJobStore();
  const key = computed(() => `set-out.${store.job?.id}.${solver.value.id}`);
  const givens = ref<Givens>(remembered<Givens>(key.value) ?? []);
  watch(key, () => (givens.value = remembered<Givens>(key.value) ?? []));

  const given = (field: string) => givens.value.find(([id]) => id === field)?.[1] ?? '';
  /** What was written last is what contradicts the rest, where something does. */
  function give(field: string, entry: string): void {
    const others = givens.value.filter(([id]) => id !== field);
    givens.value = entry === '' ? others : [...others, [field, entry]];
    remember(key.value, givens.value.length === 0 ? undefined : givens.value);
  }
  function clear(): void {
    givens.value = [];
    remember(key.value, undefined);
  }

  const solved = computed(() => {
    // The rows are what the scope was made from; a change to them is a change of scope.
    void store.rows;
    return solve(solver.value, givens.value, { scope: store.scope(), style: store.style });
  });
  const chosen = ref(0);
  watch(
    () => solved.value.answers.length,
    () => (chosen.value = 0),
  );
  const answer = computed(() => solved.value.answers[chosen.value] ?? solved.value.answers[0]);
  const read = (field: Field) => {
    const known = answer.value?.known[field.id];
    return known && { known, ...readField(field, known, store.style) };
  };
  const readings = computed(() =>
    Object.fromEntries(solver.value.fields.map((field) => [field.id, read(field)?.reading.text])),
  );
  return { givens, given, give, clear, solved, chosen, answer, read, readings };
}
