/** The public names of the core. Other workspaces import this file alone. */
export { makeIssue, type Fix, type Issue, type ShapeIssue, type IssueCode } from './base/issue.ts';
export type { Span } from './base/span.ts';
export { describeIssue, ISSUE_CODES } from './messages.ts';
export { makeRational, parseRational, rationalToText, type Rational } from './number/rational.ts';
export type { RoundingDirection } from './number/rounding.ts';
export { addValue, signOfValue, valueToNumber, isExact, equalValue, type Value } from './number/value.ts';
export { termsOf } from './number/radical.ts';
export { kindOf, lengthsBeyondVolume, type Dimension, type Kind } from './units/dimension.ts';
export { quantityIn, type Quantity } from './units/quantity.ts';
export { ACCEPTED_FORMS, type AcceptedForm, type FormGroup } from './notation/accepted-forms.ts';
export { ABOUT_UNITS } from './units/unit-about.ts';
export { UNITS, unitById, type Unit, type UnitId } from './units/unit-table.ts';
export { scan, tokensOf } from './notation/scanner.ts';
export { sameResult } from './slate/recalculate.ts';
export { nearestOf } from './notation/near-miss.ts';
export { jigsNamedIn } from './notation/names.ts';
export { parse, isTaken, type Parsed } from './notation/parser.ts';
export { JIG_GONE } from './notation/functions.ts';
export type { Entry, JigProgram, JigPrograms } from './notation/ast.ts';
export { labelColon } from './notation/label.ts';
export { repeatedStep } from './notation/next-step.ts';
export { bracketsAt, rolesOf, type RoledToken, type TokenRole } from './notation/token-roles.ts';
export { valueForLine, type GoneLine } from './notation/value-for-line.ts';
export { printEntry } from './notation/printer.ts';
export { ABOUT_FUNCTIONS } from './notation/function-about.ts';
export { FUNCTIONS, type FunctionName } from './notation/functions.ts';
export { LIMITS } from './notation/operators.ts';
export { evaluate, type Outcome } from './evaluate/evaluate.ts';
export { answerDifference } from './evaluate/answer-difference.ts';
export { EMPTY_SCOPE, type Resolved, type Scope } from './evaluate/scope.ts';
export { reckon, readOutcome, type Reckoned, type ReckonOptions } from './evaluate/reckon.ts';
export { Session } from './session/session.ts';
export { Slate, type MarkLine, type WorkedLine } from './slate/slate.ts';
export { freeNames, NAME_LIMIT, nameFromLabel, nameIssue } from './stick/mark-name.ts';
export { ledgerOf, type Ledger, type LedgerLine, type Posting } from './stick/ledger.ts';
export { renamedIn, valueForMark, withoutAssignment } from './stick/rewrite-names.ts';
export {
  crowdedStretch,
  rodOf,
  spreadLabels,
  stretchAround,
  type NamedQuantity,
  type Rod,
  type RodMark,
  type Stretch,
} from './stick/rod.ts';
export { rodSheets, type PrintedMark, type RodPrint } from './stick/rod-sheets.ts';
export {
  SHEETS,
  type Drawing,
  type LineWeight,
  type Shape,
  type SheetSize,
  type TextShape,
} from './drawing/drawing.ts';
export {
  definitionText,
  measuredIssue,
  readScale,
  turn,
  turnedEntry,
  type DrawingScale,
  type ScaleDefinition,
  type ScaleIssue,
  type Side,
} from './scale/drawing-scale.ts';
export { readSide } from './scale/read-side.ts';
export { bestFits, COMMON_SCALES, type CommonScale, type Fit } from './scale/common-scales.ts';
export { BAR_INSET, scaleBar, scaleRule } from './scale/scale-rule.ts';
export { SOLVERS } from './setting-out/solvers.ts';
export { solve, type Givens } from './setting-out/solve.ts';
export { fieldEntry, readField, slateEntry } from './setting-out/read-field.ts';
export type { Answer, Field, Known, Solved, Solver } from './setting-out/solver.ts';
export { strokes, type Figure, type FigurePart, type Point } from './setting-out/figure.ts';
export { fittingScale } from './scale/fitting-scale.ts';
export { EDGE, HEAD, sheetHead } from './drawing/sheet-head.ts';
export { line as paperLine, moved, words as paperWords } from './drawing/drawing.ts';
export { ordinates, type Ordinate } from './setting-out/ordinates.ts';
export { driftOf, type Drift } from './setting-out/drift.ts';
export { describeShapeIssue, SHAPE_ISSUE_CODES } from './shape-messages.ts';
export { templateSheets } from './setting-out/template.ts';
export { jackLengths, type Jack } from './setting-out/jacks.ts';
export { runningMarks, type Edge, type Ends, type RunningMark } from './setting-out/spacing.ts';
export type { LineResult, SlateLine } from './slate/node.ts';
export { isSought, sought, type Sought } from './mend/sought.ts';
export { bindLast } from './slate/bind-last.ts';
export { referencesOf } from './slate/references.ts';
export {
  fromStored,
  storedIds,
  storedJigs,
  storedMade,
  toStored,
  withOtherIds,
  type ReferenceIds,
  type ReferenceNames,
} from './slate/stored-references.ts';
export { namesIn, type NamedPlace } from './notation/names.ts';
export { exactText } from './reading/exact-text.ts';
export { BARE_RULE, IN_INCHES, IN_MILLIMETRES, type BareRow } from './bare/golden.ts';
export { BARE_UNITS, otherBareUnits, withBareUnits, type BareUnit } from './bare/bare-numbers.ts';
export { reckonTyped, type ReckonedTyped, type TypedOptions } from './bare/reckon-typed.ts';
export { understood } from './evaluate/understood.ts';
export { afterPosting } from './evaluate/after-posting.ts';
export { wholeTimes, type WholeTimes } from './evaluate/whole-times.ts';
export { readQuantity } from './reading/read-quantity.ts';
export { roundingCost, isQuietCost, shownValue, type Reading } from './reading/reading.ts';
export {
  isMetric,
  DEFAULT_STYLE,
  LENGTH_STYLES,
  type LengthStyle,
  type ReadingForm,
  type ReadingStyle,
} from './reading/style.ts';
