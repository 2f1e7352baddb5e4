import { bitLength, gcdBig, isqrt } from '../base/bigint.ts';
import {
  addApproximate,
  approximateRational,
  multiplyApproximate,
  sqrtApproximate,
  type Approximation,
} from './approximation.ts';
import { piFixed } from './elementary.ts';
import {
  addRational,
  compareRational,
  invertRational,
  makeRational,
  multiplyRational,
  negateRational,
  ONE,
  type Rational,
} from './rational.ts';

/** coefficient · √radicand · π^piPower; the radicand is square-free and at least 1. */
export interface Term {
  readonly coefficient: Rational;
  readonly radicand: bigint;
  readonly piPower: number;
}

/**
 * An exact sum of such terms, at most eight, never one that is plainly rational. Canonical: no coefficient is zero, no
 * two terms share radicand and power of π, and they stand in order. Square roots of different square-free numbers are
 * independent over the rationals and π is transcendental, so a sum with a term in it is never zero.
 */
export interface RadicalSum {
  readonly kind: 'radical';
  readonly terms: readonly Term[];
}

/** More terms than this become an approximation. */
export const TERM_LIMIT = 8;

const compareTerms = (a: Term, b: Term): number =>
  a.piPower - b.piPower || (a.radicand < b.radicand ? -1 : a.radicand > b.radicand ? 1 : 0);

/** The terms of a rational or a sum. */
export function termsOf(value: Rational | RadicalSum): readonly Term[] {
  if (value.kind === 'radical') return value.terms;
  return value.num === 0 ? [] : [{ coefficient: value, radicand: 1n, piPower: 0 }];
}

/** Gathers like terms into the canonical value; undefined when more than eight are left. */
export function sumOfTerms(terms: readonly Term[]): Rational | RadicalSum | undefined {
  const sorted = [...terms].sort(compareTerms);
  const gathered: Term[] = [];
  for (const term of sorted) {
    const last = gathered[gathered.length - 1];
    if (last?.radicand === term.radicand && last.piPower === term.piPower)
      gathered[gathered.length - 1] = { ...last, coefficient: addRational(last.coefficient, term.coefficient) };
    else gathered.push(term);
  }
  const kept = gathered.filter((term) => term.coefficient.num !== 0);
  if (kept.length === 0) return makeRational(0);
  const [only] = kept;
  if (kept.length === 1 && only?.radicand === 1n && only.piPower === 0) return only.coefficient;
  return kept.length > TERM_LIMIT ? undefined : { kind: 'radical', terms: kept };
}

function multiplyTerms(a: Term, b: Term): Term {
  // √m·√n = g·√(mn/g²) with g their common divisor; the rest is square-free again.
  const common = gcdBig(a.radicand, b.radicand);
  const coefficient = multiplyRational(a.coefficient, b.coefficient);
  return {
    coefficient: common === 1n ? coefficient : multiplyRational(coefficient, makeRational(common)),
    radicand: (a.radicand / common) * (b.radicand / common),
    piPower: a.piPower + b.piPower,
  };
}

type Exact = Rational | RadicalSum;

export function addExact(a: Exact, b: Exact): Exact | undefined {
  return sumOfTerms([...termsOf(a), ...termsOf(b)]);
}

export function negateRadical(a: RadicalSum): RadicalSum {
  return {
    kind: 'radical',
    terms: a.terms.map((term) => ({ ...term, coefficient: negateRational(term.coefficient) })),
  };
}

export function multiplyExact(a: Exact, b: Exact): Exact | undefined {
  const right = termsOf(b);
  return sumOfTerms(termsOf(a).flatMap((term) => right.map((other) => multiplyTerms(term, other))));
}

function invertTerm({ coefficient, radicand, piPower }: Term): Term {
  // 1/(r√n) = √n/(rn).
  return {
    coefficient: invertRational(multiplyRational(coefficient, makeRational(radicand))),
    radicand,
    piPower: -piPower,
  };
}

/** 1/a for one term, or for two with the same power of π (by the conjugate); undefined for any other sum. */
export function invertRadical(a: RadicalSum): Exact | undefined {
  const [first, second] = a.terms as [Term, Term | undefined];
  if (second === undefined) return sumOfTerms([invertTerm(first)]);
  if (a.terms.length !== 2 || first.piPower !== second.piPower) return undefined;
  const conjugate = [first, { ...second, coefficient: negateRational(second.coefficient) }];
  const square = (term: Term) =>
    multiplyRational(multiplyRational(term.coefficient, term.coefficient), makeRational(term.radicand));
  const norm = addRational(square(first), negateRational(square(second)));
  const inverse = invertTerm({ coefficient: norm, radicand: 1n, piPower: 2 * first.piPower });
  return sumOfTerms(conjugate.map((term) => multiplyTerms(term, inverse)));
}

