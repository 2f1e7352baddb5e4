import type { Issue, IssueCode, IssueFields } from '../base/issue.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Figure } from './figure.ts';

/** What may be given in a field. A pitch is a slope, an angle, or the plain number that rise over run is. */
export type FieldKind = 'length' | 'area' | 'angle' | 'pitch' | 'count' | 'number';

/** One size of a shape. */
export interface Field {
  readonly id: string;
  readonly title: string;
  readonly kind: FieldKind;
  /** It can be given; without it the field is an answer alone. */
  readonly given: boolean;
  /** An answer that there is only where more than the shape itself was given. */
  readonly besides?: true;
  /** How its answer is read where not as the job reads: `slope`, `degrees`. */
  readonly reads?: 'slope' | 'degrees';
}

/**
 * One formula: what it gives, out of which other fields, as an entry with the fields in braces. `{pitch.ratio}` is a
 * pitch as rise over run, `{pitch.angle}` as an angle. So a result is a live line on the slate, exact where the entry is,
 * and shows how it was worked out.
 *
 * More than one entry: each is an answer of its own, told apart by its title (the flat arc and the large one).
 */
export interface Rule {
  readonly gives: string;
  readonly from: readonly string[];
  readonly entry: string | readonly { readonly title: string; readonly entry: string }[];
}

/** Issues that are told without anything of what was given. */
type CheckCode = {
  [Code in IssueCode]: object extends IssueFields[Code] ? Code : never;
}[IssueCode];

/** What has to hold, as an entry that compares, and the issue where it does not. */
export interface Check {
  readonly from: readonly string[];
  readonly entry: string;
  readonly code: CheckCode;
}

/** A shape of the trade: its sizes, and how each follows from others. */
export interface Solver {
  readonly id: string;
  readonly title: string;
  readonly fields: readonly Field[];
  /** What can be given besides and is no size of the shape: a limit that others follow from. */
  readonly asks?: readonly Field[];
  readonly rules: readonly Rule[];
  readonly checks: readonly Check[];
  /** Where the formulae come from. */
  readonly source: string;
  /** Draws it from its sizes in metres, radians and numbers; undefined where a size it needs is open. */
  readonly draw: (sizes: Sizes) => Figure | undefined;
}

/** Sizes as a picture needs them: doubles by field, in metres, square metres, radians; a pitch as rise over run. */
export type Sizes = Readonly<Record<string, number | undefined>>;

/** A field that was given, or found. */
export interface Known {
  readonly quantity: Quantity;
  /** The entry that it comes from: as it was typed, or a formula over what was typed. */
  readonly entry: string;
  readonly how: 'given' | 'found';
}

/** One way the shape can be; where there are two, each has a title. */
export interface Answer {
  readonly title: string;
  readonly known: Readonly<Record<string, Known | undefined>>;
  readonly figure: Figure | undefined;
}

/** What was made of what was given. */
export interface Solved {
  readonly answers: readonly Answer[];
  /** What is wrong with an entry by itself, by its field. */
  readonly issues: Readonly<Record<string, Issue | undefined>>;
  /** Any of these sets of fields would do, the smallest first; empty where all is known. */
  readonly wanted: readonly (readonly string[])[];
  /** Given, though it follows from the rest: what it comes out at, by the field that was given last. */
  readonly contradiction: { readonly field: string; readonly comesOutAt: Quantity } | undefined;
  /** Why no shape is like this. Its place is in a formula, which nobody typed. */
  readonly impossible: Issue | undefined;
}
