import { gcdNumber } from '../base/bigint.ts';
import type { Expr } from '../notation/ast.ts';
import { combineDimensions } from './quick.ts';
import { ADD, combineSmall, DIVIDE, MULTIPLY, small, SUBTRACT } from '../number/small-fraction.ts';
import { isOrdinary, type Dimension } from '../units/dimension.ts';

/**
 * The quick way to work lines out again. Almost every line of a job adds, subtracts, multiplies and divides small
 * rational quantities; such a line is compiled to a few numbers, and the values it needs and makes stand in columns.
 * Ten thousand lines then fit in the processor's cache, where trees and objects do not. Whatever is not small, rational
 * and plainly alike is left to the tree: `run` says so and changes nothing. See docs/decisions/0004-columns-for-the-slate.md.
 */

const END = 0;
const CONSTANT = 1;
const SLOT = 2;
const NEGATE = 7;

const OPERATIONS = { add: ADD, subtract: SUBTRACT, multiply: MULTIPLY, of: MULTIPLY, divide: DIVIDE } as const;
/** A program this deep is no ordinary line. */
const STACK = 32;

/** Finds the slot of what a reference stands for; undefined when it stands for nothing. */
export interface SlotFinder {
  line(number: number): number | undefined;
  mark(name: string): number | undefined;
}

/** The program of an expression, or undefined when a part of it is not for the quick way. */
export function compile(expr: Expr, slots: SlotFinder): readonly number[] | undefined {
  const code: number[] = [];
  const depth = emit(expr, slots, code);
  if (depth === 0 || depth > STACK) return undefined;
  code.push(END);
  return code;
}

/** Emits one expression; the depth of stack it takes, 0 when it cannot be compiled. */
function emit(expr: Expr, slots: SlotFinder, code: number[]): number {
  switch (expr.kind) {
    case 'known': {
      const { value, dimension } = expr.quantity;
      if (value.kind !== 'rational' || typeof value.num !== 'number' || typeof value.den !== 'number') return 0;
      if (!isOrdinary(dimension)) return 0;
      code.push(CONSTANT, value.num, value.den, dimension);
      return 1;
    }
    case 'line':
    case 'mark': {
      const slot = expr.kind === 'line' ? slots.line(expr.number) : slots.mark(expr.name.toLowerCase());
      if (slot === undefined) return 0;
      code.push(SLOT, slot);
      return 1;
    }
    case 'signed': {
      const depth = emit(expr.operand, slots, code);
      code.push(NEGATE);
      return depth;
    }
    case 'binary': {
      if (expr.operator === 'at') return 0;
      const left = emit(expr.left, slots, code);
      const right = left === 0 ? 0 : emit(expr.right, slots, code);
      if (right === 0) return 0;
      code.push(OPERATIONS[expr.operator]);
      return Math.max(left, right + 1);
    }
    default:
      return 0;
  }
}

/** How a run went. */
export const SAME = 0;
export const CHANGED = 1;
/** Not for the quick way after all; nothing was changed. */
export const LEFT_TO_THE_TREE = 2;

/** Small rational quantities by slot, and the programs that make them. */
export class Columns {
  num = new Float64Array(64);
  den = new Float64Array(64);
  dimension = new Float64Array(64);
  /** 1 where the slot holds a small rational quantity; 0 where its node has another result, or none. */
  isSmall = new Uint8Array(64);
  /** Where the slot's program begins in `code`; -1 for none. */
  private start = new Int32Array(64).fill(-1);
  private code = new Float64Array(512);
  private used = 0;
  private readonly free: number[] = [];
  private slots = 0;
  private readonly stackNum = new Float64Array(STACK + 1);
  private readonly stackDen = new Float64Array(STACK + 1);
  private readonly stackDimension = new Float64Array(STACK + 1);

  /** A slot for a new node. */
  take(): number {
    const slot = this.free.pop() ?? this.slots++;
    if (slot >= this.num.length) this.grow();
    this.isSmall[slot] = 0;
    this.start[slot] = -1;
    return slot;
  }

  /** Gives a slot back. */
  release(slot: number): void {
    this.isSmall[slot] = 0;
    this.start[slot] = -1;
    this.free.push(slot);
  }

  private grow(): void {
    const room = this.num.length * 2;
    this.num = widened(this.num, new Float64Array(room));
    this.den = widened(this.den, new Float64Array(room));
    this.dimension = widened(this.dimension, new Float64Array(room));
    this.isSmall = widened(this.isSmall, new Uint8Array(room));
    this.start = widened(this.start, new Int32Array(room).fill(-1));
  }

