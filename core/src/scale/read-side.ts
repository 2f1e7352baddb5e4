import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import { isMetric, type ReadingStyle } from '../reading/style.ts';
import { AREA, LENGTH, VOLUME } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Side } from './drawing-scale.ts';

/**
 * A quantity as it is measured on its side: on site as the job reads, on paper in the small units that a drawing is
 * measured in: inches or millimetres, square and cubic inches or centimetres.
 */
export function readSide(quantity: Quantity, side: Side, style: ReadingStyle): Reading {
  const { dimension } = quantity;
  if (side === 'site') return readQuantity(quantity, style);
  const metric = isMetric(style.length);
  if (dimension === AREA || dimension === VOLUME)
    return readQuantity(quantity, style, { units: [{ unit: metric ? 'cm' : 'in', power: dimension / LENGTH }] });
  if (dimension !== LENGTH) return readQuantity(quantity, style);
  const inInches = style.length === 'ft' || style.length === 'yd';
  return readQuantity(quantity, { ...style, length: metric ? 'mm' : inInches ? 'in' : style.length });
}
