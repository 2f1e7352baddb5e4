import { assertNever } from '../base/invariant.ts';
import type { Issue } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import type { Expr, JigCall } from '../notation/ast.ts';
import type { JigProgram, ProgramInput, ProgramRepeat, ProgramStep, Take } from '../notation/ast.ts';
import { inLowestTerms, type Rational } from '../number/rational.ts';
import { addValue, compareValue, multiplyValue } from '../number/value.ts';
import { kindOf, PLAIN } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Outcome } from './outcome.ts';
import { Columns, compile, LEFT_TO_THE_TREE } from './columns.ts';
import { refuse, Refusal } from './refuse.ts';
import { EMPTY_SCOPE, type Resolved, type Scope } from './scope.ts';

/** What runs may take, so that none goes on without end. */
export const RUN_LIMITS = {
  /** Times that one step may be repeated. */
  repeats: 1000,
  /** Steps worked out in one run, those of other jigs and every repetition counted. */
  steps: 20_000,
} as const;

/** What one step came to: a value or yes or no, or a list of values. */
export type StepOutcome = Outcome | { readonly kind: 'list'; readonly quantities: readonly Quantity[] };

/** A jig that was run. */
export interface JigRun {
  /** What it was run with, the usual values of what was not given among them. */
  readonly inputs: readonly Quantity[];
  /** What the steps came to, by their places, as far as they were asked for and could be worked out. */
  readonly steps: readonly (StepOutcome | undefined)[];
  /** How many steps were worked out. */
  readonly reached: number;
  /** What is in the way of the next step. */
  readonly issue: Issue | undefined;
}

/** Works an expression out in a scope. @throws {Refusal} */
export type Work = (expr: Expr, scope: Scope) => Outcome;

/** Steps that the run at hand may still take. Runs never begin side by side: a jig runs within the entry that uses it. */
let left: number = RUN_LIMITS.steps;
let depth = 0;

/**
 * A program with room for its values. What is given and what the steps come to stand in columns as far as they are small
 * fractions, as they do on the slate, and most steps are worked out there; the tree does the rest.
 */
class Runner {
  readonly #program: JigProgram;
  readonly #work: Work;
  readonly #columns = new Columns();
  readonly #slotOf = new Map<string, number>();
  readonly #firstStep: number;
  /** By slot: what does not stand in the columns. */
  readonly #others: (StepOutcome | undefined)[] = [];
  readonly #scope: Scope;