  /** Gives a slot its program, or none. Programs that were replaced are squeezed out once they fill half the room. */
  setProgram(slot: number, program: readonly number[] | undefined): void {
    this.start[slot] = -1;
    if (program === undefined) return;
    if (this.used + program.length > this.code.length) this.makeRoom(program.length);
    this.start[slot] = this.used;
    this.code.set(program, this.used);
    this.used += program.length;
  }

  private makeRoom(needed: number): void {
    const before = this.code;
    let live = 0;
    for (let slot = 0; slot < this.slots; slot += 1)
      if (this.start[slot] !== -1) live += lengthOf(before, this.start[slot] as number);
    this.code = new Float64Array(Math.max(512, 2 * (live + needed)));
    this.used = 0;
    for (let slot = 0; slot < this.slots; slot += 1) {
      const from = this.start[slot] as number;
      if (from === -1) continue;
      const length = lengthOf(before, from);
      this.code.set(before.subarray(from, from + length), this.used);
      this.start[slot] = this.used;
      this.used += length;
    }
  }

  /** Puts a small rational quantity in a slot. */
  put(slot: number, num: number, den: number, dimension: Dimension): void {
    this.num[slot] = num;
    this.den[slot] = den;
    this.dimension[slot] = dimension;
    this.isSmall[slot] = 1;
  }

  /** Works a slot out again from the slots it needs. */
  run(slot: number): typeof SAME | typeof CHANGED | typeof LEFT_TO_THE_TREE {
    let at = this.start[slot] as number;
    if (at === -1) return LEFT_TO_THE_TREE;
    const { code, stackNum, stackDen, stackDimension } = this;
    let top = -1;
    for (;;) {
      const operation = code[at] as number;
      at += 1;
      if (operation === CONSTANT) {
        top += 1;
        stackNum[top] = code[at] as number;
        stackDen[top] = code[at + 1] as number;
        stackDimension[top] = code[at + 2] as number;
        at += 3;
      } else if (operation === SLOT) {
        const source = code[at] as number;
        at += 1;
        if (this.isSmall[source] !== 1) return LEFT_TO_THE_TREE;
        top += 1;
        stackNum[top] = this.num[source] as number;
        stackDen[top] = this.den[source] as number;
        stackDimension[top] = this.dimension[source] as number;
      } else if (operation === END) {
        return this.settle(slot, stackNum[0] as number, stackDen[0] as number, stackDimension[0] as number);
      } else if (operation === NEGATE) {
        stackNum[top] = -(stackNum[top] as number);
      } else {
        top -= 1;
        if (!this.combine(operation, top)) return LEFT_TO_THE_TREE;
      }
    }
  }

  /** Combines the two values at `top` into one there; false when the result is not for the quick way. Not reduced: that is done once, at the end. */
  private combine(operation: number, top: number): boolean {
    const dimension = combineDimensions(
      operation,
      this.stackDimension[top] as number,
      this.stackDimension[top + 1] as number,
    );
    if (dimension === undefined) return false;
    const an = this.stackNum[top] as number;
    const ad = this.stackDen[top] as number;
    if (!combineSmall(operation, an, ad, this.stackNum[top + 1] as number, this.stackDen[top + 1] as number))
      return false;
    this.stackNum[top] = small.num;
    this.stackDen[top] = small.den;
    this.stackDimension[top] = dimension;
    return true;
  }

  private settle(slot: number, num: number, den: number, dimension: Dimension): typeof SAME | typeof CHANGED {
    let n = num;
    let d = den;
    if (n === 0) {
      n = 0;
      d = 1;
    } else {
      const divisor = gcdNumber(n < 0 ? -n : n, d);
      if (divisor !== 1) {
        n /= divisor;
        d /= divisor;
      }
    }
    if (this.isSmall[slot] === 1 && this.num[slot] === n && this.den[slot] === d && this.dimension[slot] === dimension)
      return SAME;
    this.put(slot, n, d, dimension);
    return CHANGED;
  }
}

function widened<A extends Float64Array | Uint8Array | Int32Array>(from: A, to: A): A {
  to.set(from as never);
  return to;
}

/** Length of the program at `at`, its END included. */
function lengthOf(code: Float64Array, at: number): number {
  let next = at;
  for (;;) {
    const operation = code[next] as number;
    next += operation === CONSTANT ? 4 : operation === SLOT ? 2 : 1;
    if (operation === END) return next - at;
  }
}