/** n = square² · free; undefined when what is left after small primes is too large to be sure (over 10^15). */
export function squareFree(n: bigint): { readonly square: bigint; readonly free: bigint } | undefined {
  let square = 1n;
  let free = 1n;
  let rest = n;
  let candidate = 2n;
  // While the rest is big, only small primes are worth a division of big integers.
  while (rest > MOST_FACTORED && candidate <= SMALL_PRIMES) {
    while (rest % (candidate * candidate) === 0n) {
      rest /= candidate * candidate;
      square *= candidate;
    }
    if (rest % candidate === 0n) {
      rest /= candidate;
      free *= candidate;
    }
    candidate += candidate === 2n ? 1n : 2n;
  }
  const root = isqrt(rest);
  if (root * root === rest) return { square: square * root, free };
  if (rest > MOST_FACTORED) return undefined;
  // From here on in doubles, up to the cube root: beyond it at most two primes are left, and they are equal only in a square.
  let number = Number(rest);
  let squareLeft = 1;
  let freeLeft = 1;
  for (let p = 2; p * p * p <= number; p += p === 2 ? 1 : 2) {
    if (number % p !== 0) continue;
    while (number % (p * p) === 0) {
      number /= p * p;
      squareLeft *= p;
    }
    if (number % p === 0) {
      number /= p;
      freeLeft *= p;
    }
  }
  const last = Math.round(Math.sqrt(number));
  if (last * last === number) squareLeft *= last;
  else freeLeft *= number;
  return { square: square * BigInt(squareLeft), free: free * BigInt(freeLeft) };
}

const MOST_FACTORED = 10n ** 15n;
const SMALL_PRIMES = 1000n;

/** √a for a rational >= 0 as one exact term; undefined when its parts are too large to be made square-free. */
export function sqrtRational(a: Rational): Exact | undefined {
  if (a.num === 0) return a;
  const num = squareFree(BigInt(a.num));
  const den = num && squareFree(BigInt(a.den));
  if (num === undefined || den === undefined) return undefined;
  // √(p/q) = a√m/(b√n) = a√(mn)/(bn); m and n have no common factor.
  const coefficient = makeRational(num.square, den.square * den.free);
  return sumOfTerms([{ coefficient, radicand: num.free * den.free, piPower: 0 }]);
}

/** The whole number n >= 0 such that n^root = a, if there is one. */
export function wholeRoot(a: bigint, root: number): bigint | undefined {
  if (root === 2) {
    const r = isqrt(a);
    return r * r === a ? r : undefined;
  }
  let low = 0n;
  let high = 1n << BigInt(Math.ceil(a.toString(2).length / root) + 1);
  const power = BigInt(root);
  while (low < high) {
    const middle = (low + high + 1n) >> 1n;
    if (middle ** power <= a) low = middle;
    else high = middle - 1n;
  }
  return low ** power === a ? low : undefined;
}

export const PI: RadicalSum = { kind: 'radical', terms: [{ coefficient: ONE, radicand: 1n, piPower: 1 }] };

/**
 * The sum to `bits` good bits of its own: where its terms cancel, as in 2 − √3 to a high power, they are taken to as many
 * more as that costs. A sum is never zero, so the end is always reached.
 */
export function approximateRadical(a: RadicalSum, bits: number): Approximation {
  for (let work = bits; ; work *= 2) {
    const near = encloseRadical(a, work);
    if (bitLength(near.mid) - bitLength(near.rad) >= bits) return near;
  }
}

/** The sum enclosed to about `bits` bits of its largest term. */
function encloseRadical(a: RadicalSum, bits: number): Approximation {
  const work = bits + 32;
  let sum: Approximation | undefined;
  for (const { coefficient, radicand, piPower } of a.terms) {
    let term = approximateRational(coefficient, work);
    if (radicand !== 1n)
      term = multiplyApproximate(term, sqrtApproximate(approximateRational(makeRational(radicand), work), work), work);
    if (piPower !== 0) {
      const pi = { kind: 'approximate', mid: piFixed(work), rad: 64n, scale: work } as const;
      for (let n = 0; n < Math.abs(piPower); n += 1)
        term = multiplyApproximate(term, piPower > 0 ? pi : inverseOfPi(work), work);
    }
    sum = sum === undefined ? term : addApproximate(sum, term, work);
  }
  return sum as Approximation;
}

function inverseOfPi(bits: number): Approximation {
  const shift = BigInt(2 * bits);
  return { kind: 'approximate', mid: (1n << shift) / piFixed(bits), rad: 64n, scale: bits };
}

/** Sign of a canonical sum, which is never zero. */
export function signOfRadical(a: RadicalSum): -1 | 1 {
  return approximateRadical(a, 2).mid > 0n ? 1 : -1;
}

export function equalTerms(a: RadicalSum, b: RadicalSum): boolean {
  return (
    a.terms.length === b.terms.length &&
    a.terms.every((term, index) => {
      const other = b.terms[index] as Term;
      return (
        term.radicand === other.radicand &&
        term.piPower === other.piPower &&
        compareRational(term.coefficient, other.coefficient) === 0
      );
    })
  );
}
