import type { ThingWire } from '@sprell/contract';
import { isTaken, nameFromLabel } from '@sprell/core';

/** Rows of a take-off that entries name by what they are called. */
type NamedRow = Pick<ThingWire<'item'>, 'id' | 'name' | 'revision'>;

/**
 * What entries call the rows of a take-off: "Deck boards" is deck_boards. A cell holds a row by its id, so that the name may
 * change. Marks go before rows: where one has the name already, or another row has, a number stands behind it.
 */
export class RowNames {
  #byId: ReadonlyMap<string, string> = new Map();
  #byName: ReadonlyMap<string, string> = new Map();

  /** @param isOfMark whether a mark has this name, in lower case */
  update(rows: readonly NamedRow[], isOfMark: (name: string) => boolean): void {
    const byId = new Map<string, string>();
    const byName = new Map<string, string>();
    // In the order in which they came to be: a new row takes no name from another.
    for (const { id, name } of [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))) {
      const word = name === '' ? undefined : nameFromLabel(name);
      if (word === undefined) continue;
      let free = word;
      for (let number = 2; isOfMark(free.toLowerCase()) || byName.has(free.toLowerCase()) || isTaken(free); number += 1)
        free = `${word}_${number}`;
      byId.set(id, free);
      byName.set(free.toLowerCase(), id);
    }
    this.#byId = byId;
    this.#byName = byName;
  }

  nameOf(id: string): string | undefined {
    return this.#byId.get(id);
  }
  idOf(name: string): string | undefined {
    return this.#byName.get(name.toLowerCase());
  }
}
