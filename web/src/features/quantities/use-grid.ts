import { computed, nextTick, ref, type ComputedRef, type Ref } from 'vue';

/** A place in the table. */
export interface Place {
  readonly row: string;
  readonly column: string;
}

export interface GridOf {
  /** Ids of the rows and of the columns, as they are shown. */
  readonly rows: () => readonly string[];
  readonly columns: () => readonly string[];
  /** A cell that can be written in or chosen. */
  readonly canEdit: (place: Place) => boolean;
  /** What is done with a key of its own; `place` is where the cursor stands, `rows` all rows that are chosen. */
  readonly act: (what: GridAct, rows: readonly string[], place: Place) => void;
  /** The cell comes into view and takes the focus. */
  readonly show: (place: Place) => void;
}
export type GridAct =
  | 'clear'
  | 'insert-above'
  | 'insert-below'
  | 'duplicate'
  | 'fill-down'
  | 'delete'
  | 'up'
  | 'down'
  | 'copy'
  | 'cut'
  | 'find';

export interface Grid {
  readonly at: Ref<Place | undefined>;
  /** The cell that is being written in, with the letter that it was begun by. */
  readonly editing: Ref<(Place & { readonly begun: string | undefined }) | undefined>;
  readonly chosen: ComputedRef<ReadonlySet<string>>;
  readonly goTo: (place: Place, extends_?: boolean) => void;
  /** Chooses a row beside those that are chosen, or leaves it out of them. */
  readonly toggle: (row: string) => void;
  readonly chooseNone: () => void;
  readonly edit: (place: Place, begun?: string) => void;
  /** Writing ends, and the cursor goes on; `out`: what was touched outside has the focus. */
  readonly leave: (to: 'stay' | 'out' | 'down') => void;
  readonly byKey: (event: KeyboardEvent) => void;
}

const PAGE = 10;

/**
 * The keys of a table: arrows, Home, End and Page keys move, Enter and F2 write, a letter begins anew, Tab goes on to the next
 * cell, Escape leaves; Shift chooses rows. Alt and arrows move rows, Ctrl with D fills down, with Enter puts a row in.
 */
