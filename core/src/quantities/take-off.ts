import { makeIssue } from '../base/issue.ts';
import { evaluate, type Evaluated } from '../evaluate/evaluate.ts';
import { foldEntry } from '../evaluate/fold.ts';
import { EMPTY_SCOPE, type Resolved, type Scope } from '../evaluate/scope.ts';
import type { Entry } from '../notation/ast.ts';
import { parse } from '../notation/parser.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import { referencesOf } from '../slate/references.ts';
import { CELLS, type CellName } from './measure.ts';
import { COUNTING, workRow, type ReadCell, type ReadCells, type TakeOffRow, type WorkedRow } from './row.ts';

/** The text of a cell, read once for all the cells that have it: many rows are of one mark. */
interface KeptCell extends ReadCell {
  /** With its fixed parts worked out. */
  readonly folded: Entry | undefined;
  /** Names in it, in lower case: of marks, and of other rows. */
  readonly marks: readonly string[];
  /** What it comes to; kept where it names no row. */
  result: Evaluated | undefined;
  /** The base for which that holds. */
  at: number;
}

/** A row in the graph: whom it names, and what it comes to. */
interface RowNode {
  readonly row: TakeOffRow;
  readonly read: ReadCells<KeptCell>;
  /** Names in its cells that count, in lower case: of marks, and of other rows. */
  readonly names: ReadonlySet<string>;
  worked: WorkedRow;
}

/**
 * The rows of a take-off as a graph of their own above the slate: cells name marks, lines, and the quantities of other rows. A
 * change recalculates the rows that depend on it, in order, and only those. Where rows name each other in a circle, each row
 * of the circle says so.
 */
export class TakeOff {
  readonly #style: ReadingStyle;
  readonly #nodes = new Map<string, RowNode>();
  /** By name in lower case. */
  readonly #idOf = new Map<string, string>();
  readonly #usersOf = new Map<string, Set<string>>();
  /** By text. */
  readonly #kept = new Map<string, KeptCell>();
  #base: Scope;
  /** Which base it is: what was worked out by one does not hold for the next. */
  #baseAt = 0;
  /** Every row behind those that it names, as long as no row changes; undefined where some run in a circle. */
  #inOrder: readonly string[] | undefined;

  /** @param base what the cells may name beside other rows: the marks and lines of the job */
  constructor(style: ReadingStyle = DEFAULT_STYLE, base: Scope = EMPTY_SCOPE) {
    this.#style = style;
    this.#base = base;
  }

  /** Replaces every row. */
  load(rows: readonly TakeOffRow[]): void {
    this.#nodes.clear();
    this.#idOf.clear();
    this.#usersOf.clear();
    for (const row of rows) this.#enter(row);
    this.#recalculate(new Set(this.#nodes.keys()));
  }

  /** Adds a row, or replaces the one with its id. @returns ids of the rows that were recalculated */
  put(row: TakeOffRow): ReadonlySet<string> {
    const stale = this.#leave(row.id);
    this.#enter(row);
    stale.add(row.id);
    return this.#recalculate(this.#withUsers(stale));
  }

  /** @returns ids of the rows that were recalculated */
  remove(id: string): ReadonlySet<string> {
    return this.#recalculate(this.#withUsers(this.#leave(id)));
  }

