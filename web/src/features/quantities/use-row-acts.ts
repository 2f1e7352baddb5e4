import { useClipboard } from '@vueuse/core';
import { nextTick, ref, type Ref } from 'vue';
import { isMetric } from '@sprell/core';
import { priceUnitsFor, type Measure } from '@sprell/core/quantities';
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
  /** As text in columns, so that another table takes it. */
  function copy(ids: readonly string[]): void {
    const wanted = on.shown().rows.value.filter(({ id }) => ids.includes(id));
    const line = (row: JobRow) => on.columns().map(({ id }) => shownIn(row, id, job.style));
    void clipboard.copy(wanted.map((row) => line(row).join('\t')).join('\n'));
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
      copy: () => copy(rows),
      cut: () => {
        copy(rows);
        remove(rows);
      },
      find: () => void on.shown().find(),
    };
    acts[what]();
  }
  return { openId, newId, likely, add, write, remove, moveBy, act };
}
