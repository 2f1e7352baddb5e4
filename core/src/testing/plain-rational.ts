/**
 * The oracle: exact rationals in the plainest way, on big integers alone, reduced by trial of the common divisor. It
 * shares no line with the arithmetic it checks.
 */
export interface Plain {
  readonly n: bigint;
  readonly d: bigint;
}

export function plain(n: bigint | number, d: bigint | number = 1): Plain {
  let [num, den] = [BigInt(n), BigInt(d)];
  if (den < 0n) [num, den] = [-num, -den];
  let [a, b] = [num < 0n ? -num : num, den];
  while (b > 0n) [a, b] = [b, a % b];
  return a === 0n ? { n: 0n, d: 1n } : { n: num / a, d: den / a };
}

export const plainAdd = (x: Plain, y: Plain): Plain => plain(x.n * y.d + y.n * x.d, x.d * y.d);
export const plainSubtract = (x: Plain, y: Plain): Plain => plain(x.n * y.d - y.n * x.d, x.d * y.d);
export const plainMultiply = (x: Plain, y: Plain): Plain => plain(x.n * y.n, x.d * y.d);
export const plainDivide = (x: Plain, y: Plain): Plain => plain(x.n * y.d, x.d * y.n);

/** How many divisions lie nearest, ties away from zero. */
export function plainNearest(x: Plain, divisions: bigint): bigint {
  const size = x.n < 0n ? -x.n : x.n;
  const steps = (2n * size * divisions + x.d) / (2n * x.d);
  return x.n < 0n ? -steps : steps;
}

/** Divisions of an inch written out in feet, inches and a fraction. */
export function plainFeetInches(steps: bigint, divisions: bigint): string {
  const size = steps < 0n ? -steps : steps;
  const feet = size / (12n * divisions);
  const inches = (size / divisions) % 12n;
  const { n, d } = plain(size % divisions, divisions);
  const small = [inches > 0n ? `${inches}` : '', n > 0n ? `${n}⁄${d}` : ''].filter((part) => part !== '').join(' ');
  const parts = [feet > 0n ? `${feet}′` : '', small === '' ? '' : `${small}″`].filter((part) => part !== '');
  return parts.length === 0 ? '0″' : `${steps < 0n ? '−' : ''}${parts.join(' ')}`;
}
