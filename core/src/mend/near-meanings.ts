/** Where two meanings are near: what was taken, and the entry that means the other. Drawn from the tree and the text. */
import type { Span } from '../base/span.ts';
import type { Binary, Call, Entry, Expr, Measure, NumberLiteral, Power, Scaled, Signed } from '../notation/ast.ts';
import { literalValue } from '../notation/literal.ts';
import { rationalToNumber } from '../number/rational.ts';
import { MONEY } from '../units/dimension.ts';
import { instead, textOf, type Alternative } from './alternative.ts';
import { bare } from './bracketed.ts';
import { partsOf } from '../notation/parts.ts';
import { firstNode } from './find-node.ts';
import {
  feetAndInches,
  noteOrMark,
  otherMoney,
  percentOfPercent,
  pitchOrMark,
  pointOrName,
  rootOfFraction,
  stockSize,
  timeOfDay,
  writtenSizes,
} from './written-meanings.ts';

/** Every near meaning of an entry that was read, in the order of the entry; none has been tried. */
export function nearMeanings(entry: Entry, source: string, currency: string): readonly Alternative[] {
  const found: Alternative[] = [...stockSize(source)];
  const visit = (node: Expr): void => {
    found.push(...meaningsOf(node, source, currency));
    partsOf(node).forEach(visit);
  };
  visit(entry.expr);
  // Within a call a comma that may separate is not offered as a decimal mark as well.
  return found.filter((one, n) => one.taken !== GROUPS || found.findIndex(({ taken }) => taken === GROUPS) === n);
}

function meaningsOf(node: Expr, source: string, currency: string): readonly Alternative[] {
  switch (node.kind) {
    case 'measure':
      if (node.parts[0]?.unit.dimension === MONEY) return otherMoney(node, source, currency);
      return [
        ...joined(node, source),
        ...grouped(node, source),
        ...pointOrName(node, source),
        ...noteOrMark(node, source),
      ];
    case 'slope':
      return [...timeOfDay(node, source), ...pitchOrMark(node, source)];
    case 'percentStep':
      return percentOfPercent(node, source);
    case 'number':
      return grouped(node, source);
    case 'binary':
      return ofBinary(node, source);
    case 'signed':
      return signOrPower(node, source);
    case 'power':
      return squaredPrime(node, source);
    case 'scaled':
      return [...squaredUnit(node, source), ...feetAndInches(node, source)];
    case 'call':
      return [...split(node, source), ...degrees(node, source), ...rootOfFraction(node, source)];
    default:
      return [];
  }
}

const GROUPS = 'The comma groups thousands';
const HYPHEN = '[-\u2010\u2011\u2013]';
const ONLY_HYPHEN = new RegExp(`^\\s*${HYPHEN}\\s*$`, 'u');
/** A long dash is pasted for a hyphen, and subtracts. */
const ONLY_DASH = /^\s*[-\u2010-\u2015]\s*$/u;

