import { makeIssue } from '../base/issue.ts';
import { evaluate } from '../evaluate/evaluate.ts';
import { foldEntry } from '../evaluate/fold.ts';
import { posted } from '../evaluate/posting.ts';
import type { Resolved, Scope } from '../evaluate/scope.ts';
import type { Assignment } from '../notation/ast.ts';
import { parse } from '../notation/parser.ts';
import type { ScanOptions } from '../notation/scanner.ts';
import { LineIndex } from './line-index.ts';
import {
  isComparison,
  lineResult,
  type HeldEntry,
  type LineNode,
  type LineResult,
  type SlateLine,
  type SlateNode,
} from './node.ts';
import { NodeResults, NOT_YET } from './node-results.ts';
import { dependencyOrder, neededBy } from './order.ts';
import { CHANGED, compile, LEFT_TO_THE_TREE, type SlotFinder } from '../evaluate/columns.ts';
import { circleThrough, recalculate } from './recalculate.ts';
import { referencesOf } from './references.ts';

/** A line with what it comes to. */
export interface WorkedLine {
  readonly line: SlateLine;
  readonly parsed: LineNode['parsed'];
  readonly result: LineResult;
}

/** A mark with what it comes to. */
export interface MadeMark {
  /** As first written. */
  readonly name: string;
  readonly result: LineResult;
  readonly madeBy: readonly {
    readonly id: string;
    readonly number: number;
    readonly operator: Assignment['operator'];
  }[];
}

/** A line that makes a mark or posts to it. Its result is what the mark comes to by then, `amount` what the line brings. */
export interface MarkLine extends WorkedLine {
  readonly operator: Assignment['operator'];
  readonly amount: LineResult;
}

/**
 * The lines of a job and the marks they make, as one graph. Every change works out again what depends on it, in order,
 * and only that. A change that would make a line use its own result is refused on that line, with the chain named;
 * the rest stands.
 */
export class Slate {
  readonly #options: ScanOptions;
  #results = new NodeResults();
  #index = new LineIndex(() => this.#results.columns.take());
  readonly #circles = new Set<LineNode>();
  #inOrder: readonly SlateNode[] | undefined;
  #isDeferred = false;

  constructor(options: ScanOptions = {}) {
    this.#options = options;
  }

  /** Replaces every line; what is held beside the slate is released. */
  load(lines: readonly SlateLine[]): void {
    this.#results = new NodeResults();
    this.#index = new LineIndex(() => this.#results.columns.take());
    this.#circles.clear();
    this.#index.load(lines.map((line) => this.#makeNode(line)));
    this.#settle(new Set<SlateNode>([...this.#index.order, ...this.#index.marks.values()]));
  }

  /**
   * Adds a line, or replaces the one with its id.
   * @returns ids of the lines whose results changed, its own among them when it did
   */
  put(line: SlateLine): readonly string[] {
    const before = this.#index.nodes.get(line.id);
    const stale = new Set<SlateNode>();
    if (before) this.#detach(before, stale);
    const node = this.#makeNode(line);
    if (before) this.#results.set(node, this.#results.of(before));
    this.#index.insert(node);
    this.#attach(node, stale);
    return this.#settle(stale, node);
  }

  /**
   * Holds these entries beside the slate, and no others: what is held already and reads the same stays as it is.
   * They are recalculated whenever what they use is.
   */
  hold(entries: readonly HeldEntry[]): void {
    const { held } = this.#index;
    const wanted = new Map(entries.map((entry) => [entry.id, entry]));
    for (const node of [...held.values()]) {
      if (wanted.get(node.line.id)?.source === node.line.source) wanted.delete(node.line.id);
      else this.#release(node);
    }
    const stale = [...wanted.values()].map(({ id, source }) => {
      const node = this.#makeNode({ id, number: NO_NUMBER, position: '', source }, true);
      this.#index.hold(node);
      return node;
    });
    if (stale.length > 0) this.#settle(new Set(stale));
  }

