import type { Span } from './span.ts';

/** One touch that mends an entry: what the button says, and the whole entry that results. */
export interface Fix {
  readonly label: string;
  readonly entry: string;
}

/**
 * Every way an entry may be refused, by code, with the facts that its sentence needs. The sentences are in
 * `messages.ts`; a test holds the two lists and docs/reference/issues.md together.
 */
export interface IssueFields {
  'entry.empty': object;
  'entry.unfinished': { readonly expected: string };
  'entry.too_long': { readonly limit: string };
  'entry.too_deep': { readonly limit: string };
  'entry.side_by_side': { readonly left: string; readonly right: string };
  'character.unknown': { readonly character: string };
  'symbol.unexpected': { readonly symbol: string };
  'comma.unexpected': object;
  'equals.unexpected': object;
  'bracket.unopened': object;
  'bracket.empty': object;
  'number.zero_denominator': object;
  'number.too_large': object;
  'unit.without_number': { readonly unit: string };
  'name.unknown': { readonly name: string };
  'name.taken': { readonly name: string };
  'name.shape': { readonly name: string };
  'name.too_long': { readonly limit: string };
  'name.in_use': { readonly name: string };
  'line.unknown': { readonly line: string };
  'line.failed': { readonly line: string };
  'line.circle': { readonly chain: string };
  'mark.failed': { readonly name: string };
  'last.none': object;
  'run.backwards': { readonly from: string; readonly to: string };
  'run.misplaced': object;
  'run.empty': object;
  'call.arguments': { readonly name: string; readonly expected: string; readonly given: string };
  'percent.of_it': object;
  'directive.unknown': { readonly target: string };
  'directive.too_fine': object;
  'directive.kind': { readonly target: string; readonly kind: string };
  'kind.add': { readonly left: string; readonly right: string };
  'kind.add_plain': { readonly left: string; readonly right: string };
  'kind.compare': { readonly left: string; readonly right: string };
  'kind.function': { readonly name: string; readonly kind: string; readonly wanted: string };
  'kind.multiply': { readonly left: string; readonly right: string };
  'kind.temperature': object;
  'kind.root': { readonly kind: string };
  'kind.power': { readonly kind: string };
  'kind.answer': object;
  'answer.kept': { readonly name: string };
  'kind.unit_on_quantity': { readonly kind: string };
  'power.not_plain': { readonly kind: string };
  'power.too_large': { readonly limit: string };
  'value.too_large': object;
  'division.by_zero': object;
  'root.of_negative': object;
  'range.arc': { readonly name: string };
  'range.logarithm': { readonly name: string };
  'range.tangent': object;
  'range.leg': object;
  'range.step': object;
  'range.temperature': object;
  'scale.ratio': object;
  'scale.not_length': { readonly side: string; readonly kind: string };
  'scale.zero': { readonly side: string };
  'scale.kind': { readonly kind: string };
  'rod.too_long': { readonly limit: string; readonly sheets: string };
}

/** The same for shapes that are set out; their sentences, which an entry does without, are in `shape-messages.ts`. */
export interface ShapeIssueFields {
  'shape.kind': { readonly field: string; readonly kind: string; readonly wanted: string };
  'shape.nothing': { readonly field: string };
  'shape.below': { readonly field: string };
  'shape.slope': { readonly field: string; readonly number: string };
  'shape.whole': { readonly field: string };
  'shape.none': object;
  'triangle.diagonal': object;
  'triangle.sides': object;
  'triangle.angle': object;
  'triangle.short': object;
  'slope.plumb': object;
  'triangle.angles': object;
  'square.diagonal': object;
  'square.to_left': object;
  'square.to_right': object;
  'square.sides': object;
  'rafter.length': object;
  'rafter.ridge': object;
  'rafter.corner': object;
  'rafter.stand': object;
  'rafter.notch': object;
  'hip.notch': object;
  'jacks.first': object;
  'jacks.beyond': object;
  'ellipse.axes': object;
  'ellipse.pins': object;
  'ellipse.string': object;
  'ellipse.area': object;
  'spacing.room': object;
  'spacing.ends': object;
  'spacing.centres': object;
  'spacing.count': object;
  'spacing.whole': object;
  'spacing.gap': object;
  'spacing.none': object;
  'arc.chord': object;
  'arc.rise': object;
  'arc.turn': object;
  'arc.full': object;
  'arc.length': object;
  'ring.inner': object;
  'polygon.sides': object;
  'polygon.many': object;
  'polygon.plate': object;
  'polygon.lean': object;
  'steps.count': object;
  'steps.whole': object;
  'steps.tread': object;
  'steps.steep': object;
  'steps.shallow': object;
  'steps.long': object;
  'steps.short': object;
  'steps.slope': object;
  'steps.headroom': object;
  'wall.openings': object;
  'template.too_large': { readonly limit: string; readonly sheets: string };
  'footing.top': object;
}

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
