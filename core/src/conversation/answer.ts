import type { Issue } from '../base/issue.ts';
import { reckonTyped, type ReckonedTyped, type TypedOptions } from '../bare/reckon-typed.ts';
import { afterPosting } from '../evaluate/after-posting.ts';
import { answerDifference } from '../evaluate/answer-difference.ts';
import { mended } from '../mend/mend.ts';
import { EMPTY_SCOPE, type Scope } from '../evaluate/scope.ts';
import { makeRational } from '../number/rational.ts';
import { absValue, divideValue, roundValue } from '../number/value.ts';
import { exactText } from '../reading/exact-text.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { roundingCost, type Reading } from '../reading/reading.ts';
import { DEFAULT_STYLE, isMetric, type ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';

/** A way out of what is wrong, in words and as an entry. */
export interface SaidFix {
  readonly label: string;
  readonly entry: string;
}

/** A reading, with what its rounding cost. */
export interface SaidReading {
  readonly reading: string;
  readonly rounding: string | undefined;
}

/** An entry that was said, worked out: each figure as it is shown, and read aloud. */
export interface SaidAnswer {
  /** As it would be written down: with the units that were left out. */
  readonly entry: string;
  /** The mark that it makes or posts to. */
  readonly makes: string | undefined;
  readonly readBack: string | undefined;
  readonly reading: string | undefined;
  /** What rounding cost: "full by 1⁄32″"; undefined where the reading is the true value. */
  readonly rounding: string | undefined;
  /** The true value in full; undefined where the reading is that, or where it has no such form. */
  readonly exact: string | undefined;
  /** A length in feet and inches, and in metric, whichever way it reads; undefined for what is no length. */
  readonly systems: { readonly feet: SaidReading; readonly metric: SaidReading } | undefined;
  readonly problem: { readonly sentence: string; readonly fixes: readonly SaidFix[] } | undefined;
}

export interface SaidOptions extends TypedOptions {
  /** An issue as a sentence. */
  readonly describe: (issue: Issue) => string;
}

const NOTHING = {
  makes: undefined,
  readBack: undefined,
  reading: undefined,
  rounding: undefined,
  exact: undefined,
  systems: undefined,
  problem: undefined,
} as const;

/** An answer that is a sentence about what is in the way. */
export const refusedAnswer = (entry: string, sentence: string, fixes: readonly SaidFix[] = []): SaidAnswer => ({
  ...NOTHING,
  entry,
  problem: { sentence, fixes },
});

/** Works out what was said. Units that were left out are those of the job: where it says so, or where it makes no sense without. */
export function reckonSaid(source: string, options: TypedOptions): ReckonedTyped {
  const typed = reckonTyped(source, options);
  if (typed.issue === undefined) return typed;
  const bare = isMetric((options.style ?? DEFAULT_STYLE).length) ? 'mm' : 'in';
  return reckonTyped(source, { ...options, bare });
}

/**
 * What there is to name once an entry has landed: its result, its line, and the mark that it makes.
 * @param number that its line will have
 */
export function scopeBehind(entry: string, number: number, options: TypedOptions): Scope {
  const scope = options.scope ?? EMPTY_SCOPE;
  const reckoned = reckonSaid(entry, options);
  const after = afterPosting(reckoned, options);
  if (reckoned.issue !== undefined || after.outcome?.kind !== 'quantity') return scope;
  const { quantity } = after.outcome;
  const made = reckoned.parsed.entry?.assignment?.name;
  const landed = { ok: true, quantity } as const;
  const runTo = (from: number) => (from === number ? [landed] : scope.run(from, number - 1)?.concat(landed));
  return {
    ...scope,
    last: () => landed,
    line: (wanted) => (wanted === number ? landed : scope.line(wanted)),
    run: (from, to) => (to === number ? runTo(from) : scope.run(from, to)),
    mark: (name) => (name === made?.toLowerCase() ? landed : scope.mark(name)),
    names: () => (made === undefined ? scope.names() : [...scope.names(), made]),
  };
}

/** What was said as an answer, a posting as what its mark comes to. Never throws. */
export function answerTo(source: string, options: SaidOptions): SaidAnswer {
  const reckoned = reckonSaid(source, options);
  const { written, readBack, outcome } = reckoned;
  const issue = mended(reckoned, options);
  if (issue !== undefined)
    return {
      ...refusedAnswer(
        written,
        options.describe(issue),
        issue.fixes.map(({ label, entry }) => ({ label, entry })),
      ),
      readBack,
    };
  const style = options.style ?? DEFAULT_STYLE;
  const nothing = { ...NOTHING, entry: written, readBack, makes: reckoned.parsed.entry?.assignment?.name };
  if (outcome?.kind === 'answer') {
    const difference = answerDifference(outcome, style)?.text;
    const rounding = difference === undefined ? undefined : `by ${difference}`;
    return { ...nothing, reading: outcome.yes ? 'yes' : 'no', rounding };
  }
  const after = afterPosting(reckoned, options);
  if (after.outcome?.kind !== 'quantity' || after.reading === undefined) return nothing;
  return { ...nothing, ...readAloud(after.outcome.quantity, after.reading, style) };
}

function readAloud(quantity: Quantity, reading: Reading, style: ReadingStyle) {
  const isLength = quantity.dimension === LENGTH;
  const said = (one: Reading): SaidReading => ({
    reading: one.text,
    rounding: one.rounding === 'exact' ? undefined : isLength ? costAloud(quantity, one, style) : 'rounded',
  });
  const own = said(reading);
  const exact = own.rounding === undefined ? undefined : exactText(quantity, style)?.text;
  if (!isLength) return { ...own, exact, systems: undefined };
  // It may say itself how it is read.
  const isOwnMetric = isMetricText(reading.text);
  const other = said(readQuantity(quantity, { ...style, length: isOwnMetric ? 'ft-in' : 'mm' }));
  const systems = isOwnMetric ? { feet: other, metric: own } : { feet: own, metric: other };
  return { ...own, exact, systems };
}
const isMetricText = (text: string) => / [cmk]?m$/u.test(text);

/** Metres in a sixty-fourth of an inch, and in a tenth of a millimetre. */
const [SIXTY_FOURTH, TENTH] = [makeRational(127, 320_000), makeRational(1, 10_000)];

/** "Full by 1⁄32″", to the sixty-fourth, finer than which nobody cuts; to the tenth of a millimetre of a metric reading. */
function costAloud(quantity: Quantity, reading: Reading, style: ReadingStyle): string {
  const isMetricReading = isMetricText(reading.text);
  const cost = absValue(roundingCost(quantity, reading));
  const steps = Number(roundValue(divideValue(cost, isMetricReading ? TENTH : SIXTY_FOURTH), 'nearest').whole);
  if (isMetricReading)
    return `${reading.rounding} by ${steps === 0 ? 'less than 0.1 mm' : `${decimal(steps / 10, style)} mm`}`;
  if (steps === 0) return `${reading.rounding} by less than 1⁄64″`;
  const amount = { value: makeRational(127 * steps, 320_000), dimension: LENGTH };
  return `${reading.rounding} by ${readQuantity(amount, { ...style, length: 'in', finest: 64 }).text}`;
}
const decimal = (value: number, { decimalComma }: ReadingStyle) =>
  decimalComma ? String(value).replace('.', ',') : String(value);
