import type { Span } from '../base/span.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Unit } from '../units/unit-table.ts';
import type { FunctionName } from './functions.ts';
import type { Dimension } from '../units/dimension.ts';
import type { BinaryOperator, Comparison } from './operators.ts';

/**
 * A typed number, top/bottom, not reduced: reckoning reduces once, at the end of the measure it belongs to. A fraction
 * is kept as it was typed: `whole` in front of it (0 for none), and bottom its denominator (6/32 stays 6/32).
 */
export interface NumberLiteral extends Span {
  readonly kind: 'number';
  readonly top: number | bigint;
  /** Over 0. */
  readonly bottom: number | bigint;
  readonly whole: number | bigint;
  readonly form: 'whole' | 'decimal' | 'fraction';
  /** Set on a part of a measure. */
  readonly unit: Unit | undefined;
}

/** One unit to a whole power, as in sq ft, m³ or the h of km/h (power -1). */
export interface UnitPower {
  readonly unit: Unit;
  readonly power: number;
}

/** 9 ft, or the 7 1/4 in that follows it. */
export interface MeasurePart extends NumberLiteral {
  readonly unit: Unit;
}

/** One or more parts of one family, from the larger unit to the smaller: 9' 7 1/4", 2 m 40 cm, 30° 15'. */
export interface Measure extends Span {
  readonly kind: 'measure';
  readonly parts: readonly MeasurePart[];
  /** Words after it that only describe: on centres, rough. */
  readonly note: string | undefined;
}

/** A value times units that do not join: 32 sq ft, 60 km/h, 4.20 $/m, (3/8)". */
export interface Scaled extends Span {
  readonly kind: 'scaled';
  readonly operand: Expr;
  readonly units: readonly UnitPower[];
  readonly note: string | undefined;
}

/** 6:12 or 6 in 12. */
export interface SlopeLiteral extends Span {
  readonly kind: 'slope';
  readonly rise: NumberLiteral;
  readonly run: NumberLiteral;
}

export interface Percent extends Span {
  readonly kind: 'percent';
  readonly operand: Expr;
}

export interface Constant extends Span {
  readonly kind: 'constant';
  readonly name: 'pi';
}

export interface MarkReference extends Span {
  readonly kind: 'mark';
  /** As typed; case does not matter. */
  readonly name: string;
}

export interface LineReference extends Span {
  readonly kind: 'line';
  readonly number: number;
}

/** A run of lines as they stand on the slate, an argument of sum, mean, min and max. */
export interface LineRun extends Span {
  readonly kind: 'run';
  readonly from: number;
  readonly to: number;
}

/** The last result. */
export interface LastReference extends Span {
  readonly kind: 'last';
}

export interface Signed extends Span {
  readonly kind: 'signed';
  readonly operand: Expr;
}

export interface Binary extends Span {
  readonly kind: 'binary';
  readonly operator: BinaryOperator;
  readonly left: Expr;
  readonly right: Expr;
}

/** 8' + 10%: the sum so far and a part of it. */
export interface PercentStep extends Span {
  readonly kind: 'percentStep';
  readonly operator: 'add' | 'subtract';
  readonly left: Expr;
  readonly percent: Percent;
}

export interface Power extends Span {
  readonly kind: 'power';
  readonly base: Expr;
  readonly exponent: Expr;
}

export interface Call extends Span {
  readonly kind: 'call';
  readonly name: FunctionName;
  readonly args: readonly Expr[];
}

/** One value for a jig: for the input that it names, or else the next. */
export interface JigArgument {
  /** Place of the input among those of the jig. */
  readonly input: number;
  readonly expr: Expr;
}

/** decking(12'; 5 1/2"): a calculation that a person saved, run with these inputs. */
export interface JigCall extends Span {
  readonly kind: 'jig';
  readonly program: JigProgram;
  /** Which of its answers: a place among its steps. */
  readonly answer: number;
  readonly args: readonly JigArgument[];
}

