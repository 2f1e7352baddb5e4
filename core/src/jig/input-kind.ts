import { plainUnitsText, unitsFor } from '../reading/unit-choice.ts';
import type { Dimension } from '../units/dimension.ts';
import { INPUT_KINDS, KIND_OF_INPUT, type InputKind } from './jig.ts';

/** The kind of input that takes values of a dimension, and the unit that it is best given in where that says the kind. */
export function kindOfDimension(dimension: Dimension): { readonly kind: InputKind; readonly unit: string } {
  const kind = INPUT_KINDS.find((one) => one !== 'rate' && KIND_OF_INPUT[one] === dimension);
  return kind === undefined
    ? { kind: 'rate', unit: plainUnitsText(unitsFor(dimension, 'ft-in', 0), '$') }
    : { kind, unit: '' };
}