  constructor(program: JigProgram, work: Work) {
    this.#program = program;
    this.#work = work;
    this.#firstStep = program.inputs.length;
    for (const { name } of [...program.inputs, ...program.steps])
      this.#slotOf.set(name.toLowerCase(), this.#columns.take());
    for (const { repeat } of program.steps) {
      const counter = repeat?.counter.toLowerCase();
      if (counter !== undefined && !this.#slotOf.has(counter)) this.#slotOf.set(counter, this.#columns.take());
    }
    const slots = { line: () => undefined, mark: (name: string) => this.#slotOf.get(name) };
    program.steps.forEach(({ entry, repeat }, step) => {
      if (repeat === undefined) this.#columns.setProgram(this.#firstStep + step, compile(entry.expr, slots));
    });
    this.#scope = { ...EMPTY_SCOPE, mark: (name) => this.#resolve(name), names: () => [...this.#slotOf.keys()] };
  }

  /**
   * @param inputs all of them
   * @returns how many steps were worked out, and what is in the way of the next
   */
  run(inputs: readonly Quantity[]): { readonly reached: number; readonly issue: Issue | undefined } {
    const { steps } = this.#program;
    inputs.forEach((quantity, place) => {
      this.#put(place, { kind: 'quantity', quantity });
    });
    let reached = 0;
    try {
      for (; reached < steps.length; reached += 1)
        this.#runStep(steps[reached] as ProgramStep, this.#firstStep + reached);
    } catch (thrown) {
      if (thrown instanceof Refusal) return { reached, issue: thrown.issue };
      throw thrown;
    }
    return { reached, issue: undefined };
  }

  /** What a step came to, of those that were worked out. */
  outcome(step: number): StepOutcome {
    return this.#at(this.#firstStep + step) as StepOutcome;
  }

  #runStep({ entry, repeat }: ProgramStep, slot: number): void {
    takeStep(entry.expr);
    if (repeat) this.#put(slot, this.#repeated(entry.expr, repeat));
    else if (this.#columns.run(slot) === LEFT_TO_THE_TREE) this.#put(slot, this.#work(entry.expr, this.#scope));
  }

  #put(slot: number, outcome: StepOutcome): void {
    const value = outcome.kind === 'quantity' ? outcome.quantity.value : undefined;
    const isSmall = value?.kind === 'rational' && typeof value.num === 'number' && typeof value.den === 'number';
    if (outcome.kind === 'quantity' && isSmall)
      this.#columns.put(slot, value.num as number, value.den as number, outcome.quantity.dimension);
    else {
      this.#columns.isSmall[slot] = 0;
      this.#others[slot] = outcome;
    }
  }

  #at(slot: number): StepOutcome | undefined {
    const { num, den, dimension, isSmall } = this.#columns;
    if (isSmall[slot] !== 1) return this.#others[slot];
    const value = inLowestTerms(num[slot] as number, den[slot] as number);
    return { kind: 'quantity', quantity: { value, dimension: dimension[slot] as number } };
  }

  #resolve(name: string): Resolved | undefined {
    const slot = this.#slotOf.get(name);
    const outcome = slot === undefined ? undefined : this.#at(slot);
    if (outcome === undefined) return undefined;
    return outcome.kind === 'quantity' ? { ok: true, quantity: outcome.quantity } : { ok: false };
  }

  /** A step for each whole number from one to another, and of what comes of it what was asked for. */
  #repeated(expr: Expr, { counter, from, to, take }: ProgramRepeat): StepOutcome {
    const [first, last] = [this.#whole(from), this.#whole(to)];
    const count = last - first + 1;
    if (count > RUN_LIMITS.repeats)
      refuse('jig.repeat_long', to, { times: `${count}`, limit: `${RUN_LIMITS.repeats}` });
    const slot = this.#slotOf.get(counter.toLowerCase()) as number;
    const quantities: Quantity[] = [];
    for (let at = first; at <= last; at += 1) {
      this.#columns.put(slot, at, 1, PLAIN);
      takeStep(expr);
      const outcome = this.#work(expr, this.#scope);
      if (outcome.kind !== 'quantity') return refuse('kind.answer', expr, {});
      quantities.push(outcome.quantity);
    }
    return take === 'list'
      ? { kind: 'list', quantities }
      : { kind: 'quantity', quantity: taken(take, quantities, expr) };
  }

  /** A bound of the count, which has to be a whole number. */
  #whole(expr: Expr): number {
    const outcome = this.#work(expr, this.#scope);
    const value =
      outcome.kind === 'quantity' && outcome.quantity.dimension === PLAIN ? outcome.quantity.value : undefined;
    if (value?.kind === 'rational' && value.den === 1 && typeof value.num === 'number') return value.num;
    return refuse('jig.repeat_whole', expr, {});
  }
}

function takeStep(span: Span): void {
  left -= 1;
  if (left < 0) refuse('jig.too_long', span, { limit: `${RUN_LIMITS.steps}` });
}

/** Programs are never changed: what was made ready for one holds as long as it is there. */
const runners = new WeakMap<JigProgram, Runner>();

/**
 * Runs a jig.
 * @param given what it is given, by the places of its inputs; as `inputValue` made sure of
 * @param wanted steps whose outcomes are wanted; all of them where it is undefined
 * @throws {Refusal} where an input is missing: the place is `span`
 */
