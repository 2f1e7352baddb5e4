import {
  NEW_ITEM,
  positionsBetween,
  type Content,
  type ItemContent,
  type Thing,
  type ThingWire,
} from '@sprell/contract';
import {
  isMetric,
  LIMITS,
  reckon,
  reckonTyped,
  type BareUnit,
  type ReadingStyle,
  type Scope,
  type Slate,
} from '@sprell/core';
import {
  CELLS,
  countsIn,
  filledDown,
  hintsOf,
  nominalSection,
  plusSums,
  priceUnitsFor,
  rateOf,
  TakeOff,
  totalsOf,
  type BlockRow,
  type CellName,
  type RoundedAt,
  type RowHint,
  type Sums,
  type TakeOffRow,
  type TakeOffTotals,
  type Tax,
  type WorkedRow,
  type WrittenList,
} from '@sprell/core/quantities';
import type { OpenJob } from './open-job.ts';

/** A row of the take-off as a person knows it: the entries in its cells as they are typed. */
export interface JobRow {
  readonly id: string;
  /** What entries call its quantity. */
  readonly name: string | undefined;
  readonly item: ThingWire<'item'>;
  readonly cells: TakeOffRow['cells'];
  readonly worked: WorkedRow;
}

/** A section with its rows, in the order in which they stand; the rows of none come first, without one. */
export interface JobSection {
  readonly id: string | undefined;
  readonly name: string;
  readonly rows: readonly JobRow[];
}

/** A tax with its rate worked out. */
export interface JobTax {
  readonly id: string;
  readonly name: string;
  /** As it is typed. */
  readonly typed: string;
  /** Undefined where it is no rate. */
  readonly tax: Tax | undefined;
}

/** Fields of a row that hold no entry. */
export type RowFields = Partial<Omit<ItemContent, CellName>>;

/** What of a row is worked out of again when that is another. */
interface Kept {
  readonly item: Thing;
  readonly name: string | undefined;
  readonly row: TakeOffRow;
}

/**
 * The take-off of the open job: its rows with what they come to, its sections, versions and taxes, and what a person does to
 * them. It is made for the room, which is loaded when it is gone to.
 */
export class Quantities {
  readonly #job: OpenJob;
  readonly #live: { readonly value: { readonly list: TakeOff; readonly rows: readonly JobRow[] } };
  #list: TakeOff | undefined;
  #kept = new Map<string, Kept>();
  #seen: { readonly style: ReadingStyle; readonly graph: Slate; readonly rows: unknown } | undefined;

  constructor(job: OpenJob) {
    this.#job = job;
    this.#live = job.ground.holder.derived(() => this.#follow());
  }

  /** Brings the graph of the rows up to what the job says now. */
  #follow(): { readonly list: TakeOff; readonly rows: readonly JobRow[] } {
    const { slate, things, style } = this.#job;
    // Whatever is drawn of the slate: a line, a mark and its name among them.
    const shownRows = slate.rows;
    const { graph } = slate;
    const isOther = this.#list === undefined || this.#seen?.style !== style;
    const list = isOther ? new TakeOff(style, graph.scope()) : (this.#list as TakeOff);
    const items = things.list('item');
    const kept = new Map<string, Kept>();
    const changed: TakeOffRow[] = [];
    for (const item of items) {
      const name = slate.rowName(item.id);
      const before = this.#kept.get(item.id);
      const isSame = !isOther && before?.item === item && before.name === name;
      const row = isSame && !this.#namesOther(item) ? before.row : this.#toRow(item, name);
      if (!isSame || JSON.stringify(row.cells) !== JSON.stringify(before.row.cells)) changed.push(row);
      kept.set(item.id, { item, name, row });
    }
    if (isOther || changed.length > kept.size / 4) list.load([...kept.values()].map(({ row }) => row));
    else {
      for (const id of this.#kept.keys()) if (!kept.has(id)) list.remove(id);
      for (const row of changed) list.put(row);
      if (this.#seen?.rows !== shownRows || this.#seen.graph !== graph) list.refresh(graph.scope());
    }
    this.#list = list;
    this.#kept = kept;
    this.#seen = { style, graph, rows: shownRows };
    const rows = items.map((item): JobRow => {
      const { row, name } = kept.get(item.id) as Kept;
      return { id: item.id, name, item, cells: row.cells, worked: list.get(item.id) as WorkedRow };
    });
    return { list, rows };
  }

  /** What it names may be called otherwise by now. */
  #namesOther(item: Thing): boolean {
    return CELLS.some((cell) => String(item[cell]).includes('{'));
  }

  #toRow(item: ThingWire<'item'>, name: string | undefined): TakeOffRow {
    const { slate } = this.#job;
    const cells = Object.fromEntries(CELLS.map((cell) => [cell, slate.shown(item[cell])])) as TakeOffRow['cells'];
    const { id, measure, per, cutWhole, section, tax, leftOut, versions } = item;
    return {
      ...{ id, name, measure, cells, per, versions },
      isCutWhole: cutWhole,
      section: section ?? undefined,
      tax: tax ?? undefined,
      isLeftOut: leftOut,
    };
  }