export function useGrid(of: GridOf): Grid {
  const at = ref<Place>();
  const editing = ref<Place & { readonly begun: string | undefined }>();
  /** The other end of what is chosen. */
  const anchor = ref<string>();

  /** Rows that were chosen one by one; else they are those between both ends. */
  const picked = ref<ReadonlySet<string>>();

  const chosen = computed<ReadonlySet<string>>(() => {
    const rows = of.rows();
    const { value: each } = picked;
    if (each !== undefined) return new Set(rows.filter((id) => each.has(id)));
    const [one, other] = [rows.indexOf(anchor.value ?? ''), rows.indexOf(at.value?.row ?? '')];
    if (other < 0) return new Set();
    const [first, last] = one < 0 ? [other, other] : [Math.min(one, other), Math.max(one, other)];
    return new Set(rows.slice(first, last + 1));
  });

  function goTo(place: Place, extend = false): void {
    if (!extend) anchor.value = place.row;
    picked.value = undefined;
    at.value = place;
    // At once, so that the next key is not lost; and once it is drawn, where it was not in view.
    of.show(place);
    void nextTick(() => of.show(place));
  }
  function toggle(row: string): void {
    const now = new Set(picked.value ?? (chosen.value.size > 1 ? chosen.value : []));
    if (!now.delete(row)) now.add(row);
    picked.value = now;
  }
  function chooseNone(): void {
    picked.value = undefined;
    anchor.value = at.value?.row;
  }
  function edit(place: Place, begun?: string): void {
    if (!of.canEdit(place)) return;
    anchor.value = place.row;
    at.value = place;
    editing.value = { ...place, begun };
  }
  function leave(to: 'stay' | 'out' | 'down'): void {
    const { value: from } = editing;
    editing.value = undefined;
    if (from === undefined || to === 'out') return;
    if (to === 'stay') goTo(from);
    else move(from, 1, 0, false);
  }

  /** Along a row it goes on into the next one, past cells that cannot be written in. */
  function move({ row, column }: Place, down: number, right: number, extend: boolean): void {
    const [rows, columns] = [of.rows(), of.columns()];
    const y = rows.indexOf(row);
    const x = columns.indexOf(column);
    const to = Math.min(rows.length - 1, Math.max(0, y + down));
    const across = Math.min(columns.length - 1, Math.max(0, x + right));
    const place = { row: rows[to], column: columns[across] };
    if (place.row !== undefined && place.column !== undefined) goTo(place as Place, extend);
  }
  /** The next cell that can be written in, or the one before. @returns false at either end of the table */
  function tab({ row, column }: Place, by: 1 | -1): boolean {
    const [rows, columns] = [of.rows(), of.columns()];
    const all = rows.length * columns.length;
    for (let n = rows.indexOf(row) * columns.length + columns.indexOf(column) + by; n >= 0 && n < all; n += by) {
      const place = { row: rows[Math.floor(n / columns.length)], column: columns[n % columns.length] } as Place;
      if (!of.canEdit(place)) continue;
      goTo(place);
      return true;
    }
    return false;
  }

  function byKey(event: KeyboardEvent): void {
    const place = at.value;
    if (place === undefined || event.isComposing) return;
    if (editing.value !== undefined) whileEditing(event, place);
    else if (!commands(event, place)) moves(event, place);
  }

  function whileEditing(event: KeyboardEvent, place: Place): void {
    if (event.key !== 'Tab') return;
    event.preventDefault();
    // What is written is kept as the field is left.
    (event.target as HTMLElement).blur();
    editing.value = undefined;
    tab(place, event.shiftKey ? -1 : 1);
  }

  function commands(event: KeyboardEvent, place: Place): boolean {
    const what = commandOf(event);
    if (what === undefined) return false;
    event.preventDefault();
    of.act(what, [...chosen.value], place);
    return true;
  }

  function moves(event: KeyboardEvent, place: Place): void {
    const { key, shiftKey } = event;
    const last = of.rows().length;
    const steps: Readonly<Record<string, readonly [down: number, right: number]>> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      PageUp: [-PAGE, 0],
      PageDown: [PAGE, 0],
      Home: event.ctrlKey ? [-last, -COLUMN_ENDS] : [0, -COLUMN_ENDS],
      End: event.ctrlKey ? [last, COLUMN_ENDS] : [0, COLUMN_ENDS],
    };
    const step = steps[key];
    const isLetter = key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
    if (step !== undefined) move(place, ...step, shiftKey);
    else if (key === 'Escape' && chosen.value.size > 1) chooseNone();
    else if (key === 'Tab') {
      if (!tab(place, shiftKey ? -1 : 1)) return;
    } else if (key === 'Enter' || key === 'F2') edit(place);
    else if (isLetter && of.canEdit(place)) edit(place, key);
    else return;
    event.preventDefault();
  }

  return { at, editing, chosen, goTo, toggle, chooseNone, edit, leave, byKey };
}

/** More than there are columns. */
const COLUMN_ENDS = 1000;

function commandOf({ key, altKey, ctrlKey, metaKey, shiftKey }: KeyboardEvent): GridAct | undefined {
  const withCtrl = ctrlKey || metaKey;
  if (altKey) return ({ ArrowUp: 'up', ArrowDown: 'down' } as const)[key as 'ArrowUp'];
  if (withCtrl)
    return (
      {
        Enter: shiftKey ? 'insert-above' : 'insert-below',
        d: shiftKey ? 'duplicate' : 'fill-down',
        D: 'duplicate',
        c: 'copy',
        x: 'cut',
        f: 'find',
        Delete: 'delete',
        Backspace: 'delete',
      } as const
    )[key as 'c'] as GridAct | undefined;
  return ({ Delete: 'clear', Backspace: 'clear' } as const)[key as 'Delete'];
}
