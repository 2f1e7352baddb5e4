import type { LineWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { KeptConflict } from '../adapters/local/local-store.ts';
import { sameWords } from '../adapters/local/settled.ts';
import type { Conflict } from './conflict.ts';
import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import type { SlateLines } from './slate-lines.ts';

/** The versions that two devices made of one line: both are kept until somebody chooses. */
export class Conflicts {
  readonly #ground: Ground;
  readonly #slate: SlateLines;
  readonly #addAgain: (line: LineWire) => void;
  readonly #kept: Cell<readonly KeptConflict[]>;
  readonly #list: { readonly value: readonly Conflict[] };

  /** @param addAgain puts what a line said on the slate as a new one */
  constructor(ground: Ground, slate: SlateLines, addAgain: (line: LineWire) => void) {
    this.#ground = ground;
    this.#slate = slate;
    this.#addAgain = addAgain;
    this.#kept = ground.holder.cell<readonly KeptConflict[]>([]);
    this.#list = ground.holder.derived(() =>
      this.#kept.value.flatMap((kept) => {
        const row = slate.rows.find(({ line }) => line.id === kept.lineId);
        return this.#toConflict(kept, row?.line) ?? [];
      }),
    );
  }

  /** Those that still are conflicts: a line may say by now what was written here. */
  get list(): readonly Conflict[] {
    return this.#list.value;
  }

  show(kept: readonly KeptConflict[]): void {
    this.#kept.value = kept;
  }

  #toConflict(kept: KeptConflict, standing: LineWire | undefined): Conflict | undefined {
    const { mine } = kept;
    // A line that was on a page alone may have gone with it.
    const line = standing ?? this.#slate.get(kept.lineId) ?? { ...mine, deleted: true };
    if (sameWords(mine, line)) return undefined;
    return {
      kept,
      line,
      mineSays: mine.deleted ? undefined : this.#slate.whatItSays({ ...mine, number: line.number }),
      theirsSays: line.deleted ? undefined : this.#slate.whatItSays(line),
    };
  }

  /** A version of a line that does not replace the other: both are kept until somebody chooses. */
  keepBoth(lineId: string, mine: LineWire): void {
    const jobId = this.#ground.jobId ?? '';
    const kept: KeptConflict = { id: uuidv7(), lineId, jobId, mine, changes: [] };
    this.#kept.value = [...this.#kept.value, kept];
    void this.#ground.device.store().then((local) => local.keepConflict(kept));
  }

  /** Settles a conflict: with one's own words, or by leaving the line as it is now. */
  resolve({ kept }: Conflict, keep: 'mine' | 'theirs'): void {
    if (keep === 'mine' && this.#ground.refusesReader()) return;
    this.#kept.value = this.#kept.value.filter(({ id }) => id !== kept.id);
    void this.#ground.device.store().then((local) => local.dropConflict(kept));
    if (keep === 'theirs') return;
    const line = this.#slate.get(kept.lineId);
    if (!line) {
      this.#addAgain(kept.mine);
      return;
    }
    if (line.deleted !== kept.mine.deleted) this.#slate.setDeleted(line, kept.mine.deleted);
    if (!kept.mine.deleted) this.#slate.write(this.#slate.get(line.id) as LineWire, kept.mine);
  }
}
