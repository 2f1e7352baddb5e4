import { createInterface } from 'node:readline';
import { describeIssue, Session, type Issue } from '@sprell/core';
import { readArguments } from './options.ts';
import { failedReport, reportOf, type Report } from './report.ts';
import { phrasesOf } from './spoken.ts';

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
  // The validator that it needs would keep every other call waiting.
  if (options.jig !== undefined) return (await import('./run-jig-file.ts')).runJigFile(options.jig, options);
  if (options.job !== undefined) return (await import('./print-job-file.ts')).printJobFile(options.job, options.json);
  const session = new Session(options.style);
  const answerSaid = phrasesOf(options.style);
  let errors = 0;
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
    if (report.readBack === null && report.says !== undefined) return `${report.says}\n`;
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