export function runProgram(
  program: JigProgram,
  given: readonly (Quantity | undefined)[],
  work: Work,
  span: Span,
  wanted?: readonly number[],
): JigRun {
  const inputs = program.inputs.map((input, place) => given[place] ?? usualOf(program, input, span));
  let runner = runners.get(program);
  if (runner === undefined) {
    runner = new Runner(program, work);
    runners.set(program, runner);
  }
  if (depth === 0) left = RUN_LIMITS.steps;
  depth += 1;
  try {
    const { reached, issue } = runner.run(inputs);
    const steps: StepOutcome[] = [];
    for (const step of wanted ?? program.steps.keys()) if (step < reached) steps[step] = runner.outcome(step);
    return { inputs, steps, reached, issue };
  } finally {
    depth -= 1;
  }
}

function usualOf(program: JigProgram, { usual, name }: ProgramInput, span: Span): Quantity {
  return usual ?? refuse('jig.input_missing', span, { jig: program.name, input: name });
}

function taken(take: Exclude<Take, 'list'>, quantities: readonly Quantity[], span: Span): Quantity {
  const [first] = quantities;
  if (first === undefined) return refuse('jig.repeat_none', span, {});
  return quantities.slice(1).reduce((so: Quantity, next) => {
    if (next.dimension !== so.dimension)
      return refuse('kind.add', span, { left: kindOf(so.dimension), right: kindOf(next.dimension) });
    switch (take) {
      case 'sum':
        return { value: addValue(so.value, next.value), dimension: so.dimension };
      case 'largest':
        return compareValue(next.value, so.value) > 0 ? next : so;
      case 'smallest':
        return compareValue(next.value, so.value) < 0 ? next : so;
      default:
        return assertNever(take);
    }
  }, first);
}

/**
 * A value as an input takes it: a number without a unit is in the input's own.
 * @throws {Refusal} where it is of another kind, not whole, or out of the input's limits
 */
export function inputValue(program: JigProgram, input: ProgramInput, quantity: Quantity, span: Span): Quantity {
  const { dimension, unit, name } = input;
  const isBare = quantity.dimension === PLAIN && dimension !== PLAIN && unit !== undefined;
  const value = isBare ? multiplyValue(quantity.value, unit.value) : quantity.value;
  const names = { jig: program.name, input: name };
  if (!isBare && quantity.dimension !== dimension)
    refuse('jig.input_kind', span, { ...names, kind: kindOf(quantity.dimension), wanted: kindOf(dimension) });
  if (input.whole && (value.kind !== 'rational' || (value as Rational).den !== 1))
    refuse('jig.input_whole', span, names);
  const { least, most } = input;
  if (least && compareValue(value, least.quantity.value) < 0)
    refuse('jig.input_low', span, { ...names, limit: least.text });
  if (most && compareValue(value, most.quantity.value) > 0)
    refuse('jig.input_high', span, { ...names, limit: most.text });
  return { value, dimension };
}

/** The answer that an entry asks of a jig. @throws {Refusal} */
export function answerOfCall(call: JigCall, scope: Scope, work: Work): Quantity {
  const { program, args, answer } = call;
  const given: (Quantity | undefined)[] = [];
  for (const { input, expr } of args) {
    const outcome = work(expr, scope);
    if (outcome.kind !== 'quantity') return refuse('kind.answer', expr, {});
    given[input] = inputValue(program, program.inputs[input] as ProgramInput, outcome.quantity, expr);
  }
  const run = runProgram(program, given, work, call, [answer]);
  const outcome = run.steps[answer];
  if (outcome?.kind === 'quantity') return outcome.quantity;
  const step = program.steps[run.reached];
  if (run.issue && outcome === undefined)
    return refuse('jig.step_failed', call, { jig: program.name, step: step?.title ?? '', because: run.issue });
  return refuse('jig.answer_no_value', call, { jig: program.name, answer: program.steps[answer]?.title ?? '' });
}
