import type { Expr } from '../notation/ast.ts';
import { parse } from '../notation/parser.ts';
import { partsOf } from '../notation/parts.ts';
import { withPlaces } from '../notation/rewrite.ts';
import { evaluate } from '../evaluate/evaluate.ts';
import { kindOfDimension } from './input-kind.ts';
import type { DraftJig } from './from-lines.ts';
import type { InputKind, JigInput } from './jig.ts';

/** A figure that stands in a step, and could be an input. */
export interface Figure {
  readonly step: number;
  readonly start: number;
  readonly end: number;
  /** As it is written: 5 1/2". */
  readonly text: string;
  readonly kind: InputKind;
  readonly unit: string;
}

/** The figures of a jig's steps, in the order in which they stand. Steps that cannot be read have none. */
export function figuresIn(jig: DraftJig): readonly Figure[] {
  return jig.steps.flatMap(({ entry: source }, step) => {
    const { entry, issues } = parse(source, { decimalComma: jig.decimalComma });
    if (entry === undefined || issues.length > 0) return [];
    return literalsOf(entry.expr).flatMap((expr) => {
      const result = evaluate({ label: undefined, assignment: undefined, directives: [], expr });
      if (!result.ok || result.value.kind !== 'quantity') return [];
      const { kind, unit } = kindOfDimension(result.value.quantity.dimension);
      const { start, end } = expr;
      return [{ step, start, end, text: source.slice(start, end).trim(), kind, unit }];
    });
  });
}

/** Numbers and sizes as they were written, each with its units; powers stay what they are. */
function literalsOf(expr: Expr): readonly Expr[] {
  switch (expr.kind) {
    case 'number':
    case 'measure':
    case 'slope':
      return [expr];
    case 'scaled':
      return expr.operand.kind === 'number' ? [expr] : literalsOf(expr.operand);
    case 'power':
      return literalsOf(expr.base);
    default:
      return partsOf(expr).flatMap(literalsOf);
  }
}

/**
 * The jig with an input in place of a figure, and of every other that is written the same where `everywhere` says so. What was
 * written there is the input's usual value.
 */
export function figureToInput(
  jig: DraftJig,
  figure: Figure,
  { name, title }: Pick<JigInput, 'name' | 'title'>,
  everywhere: boolean,
): DraftJig {
  const same = figuresIn(jig).filter(
    (one) =>
      (one.step === figure.step && one.start === figure.start) ||
      (everywhere && one.text === figure.text && one.kind === figure.kind),
  );
  const steps = jig.steps.map((step, index) => ({
    ...step,
    entry: withPlaces(
      step.entry,
      same.filter((one) => one.step === index),
      (place) => asName(step.entry, place, name),
    ),
  }));
  const input: JigInput = {
    name,
    title,
    kind: figure.kind,
    unit: figure.unit,
    usual: figure.text,
    metric: '',
    whole: false,
    least: '',
    most: '',
    hint: '',
  };
  return { ...jig, inputs: [...jig.inputs, input], steps };
}

/** A name where a number stood: in brackets before a percent sign, and with the × that only a number may leave out. */
function asName(source: string, { start, end }: Figure, name: string): string {
  const behind = source.slice(end).trimStart();
  const before = source.slice(0, start);
  // What is in brackets keeps them: (3/8)".
  const text = behind.startsWith('%') ? `(${name})` : name;
  const gap = /[\p{L}\p{N}_]$/u.test(before) ? ' ' : '';
  return /^[(\p{L}√π]/u.test(behind) && !OPERATOR_WORD.test(behind)
    ? `${gap}${text} ×${/^\s/u.test(source.slice(end)) ? '' : ' '}`
    : `${gap}${text}`;
}

const OPERATOR_WORD = /^(x|of|to|in|up|down|divided|multiplied)(?![\p{L}\p{N}_])/iu;
