import type { ShapeIssue, ShapeIssueCode, ShapeIssueFields } from '../base/issue.ts';
import type { Approximation } from '../number/approximation.ts';
import type { Value } from '../number/value.ts';
import type { Dimension } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Figure } from './figure.ts';

/**
 * What may be given in a field. A pitch is a slope, an angle, or the plain number that rise over run is. A share is a part
 * of something: 10%, 1/3, and a plain number of one and more is that many percent.
 */
export type FieldKind = 'length' | 'area' | 'volume' | 'angle' | 'pitch' | 'count' | 'share';

/** An entry for a job in feet and inches, and one for a metric job. */
export interface Otherwise {
  readonly imperial: string;
  readonly metric: string;
}

/** One size of a shape. */
export interface Field {
  readonly id: string;
  readonly title: string;
  readonly kind: FieldKind;
  /** It can be given; without it the field is an answer alone. */
  readonly given: boolean;
  /** It may be nothing: a waste, a build-up that is not there. Below nothing is no size. */
  readonly mayBeZero?: true;
  /** An answer that there is only where more than the shape itself was given. */
  readonly besides?: true;
  /** What holds where it is left empty: a limit that the user may have another opinion on. */
  readonly otherwise?: Otherwise;
  /** How its answer is read where not as the job reads: `slope`, `degrees`. */
  readonly reads?: 'slope' | 'degrees';
}

/**
 * One formula: what it gives, out of which other fields, as an entry with the fields in braces. `{pitch.ratio}` is a
 * pitch as rise over run, `{pitch.angle}` as an angle. So a result is a live line on the slate, exact where the entry is,
 * and shows how it was worked out.
 *
 * More than one entry: each is an answer of its own, with its own title (the flat arc and the large one).
 */
export interface Formula {
  readonly gives: string;
  readonly from: readonly string[];
  /** Followed only where nothing else gives the field: a count out of a limit. */
  readonly ifOpen?: true;
  /** Followed only where this comparison holds, over the same fields. */
  readonly when?: string;
  /** What is said where the entry cannot be worked out, in place of what an entry by itself would say. */
  readonly none?: CheckCode;
  readonly entry: string | readonly { readonly title: string; readonly entry: string }[];
}

/** What no formula gives: looked for, and found as an approximation. Each root is an answer of its own. */
export interface Search {
  readonly gives: string;
  readonly from: readonly string[];
  readonly ifOpen?: never;
  readonly when?: never;
  /** In SI base units, of whole numbers and lengths as they are known. */
  readonly search: (
    known: (field: string) => Value,
  ) => readonly { readonly title: string; readonly root: Approximation }[];
  /** What is reported where nothing is found. */
  readonly none: CheckCode;
  readonly dimension: Dimension;
  /** What a number in an entry has to carry to be this: ` rad`. */
  readonly unit: string;
}

export type Rule = Formula | Search;

/** Issues that name nothing of what was given. */
type CheckCode = {
  [Code in ShapeIssueCode]: object extends ShapeIssueFields[Code] ? Code : never;
}[ShapeIssueCode];

/** What has to hold, as an entry that compares, and the issue where it does not. */
export interface Check {
  readonly from: readonly string[];
  readonly entry: string;
  readonly code: CheckCode;
  /** A limit: a shape that breaks it is one still, and says so. */
  readonly limit?: true;
}

/** A shape of the trade: its sizes, and how each follows from others. */
export interface Solver {
  readonly id: string;
  readonly title: string;
  /** The title beside its picture, where few words have room. */
  readonly short?: string;
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
  /** `assumed`: a limit that nobody gave. */
  readonly how: 'given' | 'found' | 'assumed';
  /** It was chosen within a limit, or comes of what was: what was given need not agree with it. */
  readonly isLoose?: true;
}

/** One way the shape can be; where there are two, each has a title. */
export interface Answer {
  readonly title: string;
  readonly known: Readonly<Record<string, Known | undefined>>;
  /** The limits that it does not keep to. */
  readonly breaks: readonly ShapeIssue[];
  /** There are limits that it keeps to. */
  readonly keeps: boolean;
  readonly figure: Figure | undefined;
}

/** What was made of what was given. */
export interface Solved {
  readonly answers: readonly Answer[];
  /** What is wrong with an entry by itself, by its field. */
  readonly issues: Readonly<Record<string, ShapeIssue | undefined>>;
  /** Any of these sets of fields would do, the smallest first; empty where all is known. */
  readonly wanted: readonly (readonly string[])[];
  /** Given, though it follows from the rest: what it comes out at, by the field that was given last. */
  readonly contradiction: { readonly field: string; readonly comesOutAt: Quantity } | undefined;
  /** Why no shape is like this. Its place is in a formula, which nobody typed. */
  readonly impossible: ShapeIssue | undefined;
}
