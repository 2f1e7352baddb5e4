import { subtractValue, valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { ReadingStyle } from '../reading/style.ts';
import type { RunningMark } from './spacing.ts';

/** How far a mark is out when the rounded gap is stepped off to it: over where it lies further on than it should. */
export interface Drift {
  readonly number: number;
  /** Metres; a double, for a picture. */
  readonly out: number;
  /** By magnitude, as the job reads; undefined where it is not out by anything that shows. */
  readonly reading: string | undefined;
}

export function driftOf(marks: readonly RunningMark[], style: ReadingStyle): readonly Drift[] {
  return marks.map(({ number, at, steppedOff }) => {
    const value = subtractValue(steppedOff.value, at.value);
    const out = valueToNumber(value);
    const read = readQuantity({ value, dimension: at.dimension }, { ...style, rounding: 'nearest' });
    return { number, out, reading: read.steps === 0 || read.steps === 0n ? undefined : read.text.replace(/^[−-]/, '') };
  });
}
