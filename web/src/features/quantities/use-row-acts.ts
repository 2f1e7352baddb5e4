import { useClipboard } from '@vueuse/core';
import { nextTick, ref, shallowRef, type Ref } from 'vue';
import { isMetric } from '@sprell/core';
import { priceUnitsFor, type Measure } from '@sprell/core/quantities';
import { say } from '../../ui/say.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import type { JobRow, JobSection, Quantities, RowFields } from '../../job/quantities.ts';
import { cellIn, shownIn, type Column } from './columns.ts';
import type { Grid, GridAct, Place } from './use-grid.ts';
import type { Shown } from './use-shown.ts';

/** What a person does to rows, by the keys of the table, by its buttons and on a phone. */
export function useRowActs(
  list: Quantities,
  on: {
    readonly shown: () => Shown;
    readonly grid: () => Grid;
    readonly columns: () => readonly Column[];
    readonly isPhone: Readonly<Ref<boolean>>;
  },
) {
  const job = useJob();
  const clipboard = useClipboard({ legacy: true });
  /** The row that is open beside the table, or in its place on a phone; and the one that was made last. */
  const openId = ref<string>();
  const newId = ref<string>();
  /** What a new row is measured by: as the one before it was. */
  const likely = useKept<Measure>('quantities.measure', 'run');

  function add(section: string | undefined, behindId?: string): void {
    const last = list.sections.find(({ id }) => id === section)?.rows.at(-1);
    const [per] = priceUnitsFor(likely.value, isMetric(job.style.length));
    const given: RowFields = { section: section ?? null, measure: likely.value, per: per ?? 'each' };
    const id = list.add(given, behindId ?? last?.id);
    newId.value = id;
    openId.value = on.isPhone.value ? id : undefined;
    if (!on.isPhone.value) begin(id);
  }
  function begin(id: string): void {
    const place = { row: id, column: 'name' };
    on.grid().goTo(place);
    void nextTick(() => on.grid().edit(place));
  }
  function insertAbove({ id: beforeId, item }: JobRow): void {
    const rows = list.sections.find(({ id }) => id === (item.section ?? undefined))?.rows ?? [];
    const before = rows[rows.findIndex(({ id }) => id === beforeId) - 1];
    const { section, measure, per } = item;
    const id = list.add({ section, measure, per }, before?.id);
    if (before === undefined) list.move([id], section ?? undefined, beforeId);
    begin(id);
  }
  function write(row: JobRow, column: string, text: string): void {
    const cell = cellIn(row, column);
    if (cell !== undefined) list.writeCell(row.id, cell, text);
    else if (String(row.item[column]) !== text.trim()) {
      if (column === 'measure') likely.value = text as Measure;
      list.write(row.id, { [column]: text.trim() } as RowFields);
    }
  }
  /** The cursor stays where it was, or on the last row. */
  function remove(ids: readonly string[]): void {
    const shown = on.shown().rows.value;
    const at = shown.findIndex(({ id }) => ids.includes(id));
    const left = shown.filter(({ id }) => !ids.includes(id));
    const next = left[Math.min(at, left.length - 1)];
    openId.value = undefined;
    list.remove(ids);
    if (next && !on.isPhone.value) on.grid().goTo({ row: next.id, column: on.grid().at.value?.column ?? 'name' });
  }
  /** One place up or down, into the section before or behind where it stands at an end. */
  function moveBy(ids: readonly string[], by: -1 | 1): void {
    const { sections } = list;
    const at = sections.findIndex(({ rows }) => rows.some(({ id }) => ids.includes(id)));
    const { id: section, rows } = sections[at] as JobSection;
    const places = rows.flatMap(({ id }, n) => (ids.includes(id) ? [n] : []));
    const [first, last] = [places[0] as number, places.at(-1) as number];
    const neighbour = sections[at + by];
    if (by < 0 && first > 0) list.move(ids, section, rows[first - 1]?.id);
    else if (by > 0 && last < rows.length - 1) list.move(ids, section, rows[last + 2]?.id);
    else if (neighbour !== undefined) list.move(ids, neighbour.id, by > 0 ? neighbour.rows[0]?.id : undefined);
    const place = on.grid().at.value;
    if (place) on.grid().goTo(place, true);
  }
  /** Rows that were copied or cut, as they were then; their text is on the clipboard for another program. */
  const taken = shallowRef<{
    readonly text: string;
    readonly job: string | undefined;
    readonly rows: readonly JobRow[];
    readonly isCut: boolean;
  }>();
  const isCut = (id: string): boolean => taken.value?.isCut === true && taken.value.rows.some((row) => row.id === id);
  /** As text in columns, so that another table takes it. */
  async function copy(ids: readonly string[], cuts = false): Promise<void> {
    const rows = on.shown().rows.value.filter(({ id }) => ids.includes(id));
    const line = (row: JobRow) => on.columns().map(({ id }) => shownIn(row, id, job.style));
    const text = rows.map((row) => line(row).join('\t')).join('\n');
    taken.value = { text, job: job.head?.id, rows, isCut: cuts };
    await clipboard.copy(text);
    const many = rows.length === 1 ? '1 row' : `${rows.length} rows`;
    void say(cuts ? `${many} cut: paste to move them` : `${many} copied`);
  }
  /** Whether a text from the clipboard is that of the rows that were copied or cut here. */
  const isTaken = (text: string): boolean => taken.value?.text === text.replace(/\r\n/g, '\n').replace(/\n$/, '');
  /** What was cut is moved behind a row, what was copied is put there again; at the end where there is none. */
  function paste(behindId: string | undefined): void {
    const { value: now } = taken;
    if (now === undefined) return;
    const behind = list.rows.find(({ id }) => id === behindId) ?? list.rows.at(-1);
    const section = behind?.item.section ?? null;
    const isHere = now.job === job.head?.id;
    const there = isHere ? now.rows.filter(({ id }) => list.rows.some((row) => row.id === id)) : [];
    if (now.isCut && there.length > 0) {
      const ids = there.map(({ id }) => id);
      const rows = list.sections.find(({ id }) => id === (section ?? undefined))?.rows ?? [];
      const next = rows.slice(rows.findIndex(({ id }) => id === behind?.id) + 1).find(({ id }) => !ids.includes(id));
      list.move(ids, section ?? undefined, next?.id);
      taken.value = undefined;
      return;
    }
    const given = now.rows.map(
      ({ cells, item: { name, measure, per, cutWhole, supplier, note, leftOut, tax, versions } }) => ({
        ...{ name, measure, per, cutWhole, supplier, note, leftOut, section },
        ...(isHere ? { tax, versions } : {}),
        ...cells,
      }),
    );
    const [first] = list.addAll(given, behind?.id);
    if (first !== undefined && !on.isPhone.value) on.grid().goTo({ row: first, column: 'name' });
  }

  function act(what: GridAct, rows: readonly string[], place: Place): void {
    const row = list.rows.find(({ id }) => id === place.row);
    if (row === undefined) return;
    const cell = cellIn(row, place.column);
    const acts: Readonly<Record<GridAct, () => void>> = {
      clear: () => {
        if (cell !== undefined) list.writeCell(row.id, cell, '');
        else if (place.column === 'supplier' || place.column === 'note') list.write(row.id, { [place.column]: '' });
      },
      'insert-above': () => insertAbove(row),
      'insert-below': () => add(row.item.section ?? undefined, row.id),
      duplicate: () => void list.duplicate(rows),
      'fill-down': () => {
        const [first] = rows;
        if (cell !== undefined && first !== undefined && rows.length > 1)
          list.fillDown(first, rows.at(-1) ?? first, cell);
      },
      delete: () => remove(rows),
      up: () => moveBy(rows, -1),
      down: () => moveBy(rows, 1),
      copy: () => void copy(rows),
      cut: () => void copy(rows, true),
      find: () => void on.shown().find(),
    };
    acts[what]();
  }
  return { openId, newId, likely, add, write, remove, moveBy, act, copy, paste, isTaken, isCut, taken };
}
