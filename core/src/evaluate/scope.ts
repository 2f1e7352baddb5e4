import type { Quantity } from '../units/quantity.ts';

/** What a name or a line number stands for: a quantity, or something that is itself in error. */
export type Resolved =
  | { readonly ok: true; readonly quantity: Quantity }
  /** `line` is the number of the line that is in error, where it is one. */
  | { readonly ok: false; readonly line?: number | undefined };

/** What an entry may refer to. Undefined means that there is no such thing. */
export interface Scope {
  /** A mark by its name in lower case. */
  mark(name: string): Resolved | undefined;
  line(number: number): Resolved | undefined;
  /** Lines of a run as they stand on the slate, those that hold a quantity or an error; comparisons are passed over. */
  run(from: number, to: number): readonly Resolved[] | undefined;
  /** The last result; comparisons are passed over. */
  last(): Resolved | undefined;
  /** Names that a wrong one may have been meant for. */
  names(): readonly string[];
}

/** A scope with nothing in it. */
export const EMPTY_SCOPE: Scope = {
  mark: () => undefined,
  line: () => undefined,
  run: () => undefined,
  last: () => undefined,
  names: () => [],
};
