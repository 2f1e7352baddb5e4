import { contentOf, KINDS, type Content } from '@sprell/contract';
import type { SlateLines } from './slate-lines.ts';
import { isWorked, nameOf } from './slate-row.ts';
import type { JobThings } from './things.ts';
import type { Inverse, LineContent } from './undo-stack.ts';

/** Gives an entry as it is to be written; the same text where nothing of it changes. */
export type Rewrite = (entry: string) => string;

/** What a rewriting is about: only entries that name it can come out otherwise. */
export interface Named {
  /** A line by its number. */
  readonly number?: number;
  /** A mark by its name. */
  readonly mark?: string | undefined;
}

/**
 * Everything of the open job that holds entries: its lines, marks and postings among them, and the fields of its things, as
 * their kinds say. All stand in one graph, which knows what each of them names. What is to be named, renamed, or replaced by
 * its value, is so in all of them by this one piece of code.
 */
export class HeldEntries {
  readonly #slate: SlateLines;
  readonly #things: JobThings;

  constructor(slate: SlateLines, things: JobThings) {
    this.#slate = slate;
    this.#things = things;
  }

  /**
   * What a sentence calls the lines and things that a rewriting would change, in the order they stand: #4, the setting-out
   * Porch.
   * @param exceptId a line that does not count
   */
  usersIn(rewrite: Rewrite, named: Named, exceptId?: string): readonly string[] {
    const naming = this.#slate.naming(named);
    const lines = this.#slate.rows.flatMap((row) => {
      if (row.kind !== 'worked' || row.line.id === exceptId || !naming.has(row.line.id)) return [];
      const { source } = row.worked.line;
      return rewrite(source) === source ? [] : [nameOf(row.line)];
    });
    const things = this.#thingsRewritten(rewrite, naming).map(({ id }) => this.#things.nameOf(id));
    return [...lines, ...things];
  }

  /**
   * Writes entries in lines and things otherwise.
   * @param exceptId a line that stays
   * @returns how to take that back
   */
  rewrite(rewrite: Rewrite, named: Named, exceptId?: string): readonly Inverse[] {
    const naming = this.#slate.naming(named);
    const lines = [...this.#slate.all()].filter(({ id, deleted }) => id !== exceptId && !deleted && naming.has(id));
    return [
      ...this.rewriteLines(
        lines.map(({ id }) => id),
        rewrite,
      ),
      ...this.#thingsRewritten(rewrite, naming).flatMap(({ id, content }) => this.#things.write(id, content) ?? []),
    ];
  }

  /** Writes some lines otherwise. @returns how to take that back */
  rewriteLines(ids: readonly string[], rewrite: Rewrite): readonly Inverse[] {
    return ids.flatMap((lineId): Inverse[] => {
      const line = this.#slate.get(lineId);
      if (line === undefined || !isWorked(line)) return [];
      const { position, source, label, note } = line;
      const before = this.#slate.shown(source);
      const after = rewrite(before);
      if (after === before) return [];
      const content: LineContent = { position, source, label, note };
      this.#slate.write(line, { ...content, source: this.#slate.stored(after) });
      return [{ kind: 'write', lineId, content, says: '' }];
    });
  }

  /** The things whose entries come out otherwise, with what of them does. */
  #thingsRewritten(
    rewrite: Rewrite,
    naming: ReadonlySet<string>,
  ): readonly { readonly id: string; readonly content: Content }[] {
    return KINDS.flatMap(({ name, entries, namesOwn }) =>
      this.#things.list(name).flatMap((thing) => {
        if (!naming.has(thing.id)) return [];
        const content = contentOf(thing);
        const written = entries.flatMap((field) => {
          const after = this.#rewritten(content[field], rewrite, namesOwn);
          return after === undefined ? [] : [[field, after] as const];
        });
        return written.length === 0 ? [] : [{ id: thing.id, content: Object.fromEntries(written) }];
      }),
    );
  }

  /** A field with an entry, or a list of them; undefined where it stays as it is. */
  #rewritten(field: unknown, rewrite: Rewrite, namesOwn: boolean | undefined): unknown {
    if (Array.isArray(field)) {
      const after: unknown[] = field.map((entry) => this.#rewritten(entry, rewrite, namesOwn));
      return after.every((entry) => entry === undefined) ? undefined : after.map((entry, at) => entry ?? field[at]);
    }
    if (typeof field !== 'string' || field === '') return undefined;
    const before = this.#slate.shown(field);
    const after = rewrite(before);
    return after === before ? undefined : this.#slate.stored(after, namesOwn);
  }
}
