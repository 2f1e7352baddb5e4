import type { Givens } from '@sprell/core';
import type { Ground } from './ground.ts';
import type { SlateLines } from './slate-lines.ts';
import type { JobThings } from './things.ts';

/** A shape set out in the job, as a person knows it: the entries in its fields as they are typed, lines by their numbers. */
export interface SetOut {
  readonly id: string;
  readonly name: string;
  readonly shape: string;
  /** Which of several shapes that have these sizes; empty for the only one. */
  readonly answer: string;
  readonly givens: Givens;
}

/** The shapes that were set out and named in the open job. */
export class SetOuts {
  readonly #slate: SlateLines;
  readonly #things: JobThings;
  readonly #list: { readonly value: readonly SetOut[] };

  constructor({ holder }: Ground, slate: SlateLines, things: JobThings) {
    this.#slate = slate;
    this.#things = things;
    this.#list = holder.derived(() =>
      things.list('setout').map(({ id, name, shape, answer, fields, entries }) => ({
        id,
        name,
        shape,
        answer,
        givens: fields.map((field, at) => [field, slate.shown(entries[at] ?? '')] as const),
      })),
    );
  }

  get list(): readonly SetOut[] {
    return this.#list.value;
  }

  #asKept({ name, shape, answer, givens }: Omit<SetOut, 'id'>) {
    return {
      name: name.trim(),
      shape,
      answer,
      fields: givens.map(([field]) => field),
      entries: givens.map(([, entry]) => this.#slate.stored(entry)),
    };
  }

  /** Keeps a setting-out under a name. @returns its id */
  add(setOut: Omit<SetOut, 'id'>): string {
    return this.#things.add('setout', this.#asKept(setOut));
  }
  edit({ id, ...setOut }: SetOut): void {
    this.#things.edit<'setout'>(id, this.#asKept(setOut));
  }
  remove(id: string): void {
    this.#things.remove(id);
  }
}
