import type { Issue } from '../base/issue.ts';
import { readOutcome } from '../evaluate/reckon.ts';
import type { JigRun, StepOutcome } from '../evaluate/run-program.ts';
import type { JigProgram } from '../notation/ast.ts';
import { printEntry, printExpr } from '../notation/printer.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import type { ReadingStyle } from '../reading/style.ts';

/** A step as it is shown: what it was taken to mean, by names and by figures, and what it comes to. */
export interface WrittenStep {
  readonly name: string;
  readonly title: string;
  readonly isAnswer: boolean;
  /** length ÷ (board + gap) */
  readonly readBack: string;
  /** 14′ ÷ (5 1⁄2″ + 1⁄8″); the same as the read-back where that names nothing. */
  readonly figures: string;
  /** For a repeated step: n from 1 to posts, the sum. */
  readonly repeats: string | undefined;
  readonly outcome: StepOutcome | undefined;
  /** One for each value of a list, one for a single value, none for yes and no and for a step that was not reached. */
  readonly readings: readonly Reading[];
  /** What is in the way of this step: the run stopped at it. */
  readonly issue: Issue | undefined;
}

const TAKEN = { sum: 'added up', largest: 'the largest', smallest: 'the smallest', list: 'one by one' } as const;

/** The steps of a run, as a person goes through them. */
export function writtenSteps(program: JigProgram, run: JigRun, style: ReadingStyle): readonly WrittenStep[] {
  const figureOf = new Map<string, string>();
  program.inputs.forEach(({ name }, place) => {
    const quantity = run.inputs[place];
    if (quantity) figureOf.set(name.toLowerCase(), figure(readQuantity(quantity, style).text));
  });
  return program.steps.map(({ name, title, written, repeat }, index) => {
    const outcome = run.steps[index];
    const quantities =
      outcome?.kind === 'quantity' ? [outcome.quantity] : outcome?.kind === 'list' ? outcome.quantities : [];
    const readings = quantities.flatMap((quantity) => readOutcome(written, quantity, style).reading ?? []);
    const step: WrittenStep = {
      name,
      title,
      isAnswer: program.answers.includes(index),
      readBack: printEntry(written, style),
      figures: printExpr(written.expr, { ...style, figure: (named) => figureOf.get(named.toLowerCase()) }),
      repeats: repeat && repeatText(repeat, style, figureOf),
      outcome,
      readings,
      issue: run.reached === index ? run.issue : undefined,
    };
    const [only] = readings;
    if (outcome?.kind === 'quantity' && only) figureOf.set(name.toLowerCase(), figure(only.text));
    return step;
  });
}

/** A figure below nothing keeps its sign apart from the operator before it. */
const figure = (text: string): string => (/^[−-]/.test(text) ? `(${text})` : text);

function repeatText(
  { counter, from, to, take }: NonNullable<JigProgram['steps'][number]['repeat']>,
  style: ReadingStyle,
  figures: ReadonlyMap<string, string>,
): string {
  const written = { ...style, figure: (name: string) => figures.get(name.toLowerCase()) };
  return `${counter} from ${printExpr(from, written)} to ${printExpr(to, written)}, ${TAKEN[take]}`;
}
