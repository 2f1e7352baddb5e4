import { makeRational } from '../number/rational.ts';
import { addValue, multiplyValue, subtractValue, valueToNumber, type Value } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { shownValue } from '../reading/reading.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { path, size, type FigurePart } from './figure.ts';
import type { Answer, Solver } from './solver.ts';

/** What stands at both ends of the length: a gap, or a member. */
export type Ends = 'gaps' | 'members';

/** More than these are drawn by no picture that anybody could read. */
const MOST_DRAWN = 400;

/**
 * Members of one width, evenly over a length. There is a gap more than members where gaps stand at the ends, and one less
 * where members do. Source: the length is all members and all gaps.
 */
export function evenSpacing(ends: Ends): Solver {
  const [gaps, more, most] =
    ends === 'gaps'
      ? ['({count} + 1)', '1', 'up(({length} - {largest}) / ({width} + {largest}); 1)']
      : ['({count} - 1)', '-1', 'up(({length} - {width}) / ({width} + {largest}); 1) + 1'];
  return {
    id: `spacing-${ends}`,
    title: ends === 'gaps' ? 'Spacing, gaps at the ends' : 'Spacing, members at the ends',
    source: 'The length is all members and all gaps together.',
    fields: [
      { id: 'length', title: 'Length', kind: 'length', given: true },
      { id: 'width', title: 'Member', kind: 'length', given: true },
      { id: 'count', title: 'Members', kind: 'count', given: true },
      { id: 'gap', title: 'Gap', kind: 'length', given: true },
      { id: 'centres', title: 'Centre to centre', kind: 'length', given: true },
    ],
    asks: [{ id: 'largest', title: 'Gap at most', kind: 'length', given: true }],
    rules: [
      { gives: 'count', from: ['length', 'width', 'largest'], entry: most, ifOpen: true },
      { gives: 'gap', from: ['length', 'width', 'count'], entry: `({length} - {count} * {width}) / ${gaps}` },
      { gives: 'centres', from: ['width', 'gap'], entry: '{width} + {gap}' },
      { gives: 'gap', from: ['centres', 'width'], entry: '{centres} - {width}' },
      { gives: 'width', from: ['centres', 'gap'], entry: '{centres} - {gap}' },
      { gives: 'length', from: ['width', 'count', 'gap'], entry: `{count} * {width} + ${gaps} * {gap}` },
      { gives: 'width', from: ['length', 'count', 'gap'], entry: `({length} - ${gaps} * {gap}) / {count}` },
      {
        gives: 'count',
        from: ['length', 'width', 'gap'],
        entry: `({length} - ${more} * {gap}) / ({width} + {gap})`,
      },
    ],
    checks: [
      { from: ['length', 'width', 'count'], entry: '{count} * {width} < {length}', code: 'spacing.room' },
      { from: ['count'], entry: ends === 'members' ? '{count} >= 2' : '{count} >= 1', code: 'spacing.count' },
      { from: ['count'], entry: 'mod({count}; 1) == 0', code: 'spacing.whole' },
      { from: ['gap', 'largest'], entry: '{gap} <= {largest}', code: 'spacing.gap', limit: true },
    ],
    draw: ({ length, width, count, gap }) => {
      if (length === undefined || width === undefined || count === undefined || gap === undefined) return undefined;
      const deep = Math.max(length / 12, width);
      const parts: FigurePart[] = [path([point(0, 0), point(length, 0)], { weight: 'thin', field: 'length' })];
      const first = ends === 'gaps' ? gap : 0;
      for (let n = 0; n < Math.min(count, MOST_DRAWN); n += 1) {
        const left = first + n * (width + gap);
        const corners = [point(left, 0), point(left + width, 0), point(left + width, deep), point(left, deep)];
        parts.push(path(corners, { closed: true, field: 'width' }));
      }
      parts.push(size(point(0, 0), point(length, 0), -2, 'length'));
      parts.push(size(point(first, deep), point(first + width, deep), 1, 'width'));
      if (ends === 'gaps') parts.push(size(point(0, 0), point(gap, 0), -1, 'gap'));
      else parts.push(size(point(width, 0), point(width + gap, 0), -1, 'gap'));
      if (count > 1)
        parts.push(size(point(first + width / 2, deep), point(first + width * 1.5 + gap, deep), 2, 'centres'));
      return { parts };
    },
  };
}

const point = (x: number, y: number) => ({ x, y });

/** What of a member is marked. */
export type Edge = 'near' | 'centre' | 'far';

/** A mark on the length, from the end that is measured from. */
export interface RunningMark {
  readonly number: number;
  /** Its true place; exact where the sizes are. */
  readonly at: Quantity;
  /** Where it falls when the gap as it reads is stepped off again and again. */
  readonly steppedOff: Quantity;
}

/**
 * Where the members stand, measured in one go from one end; and where they come to stand when the gap is rounded to what
 * a tape shows and stepped off, which adds its rounding up.
 * @param setBack what the first of them is set back by, so that a sheet's edge falls on a centre
 */
export function runningMarks(
  { known }: Answer,
  ends: Ends,
  edge: Edge,
  style: ReadingStyle,
  setBack?: Value,
): readonly RunningMark[] {
  const [width, gap, count] = [known['width'], known['gap'], known['count']].map((one) => one?.quantity.value);
  if (width === undefined || gap === undefined || count === undefined) return [];
  const rounded = roundedLength(gap, style);
  const times = (value: Value, n: number) => multiplyValue(value, makeRational(n));
  const inward = edge === 'near' ? makeRational(0) : edge === 'far' ? width : multiplyValue(width, makeRational(1, 2));
  const first = ends === 'gaps' ? 1 : 0;
  const place = (step: Value, n: number): Quantity => {
    const at = addValue(addValue(times(step, first + n), times(width, n)), inward);
    return { value: setBack === undefined ? at : subtractValue(at, setBack), dimension: LENGTH };
  };
  return Array.from({ length: Math.min(valueToNumber(count), 1000) }, (_, n) => ({
    number: n + 1,
    at: place(gap, n),
    steppedOff: place(rounded, n),
  }));
}

/** A length as a tape shows it: rounded to the finest division of the job. */
function roundedLength(value: Value, style: ReadingStyle): Value {
  return shownValue(readQuantity({ value, dimension: LENGTH }, style));
}
