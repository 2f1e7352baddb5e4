import type { Unit } from '../units/unit-table.ts';
import type { Measure, MeasurePart } from './ast.ts';
import type { Cursor } from './cursor.ts';
import * as T from './token.ts';
import { FOOT, INCH } from './unit-reader.ts';

/**
 * The lane for sizes as they are read off a tape: 9' 7 1/4", 3/4", 16" with their marks, a space between feet and inches,
 * and an operator, a bracket or the end behind them. Most of what is typed on a site is that. Everything else is left,
 * untouched, to measure-reader.ts, which makes the same tree of it and knows all the rest.
 */

/** Reads such a size at the cursor; undefined, and nothing consumed, where something rarer stands. */
export function readTape(c: Cursor): Measure | undefined {
  const { table, index: first } = c;
  const { kinds } = table;
  const mark = behindNumber(table, first);
  let last = mark;
  const inFeet = kinds[mark] === T.FOOT_MARK;
  if (inFeet) last = behindNumber(table, mark + 1);
  if (kinds[last] !== T.INCH_MARK || (inFeet && last === mark + 1)) return undefined;
  const kind = kinds[last + 1] as number;
  // Behind a slash there may be a unit: 5"/ft.
  if (!ENDS_SIZE[kind] && !(kind === T.SLASH && kinds[last + 2] === T.INTEGER)) return undefined;
  c.moveTo(last + 1);
  const inches = partOf(table, inFeet ? mark + 1 : first, last, INCH);
  return {
    kind: 'measure',
    start: table.starts[first] as number,
    end: table.ends[last] as number,
    parts: inFeet ? [partOf(table, first, mark, FOOT), inches] : [inches],
    note: undefined,
  };
}

/** Kinds of tokens that cannot belong to the size before them. */
const ENDS_SIZE = T.kindSet([T.END, T.CLOSE, T.PLUS, T.MINUS, T.HYPHEN, T.DIVIDE]);

/**
 * Index behind the whole number, proper fraction or both at `index`; `index` itself where there is none, or one with
 * more digits than its column holds.
 */
function behindNumber({ kinds, values, extras }: T.TokenTable, index: number): number {
  let behind = index;
  if (kinds[behind] === T.INTEGER) {
    const whole = values[behind] as number;
    if (whole >= LARGEST || whole < 0) return index;
    behind += 1;
  }
  if (kinds[behind] !== T.FRACTION) return behind;
  const num = values[behind] as number;
  const den = extras[behind] as number;
  return num >= 0 && num < den && den < FINEST ? behind + 1 : index;
}

const LARGEST = 1e9;
const FINEST = 1e6;

/** The number whose tokens begin at `first` and end before the mark at `mark`. */
function partOf(
  { kinds, starts, ends, values, extras }: T.TokenTable,
  first: number,
  mark: number,
  unit: Unit,
): MeasurePart {
  const last = mark - 1;
  const start = starts[first] as number;
  const end = ends[last] as number;
  const top = values[last] as number;
  if (kinds[last] === T.INTEGER) return { kind: 'number', start, end, top, bottom: 1, whole: top, form: 'whole', unit };
  const whole = first === last ? 0 : (values[first] as number);
  const bottom = extras[last] as number;
  return { kind: 'number', start, end, top: whole * bottom + top, bottom, whole, form: 'fraction', unit };
}
