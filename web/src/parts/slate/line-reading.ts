import {
  answerDifference,
  describeIssue,
  kindOf,
  printEntry,
  readOutcome,
  type Reading,
  type ReadingStyle,
  type WorkedLine,
} from '@sprell/core';
import { roundingWord } from '../reading/rounding-words.ts';

/** What a row of the slate shows of a line. */
export interface LineReading {
  readonly readBack: string;
  readonly reading: Reading | undefined;
  /** full, shy or rounded, undefined when the reading is the true size; of a comparison, by how much the sides differ. */
  readonly rounding: string | undefined;
  /** "yes" or "no" for a comparison. */
  readonly answer: string | undefined;
  /** A sentence when there is nothing to read. */
  readonly problem: string | undefined;
}

/** Reads a worked line in a style. */
export function readLine({ parsed, result }: WorkedLine, style: ReadingStyle): LineReading {
  const readBack =
    parsed.entry === undefined ? parsed.source : printEntry({ ...parsed.entry, label: undefined }, style);
  const nothing = { readBack, reading: undefined, rounding: undefined, answer: undefined, problem: undefined };
  if (!result.ok) return { ...nothing, problem: describeIssue(result.issue) };
  if (result.outcome.kind === 'answer') {
    const difference = answerDifference(result.outcome, style)?.text;
    const rounding = difference === undefined ? undefined : `by ${difference}`;
    return { ...nothing, answer: result.outcome.yes ? 'yes' : 'no', rounding };
  }
  if (parsed.entry === undefined) return nothing;
  const { reading, issue } = readOutcome(parsed.entry, result.outcome.quantity, style);
  return {
    ...nothing,
    reading,
    rounding: reading && roundingWord(kindOf(result.outcome.quantity.dimension), reading),
    problem: issue && describeIssue(issue),
  };
}
