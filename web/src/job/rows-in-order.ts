import { comparePlaces, type LineWire } from '@sprell/contract';
import type { SlateRow } from './slate-row.ts';

/**
 * The rows of a slate in their order. Only those of lines that changed are made again and put in their place: of a job of
 * twenty thousand lines one that lands costs as much as of a short one, but for a copy of the list.
 */
export class RowsInOrder {
  readonly #makeRow: (line: LineWire) => SlateRow;
  /** Each line's row, to find it again. */
  readonly #known = new Map<string, SlateRow>();
  readonly #changed = new Set<string>();
  #rows: readonly SlateRow[] = [];
  #isAllChanged = true;

  constructor(makeRow: (line: LineWire) => SlateRow) {
    this.#makeRow = makeRow;
  }

  /** A line, or what it comes to, is another by now. */
  changed(id: string): void {
    this.#changed.add(id);
  }

  /** Every line may read otherwise: another job, or another number that entries speak of. */
  allChanged(): void {
    this.#isAllChanged = true;
  }

  /** A new list where anything changed. */
  of(lines: ReadonlyMap<string, LineWire>): readonly SlateRow[] {
    // So many are sooner sorted than sought.
    if (this.#isAllChanged || this.#changed.size > 100) this.#sort(lines);
    else if (this.#changed.size > 0) this.#putIn(lines);
    this.#changed.clear();
    this.#isAllChanged = false;
    return this.#rows;
  }

  #sort(lines: ReadonlyMap<string, LineWire>): void {
    const isKept = (line: LineWire) => !this.#isAllChanged && !this.#changed.has(line.id);
    this.#rows = [...lines.values()]
      .filter((line) => !line.deleted)
      .sort(comparePlaces)
      .map((line) => (isKept(line) && this.#known.get(line.id)) || this.#makeRow(line));
    this.#known.clear();
    for (const row of this.#rows) this.#known.set(row.line.id, row);
  }

  #putIn(lines: ReadonlyMap<string, LineWire>): void {
    const rows = [...this.#rows];
    for (const id of this.#changed) {
      const before = this.#known.get(id);
      if (before) rows.splice(placeOf(rows, before.line), 1);
      const line = lines.get(id);
      if (line === undefined || line.deleted) {
        this.#known.delete(id);
        continue;
      }
      const row = this.#makeRow(line);
      rows.splice(placeOf(rows, line), 0, row);
      this.#known.set(id, row);
    }
    this.#rows = rows;
  }
}

/** Where a line stands, or would stand. */
function placeOf(rows: readonly SlateRow[], line: LineWire): number {
  let [from, to] = [0, rows.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (comparePlaces((rows[middle] as SlateRow).line, line) < 0) from = middle + 1;
    else to = middle;
  }
  return from;
}
