import {
  answerDifference,
  describeIssue,
  kindOf,
  termsOf,
  valueToNumber,
  isExact,
  type Issue,
  type ReadingStyle,
  type Reckoned,
  type Value,
} from '@sprell/core';

/** One line of `--json`: an entry worked out, or what is wrong with it. */
export interface Report {
  /** What was heard, where phrases are read, and what would be read aloud. */
  readonly heard?: string;
  readonly says?: string;
  readonly entry: string;
  readonly readBack: string | null;
  readonly kind: string | null;
  readonly reading: string | null;
  readonly plain: string | null;
  readonly exact: readonly { numerator: string; denominator: string; radicand: string; piPower: number }[] | null;
  readonly approx: number | null;
  readonly rounding: string | null;
  /** By how much the sides of a comparison differ; null where they do not, and for all else. */
  readonly difference: string | null;
  readonly error: {
    code: string;
    message: string;
    from: number;
    to: number;
    fixes: readonly { label: string; entry: string }[];
  } | null;
}

/** Where nothing was worked out. */
const NOTHING = {
  readBack: null,
  kind: null,
  reading: null,
  plain: null,
  exact: null,
  approx: null,
  rounding: null,
  difference: null,
} as const;

function exactTerms(value: Value): Report['exact'] {
  if (!isExact(value)) return null;
  return termsOf(value).map(({ coefficient, radicand, piPower }) => ({
    numerator: `${coefficient.num}`,
    denominator: `${coefficient.den}`,
    radicand: `${radicand}`,
    piPower,
  }));
}

export function reportOf(entry: string, reckoned: Reckoned, style: ReadingStyle): Report {
  const { readBack, outcome, reading, issue } = reckoned;
  const nothing = { ...NOTHING, entry, readBack: readBack ?? null };
  if (issue !== undefined || outcome === undefined)
    return { ...nothing, error: issue === undefined ? null : errorOf(issue) };
  if (outcome.kind === 'answer') {
    const answer = outcome.yes ? 'yes' : 'no';
    const difference = answerDifference(outcome, style)?.text ?? null;
    return { ...nothing, kind: 'answer', reading: answer, plain: answer, rounding: 'exact', difference, error: null };
  }
  const { value, dimension } = outcome.quantity;
  return {
    ...nothing,
    kind: kindOf(dimension),
    reading: reading?.text ?? null,
    plain: reading?.plain ?? null,
    exact: exactTerms(value),
    approx: valueToNumber(value),
    rounding: reading?.rounding ?? null,
    error: null,
  };
}

function errorOf(issue: Issue): NonNullable<Report['error']> {
  return { code: issue.code, message: describeIssue(issue), from: issue.start, to: issue.end, fixes: issue.fixes };
}

/** A report of an entry that was not worked out. */
export const refused = (entry: string, code: string, message: string, from: number, to: number): Report => ({
  ...NOTHING,
  entry,
  error: { code, message, from, to, fixes: [] },
});

/** The report of an entry on which the core itself failed. */
export function failedReport(entry: string, error: unknown): Report {
  const why = error instanceof Error ? error.message : String(error);
  const message = `Sprell made a mistake on this entry (${why}); write it in another way, or report it.`;
  return refused(entry, 'internal', message, 0, entry.length);
}