  /** Every row, in the order of the list. */
  get rows(): readonly JobRow[] {
    return this.#live.value.rows;
  }

  /** The rows by section. A section that is not there any more counts as none. */
  get sections(): readonly JobSection[] {
    const { rows } = this;
    const sections = this.#job.things.list('section');
    const known = new Set(sections.map(({ id }) => id));
    const none = rows.filter(({ item }) => item.section === null || !known.has(item.section));
    return [
      ...(none.length > 0 || sections.length === 0 ? [{ id: undefined, name: '', rows: none }] : []),
      ...sections.map(({ id, name }) => ({ id, name, rows: rows.filter(({ item }) => item.section === id) })),
    ];
  }
  get versions(): readonly ThingWire<'version'>[] {
    return this.#job.things.list('version');
  }
  get taxes(): readonly JobTax[] {
    const { slate, things, style } = this.#job;
    return things.list('tax').map(({ id, name, rate }) => {
      const typed = slate.shown(rate);
      const { outcome, parsed } = reckon(typed, { scope: slate.scope(), style });
      const amount = outcome?.kind === 'quantity' ? outcome.quantity : undefined;
      const read = amount && parsed.entry && rateOf(parsed.entry, amount);
      return { id, name, typed, tax: read && { id, rate: read.value } };
    });
  }

  totals(of: { price: 'price' | 'other'; version: string | undefined; roundedAt: RoundedAt }): TakeOffTotals {
    const { list } = this.#live.value;
    const totals = totalsOf(list.rows(), { ...of, taxes: this.taxes.flatMap(({ tax }) => tax ?? []) });
    // Rows of a section that was deleted are in none.
    const known = new Set(this.#job.things.list('section').map(({ id }) => id));
    const sections = new Map<string | undefined, Sums>();
    for (const [id, sums] of totals.sections) {
      const key = id !== undefined && known.has(id) ? id : undefined;
      const before = sections.get(key);
      sections.set(key, before === undefined ? sums : plusSums(before, sums));
    }
    return { ...totals, sections };
  }

  /** The list as it is written out: the rows of a version, in their order. */
  written(of: { version: string | undefined; roundedAt: RoundedAt; on: string }): WrittenList {
    const { head, style } = this.#job;
    const version = this.versions.find(({ id }) => id === of.version);
    const isIn = ({ item }: JobRow) => item.versions.length === 0 || item.versions.includes(of.version ?? '');
    return {
      title: `${head?.title ?? ''} · quantities`,
      subtitle: [version?.name, of.on].filter((words) => words !== undefined).join(' · '),
      sections: this.sections.map(({ id, name, rows }) => ({
        id,
        name,
        rows: rows.filter(isIn).map(({ worked, item }) => ({
          worked,
          item: item.name,
          supplier: item.supplier,
          note: item.note,
        })),
      })),
      taxes: this.taxes.flatMap(({ id, name, tax }) => (tax === undefined ? [] : [{ id, name, rate: tax.rate }])),
      totals: this.totals({ price: 'price', version: of.version, roundedAt: of.roundedAt }),
      roundedAt: of.roundedAt,
      style,
    };
  }

  /** What an entry in a cell may name; in a row that is edited not that row itself. */
  scope(rowId?: string): Scope {
    return this.#live.value.list.scope(rowId);
  }

  /** What a second look at a row would find. */
  hints(row: JobRow): readonly RowHint[] {
    const { section, measure } = row.item;
    const alike = this.rows.filter(({ item }) => item.section === section && item.measure === measure);
    return hintsOf(
      row.worked,
      alike.map(({ worked }) => worked),
      this.#job.slate.scope(),
      this.#job.style,
    );
  }

  /** What a bare number is in a cell: a size as the job says, nominal sizes of boards in inches, all else a number. */
  bareIn(measure: ItemContent['measure'], cell: CellName): BareUnit {
    const isSize = cell === 'length' || cell === 'width' || cell === 'depth' || cell === 'pack' || cell === 'less';
    if (!isSize || measure === 'each' || measure === 'mass' || measure === 'hours') return 'plain';
    const { bare } = this.#job.reading;
    return measure === 'board' && (cell === 'width' || cell === 'depth') && bare !== 'mm' ? 'in' : bare;
  }

  /** A cell as it is stored: with the units that were not typed, and names as ids. */
  #stored(measure: ItemContent['measure'], cell: CellName, said: string, rowId: string | undefined): string {
    const { slate, style } = this.#job;
    // What is longer than an entry stays too long where it is cut, and says so.
    const typed = said.slice(0, LIMITS.characters * 2);
    if (typed.trim() === '') return '';
    const bare = this.bareIn(measure, cell);
    const section = bare === 'in' && measure === 'board' ? nominalSection(typed) : undefined;
    const { written } = reckonTyped(section ?? typed, { scope: this.scope(rowId), style, bare });
    return slate.stored(written.trim(), true);
  }