  #release(node: LineNode): void {
    this.#unlink(node);
    this.#index.release(node);
    this.#results.columns.release(node.slot);
    this.#inOrder = undefined;
  }

  /** What a held entry comes to; undefined for one that is not held. */
  held(id: string): LineResult | undefined {
    const node = this.#index.held.get(id);
    return node && this.#results.of(node);
  }

  /**
   * Ids of lines and held entries whose own text may name a line or a mark: those that do, and those that are in error or on
   * a circle, of which it is not known.
   */
  mayName({
    number,
    mark,
  }: {
    readonly number?: number | undefined;
    readonly mark?: string | undefined;
  }): ReadonlySet<string> {
    const found = new Set([...this.#index.naming(number, mark)].map(({ line }) => line.id));
    for (const nodes of [this.#index.order, this.#index.held.values()])
      for (const { line, folded, circle } of nodes)
        if (folded === undefined || circle !== undefined) found.add(line.id);
    return found;
  }

  /** Takes a line away; what used it then says so. */
  remove(id: string): readonly string[] {
    const node = this.#index.nodes.get(id);
    if (!node) return [];
    const stale = new Set<SlateNode>();
    this.#detach(node, stale);
    return this.#settle(stale);
  }

  /**
   * How many lines hold a value that is not small and rational. Past a few hundred a change may take longer than a
   * frame: such a slate is kept by a worker, and this one receives the results (`putLater`, `removeLater`, `accept`).
   */
  heavyLines(): number {
    let count = 0;
    for (const { slot, result, isMade } of this.#index.order)
      if (this.#results.columns.isSmall[slot] === 0 && isMade && result.ok && result.outcome.kind === 'quantity')
        count += 1;
    return count;
  }

  /** As `put`, but nothing is worked out: results stay as they are until `accept` brings others. */
  putLater(line: SlateLine): void {
    this.#later(() => this.put(line));
  }

  /** As `load`, but nothing is worked out: every line stands without a result until `accept` brings one. */
  loadLater(lines: readonly SlateLine[]): void {
    this.#later(() => {
      this.load(lines);
    });
  }

  /** As `remove`, but nothing is worked out. */
  removeLater(id: string): void {
    this.#later(() => this.remove(id));
  }

  #later(change: () => void): void {
    this.#isDeferred = true;
    change();
    this.#isDeferred = false;
  }

  /**
   * Works out the last lines and what they use, where that is not much: after `loadLater`, what is seen first need not wait
   * for the rest.
   * @param most lines and marks that may be worked out for it; where it takes more, or runs in a circle, nothing is
   * @returns ids of the lines that have a result now
   */
  workOutFoot(count: number, most: number): readonly string[] {
    const needed = neededBy(this.#index.order.slice(-count), most) ?? [];
    for (const node of needed) this.#rework(node);
    return needed.flatMap((node) => (node.kind === 'line' ? [node.line.id] : []));
  }

  /** Takes over results that were worked out elsewhere, from the same lines. */
  accept(results: readonly (readonly [id: string, result: LineResult])[]): void {
    for (const [id, result] of results) {
      const node = this.#index.nodes.get(id);
      if (node) this.#results.set(node, result);
    }
    for (const mark of this.#index.marks.values()) this.#results.set(mark, this.#work(mark));
    for (const node of this.#index.held.values()) this.#rework(node);
  }

  /** Works every line out again, in an order that is kept for as long as no line changes. */
  recalculateAll(): void {
    const { order, marks, held } = this.#index;
    this.#inOrder ??= dependencyOrder([...order, ...marks.values(), ...held.values()]);
    for (const node of this.#inOrder) this.#rework(node);
  }

  /** One line as it stands. */
  line(id: string): WorkedLine | undefined {
    const node = this.#index.nodes.get(id);
    return node && this.#worked(node);
  }

  lineNumbered(number: number): WorkedLine | undefined {
    const node = this.#index.byNumber.get(number);
    return node && this.#worked(node);
  }

  /** All lines, in the order they stand. */
  lines(): readonly WorkedLine[] {
    return this.#index.order.map((node) => this.#worked(node));
  }

  /** Lines whose own text uses this line, in the order they stand. */
  usersOf(id: string): readonly SlateLine[] {
    const node = this.#index.nodes.get(id);
    if (!node) return [];
    const users = new Set<LineNode>();
    const add = (user: SlateNode) => {
      if (user.kind === 'line' && !user.isHeld && user !== node) users.add(user);
    };
    for (const user of node.users) {
      if (user.kind === 'line') add(user);
      else for (const reader of user.users) add(reader);
    }
    return [...users].sort((a, b) => a.index - b.index).map((user) => user.line);
  }

  /** Marks that lines made, with their values and the lines that made them, in the order they stand. */
  marks(): readonly MadeMark[] {
    return [...this.#index.marks.values()]
      .filter((mark) => mark.assignments.length > 0)
      .map((mark) => ({
        name: mark.assignments[0]?.parsed.entry?.assignment?.name ?? mark.name,
        result: this.#results.of(mark),
        madeBy: mark.assignments.map(({ line: { id, number }, parsed }) => ({
          id,
          number,
          operator: parsed.entry?.assignment?.operator ?? 'keep',
        })),
      }));
  }

  /** The lines that make a mark or post to it, in the order they stand. */
  markLines(name: string): readonly MarkLine[] {
    return (this.#index.marks.get(name.toLowerCase())?.assignments ?? []).map((node) => ({
      ...this.#worked(node),
      operator: node.parsed.entry?.assignment?.operator ?? 'keep',
      amount: this.#amountOf(node),
    }));
  }

  /** Lines whose own text uses a mark, in the order they stand; those that make it or post to it are not among them. */
  usersOfMark(name: string): readonly SlateLine[] {
    return [...this.#index.usersOfMark(name)]
      .filter(({ isHeld }) => !isHeld)
      .sort((a, b) => a.index - b.index)
      .map(({ line }) => line);
  }

  /** What an entry comes to, before that is posted to the mark in front of it. */
  #amountOf(node: LineNode): LineResult {
    if (node.circle !== undefined || node.folded === undefined) return this.#results.of(node);
    const result = evaluate(node.folded, this.#ownScope);
    return result.ok ? lineResult(result.value) : result;
  }

  /**
   * What an entry may refer to. `last` is the line that landed last, on this device where one did.
   * @param hidden id of a line being edited: it sees the others, never itself
   */
  scope(hidden?: string): Scope {
    const shown = (node: LineNode | undefined) =>
      node === undefined || node.line.id === hidden || isComparison(node) ? undefined : this.#resolve(node);
    return {
      mark: (name) => {
        const mark = this.#index.marks.get(name);
        return mark && mark.assignments.length > 0 ? this.#resolve(mark) : undefined;
      },
      line: (number) => shown(this.#index.byNumber.get(number)),
      run: (from, to) =>
        this.#index
          .run(from, to)
          ?.filter((node) => node.line.id !== hidden && !isComparison(node))
          .map((node) => this.#resolve(node)),
      last: () => shown(this.#index.lastLanded(hidden, this.#landedHere)),
      names: () => [...this.#index.marks.values()].map((mark) => mark.name),
    };
  }

  /** The line that landed last, if there is one. */
  lastLine(): SlateLine | undefined {
    return this.#index.lastLanded(undefined, this.#landedHere)?.line;
  }

  /** `last` is this line as long as it is there, whatever lands from other devices meanwhile. */
  goOnFrom(id: string | undefined): void {
    this.#landedHere = id;
  }

  #makeNode(line: SlateLine, isHeld = false): LineNode {
    const parsed = parse(line.source, this.#options);
    return {
      kind: 'line',
      line,
      isHeld,
      parsed,
      folded: parsed.entry && parsed.issues.length === 0 ? foldEntry(parsed.entry) : undefined,
      references: referencesOf(parsed.entry),
      index: 0,
      circle: undefined,
      sources: [],
      users: [],
      slot: this.#results.columns.take(),
      result: NOT_YET,
      isMade: true,
      round: 0,
      waiting: 0,
      stale: true,
    };
  }

  /** Takes a node out; what used it or stood around it is stale. */
  #detach(node: LineNode, stale: Set<SlateNode>): void {
    this.#index.order.splice(node.index, 1);
    this.#index.reindex(node.index);
    this.#unlink(node);
    this.#index.unregister(node);
    this.#circles.delete(node);
    this.#index.disturb(node, stale);
    this.#results.columns.release(node.slot);
    const assignment = node.parsed.entry?.assignment;
    if (assignment) {
      const list = this.#index.assignmentsOf(assignment.name);
      list.splice(list.indexOf(node), 1);
    }
  }

  /** Puts a node in, already placed; what may now use it is stale. */
  #attach(node: LineNode, stale: Set<SlateNode>): void {
    this.#index.register(node);
    const assignment = node.parsed.entry?.assignment;
    if (assignment) {
      const list = this.#index.assignmentsOf(assignment.name);
      list.push(node);
      list.sort((a, b) => a.index - b.index);
    }
    stale.add(node);
    this.#index.disturb(node, stale);
  }

  /**
   * Links what is stale again and works it out. Lines on a circle are refused, one after the other, until none is left:
   * the line that was touched if the circle runs through it, else the first met.
   */
  #settle(stale: Set<SlateNode>, touched?: LineNode): readonly string[] {
    this.#inOrder = undefined;
    for (const node of this.#circles) stale.add(node);
    this.#circles.clear();
    for (const node of stale) {
      if (node.kind === 'line' && this.#isGone(node)) stale.delete(node);
      else this.#link(node);
    }
    const changed = new Set<SlateNode>();
    if (this.#isDeferred) return [];
    for (;;) {
      const round = recalculate(stale, this.#rework);
      for (const node of round.changed) changed.add(node);
      if (round.stuck.length === 0) break;
      const inCircle = [...(touched ? [touched] : []), ...round.stuck].find(
        (node): node is LineNode =>
          node.kind === 'line' && node.circle === undefined && circleThrough(node) !== undefined,
      ) as LineNode;
      this.#refuseCircle(inCircle, circleThrough(inCircle) as readonly SlateNode[]);
      stale = new Set([inCircle, ...round.stuck]);
    }
    return [...changed].flatMap((node) => (node.kind === 'line' && !node.isHeld ? [node.line.id] : []));
  }

  #isGone(node: LineNode): boolean {
    const { held, nodes } = this.#index;
    return (node.isHeld ? held : nodes).get(node.line.id) !== node;
  }

  #refuseCircle(node: LineNode, chain: readonly SlateNode[]): void {
    const names = chain.map((step) => (step.kind === 'line' ? `#${step.line.number}` : step.name)).join(' → ');
    this.#unlink(node);
    node.circle = makeIssue('line.circle', { start: 0, end: node.line.source.length }, { chain: names });
    this.#results.columns.setProgram(node.slot, undefined);
    this.#circles.add(node);
  }

  #unlink(node: SlateNode): void {
    for (const source of node.sources) {
      const { users } = source;
      users[users.indexOf(node)] = users[users.length - 1] as SlateNode;
      users.pop();
    }
    node.sources = [];
  }

  #link(node: SlateNode): void {
    this.#unlink(node);
    if (node.kind === 'line') node.circle = undefined;
    const sources = new Set(node.kind === 'mark' ? node.assignments.slice(-1) : this.#sourcesOf(node));
    node.sources = [...sources];
    for (const source of sources) source.users.push(node);
    this.#results.columns.setProgram(node.slot, this.#programOf(node));
  }

  #sourcesOf(node: LineNode): SlateNode[] {
    const { lines, runs, marks } = node.references;
    const sources: SlateNode[] = [];
    for (const number of lines) {
      const source = this.#index.byNumber.get(number);
      if (source) sources.push(source);
    }
    for (const [from, to] of runs) sources.push(...(this.#index.run(from, to) ?? []));
    for (const name of marks) {
      // A name that no line keeps yet has no node; `#usersOfMark` brings the line back when one does.
      const mark = this.#index.marks.get(name);
      if (mark) sources.push(mark);
    }
    const previous = this.#index.previousAssignment(node);
    if (previous) sources.push(previous);
    return sources;
  }

  /** The program of a node that can be worked out in the columns: any line but a posting, and a mark as what was kept last. */
  #programOf(node: SlateNode): readonly number[] | undefined {
    if (node.kind === 'mark' || node.circle || node.folded === undefined) return undefined;
    const operator = node.folded.assignment?.operator;
    return operator === undefined || operator === 'keep' ? compile(node.folded.expr, this.#slots) : undefined;
  }

  readonly #slots: SlotFinder = {
    line: (number) => this.#index.byNumber.get(number)?.slot,
    mark: (name) => this.#index.marks.get(name)?.slot,
  };

  /** Recalculates one node, in the columns where possible. Returns whether its result changed. */
  readonly #rework = (node: SlateNode): boolean => {
    const went = this.#results.columns.run(node.slot);
    if (went === LEFT_TO_THE_TREE) return this.#results.set(node, this.#work(node));
    if (went === CHANGED) node.isMade = false;
    return went === CHANGED;
  };

  /** What an entry that uses the node is given of it. */
  #resolve(node: SlateNode): Resolved {
    const result = this.#results.of(node);
    if (result.ok && result.quantity !== undefined) return result as Resolved;
    return { ok: false, line: node.kind === 'line' ? node.line.number : undefined };
  }

  #worked(node: LineNode): WorkedLine {
    return { line: node.line, parsed: node.parsed, result: this.#results.of(node) };
  }

  #work(node: SlateNode): LineResult {
    if (node.kind === 'mark') {
      const last = node.assignments[node.assignments.length - 1];
      return last === undefined ? NOT_YET : this.#results.of(last);
    }
    if (node.circle) return { ok: false, issue: node.circle };
    const entry = node.folded;
    if (entry === undefined) return { ok: false, issue: node.parsed.issues[0] ?? NOT_YET_ISSUE };
    const result = evaluate(entry, this.#ownScope);
    if (!result.ok) return result;
    const outcome = result.value;
    if (entry.assignment === undefined || entry.assignment.operator === 'keep' || outcome.kind === 'answer')
      return lineResult(outcome);
    const previous = this.#index.previousAssignment(node);
    const before = previous && this.#results.of(previous);
    if (before && (!before.ok || before.quantity === undefined))
      return { ok: false, issue: makeIssue('mark.failed', entry.assignment, { name: entry.assignment.name }) };
    const made = posted(entry.assignment, entry.expr, before?.quantity, outcome.quantity);
    return made.ok ? lineResult({ kind: 'quantity', quantity: made.quantity }) : made;
  }

  /** Made once: every line of the slate is worked out in it. A line on the slate has no `last`: that was bound when it landed. */
  /** Id of the line that landed last on this device. */
  #landedHere: string | undefined;
  readonly #ownScope: Scope = { ...this.scope(), last: () => undefined };
}

/** Of an entry that is not on the slate: no line has it. */
const NO_NUMBER = -1;

const NOT_YET_ISSUE = makeIssue('entry.empty', { start: 0, end: 0 }, {});
