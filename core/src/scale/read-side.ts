import { compareRational, makeRational } from '../number/rational.ts';
import { isZero } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import { isMetric, type ReadingStyle } from '../reading/style.ts';
import { AREA, LENGTH, VOLUME } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Side } from './drawing-scale.ts';

/** On a drawing a finer division is read than on site. */
const FINEST_ON_PAPER = 64;
const METRIC_STEP_ON_PAPER = makeRational(1, 10);
/** Decimals of an inch, or of a millimetre, of what is less than that. */
const DECIMALS_OF_LESS = 4;

/**
 * A quantity as it is measured on its side: on site as the job reads, on paper in the small units that a drawing is
 * measured in: inches or millimetres, square and cubic inches or centimetres; lengths to 1/64 inch or 0.1 mm at least, and
 * in decimals where that would show nothing.
 */
export function readSide(quantity: Quantity, side: Side, style: ReadingStyle): Reading {
  const { dimension, value } = quantity;
  if (side === 'site') return readQuantity(quantity, style);
  const metric = isMetric(style.length);
  if (dimension === AREA || dimension === VOLUME)
    return readQuantity(quantity, style, { units: [{ unit: metric ? 'cm' : 'in', power: dimension / LENGTH }] });
  if (dimension !== LENGTH) return readQuantity(quantity, style);
  const inInches = style.length === 'ft' || style.length === 'yd';
  const reading = readQuantity(quantity, {
    ...style,
    length: metric ? 'mm' : inInches ? 'in' : style.length,
    finest: Math.max(style.finest, FINEST_ON_PAPER),
    metricStep: compareRational(style.metricStep, METRIC_STEP_ON_PAPER) > 0 ? METRIC_STEP_ON_PAPER : style.metricStep,
  });
  if (isZero(value) || !isZero(makeRational(reading.steps))) return reading;
  return readQuantity(quantity, style, {
    units: [{ unit: metric ? 'mm' : 'in', power: 1 }],
    decimals: DECIMALS_OF_LESS,
  });
}
