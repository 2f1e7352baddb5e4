import { makeRational, type Rational } from '../number/rational.ts';
import type { JigPrograms } from '../notation/ast.ts';
import type { RoundingDirection } from '../number/rounding.ts';

export type LengthStyle = 'ft-in' | 'in' | 'ft' | 'in-dec' | 'yd' | 'm' | 'cm' | 'mm';
export const LENGTH_STYLES: readonly LengthStyle[] = ['ft-in', 'in', 'ft', 'in-dec', 'yd', 'm', 'cm', 'mm'];

/** How values are written for a person. An argument of every reading; nothing remembers one. */
export interface ReadingStyle {
  readonly length: LengthStyle;
  /** Finest division of an inch: 16 for sixteenths. */
  readonly finest: number;
  /** Finest division of the metric styles, in millimetres. */
  readonly metricStep: Rational;
  readonly rounding: RoundingDirection;
  /** Whether 6/32 is shown as 3/16 or held at the finest division. */
  readonly fractions: 'lowest' | 'held';
  /** Plain numbers: this many decimals, or a mixed fraction with this denominator at most. */
  readonly numbers:
    { readonly kind: 'decimals'; readonly count: number } | { readonly kind: 'mixed'; readonly denominator: number };
  readonly thousands: boolean;
  readonly decimalComma: boolean;
  readonly currency: string;
  /** Marks of the job that are called by a word of the language: see `ScanOptions`. */
  readonly names?: Pick<ReadonlySet<string>, 'has' | 'size'> | undefined;
  /** Jigs that entries of the job may use: see `ScanOptions`. */
  readonly jigs?: JigPrograms | undefined;
}

/** A tape in feet and inches, read to the sixteenth. */
export const DEFAULT_STYLE: ReadingStyle = {
  length: 'ft-in',
  finest: 16,
  metricStep: makeRational(1),
  rounding: 'nearest',
  fractions: 'lowest',
  numbers: { kind: 'decimals', count: 6 },
  thousands: false,
  decimalComma: false,
  currency: '$',
};

/** Whether a style belongs to a metric tape; areas, volumes and masses follow it. */
export function isMetric(length: LengthStyle): boolean {
  return length === 'm' || length === 'cm' || length === 'mm';
}

/**
 * How one value reads when a line says so itself (`to …`): which units, and to which step. What is undefined follows
 * the style.
 */
export interface ReadingForm {
  /** Units of the reading, by id, each to a power. */
  readonly units?: readonly { readonly unit: string; readonly power: number }[];
  readonly form?: 'ft-in' | 'in' | 'in-dec' | 'slope' | 'degrees' | 'degrees-minutes' | 'mixed';
  /** The finest division, over zero: in `units` where they are given, else of a length in inches and of a plain number in ones. */
  readonly step?: Rational;
  readonly decimals?: number;
  readonly rounding?: RoundingDirection;
}
