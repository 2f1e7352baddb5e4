import type { Fix } from '../base/issue.ts';
import type { Cursor } from './cursor.ts';
import { nearestFunction, nearestOf } from './near-miss.ts';
import * as T from './token.ts';
import { startsUnit } from './unit-reader.ts';

/** Says what is wrong with the token at the cursor, which stands where an operator or the end was due. */
export function refuseRest(c: Cursor): never {
  const span = c.spanOfToken();
  const symbol = c.text();
  const leaveOut: Fix = { label: `Leave out ${symbol}`, entry: c.rewritten(span.start, span.end, '').trim() };
  // Between two values it joins them in some way, and leaving it out would join them in another.
  const atEnd = c.kindAt(c.index + 1) === T.END ? [leaveOut] : [];
  switch (c.kind) {
    case T.CLOSE:
      return c.refuse('bracket.unopened', span, {}, [
        leaveOut,
        { label: 'Open it at the start', entry: `(${c.source}` },
      ]);
    case T.COMMA:
      return c.refuse('comma.unexpected', span, {}, [
        { label: 'A decimal point', entry: c.rewritten(span.start, span.end, '.') },
        { label: 'Plus', entry: c.rewritten(span.start, span.end, ' +') },
      ]);
    case T.EQUALS:
      return c.refuse('equals.unexpected', span, {}, [
        { label: 'Are they equal?', entry: c.rewritten(span.start, span.end, ' == ').replace(/ {2,}/g, ' ') },
      ]);
    case T.UNKNOWN:
      return c.refuse('character.unknown', span, { character: symbol }, atEnd);
    case T.INTEGER:
    case T.DECIMAL:
    case T.FRACTION:
    case T.LINE:
    case T.OPEN:
    case T.ROOT:
    case T.PI:
    case T.CURRENCY:
    case T.NAME:
      return refuseSideBySide(c);
    case T.WORD:
      return refuseWord(c, atEnd);
    case T.FOOT_MARK:
    case T.INCH_MARK:
    case T.DEGREE:
      return c.refuse('unit.without_number', span, { unit: symbol }, [leaveOut]);
    default:
      return c.refuse('symbol.unexpected', span, { symbol }, atEnd);
  }
}

function refuseWord(c: Cursor, atEnd: readonly Fix[]): never {
  const word = c.word();
  if (
    word === 'to' ||
    word === 'in' ||
    word === 'up' ||
    word === 'down' ||
    word === 'of' ||
    word === 'it' ||
    word === 'per'
  )
    return c.refuse('symbol.unexpected', c.spanOfToken(), { symbol: c.text() }, atEnd);
  if (startsUnit(c, c.index)) {
    const read: Fix = { label: `Read it in ${c.text()}`, entry: c.rewritten(c.start(), c.start(), 'to ') };
    return c.refuse('unit.without_number', c.spanOfToken(), { unit: c.text() }, [read]);
  }
  return refuseSideBySide(c);
}

/** Two values with nothing between them. */
function refuseSideBySide(c: Cursor): never {
  if (c.kind === T.OPEN && c.kindAt(c.index - 1) === T.WORD) refuseAsFunction(c);
  const gap = c.lastEnd();
  const start = c.start();
  const joined = (operator: string) => c.rewritten(gap, start, ` ${operator} `);
  return c.refuse(
    'entry.side_by_side',
    { start, end: c.end() },
    { left: c.source.slice(c.start(firstOfValue(c)), gap), right: c.source.slice(start, c.end(lastOfValue(c))) },
    [
      { label: 'Add', entry: joined('+') },
      { label: 'Multiply', entry: joined('×') },
      { label: 'Subtract', entry: joined('−') },
    ],
  );
}

/** sqr(16): a word with a bracket behind it was most likely meant for a function. */
function refuseAsFunction(c: Cursor): void {
  const span = c.spanOfToken(c.index - 1);
  const name = c.text(c.index - 1);
  const near = nearestOf(name, [...(c.jigs?.keys() ?? [])]) ?? nearestFunction(name);
  if (near === undefined) return;
  c.refuse('name.unknown', span, { name }, [{ label: near, entry: c.rewritten(span.start, span.end, near) }]);
}

/** Index of the first of the tokens that stand tight before the cursor: the 3 of 3' 4'. */
function firstOfValue(c: Cursor): number {
  let index = c.index - 1;
  while (index > 0 && c.tight(index)) index -= 1;
  return index;
}

/** Index of the last of the tokens that stand tight behind the one at the cursor. */
function lastOfValue(c: Cursor): number {
  let index = c.index;
  while (c.kindAt(index + 1) !== T.END && c.tight(index + 1)) index += 1;
  return index;
}