  /** Adds a row: behind another, in its section, or at the end of a section. @returns its id */
  add(given: RowFields & Partial<Record<CellName, string>>, behindId?: string): string {
    const { things } = this.#job;
    const content = this.#content(given);
    const { rows } = this;
    const at = rows.findIndex(({ id }) => id === behindId);
    const next = at < 0 ? undefined : rows[at + 1]?.id;
    return things.add('item', content, next);
  }

  #content(given: RowFields & Partial<Record<CellName, string>>): ItemContent {
    const measure = given.measure ?? NEW_ITEM.measure;
    const cells = Object.fromEntries(
      CELLS.flatMap((cell) => {
        const typed = given[cell];
        return typed === undefined ? [] : [[cell, this.#stored(measure, cell, typed, undefined)]];
      }),
    );
    return { ...NEW_ITEM, ...withinLimits(given), ...cells } as ItemContent;
  }

  /** Writes one cell. */
  writeCell(rowId: string, cell: CellName, typed: string): void {
    const row = this.#kept.get(rowId);
    if (row === undefined || row.row.cells[cell] === typed.trim()) return;
    this.#job.things.edit(rowId, { [cell]: this.#stored(row.row.measure, cell, typed, rowId) });
  }
  /**
   * Writes what is no entry: the name, the section, what it is measured by. Where prices cannot be for what they were for, they
   * are for the likeliest unit of the new measure.
   */
  write(rowId: string, fields: RowFields): void {
    const { measure } = fields;
    const per = this.#kept.get(rowId)?.row.per;
    const units = measure && priceUnitsFor(measure, isMetric(this.#job.style.length));
    const fits = units === undefined || per === undefined || units.includes(per);
    this.#job.things.edit(rowId, { ...withinLimits(fields), ...(fits ? {} : { per: units[0] }) } as Content);
  }

  /** Writes the same into several rows, as one step. */
  writeAll(ids: readonly string[], fields: RowFields): void {
    this.#job.things.inOneStep(says('Undo the change of', ids.length), (steps) => {
      for (const id of ids) steps.write(id, fields as Content);
    });
  }

  /** Moves rows before another, or to the end of a section, as one step. */
  move(ids: readonly string[], section: string | undefined, beforeId: string | undefined): void {
    const { rows } = this;
    const going = new Set(ids);
    const others = rows.filter(({ id }) => !going.has(id));
    const to = beforeId === undefined ? -1 : others.findIndex(({ id }) => id === beforeId);
    const ofSection = others.findLastIndex(({ item }) => (item.section ?? undefined) === section);
    const at = to >= 0 ? to : ofSection >= 0 ? ofSection + 1 : others.length;
    const places = positionsBetween(placeOf(others[at - 1]), placeOf(others[at]), ids.length);
    const moved = rows.filter(({ id }) => going.has(id));
    this.#job.things.inOneStep(says('Put back where they were:', moved.length), (steps) => {
      moved.forEach(({ id, item }, n) => {
        steps.move(id, places[n] as string);
        if ((item.section ?? undefined) !== section) steps.write(id, { section: section ?? null });
      });
    });
  }

  remove(ids: readonly string[]): void {
    this.#job.things.inOneStep(says('Bring back', ids.length), (steps) => {
      for (const id of ids) steps.remove(id);
    });
  }

  /** The same rows again, each behind the last of them. @returns ids of the new ones */
  duplicate(ids: readonly string[]): readonly string[] {
    const wanted = new Set(ids);
    const chosen = this.rows.filter(({ id }) => wanted.has(id));
    const last = this.rows.findLastIndex(({ id }) => wanted.has(id));
    return this.#addAll(
      chosen.map(({ item: { id: _id, revision: _revision, deleted: _deleted, position: _position, ...said } }) => said),
      last,
      says('Remove', chosen.length),
    );
  }

  /** Rows that came from elsewhere, as one step, behind a row or at the end. @returns ids of the new ones */
  addAll(rows: readonly (RowFields & Partial<Record<CellName, string>>)[], behindId?: string): readonly string[] {
    const behind = this.rows.findIndex(({ id }) => id === behindId);
    return this.#addAll(
      rows.map((row) => this.#content(row)),
      behind < 0 ? this.rows.length - 1 : behind,
      says('Remove', rows.length),
    );
  }

  /** A table from elsewhere at the end, as one step: its rows, and the sections that it names and the list has not. */
  addBlock(rows: readonly BlockRow['fields'][]): void {
    const { things } = this.#job;
    const places = positionsBetween(placeOf(this.rows.at(-1)), undefined, rows.length);
    const known = new Map(things.list('section').map(({ id, name }) => [name.toLowerCase(), id]));
    things.inOneStep(says('Remove', rows.length), (steps) => {
      for (const [n, { section, ...given }] of rows.entries()) {
        const key = section.toLowerCase();
        const id = section === '' ? null : (known.get(key) ?? steps.add('section', { name: titled(section) }));
        if (id !== null) known.set(key, id);
        steps.add('item', { ...this.#content({ ...given, section: id }), position: places[n] });
      }
    });
  }

  #addAll(contents: readonly ItemContent[], behind: number, undoSays: string): readonly string[] {
    const { rows } = this;
    const places = positionsBetween(placeOf(rows[behind]), placeOf(rows[behind + 1]), contents.length);
    const ids: string[] = [];
    this.#job.things.inOneStep(undoSays, (steps) => {
      contents.forEach((content, n) => ids.push(steps.add('item', { ...content, position: places[n] })));
    });
    return ids;
  }

  /** Fills a cell of a row into the rows below it, up to another; rows that it names follow. */
  fillDown(fromId: string, toId: string, cell: CellName): void {
    const shown = this.sections.flatMap(({ rows }) => rows);
    const [from, to] = [fromId, toId].map((wanted) => shown.findIndex(({ id }) => id === wanted)) as [number, number];
    const source = shown[from]?.cells[cell];
    if (source === undefined || from < 0 || to <= from) return;
    const names = shown.map(({ name }) => name);
    const { slate, style } = this.#job;
    this.#job.things.inOneStep(`Undo filling down the ${cell}`, (steps) => {
      for (const [n, { id, item }] of shown.slice(from + 1, to + 1).entries())
        if (countsIn(item.measure, cell))
          steps.write(id, { [cell]: slate.stored(filledDown(source, names, from, from + 1 + n, style), true) });
    });
  }

  /** Rows whose cells name this row, by what they are called. */
  usersOf(rowId: string): readonly string[] {
    const users = this.#live.value.list.usersOf(rowId);
    return this.rows.filter(({ id }) => users.has(id) && id !== rowId).map(({ item }) => item.name);
  }

  addSection(name: string): string {
    return this.#job.things.add('section', { name: titled(name) } as Content as never);
  }
  addVersion(name: string): string {
    return this.#job.things.add('version', { name: titled(name) } as Content as never);
  }
  addTax(name: string, typed: string): string {
    return this.#job.things.add('tax', { name: titled(name), rate: this.#rate(typed) } as Content as never);
  }
  editTax(id: string, name: string, typed: string): void {
    this.#job.things.edit(id, { name: titled(name), rate: this.#rate(typed) } as Content);
  }
  #rate(typed: string): string {
    return this.#job.slate.stored(typed.trim());
  }
  rename(id: string, name: string): void {
    this.#job.things.edit(id, { name: titled(name) } as Content);
  }
  /** Deletes a section, a version or a tax. Rows of the section stay, in none. */
  drop(id: string): void {
    this.#job.things.remove(id);
  }
}

/** The name of a section, a version, a tax. */
const titled = (name: string): string => name.trim().slice(0, 120);
/** Words as they fit: what is pasted can be longer than the server takes. */
const MOST_WORDS = { name: 200, supplier: 200, note: 2000 } as const;
function withinLimits<Fields extends RowFields>(fields: Fields): Fields {
  const cut = Object.entries(MOST_WORDS).flatMap(([field, most]) => {
    const words = fields[field as keyof typeof MOST_WORDS];
    return words !== undefined && words.length > most ? [[field, words.slice(0, most)] as const] : [];
  });
  return cut.length === 0 ? fields : { ...fields, ...Object.fromEntries(cut) };
}

const placeOf = (row: JobRow | undefined): string | undefined => row && String(row.item['position']);
const says = (what: string, count: number): string => `${what} ${count} ${count === 1 ? 'row' : 'rows'}`;
