import { jigFileOf, type LineWire } from '@sprell/contract';
import {
  DEFAULT_STYLE,
  fromStored,
  jigsNamedIn,
  nameFromLabel,
  toStored,
  storedMade,
  type JigPrograms,
  type Scope,
  type Slate,
  type SlateLine,
  type WorkedLine,
} from '@sprell/core';
import type { JigSet } from '@sprell/core/jig';
import { v7 as uuidv7 } from 'uuid';
import { saysTheSame } from '../adapters/local/settled.ts';
import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import { JigNames } from './jig-names.ts';
import { isOldMark, MarkNames, newMarkId, oldMarkId } from './mark-names.ts';
import { RowNames } from './row-names.ts';
import { RowsInOrder } from './rows-in-order.ts';
import { SlateKeeper } from './slate-keeper.ts';
import { asKept, isWorked, withLabel, wordsOf, type SlateRow, type WorkedRow } from './slate-row.ts';
import type { JobThings } from './things.ts';
import { fingerprint, type LineContent } from './undo-stack.ts';

/** What is shown of the lines. */
interface Drawn {
  readonly rows: readonly SlateRow[];
  readonly graph: Slate;
  /** The number of a line, the name of a mark: they are others where the rows are others. */
  lineNumber(id: string): number | undefined;
  markName(id: string): string | undefined;
  jigName(id: string): string | undefined;
}

/** The lines of the open job with their results, in their order, and the changes that a single line can have. */
export class SlateLines {
  readonly #ground: Ground;
  readonly #things: JobThings;
  readonly #names = new MarkNames();
  readonly #rowNames = new RowNames();
  readonly #jigs = new JigNames();
  #rowsAreOthers = true;
  readonly #drawn: Cell<Drawn>;
  readonly #changed: Cell<ReadonlySet<string>>;
  readonly #renumbered: Cell<readonly (readonly [number, number])[]>;
  readonly #inOrder = new RowsInOrder((line) => this.#toRow(line));
  #lines = new Map<string, LineWire>();
  #keeper = new SlateKeeper(DEFAULT_STYLE, () => undefined);
  /** The words of the job's own that the graph reads by, and the jigs. */
  #readWith: ReadonlySet<string> = new Set();
  #readWithJigs: JigPrograms = new Map();
  #nextNumber = 1;
  /** What landed from here is what the next entry goes on from, whatever others put on the slate meanwhile. */
  #landedHere: string | undefined;
  #isDrawing = true;
  readonly #onShown: () => void;

  /** @param onShown is called when lines or their results are shown otherwise */
  constructor(ground: Ground, things: JobThings, onShown: () => void) {
    this.#ground = ground;
    this.#things = things;
    this.#onShown = onShown;
    this.#drawn = ground.holder.cell<Drawn>(this.#drawing([]));
    this.#changed = ground.holder.cell<ReadonlySet<string>>(new Set());
    this.#renumbered = ground.holder.cell<readonly (readonly [number, number])[]>([]);
  }

  /** The lines as they are shown. */
  get rows(): readonly SlateRow[] {
    return this.#drawn.value.rows;
  }
  /** Lines and marks with what they come to. While a worker is still at it, some results are those from before. */
  get graph(): Slate {
    return this.#drawn.value.graph;
  }
  /** The same with every change worked out: for a value that is written down. */
  get freshGraph(): Slate {
    this.#keeper.catchUp();
    return this.#keeper.slate;
  }
  /** Ids of lines whose result changed with the last change. */
  get changed(): ReadonlySet<string> {
    return this.#changed.value;
  }
  /** Lines of this device that got another number, since one of another device had it: was, is. */
  get renumbered(): readonly (readonly [number, number])[] {
    return this.#renumbered.value;
  }
  seeRenumbered(): void {
    this.#renumbered.value = [];
  }
  /** The number that the next line gets. */
  get nextNumber(): number {
    return this.#nextNumber;
  }

  get(id: string): LineWire | undefined {
    return this.#lines.get(id);
  }
  /** Every line, those that were deleted among them. */
  all(): Iterable<LineWire> {
    return this.#lines.values();
  }
  ids(): Iterable<string> {
    return this.#lines.keys();
  }

  /** What an entry may refer to; while a line is edited it does not see itself. */
  scope(editedLineId?: string): Scope {
    return this.graph.scope(editedLineId);
  }

