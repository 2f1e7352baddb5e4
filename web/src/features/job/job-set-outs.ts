import type { Givens } from '@sprell/core';
import { computed } from 'vue';
import type { JobThings } from './job-things.ts';
import type { Inverse } from './undo-stack.ts';

/** A shape set out in the job, as a person knows it: the entries in its fields as they are typed, lines by their numbers. */
export interface SetOut {
  readonly id: string;
  readonly name: string;
  readonly shape: string;
  /** Which of several shapes that have these sizes; empty for the only one. */
  readonly answer: string;
  readonly givens: Givens;
}

/** What the setting-outs need of the open job. */
export interface JobWithSetOuts {
  readonly things: JobThings;
  /** An entry as it is kept, its lines by their ids; and as it is typed. */
  stored(source: string): string;
  shown(stored: string): string;
}

/** The shapes that were set out and named in the open job. */
export function useSetOuts({ things, stored, shown }: JobWithSetOuts) {
  const setOuts = computed<readonly SetOut[]>(() =>
    things.list('setout').map(({ id, name, shape, answer, fields, entries }) => ({
      id,
      name,
      shape,
      answer,
      givens: fields.map((field, at) => [field, shown(entries[at] ?? '')] as const),
    })),
  );

  const asKept = ({ name, shape, answer, givens }: Omit<SetOut, 'id'>) => ({
    name: name.trim(),
    shape,
    answer,
    fields: givens.map(([field]) => field),
    entries: givens.map(([, entry]) => stored(entry)),
  });

  /** Keeps a setting-out under a name. @returns its id */
  function addSetOut(setOut: Omit<SetOut, 'id'>): string {
    return things.add('setout', asKept(setOut));
  }
  function editSetOut({ id, ...setOut }: SetOut): void {
    things.edit<'setout'>(id, asKept(setOut));
  }
  function removeSetOut(id: string): void {
    things.remove(id);
  }

  type Rewrite = (entry: string) => string;
  const rewritten = ({ givens }: SetOut, rewrite: Rewrite): Givens | undefined => {
    const written = givens.map(([field, entry]) => [field, rewrite(entry)] as const);
    return written.some(([, entry], at) => entry !== givens[at]?.[1]) ? written : undefined;
  };
  /** What the setting-outs are called that writing entries anew would change: they use what is written otherwise. */
  const setOutsWith = (rewrite: Rewrite): readonly string[] =>
    setOuts.value
      .filter((setOut) => rewritten(setOut, rewrite) !== undefined)
      .map(({ name }) => `the setting-out ${name}`);
  /**
   * Writes their entries anew.
   * @param isMeant those by whose id it says so
   * @returns how to take that back
   */
  function rewriteSetOuts(rewrite: Rewrite, isMeant: (id: string) => boolean = () => true): readonly Inverse[] {
    return setOuts.value.flatMap((setOut) => {
      const givens = isMeant(setOut.id) ? rewritten(setOut, rewrite) : undefined;
      return (givens && things.write(setOut.id, asKept({ ...setOut, givens }))) ?? [];
    });
  }

  return { setOuts, addSetOut, editSetOut, removeSetOut, inner: { setOutsWith, rewriteSetOuts } };
}
