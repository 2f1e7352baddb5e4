import { isComparison, type LineNode, type MarkNode, type SlateNode } from './node.ts';
import { NOT_YET } from './node-results.ts';

/** The lines of a slate by everything that they are found by, and what may use what, whether it exists yet or not. */
export class LineIndex {
  readonly nodes = new Map<string, LineNode>();
  /** Entries that are held beside the slate, by their ids. */
  readonly held = new Map<string, LineNode>();
  readonly byNumber = new Map<number, LineNode>();
  /** By name in lower case. */
  readonly marks = new Map<string, MarkNode>();
  /** Lines in the order they stand. */
  order: LineNode[] = [];
  readonly #usersOfNumber = new Map<number, Set<LineNode>>();
  readonly #usersOfMark = new Map<string, Set<LineNode>>();
  readonly #runUsers = new Set<LineNode>();
  readonly #takeSlot: () => number;

  /** @param takeSlot a slot for the value of a mark that is made */
  constructor(takeSlot: () => number) {
    this.#takeSlot = takeSlot;
  }

  /** Replaces everything; the lines in any order. */
  load(nodes: readonly LineNode[]): void {
    this.order = [...nodes].sort(compareNodes);
    for (const node of this.order) this.register(node);
    this.reindex(0);
    for (const node of this.order)
      if (node.parsed.entry?.assignment) this.assignmentsOf(node.parsed.entry.assignment.name).push(node);
  }

  /** Whatever names a line by its number, in a run that goes over it too, or a mark by its name, or makes that; in any order. */
  naming(number: number | undefined, mark: string | undefined): ReadonlySet<LineNode> {
    const found = new Set<LineNode>(mark === undefined ? [] : this.usersOfMark(mark));
    for (const node of (mark === undefined ? undefined : this.marks.get(mark.toLowerCase()))?.assignments ?? [])
      found.add(node);
    if (number === undefined) return found;
    for (const node of this.#usersOfNumber.get(number) ?? []) found.add(node);
    const line = this.byNumber.get(number);
    if (line) for (const node of this.#runUsers) if (node.sources.includes(line)) found.add(node);
    return found;
  }

  /** Lines and held entries that use a mark by its name, in any order. */
  usersOfMark(name: string): Iterable<LineNode> {
    return this.#usersOfMark.get(name.toLowerCase()) ?? [];
  }

  /**
   * The line that landed last, comparisons apart: the one that landed here, as long as it is there, or else the one with
   * the highest number.
   * @param here id of the line that landed last on this device
   */
  lastLanded(hidden: string | undefined, here: string | undefined): LineNode | undefined {
    let last: LineNode | undefined;
    for (const node of this.order) {
      if (isComparison(node)) continue;
      if (node.line.id === here && here !== hidden) return node;
      if (node.line.id !== hidden && (last === undefined || node.line.number > last.line.number)) last = node;
    }
    return last;
  }

  /** The lines from one number to another, as they stand; undefined where one is missing or they stand the other way. */
  run(from: number, to: number): LineNode[] | undefined {
    const first = this.byNumber.get(from);
    const last = this.byNumber.get(to);
    return first && last && first.index <= last.index ? this.order.slice(first.index, last.index + 1) : undefined;
  }

  /** The line whose value a posting adds to: the assignment of the same mark before it on the slate. */
  previousAssignment(node: LineNode): LineNode | undefined {
    const assignment = node.parsed.entry?.assignment;
    if (!assignment || assignment.operator === 'keep') return undefined;
    const list = this.assignmentsOf(assignment.name);
    return list[list.indexOf(node) - 1];
  }

  /** Enters a node in the indexes by id, number and what it refers to. */
  register(node: LineNode): void {
    this.nodes.set(node.line.id, node);
    this.byNumber.set(node.line.number, node);
    this.#registerReferences(node);
  }

  /** Enters an entry that is held beside the slate. */
  hold(node: LineNode): void {
    this.held.set(node.line.id, node);
    this.#registerReferences(node);
  }

  release(node: LineNode): void {
    this.held.delete(node.line.id);
    this.#unregisterReferences(node);
  }

  #registerReferences(node: LineNode): void {
    const { lines, marks, runs } = node.references;
    for (const number of lines) usersIn(this.#usersOfNumber, number).add(node);
    for (const name of marks) usersIn(this.#usersOfMark, name).add(node);
    for (const [from, to] of runs) {
      usersIn(this.#usersOfNumber, from).add(node);
      usersIn(this.#usersOfNumber, to).add(node);
      this.#runUsers.add(node);
    }
  }

  unregister(node: LineNode): void {
    this.nodes.delete(node.line.id);
    if (this.byNumber.get(node.line.number) === node) this.byNumber.delete(node.line.number);
    this.#unregisterReferences(node);
  }

  #unregisterReferences(node: LineNode): void {
    const { lines, marks, runs } = node.references;
    for (const number of [...lines, ...runs.flat()]) this.#usersOfNumber.get(number)?.delete(node);
    for (const name of marks) this.#usersOfMark.get(name)?.delete(node);
    this.#runUsers.delete(node);
  }

  /** Puts a node in its place among the others. */
  insert(node: LineNode): void {
    let low = 0;
    let high = this.order.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (compareNodes(this.order[middle] as LineNode, node) < 0) low = middle + 1;
      else high = middle;
    }
    this.order.splice(low, 0, node);
    this.reindex(low);
  }

  reindex(from: number): void {
    for (let index = from; index < this.order.length; index += 1) (this.order[index] as LineNode).index = index;
  }

  /** The assignments of a mark, which is made when it is new. */
  assignmentsOf(name: string): LineNode[] {
    const key = name.toLowerCase();
    let mark = this.marks.get(key);
    if (!mark) {
      mark = {
        kind: 'mark',
        name,
        assignments: [],
        sources: [],
        users: [],
        slot: this.#takeSlot(),
        result: NOT_YET,
        isMade: true,
        round: 0,
        waiting: 0,
        stale: true,
      };
      this.marks.set(key, mark);
    }
    return mark.assignments as LineNode[];
  }

  /** Everything whose sources may be others once `node` comes or goes. */
  disturb(node: LineNode, stale: Set<SlateNode>): void {
    for (const user of this.#usersOfNumber.get(node.line.number) ?? []) stale.add(user);
    for (const user of this.#runUsers) stale.add(user);
    const assignment = node.parsed.entry?.assignment;
    if (!assignment) return;
    const key = assignment.name.toLowerCase();
    const mark = this.marks.get(key);
    if (mark) {
      stale.add(mark);
      for (const other of mark.assignments) stale.add(other);
    }
    for (const user of this.#usersOfMark.get(key) ?? []) stale.add(user);
  }
}

function usersIn<K>(map: Map<K, Set<LineNode>>, key: K): Set<LineNode> {
  let users = map.get(key);
  if (!users) {
    users = new Set();
    map.set(key, users);
  }
  return users;
}

function compareNodes(a: LineNode, b: LineNode): number {
  if (a.line.position !== b.line.position) return a.line.position < b.line.position ? -1 : 1;
  return a.line.id < b.line.id ? -1 : a.line.id > b.line.id ? 1 : 0;
}
