import { readFileSync } from 'node:fs';
import { jigSetOf } from '@sprell/contract';
import { describeIssue, nearestOf, parse, readQuantity, reckon, type Quantity, type ReadingStyle } from '@sprell/core';
import { readJig, runChecks, runJig, writtenSteps, type JigSet, type WrittenStep } from '@sprell/core/jig';

/** What a run of a jig file is asked with. */
export interface JigRunArguments {
  readonly json: boolean;
  readonly style: ReadingStyle;
  /** Inputs as name=entry, in any order. */
  readonly entries: readonly string[];
}

/** A sentence for whoever asked; the status is 2 for a wrong call and 1 for a jig or an input in error. */
class Problem extends Error {
  readonly status: number;
  constructor(sentence: string, status: number) {
    super(sentence);
    this.status = status;
  }
}

/**
 * Runs a jig file with inputs from the command line: its answers on standard output, with `--json` every step.
 * @returns the exit status: 1 where the jig or an input is in error or a check that the jig keeps does not hold, 2 for a file
 * that is none or an input that it does not have
 */
export function runJigFile(path: string, asked: JigRunArguments): number {
  try {
    const set = readSet(path);
    const { program, troubles } = readJig(set);
    if (program === undefined) {
      const said = troubles.map(({ part, index, issue }) => `${part} ${index + 1}: ${describeIssue(issue)}`);
      throw new Problem(`“${set.jig.title}” cannot run.\n${said.join('\n')}`, 1);
    }
    const run = runJig(program, inputsOf(set, asked));
    if (!run.ok) throw new Problem(describeIssue(run.issue), 1);
    const steps = writtenSteps(program, run.value, asked.style);
    const checks = runChecks(set.jig, program);
    const failing = checks.filter(({ holds }) => !holds);
    const { issue } = run.value;
    if (asked.json) {
      process.stdout.write(
        `${JSON.stringify({
          jig: set.jig.title,
          version: set.jig.version,
          inputs: Object.fromEntries(
            program.inputs.map(({ name }, place) => [
              name,
              readQuantity(run.value.inputs[place] as Quantity, asked.style).plain,
            ]),
          ),
          steps: steps.map(stepReport),
          checks: { count: checks.length, failing: failing.map(({ check }) => check.title) },
          error: issue ? { code: issue.code, message: describeIssue(issue), step: run.value.reached + 1 } : null,
        })}\n`,
      );
    } else {
      for (const step of steps)
        if (step.isAnswer && step.outcome) process.stdout.write(`${step.title} = ${outcomeText(step)}\n`);
      if (issue)
        process.stderr.write(
          `It stops at step ${run.value.reached + 1}, “${steps[run.value.reached]?.title ?? ''}”. ${describeIssue(issue)}\n`,
        );
      for (const { check } of failing) process.stderr.write(`The check “${check.title}” does not hold.\n`);
    }
    return issue !== undefined || failing.length > 0 ? 1 : 0;
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    process.stderr.write(`${error.message}\n`);
    return error.status;
  }
}

function readSet(path: string): JigSet {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    throw new Problem(`There is no file ${path} that could be read.`, 2);
  }
  const read = jigSetOf(text);
  if (read.ok) return read.value;
  const { place, sentence } = read.problem;
  throw new Problem(place === '' ? sentence : `${sentence} In the file at ${place}.`, 2);
}

function inputsOf({ jig }: JigSet, { entries, style }: JigRunArguments): readonly (Quantity | undefined)[] {
  const given: (Quantity | undefined)[] = [];
  for (const argument of entries) {
    const at = argument.indexOf('=');
    const name = argument.slice(0, at === -1 ? undefined : at).trim();
    const place = jig.inputs.findIndex((input) => input.name.toLowerCase() === name.toLowerCase());
    if (at === -1 || place === -1) {
      const near = nearestOf(
        name,
        jig.inputs.map((input) => input.name),
      );
      const known = jig.inputs.map((input) => input.name).join(', ');
      throw new Problem(
        at === -1
          ? `An input is given as name=entry; “${argument}” is not. It takes ${known}.`
          : `This jig takes no “${name}”${near === undefined ? '' : `; was ${near} meant?`} It takes ${known}.`,
        2,
      );
    }
    const source = argument.slice(at + 1);
    const { issue, outcome } = reckon(source, { style });
    if (issue !== undefined || parse(source, style).unfinished || outcome?.kind !== 'quantity')
      throw new Problem(`${name}: ${issue ? describeIssue(issue) : 'This is no value.'}`, 1);
    given[place] = outcome.quantity;
  }
  return given;
}

const outcomeText = ({ outcome, readings }: WrittenStep): string =>
  outcome?.kind === 'answer' ? (outcome.yes ? 'yes' : 'no') : readings.map(({ text }) => text).join('; ');

const stepReport = (step: WrittenStep) => ({
  name: step.name,
  title: step.title,
  answer: step.isAnswer,
  readBack: step.readBack,
  figures: step.figures,
  repeats: step.repeats ?? null,
  reading: step.outcome === undefined ? null : outcomeText(step),
  plain: step.readings.map(({ plain }) => plain),
});