/** 9'-7": the hyphen between feet and inches joined them. */
function joined({ parts }: Measure, source: string): readonly Alternative[] {
  return parts.slice(1).flatMap((part, n) => {
    const hyphen = { start: part.start - 1, end: part.start };
    const before = parts[n] as Span;
    if (before.end === hyphen.start && ONLY_HYPHEN.test(textOf(source, hyphen))) {
      // 12-6": no mark behind the feet either.
      const place = { start: before.end, end: part.start };
      const around = { start: before.start, end: part.end + 1 };
      return instead(source, place, '" − ', 'The hyphen joins feet and inches', around, 'Subtract inches');
    }
    if (before.end >= hyphen.start || !ONLY_HYPHEN.test(textOf(source, hyphen))) return [];
    // Inches that only the feet before them imply need their mark once they stand apart.
    const unit = /^\s*(?:["″”]|''|′′|in(?:s|ch|ches)?\b)/iu.exec(source.slice(part.end))?.[0] ?? '';
    const mark = unit === '' ? '"' : '';
    const place = { start: hyphen.start, end: part.end };
    return instead(
      source,
      place,
      ` − ${textOf(source, part)}${mark}`,
      'The hyphen joins feet and inches',
      { start: before.start, end: part.end + unit.length },
      'Subtract',
    );
  });
}

/** 1,250: where a comma is a decimal mark elsewhere. */
function grouped(node: Span, source: string): readonly Alternative[] {
  const number = /^\d{1,3},\d{3}(?![\d,.])/.exec(textOf(source, node))?.[0];
  if (number === undefined) return [];
  const decimal = number.replace(',', '.');
  const place = { start: node.start, end: node.start + number.length };
  return instead(source, place, decimal, GROUPS, node, 'A decimal');
}

function ofBinary(node: Binary, source: string): readonly Alternative[] {
  const { operator, left, right } = node;
  if (operator === 'subtract') return hyphenBetween(node, source);
  const sizes = writtenSizes(node, source);
  if (sizes.length > 0) return sizes;
  if (operator === 'divide' && right.kind === 'number' && /^\d+\/\d+$/.test(textOf(source, right))) {
    const apart = textOf(source, right).replace('/', ' / ');
    return instead(source, right, apart, `${textOf(source, right)} is a fraction`, node, 'Divide twice');
  }
  if (
    operator === 'divide' &&
    left.kind === 'binary' &&
    left.operator === 'divide' &&
    !/\s/.test(textOf(source, node))
  ) {
    const place = { start: left.right.start, end: right.end };
    const under = textOf(source, place);
    return instead(source, place, `(${under})`, 'Divided from left to right', node, `Divide by ${under}`);
  }
  return operator === 'multiply' && textOf(source, { start: left.end, end: right.start }).trim() === ''
    ? unwritten(node, source)
    : [];
}

/** Multiplication that is not written: 24' / 2 joist, 1/2 rail. */
function unwritten({ left, right }: Binary, source: string): readonly Alternative[] {
  if (left.kind === 'binary' && left.operator === 'divide') {
    const place = { start: left.right.start, end: right.end };
    const taken = 'Divided first, then multiplied';
    return instead(
      source,
      place,
      `(${textOf(source, place)})`,
      taken,
      { start: left.start, end: right.end },
      'Multiply first',
    );
  }
  if (left.kind !== 'number' || left.form !== 'fraction' || left.whole !== 0 || right.kind !== 'mark') return [];
  const under = `(${left.bottom} ${right.name})`;
  return instead(
    source,
    { start: left.start, end: right.end },
    `${left.top} / ${under}`,
    `${textOf(source, left)} is a fraction`,
    { start: left.start, end: right.end },
    `Divide by ${under}`,
  );
}

/** 9' - 7 1/4" and 7-1/2: a hyphen that subtracts where it could have joined. The minus sign always subtracts. */
function hyphenBetween({ left, right }: Binary, source: string): readonly Alternative[] {
  const gap = { start: left.end, end: right.start };
  if (!ONLY_DASH.test(textOf(source, gap))) return [];
  const before = left.kind === 'binary' ? left.right : left;
  if (before.kind === 'number' && before.form === 'whole' && isInchesBehind(right)) {
    const size = `${textOf(source, before)}' ${textOf(source, right)}"`;
    const place = { start: before.start, end: right.end };
    return instead(source, place, size, 'The hyphen subtracts', place, 'Feet and inches');
  }
  const whole = before.kind === 'measure' ? before.parts.at(-1) : before;
  if (whole?.kind !== 'number' || whole.form !== 'whole') return [];
  const isSize =
    before.kind === 'measure'
      ? whole.unit?.id === 'ft' &&
        right.kind === 'measure' &&
        right.parts[0]?.unit.id === 'in' &&
        isUnder(right.parts[0], 12)
      : right.kind === 'number' && right.form === 'fraction' && right.whole === 0 && isUnder(right, 1);
  return isSize
    ? instead(source, gap, ' ', 'The hyphen subtracts', { start: before.start, end: right.end }, 'One size')
    : [];
}

/** The 6 1/2 of 10-6 1/2, which may be inches. */
function isInchesBehind(expr: Expr): boolean {
  return expr.kind === 'number' && expr.form === 'fraction' && expr.whole !== 0 && isUnder(expr, 12);
}

function isUnder(literal: NumberLiteral, limit: number): boolean {
  return rationalToNumber(literalValue(literal)) < limit;
}

/** -3^2 */
function signOrPower({ start, operand }: Signed, source: string): readonly Alternative[] {
  if (operand.kind !== 'power') return [];
  const place = { start, end: operand.base.end };
  return instead(
    source,
    place,
    `(${textOf(source, place)})`,
    'The power comes before the sign',
    { start, end: operand.end },
    'Sign first',
  );
}

const POWERED: Readonly<Record<string, { readonly prefix: string; readonly said: string }>> = {
  2: { prefix: 'sq', said: 'squared' },
  3: { prefix: 'cu', said: 'cubed' },
};

/** 5'^2: behind a prime the power is that of the length. */
function squaredPrime(node: Power, source: string): readonly Alternative[] {
  const { base, exponent } = node;
  const power = exponent.kind === 'number' ? POWERED[textOf(source, exponent).normalize('NFKC')] : undefined;
  const part = base.kind === 'measure' && base.parts.length === 1 ? base.parts[0] : undefined;
  if (power === undefined || part === undefined || source.startsWith('(', base.start)) return [];
  const number = /^[\d.,/⁄ -]*\d/u.exec(textOf(source, base))?.[0];
  if (number === undefined || (part.unit.id !== 'ft' && part.unit.id !== 'in')) return [];
  const unit = `${number} ${power.prefix} ${part.unit.id}`;
  return instead(source, node, unit, `The length is ${power.said}`, node, unit);
}

/** 5 ft^2: behind a unit word the power is the unit's. */
function squaredUnit(node: Scaled, source: string): readonly Alternative[] {
  const text = /^([^(]*[^\s^])\s*\^\s*([23])$/u.exec(textOf(source, node));
  if (!text) return [];
  const [, length, power] = text as unknown as readonly [string, string, string];
  const said = `The unit is ${(POWERED[power] as (typeof POWERED)[string]).said}`;
  return instead(source, node, `(${length})^${power}`, said, node, `The whole of ${length}`);
}

/** max(1,250): the comma may have been meant to separate. */
function split(node: Call, source: string): readonly Alternative[] {
  const comma = textOf(source, node).search(/\d,\d{3}(?!\d)/);
  if (comma === -1) return [];
  const at = node.start + comma + 1;
  return instead(source, { start: at, end: at + 1 }, '; ', GROUPS, node, 'Two values');
}

/** Twice π and a little: larger numbers are hardly ever meant as radians. */
const RADIANS = 6.3;

/** sin(pi/6) and sin 0.5: a plain number counts as degrees. */
function degrees(node: Call, source: string): readonly Alternative[] {
  const [argument] = node.args;
  if (argument === undefined || !/^(sin|cos|tan)$/.test(node.name)) return [];
  const isLikely =
    firstNode(argument, ({ kind }) => kind === 'constant') !== undefined ||
    (argument.kind === 'number' && argument.form === 'decimal' && isUnder(argument, RADIANS));
  if (!isLikely || firstNode(argument, ({ kind }) => kind === 'measure' || kind === 'scaled') !== undefined) return [];
  const inside = bare(source, argument);
  const angle = argument.kind === 'number' || argument.kind === 'constant' ? `${inside} rad` : `(${inside}) rad`;
  return instead(source, node, `${node.name}(${angle})`, 'A plain number counts as degrees', node, 'Radians');
}
