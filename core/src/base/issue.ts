import type { Span } from './span.ts';

/** One touch that mends an entry: what the button says, and the whole entry that results. */
export interface Fix {
  readonly label: string;
  readonly entry: string;
}

/**
 * Every way an entry may be refused, by code, with the facts that its sentence needs. Each subject adds its own codes beside
 * its code, in `issues.ts`, with their sentences; a test holds them and docs/reference/issues.md together.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by the subjects
export interface IssueFields {}

/** The same for shapes that are set out, which an entry does without: `setting-out/issues.ts`. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled there
export interface ShapeIssueFields {}

/** A sentence for every code, made of its facts. */
export type Sentences<Fields> = { readonly [Code in keyof Fields]: (fields: Fields[Code]) => string };

export type IssueCode = keyof IssueFields;
export type ShapeIssueCode = keyof ShapeIssueFields;

type AllFields = IssueFields & ShapeIssueFields;

/** One thing that keeps something from being reckoned: a code, a place in the entry, the facts, and fixes to touch. */
type IssueOf<Codes extends keyof AllFields> = {
  readonly [C in Codes]: Span & {
    readonly code: C;
    readonly fields: AllFields[C];
    readonly fixes: readonly Fix[];
  };
}[Codes];

/** What is wrong with an entry. */
export type Issue = IssueOf<IssueCode>;
/** What is wrong with a shape, or with an entry in one of its fields. */
export type ShapeIssue = IssueOf<IssueCode | ShapeIssueCode>;

/** Makes an issue; the fields belong to the code. */
export function makeIssue<C extends IssueCode>(
  code: C,
  span: Span,
  fields: IssueFields[C],
  fixes: readonly Fix[] = [],
): Issue {
  return { code, start: span.start, end: span.end, fields, fixes } as unknown as Issue;
}

/** Makes an issue of a shape. */
export function makeShapeIssue<C extends ShapeIssueCode>(
  code: C,
  span: Span,
  fields: ShapeIssueFields[C],
  fixes: readonly Fix[] = [],
): ShapeIssue {
  return { code, start: span.start, end: span.end, fields, fixes } as unknown as ShapeIssue;
}
