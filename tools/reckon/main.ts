import { createInterface } from 'node:readline';
import {
  answerDifference,
  describeIssue,
  kindOf,
  Session,
  termsOf,
  valueToNumber,
  isExact,
  type Issue,
  type ReadingStyle,
  type Reckoned,
  type Value,
} from '@sprell/core';
import { Dialogue } from '@sprell/core/heard';
import { readArguments } from './options.ts';

/** One line of `--json`: an entry worked out, or what is wrong with it. */
interface Report {
  /** What was said, where phrases are read. */
  readonly heard?: string;
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

function reportOf(entry: string, reckoned: Reckoned, style: ReadingStyle): Report {
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
const refused = (entry: string, code: string, message: string, from: number, to: number): Report => ({
  ...NOTHING,
  entry,
  error: { code, message, from, to, fixes: [] },
});

/** The report of an entry on which the core itself failed. */
function failedReport(entry: string, error: unknown): Report {
  const why = error instanceof Error ? error.message : String(error);
  const message = `Sprell made a mistake on this entry (${why}); write it in another way, or report it.`;
  return refused(entry, 'internal', message, 0, entry.length);
}

/** The entry with a caret under the spot, then the sentence. */
function drawn(entry: string, issue: Issue): string {
  const shown = entry.length > 200 ? `${entry.slice(0, 200)}…` : entry;
  const start = Math.min(issue.start, shown.length);
  const width = Math.max(1, Math.min(issue.end, shown.length) - start);
  return `${shown}\n${' '.repeat(start)}${'^'.repeat(width)}\n${describeIssue(issue)}\n`;
}

/** Runs the command; the exit status is 1 if any entry was in error, 2 if an option was. */
export async function main(args: readonly string[]): Promise<number> {
  const options = readArguments(args);
  if ('problem' in options) {
    process.stderr.write(`${options.problem}\n`);
    return 2;
  }
  const session = new Session(options.style);
  const dialogue = new Dialogue();
  let errors = 0;
  /** What a phrase comes to; nothing counts of one with words that say nothing. */
  const answerSaid = (phrase: string): { readonly report: Report; readonly issue?: Issue | undefined } => {
    const turn = dialogue.hear(phrase, session.names);
    const [lost] = turn.unknown;
    if (turn.entry === '' || lost !== undefined) {
      const message =
        lost === undefined
          ? 'Nothing to work out was said; say a size, or what to do with the last one.'
          : `"${lost.text}" says nothing here${turn.entry === '' ? '' : `; without it this is ${turn.entry}`}. Say it in another way.`;
      return {
        report: { ...refused(turn.entry, 'heard.unknown', message, lost?.start ?? 0, lost?.end ?? 0), heard: phrase },
      };
    }
    if (turn.corrects) session.takeBack();
    const reckoned = session.enterSaid(turn.entry);
    return { report: { heard: phrase, ...reportOf(reckoned.written, reckoned, options.style) }, issue: reckoned.issue };
  };
  const answer = (entry: string): string => {
    let report: Report;
    let issue: Issue | undefined;
    try {
      if (options.spoken) ({ report, issue } = answerSaid(entry));
      else {
        const reckoned = session.enter(entry);
        issue = reckoned.issue;
        report = reportOf(entry, reckoned, options.style);
      }
    } catch (error) {
      // A mistake of ours in one line is no reason to lose the answers to the others.
      session.skip();
      report = failedReport(entry, error);
    }
    if (report.error !== null) errors += 1;
    if (options.json) return `${JSON.stringify(report)}\n`;
    if (report.error !== null) {
      process.stderr.write(issue === undefined ? `${entry}\n${report.error.message}\n` : drawn(report.entry, issue));
      return '';
    }
    const by = report.difference === null ? '' : `, by ${report.difference}`;
    return `${report.readBack ?? ''} = ${report.reading ?? ''}${by}\n`;
  };
  if (options.entries.length > 0) {
    for (const entry of options.entries) process.stdout.write(answer(entry));
  } else await answerInput(answer);
  return errors > 0 ? 1 : 0;
}

/** Answers are gathered to blocks of about this many characters: one write a line would cost more than the reckoning. */
const BLOCK = 1 << 16;

/** White space as an entry has it, the invisible signs of pasted text among it. */
const BLANK = /^[\s\p{Cc}\p{Cf}]*$/u;

async function answerInput(answer: (entry: string) => string): Promise<void> {
  let block = '';
  // A reader that closes the pipe early (head) is no failure of ours.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (BLANK.test(line)) continue;
    block += answer(line);
    if (block.length >= BLOCK) {
      const drained = process.stdout.write(block);
      block = '';
      if (!drained) await new Promise((resolve) => process.stdout.once('drain', resolve));
    }
  }
  if (block !== '') process.stdout.write(block);
}
