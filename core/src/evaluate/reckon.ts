import type { Issue } from '../base/issue.ts';
import type { Entry } from '../notation/ast.ts';
import { parse, type Parsed } from '../notation/parser.ts';
import { printEntry } from '../notation/printer.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import { DEFAULT_STYLE, type ReadingForm, type ReadingStyle } from '../reading/style.ts';
import { ANGLE, SLOPE } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { arcTangent, tangent } from './angles.ts';
import { evaluate, type Outcome } from './evaluate.ts';
import { convertsAngle, readingForm } from './reading-form.ts';
import { EMPTY_SCOPE, type Scope } from './scope.ts';
import { makeIssue } from '../base/issue.ts';

/** An entry worked out: what it was taken to mean, what it comes to, how that reads. */
export interface Reckoned {
  readonly parsed: Parsed;
  /** Undefined when nothing could be understood. */
  readonly readBack: string | undefined;
  readonly outcome: Outcome | undefined;
  readonly reading: Reading | undefined;
  /** The first thing in the way, with the fixes that the reader has at hand; `mended` finds more and tries all. While an entry is typed, `entry.unfinished` may stand beside an outcome of what is there. */
  readonly issue: Issue | undefined;
  /** What the line's own `to …` asks of its reading. */
  readonly form: ReadingForm | undefined;
}

export interface ReckonOptions {
  readonly scope?: Scope;
  readonly style?: ReadingStyle;
}

/**
 * From the text of an entry to its reading. Never throws.
 * @example reckon('9\'-7 1/4" + 2\' 9 3/8"').reading.text // => "12′ 4 5⁄8″"
 */
export function reckon(source: string, { scope = EMPTY_SCOPE, style = DEFAULT_STYLE }: ReckonOptions = {}): Reckoned {
  const parsed = parse(source, style);
  const { entry } = parsed;
  const [issue] = parsed.issues;
  if (entry === undefined || (issue !== undefined && !parsed.unfinished))
    return { parsed, readBack: undefined, outcome: undefined, reading: undefined, issue, form: undefined };
  const readBack = printEntry(entry, style);
  const evaluated = evaluate(entry, scope);
  if (!evaluated.ok)
    return { parsed, readBack, outcome: undefined, reading: undefined, issue: evaluated.issue, form: undefined };
  const outcome = evaluated.value;
  if (outcome.kind === 'answer') return { parsed, readBack, outcome, reading: undefined, issue, form: undefined };
  const read = readOutcome(entry, outcome.quantity, style);
  return { parsed, readBack, outcome, reading: read.reading, issue: read.issue ?? issue, form: read.form };
}

/**
 * What is wrong with an entry, without its reading: enough for a fix that is tried, and of a value with thousands of digits
 * a small part of the work.
 */
export function issueIn(
  source: string,
  { scope = EMPTY_SCOPE, style = DEFAULT_STYLE }: ReckonOptions,
): Issue | undefined {
  const parsed = parse(source, style);
  const { entry } = parsed;
  const [issue] = parsed.issues;
  if (entry === undefined || (issue !== undefined && !parsed.unfinished)) return issue;
  const evaluated = evaluate(entry, scope);
  if (!evaluated.ok) return evaluated.issue;
  if (evaluated.value.kind === 'answer') return issue;
  const form = formOf(entry, evaluated.value.quantity);
  return form.issue ?? issue;
}

/** The reading of a line's value, by its own `to …` where it has one. */
export function readOutcome(
  entry: Entry,
  quantity: Quantity,
  style: ReadingStyle,
): {
  readonly reading: Reading | undefined;
  readonly issue: Issue | undefined;
  readonly form: ReadingForm | undefined;
} {
  const { shown, issue, form } = formOf(entry, quantity);
  return { reading: shown && readQuantity(shown, style, form), issue, form };
}

/** What a line's own `to …` makes of its value, before any rounding: what is to be read, and in which form. */
function formOf(
  entry: Entry,
  quantity: Quantity,
): {
  readonly shown: Quantity | undefined;
  readonly issue: Issue | undefined;
  readonly form: ReadingForm | undefined;
} {
  const asked = readingForm(entry.directives, quantity.dimension);
  if (!asked.ok) return { shown: undefined, issue: asked.issue, form: undefined };
  const form = asked.value;
  const shown = formQuantity(quantity, form);
  const issue = shown === undefined ? makeIssue('range.tangent', entry.expr, {}) : undefined;
  return { shown, issue, form };
}

/** The quantity that a form shows: the angle of a slope, the slope of an angle, else the quantity itself. */
function formQuantity(quantity: Quantity, form: ReadingForm | undefined): Quantity | undefined {
  const conversion = convertsAngle(form, quantity.dimension);
  if (conversion === 'to-angle') return { value: arcTangent(quantity.value), dimension: ANGLE };
  if (conversion !== 'to-slope') return quantity;
  const value = tangent(quantity.value);
  return value && { value, dimension: SLOPE };
}
