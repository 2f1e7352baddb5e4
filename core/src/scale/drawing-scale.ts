import { makeIssue, type Fix, type Issue } from '../base/issue.ts';
import type { Result } from '../base/result.ts';
import { reckon } from '../evaluate/reckon.ts';
import type { Scope } from '../evaluate/scope.ts';
import { parse } from '../notation/parser.ts';
import { printEntry } from '../notation/printer.ts';
import { divideValue, isExact, multiplyValue, signOfValue, type Value } from '../number/value.ts';
import { exactText } from '../reading/exact-text.ts';
import { DEFAULT_STYLE, isMetric, type ReadingStyle } from '../reading/style.ts';
import { kindOf, LENGTH, PLAIN, VOLUME } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';

/** The side of a scale that a length lies on. */
export type Side = 'paper' | 'site';

/**
 * How a scale was defined, as it was typed. `sizes`: a length on paper for a length on site (1/4" = 1'). `ratio`: two
 * plain numbers, paper first (1:20). `copy`: a line measured on a copy that came out at the wrong size, and what it is.
 */
export interface ScaleDefinition {
  readonly kind: 'sizes' | 'ratio' | 'copy';
  readonly paper: string;
  readonly site: string;
}

/** A drawing scale: so many times larger on site than on paper. */
export interface DrawingScale {
  /** Over 0; without unit. 48 for 1/4″ = 1′. */
  readonly factor: Value;
}

export interface ScaleIssue {
  /** The field that is to be mended. */
  readonly side: Side;
  readonly issue: Issue;
}

/**
 * Works a definition out. Its sides are entries like any other; of a ratio each is a plain number.
 * @returns the scale, or what is wrong and on which side
 */
export function readScale(
  { kind, paper, site }: ScaleDefinition,
  options: { readonly scope?: Scope; readonly style?: ReadingStyle } = {},
): Result<DrawingScale, ScaleIssue> {
  const wanted = kind === 'ratio' ? PLAIN : LENGTH;
  const sides: Value[] = [];
  for (const [side, source] of [
    ['paper', paper],
    ['site', site],
  ] as const) {
    const { outcome, issue, parsed } = reckon(source, options);
    if (issue !== undefined) return { ok: false, issue: { side, issue } };
    const quantity = outcome?.kind === 'quantity' ? outcome.quantity : undefined;
    const span = { start: 0, end: parsed.source.length };
    const problem =
      quantity?.dimension !== wanted
        ? kind === 'ratio'
          ? makeIssue('scale.ratio', span, {})
          : makeIssue(
              'scale.not_length',
              span,
              { side, kind: quantity ? kindOf(quantity.dimension) : 'answer' },
              quantity?.dimension === PLAIN ? withUnits(source, options.style) : [],
            )
        : signOfValue(quantity.value) <= 0
          ? makeIssue('scale.zero', span, { side })
          : undefined;
    if (problem !== undefined) return { ok: false, issue: { side, issue: problem } };
    sides.push((quantity as Quantity).value);
  }
  const [onPaper, onSite] = sides as [Value, Value];
  return { ok: true, value: { factor: divideValue(onSite, onPaper) } };
}

const [INCH_UNITS, METRIC_UNITS] = [
  ['"', "'"],
  [' mm', ' m'],
];
/** A plain number in the units that a drawing is measured in, the job's own first. */
function withUnits(source: string, { length }: Pick<ReadingStyle, 'length'> = DEFAULT_STYLE): readonly Fix[] {
  const units = isMetric(length) ? [...METRIC_UNITS, ...INCH_UNITS] : [...INCH_UNITS, ...METRIC_UNITS];
  return units.map((unit) => {
    const entry = `${source.trim()}${unit}`;
    return { label: entry.replace('"', '″').replace("'", '′'), entry };
  });
}

/** Lengths, areas and volumes are of another size on the other side. */
const isTurned = (dimension: number): boolean => dimension >= LENGTH && dimension <= VOLUME;

/**
 * What keeps something measured on paper from being a size on site: it is no length, area or volume. A plain number is
 * offered in the units of a drawing.
 * @param source the entry that was measured
 * @param quantity what it comes to
 */
export function measuredIssue(source: string, quantity: Quantity, style?: ReadingStyle): Issue | undefined {
  if (isTurned(quantity.dimension)) return undefined;
  const span = { start: 0, end: source.length };
  const fixes = quantity.dimension === PLAIN ? withUnits(source, style) : [];
  return makeIssue('scale.kind', span, { kind: kindOf(quantity.dimension) }, fixes);
}

/**
 * A quantity of one side as it is on the other: a length times the factor, an area times its square, a volume times its
 * cube. Anything else is the same on both and is refused.
 */
export function turn(quantity: Quantity, { factor }: DrawingScale, from: Side): Result<Quantity, Issue> {
  const { dimension } = quantity;
  if (!isTurned(dimension))
    return { ok: false, issue: makeIssue('scale.kind', { start: 0, end: 0 }, { kind: kindOf(dimension) }) };
  let { value } = quantity;
  for (let power = 0; power < dimension; power += 1)
    value = from === 'paper' ? multiplyValue(value, factor) : divideValue(value, factor);
  return { ok: true, value: { value, dimension } };
}

/**
 * An entry that turns another to the other side, for a line of the slate: `#7 * 48`, `#7 / 48`, `#9 * 48^2` for an area.
 * Undefined for what does not turn, and for a factor that is no exact number.
 * @param operand an entry that binds as one value: a mark, #n, or something in brackets
 */
export function turnedEntry(
  operand: string,
  dimension: number,
  { factor }: DrawingScale,
  from: Side,
  style: ReadingStyle,
): string | undefined {
  if (!isTurned(dimension) || !isExact(factor)) return undefined;
  const text = exactText({ value: factor, dimension: PLAIN }, style)?.plain;
  if (text === undefined) return undefined;
  const number = /^[\d.,]+$/.test(text) ? text : `(${text})`;
  return `${operand} ${from === 'paper' ? '*' : '/'} ${number}${dimension === LENGTH ? '' : `^${dimension}`}`;
}

/** A definition as it was understood: 1/4″ = 1′; 1:20; 11 3/8″ is 12′ 6″. */
export function definitionText({ kind, paper, site }: ScaleDefinition, style: ReadingStyle = DEFAULT_STYLE): string {
  const readBack = (source: string) => {
    const { entry } = parse(source, style);
    return entry === undefined ? source : printEntry(entry, style);
  };
  return `${readBack(paper)}${{ sizes: ' = ', ratio: ':', copy: ' is ' }[kind]}${readBack(site)}`;
}
