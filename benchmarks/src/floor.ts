/**
 * The floor: the least that can turn such an entry into a reading. One pass over the characters, pairs of doubles for
 * numbers, no tree, no places, no errors, no marks or lines, and nothing past 2^53. It reads the sixteen entries and
 * little else; wrong text gives a wrong answer.
 */
let text = '';
let at = 0;
/** Numerator and denominator of the value just read, in inches or as a plain number. */
let num = 0;
let den = 1;

function reduce(): void {
  let a = num < 0 ? -num : num;
  let b = den;
  while (b !== 0) {
    const rest = a % b;
    a = b;
    b = rest;
  }
  if (a > 1) {
    num /= a;
    den /= a;
  }
}

function skip(): void {
  while (text.charCodeAt(at) === 32) at += 1;
}

function digits(): number {
  let value = 0;
  for (let code = text.charCodeAt(at); code >= 48 && code <= 57; code = text.charCodeAt(at)) {
    value = value * 10 + code - 48;
    at += 1;
  }
  return value;
}

/** A number with a fraction or decimals. */
function number(): void {
  num = digits();
  den = 1;
  let code = text.charCodeAt(at);
  if (code === 46) {
    at += 1;
    const start = at;
    const decimals = digits();
    den = 10 ** (at - start);
    num = num * den + decimals;
    return;
  }
  if (code === 47) {
    at += 1;
    den = digits();
    return;
  }
  if (code !== 32 && code !== 45) return;
  // A mixed number: digits, a slash and digits behind a space or a hyphen.
  const before = at;
  const whole = num;
  at += 1;
  const first = text.charCodeAt(at);
  if (first >= 48 && first <= 57) {
    const n = digits();
    code = text.charCodeAt(at);
    if (code === 47) {
      at += 1;
      den = digits();
      num = whole * den + n;
      return;
    }
  }
  at = before;
}

/** A number with its units: feet and inches, or metric ones, in inches. */
function measure(): void {
  number();
  const code = text.charCodeAt(at);
  if (code === 39) {
    at += 1;
    const feet = num;
    const before = at;
    let next = text.charCodeAt(at);
    if (next === 32 || next === 45) next = text.charCodeAt(at + 1);
    if (next >= 48 && next <= 57) {
      if (text.charCodeAt(at) !== next) at += 1;
      number();
      if (text.charCodeAt(at) === 34) {
        at += 1;
        num += feet * 12 * den;
        return;
      }
      at = before;
    }
    num = feet * 12;
    den = 1;
    return;
  }
  if (code === 34) {
    at += 1;
    return;
  }
  if (code !== 32) return;
  const unit = text.charCodeAt(at + 1);
  if (unit === 109 && text.charCodeAt(at + 2) === 109) {
    at += 3;
    num *= 5;
    den *= 127;
  } else if (unit === 109) {
    at += 2;
    num *= 5000;
    den *= 127;
  } else if (unit === 99) {
    at += 3;
    num *= 50;
    den *= 127;
  } else return;
  reduce();
}

function factor(): void {
  skip();
  if (text.charCodeAt(at) === 40) {
    at += 1;
    sum();
    skip();
    at += 1;
  } else measure();
}

function product(): void {
  factor();
  for (;;) {
    skip();
    const code = text.charCodeAt(at);
    if (code !== 42 && code !== 47) return;
    at += 1;
    const n = num;
    const d = den;
    factor();
    if (code === 42) {
      num *= n;
      den *= d;
    } else {
      const t = num;
      num = n * den;
      den = d * t;
    }
    reduce();
  }
}

function sum(): void {
  product();
  for (;;) {
    skip();
    const code = text.charCodeAt(at);
    if (code !== 43 && code !== 45) return;
    at += 1;
    const n = num;
    const d = den;
    product();
    num = code === 43 ? n * den + num * d : n * den - num * d;
    den *= d;
    reduce();
  }
}

/** Reads an entry and writes its value in feet, inches and sixteenths. */
export function floorReading(entry: string): string {
  text = entry;
  at = 0;
  sum();
  const size = num < 0 ? -num : num;
  const steps = Math.floor((size * 32 + den) / (2 * den));
  const feet = Math.floor(steps / 192);
  const inches = Math.floor(steps / 16) % 12;
  let n = steps % 16;
  let d = 16;
  while (n !== 0 && n % 2 === 0) {
    n /= 2;
    d /= 2;
  }
  const fraction = n === 0 ? '' : `${n}⁄${d}`;
  const small = inches === 0 ? fraction : fraction === '' ? `${inches}` : `${inches} ${fraction}`;
  const body = feet === 0 ? (small === '' ? '0″' : `${small}″`) : small === '' ? `${feet}′` : `${feet}′ ${small}″`;
  return num < 0 && steps > 0 ? `−${body}` : body;
}