export interface Compare extends Span {
  readonly kind: 'compare';
  readonly operator: Comparison;
  readonly left: Expr;
  readonly right: Expr;
}

/**
 * A part of an entry that came to the same whatever the scope, worked out beforehand. Never made by the parser and never
 * printed: a slate works its lines out on trees with such parts.
 */
export interface Known extends Span {
  readonly kind: 'known';
  readonly quantity: Quantity;
}

export type Expr =
  | NumberLiteral
  | Measure
  | Scaled
  | SlopeLiteral
  | Percent
  | Constant
  | MarkReference
  | LineReference
  | LineRun
  | LastReference
  | Signed
  | Binary
  | PercentStep
  | Power
  | Call
  | JigCall
  | Compare
  | Known;

/** What follows `to`: how this line reads, and nothing else about it. */
export interface Directive extends Span {
  readonly direction: 'up' | 'down' | 'nearest' | undefined;
  readonly target: DirectiveTarget;
}

export type DirectiveTarget =
  | { readonly kind: 'units'; readonly units: readonly UnitPower[] }
  | { readonly kind: 'form'; readonly form: 'ft-in' | 'in-dec' | 'slope' | 'degrees' | 'degrees-minutes' | 'mixed' }
  /** Without units the step of a length is in inches. */
  | { readonly kind: 'step'; readonly amount: NumberLiteral; readonly units: readonly UnitPower[] }
  | { readonly kind: 'decimals'; readonly count: number };

/** `rail = …` keeps, `rail += …` and `rail -= …` post. */
export interface Assignment extends Span {
  readonly name: string;
  readonly operator: 'keep' | 'add' | 'subtract';
}

/** One whole entry. */
export interface Entry {
  readonly label: string | undefined;
  readonly assignment: Assignment | undefined;
  readonly expr: Expr;
  readonly directives: readonly Directive[];
}

/** What a jig is given, made ready. */
export interface ProgramInput {
  /** As it is named in entries. */
  readonly name: string;
  /** As it is named to a person. */
  readonly title: string;
  readonly dimension: Dimension;
  /** What one of a number without a unit is: one foot; undefined for a plain number. */
  readonly unit: Quantity | undefined;
  /** What it is where nothing is given; undefined where something has to be. */
  readonly usual: Quantity | undefined;
  readonly whole: boolean;
  readonly least: ProgramLimit | undefined;
  readonly most: ProgramLimit | undefined;
}

export interface ProgramLimit {
  readonly quantity: Quantity;
  /** As it is written in the jig. */
  readonly text: string;
}

/** Of the values that a repeated step comes to, what the step is: their sum, one of them, or all of them in a list. */
export type Take = 'sum' | 'largest' | 'smallest' | 'list';

/** A step that is worked out once for each whole number from one to another. */
export interface ProgramRepeat {
  /** What the number is called in the step. */
  readonly counter: string;
  readonly from: Expr;
  readonly to: Expr;
  readonly take: Take;
}

export interface ProgramStep {
  readonly name: string;
  readonly title: string;
  /** As it was written, for the read-back. */
  readonly written: Entry;
  /** With its fixed parts worked out. */
  readonly entry: Entry;
  readonly repeat: ProgramRepeat | undefined;
}

/**
 * A jig made ready to run: what it is given, and its steps, each of which may name inputs, steps before it and other jigs. It is
 * plain data, which a worker takes as it is, and names nothing of the job that it runs in.
 */
export interface JigProgram {
  readonly name: string;
  readonly inputs: readonly ProgramInput[];
  readonly steps: readonly ProgramStep[];
  /** Steps that are answers, the one that the jig stands for in an entry first. */
  readonly answers: readonly number[];
}

/** Jigs that an entry may use, by their names in lower case. */
export type JigPrograms = Pick<ReadonlyMap<string, JigProgram>, 'get' | 'size' | 'keys'>;