  /** Ids of the lines and things that may name a line or a mark in one of their entries. */
  naming(named: { readonly number?: number; readonly mark?: string | undefined }): ReadonlySet<string> {
    const { slate } = this.#keeper;
    const holders = new Map<string, string>();
    slate.hold(
      this.#things.entries().map(({ thingId, place, source }) => {
        const id = `${thingId} ${place}`;
        holders.set(id, thingId);
        return { id, source: this.shown(source) };
      }),
    );
    return new Set([...slate.mayName(named)].map((id) => holders.get(id) ?? id));
  }

  /**
   * An entry as it is stored: its lines and marks by their ids.
   * @param namesRows whether it stands where rows of the take-off can be named as well
   */
  stored(source: string, namesRows = false): string {
    // A line that landed here keeps its number until the server says otherwise, though one from elsewhere has it too.
    const here = this.#landedHere === undefined ? undefined : this.#lines.get(this.#landedHere);
    const idOf = (number: number) =>
      here?.deleted === false && here.number === number ? here.id : this.#keeper.slate.lineNumbered(number)?.line.id;
    const markId = (name: string) => this.#names.idOf(name) ?? (namesRows ? this.#namesOfRows().idOf(name) : undefined);
    this.#bringJigs(source);
    const jigId = (name: string) => this.#jigs.idOf(name);
    return toStored(source, { lineId: idOf, markId, jigId }, this.#ground.reading.style);
  }
  /** Jigs that an entry names and the job has not got come into it: an entry that is kept keeps them. */
  #bringJigs(source: string): void {
    const { jigsAtHand, isReader, reading } = this.#ground;
    if (jigsAtHand.size === 0 || isReader) return;
    for (const { name } of jigsNamedIn(source, reading.style)) {
      const atHand = jigsAtHand.get(name.toLowerCase());
      if (atHand && this.#jigs.idOf(name) === undefined) this.addJig(atHand.set);
    }
  }
  /** Adds a jig to the job, under a name that is free. @returns what entries call it; undefined where it could not be added */
  addJig(set: JigSet): string | undefined {
    const { id: jig, version, title, name: wanted } = set.jig;
    const id = uuidv7();
    const name = nameFromLabel(wanted, this.#jigs.names) ?? wanted;
    return this.#things.addAlong('jig', id, { jig, version, name, title, file: jigFileOf(set) }) ? name : undefined;
  }
  /** A stored entry as it is shown and typed. */
  shown(stored: string): string {
    const entry = fromStored(stored, this.#drawn.value);
    return this.#names.today(entry, this.#ground.jobId, this.#ground.reading.style);
  }

  /** What entries call a row of the take-off; undefined for one without a name. */
  rowName(id: string): string | undefined {
    return this.#namesOfRows().nameOf(id);
  }
  /** Rows of the take-off came, or are called otherwise: that is looked at when it is asked for, of many rows once. */
  followRows(): void {
    this.#rowsAreOthers = true;
  }
  #namesOfRows(): RowNames {
    if (this.#rowsAreOthers)
      this.#rowNames.update(this.#things.list('item'), (name) => this.#names.idOf(name) !== undefined);
    this.#rowsAreOthers = false;
    return this.#rowNames;
  }

  /** Id of the mark of a name; undefined where no mark has it, or its lines name it still. */
  markId(name: string): string | undefined {
    return this.#names.idOf(name);
  }

  /** Two marks of the job were given one name. */
  get hasTwins(): boolean {
    return this.#names.hasTwins;
  }

  /** Gives a mark that is to be made an id, where it has none yet. It keeps the name that it is given here first. */
  makeMark(name: string): string | undefined {
    const known = this.#names.idOf(name);
    if (known !== undefined) return known;
    const { jobId } = this.#ground;
    const isOld = jobId !== undefined && this.#keeper.slate.markLines(name).length > 0;
    const id = isOld ? oldMarkId(jobId, name) : newMarkId();
    return this.#things.addAlong('mark', id, { name }) ? id : undefined;
  }

  /** Marks came, or are called otherwise: so they are in every entry. */
  followMarks(): void {
    const { words } = this.#ground;
    const renamed = [...this.#updateNames()];
    if (renamed.length > 0) this.followRows();
    const isUsed =
      this.#ground.words !== words ||
      renamed.some(isOldMark) ||
      (renamed.length > 0 && [...this.#lines.values()].some(({ source }) => renamed.some((id) => source.includes(id))));
    if (!isUsed) return;
    this.#loadGraph();
    this.#inOrder.allChanged();
    this.#show();
  }

  /** Jigs came, or are others: entries that use them read and reckon otherwise. */
  followJigs(): void {
    if (!this.#jigs.update(this.#things.list('jig'))) return;
    this.#ground.jigs = this.#jigs.programs;
    this.#loadGraph();
    this.#inOrder.allChanged();
    this.#show();
  }
  /** What entries call a jig of the job. */
  jigName(id: string): string | undefined {
    return this.#jigs.nameOf(id);
  }
  /** A jig of the job with all that it uses; undefined for one that is not here, or cannot be read. */
  jigSet(id: string): JigSet | undefined {
    return this.#jigs.setOf(id);
  }

  #updateNames(): ReadonlySet<string> {
    const made = new Set<string>();
    for (const line of this.#lines.values()) {
      const id = line.deleted ? undefined : storedMade(line.source);
      if (id !== undefined) made.add(id);
    }
    const renamed = this.#names.update({ marks: this.#things.list('mark'), isMade: (id) => made.has(id) });
    const all = new Set(this.#names.words);
    const known = this.#ground.words;
    if (all.size !== known.size || [...all].some((word) => !known.has(word))) this.#ground.words = all;
    return renamed;
  }

  /** A line in a person's words, its note among them. */
  whatItSays(line: LineWire): string {
    if (!isWorked(line)) return wordsOf(line);
    const entry = withLabel(line.label, this.shown(line.source));
    return line.note === '' ? entry : `${entry} (${line.note})`;
  }

  /** What undoing compares: a place on the slate may be another by now, and a number is the server's. */
  contentNow(id: string): string | undefined {
    const line = this.#lines.get(id);
    return line && fingerprint(JSON.stringify([line.deleted, line.source, line.label, line.note]));
  }

  /** Shows the lines of a job that is opened. @param isSame it was open before */
  open(lines: readonly LineWire[], nextNumber: number, isSame: boolean): void {
    this.#nextNumber = Math.max(nextNumber, ...lines.map(({ number }) => (number ?? 0) + 1));
    this.#lines = new Map(lines.map((line) => [line.id, line]));
    if (!isSame) this.#landedHere = undefined;
    this.#updateNames();
    this.followRows();
    if (this.#jigs.update(this.#things.list('jig'))) this.#ground.jigs = this.#jigs.programs;
    this.#beginGraph();
    this.#changed.value = new Set();
    this.#loadGraph();
    this.#inOrder.allChanged();
    this.#show();
  }

  /** Many changes, drawn once. Nothing among them finds a place by what is drawn. */
  together(work: () => void): void {
    if (!this.#isDrawing) {
      work();
      return;
    }
    this.#isDrawing = false;
    try {
      work();
    } finally {
      this.#isDrawing = true;
      this.#show();
    }
  }

  /** Takes over what others did, or the server. @param isLoose this page has a later state of it */
  take(theirs: LineWire, isLoose: boolean): void {
    const before = this.#lines.get(theirs.id);
    const line = before && isLoose ? { ...before, revision: theirs.revision, number: theirs.number } : theirs;
    if (before && isWorked(before) && isWorked(line) && before.number !== line.number)
      this.#renumbered.value = [...this.renumbered, [before.number, line.number]];
    // A line that is as it was is not worked out again.
    if (before === undefined || before.number !== line.number || !saysTheSame(before, line)) this.#place(line);
    else {
      this.#lines.set(line.id, line);
      this.#inOrder.changed(line.id);
    }
  }

  takeNextNumber(number: number): void {
    this.#nextNumber = Math.max(this.#nextNumber, number);
  }

  /** A line was given another number as it was written down. */
  renumber({ id, number }: LineWire): void {
    const line = this.#lines.get(id);
    if (line) this.#place({ ...line, number });
  }

  /** A line that this device no longer has goes from the page. */
  forget(id: string): void {
    if (!this.#lines.delete(id)) return;
    // Entries that refer to it show another number now.
    this.#inOrder.allChanged();
    this.#keeper.remove(id);
    this.#show();
  }

  /** Puts a new line in its place. @param landed the next entry goes on from it */
  add(line: LineWire, landed: boolean): void {
    if (landed) {
      this.#landedHere = line.id;
      this.#keeper.slate.goOnFrom(line.id);
    }
    this.#place(line);
    const { id: lineId, number, position, source, label, note } = line;
    const content = { position, source, label, note };
    this.#ground.send(
      number === null
        ? { id: uuidv7(), kind: 'line.words', lineId, words: line.kind === 'heading' ? 'heading' : 'note', ...content }
        : { id: uuidv7(), kind: 'line.add', lineId, number, ...content },
      { line },
    );
  }

  write(line: LineWire, content: LineContent): void {
    if (this.#ground.refusesReader()) return;
    const { position, source, label, note } = asKept(content);
    const base = this.#ground.baseOf(line);
    const written = { ...line, position, source, label, note };
    this.#place(written);
    const change = { kind: 'line.edit', lineId: line.id, base, position, source, label, note } as const;
    this.#ground.send({ id: uuidv7(), ...change }, { line: written });
  }

  setDeleted(before: LineWire, deleted: boolean): void {
    if (this.#ground.refusesReader()) return;
    const base = this.#ground.baseOf(before);
    const line = { ...before, deleted };
    this.#place(line);
    this.#ground.send(
      { id: uuidv7(), kind: deleted ? 'line.delete' : 'line.restore', lineId: line.id, base },
      { line },
    );
  }

  /** Puts a line in its new state everywhere at once: lines, graph and rows. */
  #place(line: LineWire): void {
    const before = this.#lines.get(line.id);
    const isRenumbered = before !== undefined && before.number !== line.number;
    this.#lines.set(line.id, line);
    this.#inOrder.changed(line.id);
    if (isRenumbered) this.#inOrder.allChanged();
    if (isWorked(line)) {
      this.#nextNumber = Math.max(this.#nextNumber, line.number + 1);
      // A line that got another number is written so in every entry that uses it.
      if (isRenumbered) this.#loadGraph();
      else if (line.deleted) this.#keeper.remove(line.id);
      else this.#keeper.put(this.#toSlateLine(line));
      // Which of two marks of one name goes first may be another now.
      if (this.#names.hasTwins && storedMade(line.source) !== undefined) this.followMarks();
    }
    this.#show();
  }

  #beginGraph(): void {
    this.#keeper.dispose();
    // Of the job's own: what is only at hand here is not what others see.
    const { jigs } = this.#ground;
    this.#keeper = new SlateKeeper({ ...this.#ground.reading.style, jigs }, (ids) => {
      this.#showChanged(ids);
    });
    this.#keeper.slate.goOnFrom(this.#landedHere);
    this.#readWith = this.#ground.words;
    this.#readWithJigs = this.#ground.jigs;
  }

  #loadGraph(): void {
    // Every entry may read otherwise where the job has another word of its own, or another jig.
    if (this.#readWith !== this.#ground.words || this.#readWithJigs !== this.#ground.jigs) this.#beginGraph();
    const standing = [...this.#lines.values()].filter((line) => !line.deleted).filter(isWorked);
    this.#keeper.load(standing.map((line) => this.#toSlateLine(line)));
  }

  #toSlateLine({ id, number, position, source }: WorkedRow['line']): SlateLine {
    return { id, number, position, source: this.shown(source) };
  }

  #toRow(line: LineWire): SlateRow {
    if (!isWorked(line)) return { kind: line.kind === 'heading' ? 'heading' : 'note', line, words: wordsOf(line) };
    const worked = this.#keeper.slate.line(line.id) as WorkedLine;
    return { kind: 'worked', line, entry: withLabel(line.label, this.shown(line.source)), worked };
  }

  #showChanged(ids: readonly string[]): void {
    this.#changed.value = new Set(ids);
    for (const id of ids) this.#inOrder.changed(id);
    this.#show();
  }

  #show(): void {
    if (!this.#isDrawing) return;
    const drawing = this.#drawing(this.#inOrder.of(this.#lines));
    const { rows, graph } = this.#drawn.value;
    if (drawing.rows === rows && drawing.graph === graph) return;
    this.#drawn.value = drawing;
    this.#onShown();
  }

  #drawing(rows: readonly SlateRow[]): Drawn {
    return {
      rows,
      graph: this.#keeper.slate,
      lineNumber: (id) => this.#lines.get(id)?.number ?? undefined,
      markName: (id) => this.#names.nameOf(id) ?? this.#namesOfRows().nameOf(id),
      jigName: (id) => this.#jigs.nameOf(id),
    };
  }

  dispose(): void {
    this.#keeper.dispose();
  }
}