  /** Recalculates everything: marks or lines of the job are others. */
  refresh(base: Scope): void {
    this.#base = base;
    this.#baseAt += 1;
    if (this.#inOrder !== undefined) {
      const resultOf = this.#resultIn(this.scope());
      for (const id of this.#inOrder) this.#work(this.#nodes.get(id) as RowNode, resultOf);
      return;
    }
    this.#recalculate(new Set(this.#nodes.keys()));
  }

  get(id: string): WorkedRow | undefined {
    return this.#nodes.get(id)?.worked;
  }
  /** Every row, in no order. */
  rows(): readonly WorkedRow[] {
    return Array.from(this.#nodes.values(), ({ worked }) => worked);
  }
  /** Ids of the rows whose cells name this row. */
  usersOf(id: string): ReadonlySet<string> {
    const name = this.#nodes.get(id)?.row.name?.toLowerCase();
    return new Set(name === undefined ? [] : this.#usersOf.get(name));
  }

  /** What an entry in a cell may name. @param hidden the row of that cell: it does not see itself */
  scope(hidden?: string): Scope {
    return {
      ...this.#base,
      mark: (name) => {
        const id = this.#idOf.get(name);
        if (id === undefined) return this.#base.mark(name);
        return id === hidden ? undefined : this.#resolve(id);
      },
      // A cell goes on from nothing: what landed last is another by the next look.
      last: () => undefined,
      names: () => [...this.#base.names(), ...this.#idOf.keys()],
    };
  }

  #resolve(id: string): Resolved {
    const quantity = this.#nodes.get(id)?.worked.quantity;
    return quantity === undefined ? { ok: false } : { ok: true, quantity };
  }

  #readCell(source: string): KeptCell {
    const known = this.#kept.get(source);
    if (known !== undefined) return known;
    const { entry, issues } = parse(source, this.#style);
    const [issue] = issues;
    const folded = entry && issue === undefined ? foldEntry(entry) : undefined;
    const { marks, lines, runs } = referencesOf(entry);
    const isFixed = marks.length + lines.length + runs.length === 0;
    const result = folded && isFixed ? evaluate(folded, EMPTY_SCOPE) : undefined;
    const cell = { entry, folded, issue, marks, result, at: isFixed ? IN_EVERY_SCOPE : -1 };
    if (this.#kept.size >= MOST_READ) this.#kept.clear();
    this.#kept.set(source, cell);
    return cell;
  }

  #enter(row: TakeOffRow): void {
    this.#inOrder = undefined;
    const names = new Set<string>();
    const read: Partial<Record<CellName, KeptCell>> = {};
    for (const cell of COUNTING[row.measure]) {
      const source = row.cells[cell];
      if (source.trim() === '') continue;
      const kept = this.#readCell(source);
      read[cell] = kept;
      for (const name of kept.marks) names.add(name);
    }
    this.#nodes.set(row.id, { row, read, names, worked: notYet(row) });
    if (row.name !== undefined) this.#idOf.set(row.name.toLowerCase(), row.id);
    for (const name of names) {
      const users = this.#usersOf.get(name) ?? new Set();
      this.#usersOf.set(name, users.add(row.id));
    }
  }

  /** Takes a row out. @returns those that named it, and those that it named by a name that is free now */
  #leave(id: string): Set<string> {
    const node = this.#nodes.get(id);
    if (node === undefined) return new Set();
    this.#nodes.delete(id);
    this.#inOrder = undefined;
    for (const name of node.names) this.#usersOf.get(name)?.delete(id);
    const name = node.row.name?.toLowerCase();
    if (name === undefined) return new Set();
    if (this.#idOf.get(name) === id) this.#idOf.delete(name);
    return new Set(this.#usersOf.get(name));
  }

  /** These rows and all that depend on them. */
  #withUsers(stale: Set<string>): ReadonlySet<string> {
    for (const id of stale) {
      const name = this.#nodes.get(id)?.row.name?.toLowerCase();
      for (const user of (name === undefined ? undefined : this.#usersOf.get(name)) ?? []) stale.add(user);
    }
    return stale;
  }

  /** The rows that a row names, among these. */
  #sources({ names }: RowNode, among: ReadonlySet<string>): string[] {
    return [...names].flatMap((name) => {
      const id = this.#idOf.get(name);
      return id !== undefined && among.has(id) ? [id] : [];
    });
  }

  #recalculate(stale: ReadonlySet<string>): ReadonlySet<string> {
    const waiting = new Map<string, number>();
    const ready: string[] = [];
    const users = new Map<string, string[]>();
    for (const id of stale) {
      const node = this.#nodes.get(id);
      if (node === undefined) continue;
      const sources = this.#sources(node, stale);
      if (sources.length === 0) ready.push(id);
      else waiting.set(id, sources.length);
      for (const source of sources) users.set(source, [...(users.get(source) ?? []), id]);
    }
    const resultOf = this.#resultIn(this.scope());
    const order: string[] = [];
    /** Those that waited for this row may be ready now. */
    const done = (id: string) => {
      for (const user of users.get(id) ?? []) {
        const left = (waiting.get(user) ?? 0) - 1;
        if (left > 0) waiting.set(user, left);
        else if (waiting.delete(user)) ready.push(user);
      }
    };
    const workReady = () => {
      for (let id = ready.pop(); id !== undefined; id = ready.pop()) {
        this.#work(this.#nodes.get(id) as RowNode, resultOf);
        order.push(id);
        done(id);
      }
    };
    workReady();
    if (order.length === this.#nodes.size) this.#inOrder = order;
    // What is left waits for itself, or for what does.
    while (waiting.size > 0) {
      const circle = this.#circleIn(waiting);
      for (const id of circle) waiting.delete(id);
      for (const id of circle) this.#refuse(id, circle);
      for (const id of circle) done(id);
      workReady();
    }
    return stale;
  }

  #work(node: RowNode, resultOf: (cell: KeptCell) => Evaluated | undefined): void {
    node.worked = workRow(node.row, node.read, resultOf, this.#style);
  }

  /** What cells come to in a scope. */
  #resultIn(scope: Scope): (cell: KeptCell) => Evaluated | undefined {
    const idOf = this.#idOf;
    const baseAt = this.#baseAt;
    return (cell) => {
      if (cell.folded === undefined || cell.at === IN_EVERY_SCOPE) return cell.result;
      for (const name of cell.marks) if (idOf.has(name)) return evaluate(cell.folded, scope);
      if (cell.at === baseAt) return cell.result;
      const result = evaluate(cell.folded, scope);
      cell.result = result;
      // What is in the way may name rows: others by the next time.
      cell.at = result.ok ? baseAt : -1;
      return result;
    };
  }

  /** A circle of rows, each naming the next. */
  #circleIn(waiting: ReadonlyMap<string, number>): readonly string[] {
    const among = new Set(waiting.keys());
    const path: string[] = [];
    const placeOf = new Map<string, number>();
    let [id] = among as unknown as [string];
    for (;;) {
      const met = placeOf.get(id);
      if (met !== undefined) return path.slice(met);
      placeOf.set(id, path.length);
      path.push(id);
      // A row that waits for nothing in a circle would not be waiting.
      [id] = this.#sources(this.#nodes.get(id) as RowNode, among) as [string];
    }
  }

  #refuse(id: string, circle: readonly string[]): void {
    const node = this.#nodes.get(id) as RowNode;
    const nameOf = (one: string) => this.#nodes.get(one)?.row.name ?? '';
    const from = circle.indexOf(id);
    const round = [...circle.slice(from), ...circle.slice(0, from), id].map(nameOf);
    const next = (round[1] ?? '').toLowerCase();
    const cell = CELLS.find((one) => node.read[one]?.marks.includes(next)) ?? 'count';
    const span = { start: 0, end: node.row.cells[cell].length };
    node.worked = {
      ...notYet(node.row),
      issues: { [cell]: makeIssue('row.circle', span, { chain: round.join(' → ') }) },
    };
  }
}

const IN_EVERY_SCOPE = Infinity;
/** Cells that are remembered as they were read. */
const MOST_READ = 20_000;

const EMPTY_CELLS: Readonly<Partial<Record<CellName, never>>> = {};
function notYet(row: TakeOffRow): WorkedRow {
  return { ...NOTHING, row };
}
const NOTHING = {
  cells: EMPTY_CELLS,
  issues: EMPTY_CELLS,
  count: { kind: 'rational', num: 0, den: 1 },
  piece: undefined,
  quantity: undefined,
  waste: undefined,
  gross: undefined,
  packs: undefined,
  packForm: undefined,
  ordered: undefined,
  leftOver: undefined,
  price: undefined,
  other: undefined,
} as const satisfies Omit<WorkedRow, 'row'>;
