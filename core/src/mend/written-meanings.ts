/** Near meanings that hang on how a thing was written: a word, a point, an x or a colon that people use in two ways. */
import type { Span } from '../base/span.ts';
import type {
  Binary,
  Call,
  Expr,
  Measure,
  MeasurePart,
  NumberLiteral,
  PercentStep,
  Scaled,
  SlopeLiteral,
} from '../notation/ast.ts';
import { instead, textOf, type Alternative } from './alternative.ts';

/** √3/2: the fraction binds before the root. */
export function rootOfFraction(node: Call, source: string): readonly Alternative[] {
  const fraction = /^√\s*(\d+)\/(\d+)$/.exec(textOf(source, node));
  if (node.name !== 'sqrt' || fraction === null) return [];
  const [, top, bottom] = fraction as unknown as readonly [string, string, string];
  return instead(source, node, `(√${top}) / ${bottom}`, `The root of ${top}/${bottom}`, node, `Root of ${top} first`);
}

/** 9ft2: a 2 tight behind a unit word is its power. */
export function feetAndInches(node: Scaled, source: string): readonly Alternative[] {
  const written = /^([\d.]+)\s*(?:ft|foot|feet)([23])$/i.exec(textOf(source, node));
  if (written === null) return [];
  const [, feet, inches] = written as unknown as readonly [string, string, string];
  const size = `${feet} ft ${inches} in`;
  return instead(source, node, size, inches === '2' ? 'Square feet' : 'Cubic feet', node, size);
}

/** 9ft.7in: the point ends the word. 2 m40: what looks like a name is metres and centimetres. */
export function pointOrName({ parts }: Measure, source: string): readonly Alternative[] {
  return parts.slice(1).flatMap((part, n) => {
    const before = parts[n] as MeasurePart;
    const between = source.slice(before.end, part.start);
    const around = { start: before.start, end: part.end };
    if (/^\s*\p{L}+\.$/u.test(between)) {
      const point = { start: part.start - 1, end: part.start };
      return instead(source, point, ' 0.', 'The point ends the word', around, 'A decimal point');
    }
    const word = /^\s+(\p{L}+)$/u.exec(between)?.[1];
    if (word === undefined || part.form !== 'whole') return [];
    const name = `${word}${textOf(source, part)}`;
    const gap = { start: before.end, end: part.end };
    return instead(source, gap, ` × ${name}`, `${word} is a unit here`, around, `The mark ${name}`);
  });
}

/** 5' (rail): a word in brackets behind a size is a note. */
export function noteOrMark({ end, start, note }: Measure, source: string): readonly Alternative[] {
  const name = note === undefined ? null : /^[\p{L}][\p{L}\p{N}_]*$/u.exec(note)?.[0];
  if (!name) return [];
  const brackets = /^\s*\(\s*[^()]*\)/.exec(source.slice(end))?.[0];
  if (brackets === undefined) return [];
  const place = { start: end, end: end + brackets.length };
  return instead(source, place, ` × ${name}`, `“${name}” is a note`, { start, end: place.end }, `Times ${name}`);
}

/** 7:30 is a slope, as 6:12 is. */
export function timeOfDay(node: SlopeLiteral, source: string): readonly Alternative[] {
  const written = /^(\d{1,2}):(\d\d)$/.exec(textOf(source, node));
  const [hours, minutes] = [Number(written?.[1]), Number(written?.[2])];
  if (written === null || hours < 2 || hours > 24 || minutes <= 12 || minutes >= 60) return [];
  const time = `${hours} h ${minutes} min`;
  return instead(source, node, time, 'A slope', node, time);
}

/** 6/12 pitch, where the job has a mark of that name. */
export function pitchOrMark(node: SlopeLiteral, source: string): readonly Alternative[] {
  const written = /^(\d+\/12)\s*pitch$/i.exec(textOf(source, node));
  return written === null
    ? []
    : instead(source, node, `${written[1]} × pitch`, 'A slope', node, `${written[1]} of the mark pitch`);
}

/** 5% + 3%: a percent behind + takes the sum so far. */
export function percentOfPercent({ left, percent, operator }: PercentStep, source: string): readonly Alternative[] {
  if (left.kind !== 'percent') return [];
  const part = textOf(source, percent);
  const around = { start: left.start, end: percent.end };
  return instead(
    source,
    percent,
    `(${part})`,
    `${part} of the percent before it`,
    around,
    operator === 'add' ? 'Add both' : 'Subtract both',
  );
}

/** €20 in a job that counts in $. */
export function otherMoney(node: Measure, source: string, currency: string): readonly Alternative[] {
  const sign = /[$€£]/u.exec(textOf(source, node))?.[0];
  if (sign === undefined || sign === currency) return [];
  const number = textOf(source, node).replace(sign, '').trim();
  return instead(source, node, number, `${sign} counts as ${currency}, the money of this job`, node, number);
}

/** Products that are also how people write sizes: 1200 x 2400 mm, 2x4x8', and 3 / 4". */
export function writtenSizes(node: Binary, source: string): readonly Alternative[] {
  const { operator, left, right } = node;
  if (operator === 'divide') return spacedFraction(node, source);
  if (operator !== 'multiply' || right.kind !== 'measure' || right.parts.length !== 1) return [];
  const [only] = right.parts as readonly [MeasurePart];
  const unit = only.unit.id;
  if (unit === 'mm' && isPlain(left) && Number(left.top) >= LEAST_OF_A_SHEET) {
    const size = `${textOf(source, left)} mm`;
    return instead(source, left, size, `${textOf(source, left)} times a length`, node, 'Both in mm');
  }
  if (unit !== 'ft' || left.kind !== 'binary' || left.operator !== 'multiply') return [];
  if (!isPlain(left.left) || !isPlain(left.right) || !/x/i.test(source.slice(left.left.end, left.right.start)))
    return [];
  const board = `${textOf(source, left.left)}" × ${textOf(source, left.right)}"`;
  return instead(source, left, board, 'Plain numbers times a length', node, 'Inches by inches by feet');
}

/** A count of sheets is smaller than a side of one in millimetres. */
const LEAST_OF_A_SHEET = 100;

function isPlain(expr: Expr): expr is NumberLiteral {
  return expr.kind === 'number' && expr.form === 'whole';
}

/** 3 / 4": with spaces the slash divides. */
function spacedFraction({ left, right, start }: Binary, source: string): readonly Alternative[] {
  if (!isPlain(left) || right.kind !== 'measure' || right.parts.length !== 1) return [];
  const [only] = right.parts as readonly [MeasurePart];
  if (only.unit.id !== 'in' || only.form !== 'whole' || only.top <= left.top || only.top > 64) return [];
  const place = { start, end: only.end };
  const fraction = `${textOf(source, left)}/${textOf(source, only)}`;
  return instead(source, place, fraction, 'The slash divides', { start, end: right.end }, fraction);
}

/** 2x6x12 and 2x4x8': the size of a board and its length in feet, as a lumber yard says it. */
export function stockSize(source: string): readonly Alternative[] {
  const stock = /^\s*(\d{1,2}\s*x\s*\d{1,2})\s*x\s*(\d{1,2})\s*['′]?\s*$/i.exec(source);
  if (stock === null) return [];
  const [, board, feet] = stock as unknown as readonly [string, string, string];
  const place: Span = { start: 0, end: source.length };
  return instead(
    source,
    place,
    `${board.replace(/\s/g, '')}: ${feet}'`,
    'A product',
    place,
    `${board}, ${feet} ft long`,
  );
}
