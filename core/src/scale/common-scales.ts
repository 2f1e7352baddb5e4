import { divideRational, makeRational, type Rational } from '../number/rational.ts';
import { absValue, divideValue, isZero, valueToNumber } from '../number/value.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { ScaleDefinition } from './drawing-scale.ts';

/** A scale that people draw to. */
export interface CommonScale {
  readonly title: string;
  readonly definition: ScaleDefinition;
  /** Site length over paper length. */
  readonly factor: Rational;
}

/** Inches on paper, written and as a fraction, that stand for so many feet on site. */
const FEET_AND_INCHES: readonly (readonly [
  written: string,
  inches: readonly [num: number, den: number],
  feet: number,
])[] = [
  ['3', [3, 1], 1],
  ['1 1/2', [3, 2], 1],
  ['1', [1, 1], 1],
  ['3/4', [3, 4], 1],
  ['1/2', [1, 2], 1],
  ['3/8', [3, 8], 1],
  ['1/4', [1, 4], 1],
  ['3/16', [3, 16], 1],
  ['1/8', [1, 8], 1],
  ['3/32', [3, 32], 1],
  ['1/16', [1, 16], 1],
  ['1', [1, 1], 10],
  ['1', [1, 1], 20],
  ['1', [1, 1], 30],
  ['1', [1, 1], 40],
  ['1', [1, 1], 50],
  ['1', [1, 1], 60],
  ['1', [1, 1], 100],
];
const RATIOS = [1, 2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000, 1250, 2500];

/**
 * The scales that building drawings are made to. Sources: ISO 5455 (1:1, 1:2, 1:5 and their tens), with 1:25, 1:250 and
 * 1:1250 of common practice; in feet and inches those that architects' (3″ to 1/16″ = 1′) and engineers' rules
 * (1″ = 10′ to 100′) carry.
 */
export const COMMON_SCALES: readonly CommonScale[] = [
  ...FEET_AND_INCHES.map(([written, [num, den], feet]): CommonScale => ({
    title: `${written.replace('/', '⁄')}″ = ${feet}′`,
    definition: { kind: 'sizes', paper: `${written}"`, site: `${feet}'` },
    factor: divideRational(makeRational(feet * 12), makeRational(num, den)),
  })),
  ...RATIOS.map((factor): CommonScale => ({
    title: `1:${factor}`,
    definition: { kind: 'ratio', paper: '1', site: `${factor}` },
    factor: makeRational(factor),
  })),
];

/** How well a common scale fits what was measured. */
export interface Fit {
  readonly scale: CommonScale;
  /** What the bar would measure on paper if the drawing were to this scale. */
  readonly wouldMeasure: Quantity;
  /** How much longer the bar was measured than that, as a part of it; under 0 for shorter. A double, to judge by. */
  readonly off: number;
}

/**
 * The common scales that a measured bar fits best, the best first; none for a bar of no length.
 * @param paper the bar as measured on paper
 * @param site what the bar says it is
 */
export function bestFits(paper: Quantity, site: Quantity, count = 3): readonly Fit[] {
  if (paper.dimension !== LENGTH || site.dimension !== LENGTH || isZero(paper.value) || isZero(site.value)) return [];
  const onSite = absValue(site.value);
  const ratio = valueToNumber(divideValue(onSite, absValue(paper.value)));
  return COMMON_SCALES.map((scale): Fit => {
    const wouldMeasure = { value: divideValue(onSite, scale.factor), dimension: LENGTH };
    return { scale, wouldMeasure, off: valueToNumber(scale.factor) / ratio - 1 };
  })
    .sort((a, b) => Math.abs(Math.log1p(a.off)) - Math.abs(Math.log1p(b.off)))
    .slice(0, count);
}
