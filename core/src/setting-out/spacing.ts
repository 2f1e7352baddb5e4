import { makeRational } from '../number/rational.ts';
import { addValue, multiplyValue, subtractValue, valueToNumber, type Value } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { shownValue } from '../reading/reading.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { path, size, type Figure, type FigurePart } from './figure.ts';
import type { Answer, Solver } from './solver.ts';

/** What stands at both ends of the length: a gap like the others, a member, or what is left at fixed centres. */
export type Ends = 'gaps' | 'members' | 'rest';

/** More than these are drawn by no picture that anybody could read. */
const MOST_DRAWN = 400;

const MOST_AT_CENTRES = 'down(({length} - {width}) / {centres}; 1) + 1';

/**
 * Members of one width, evenly over a length. There is a gap more than members where gaps stand at the ends, and one less
 * where members do. Source: the length is all members and all gaps.
 */
export function evenSpacing(ends: Exclude<Ends, 'rest'>): Solver {
  const [gaps, more, most] =
    ends === 'gaps'
      ? ['({count} + 1)', '1', 'up(({length} - {largest}) / ({width} + {largest}); 1)']
      : ['({count} - 1)', '-1', 'up(({length} - {width}) / ({width} + {largest}); 1) + 1'];
  return {
    id: `spacing-${ends}`,
    title: ends === 'gaps' ? 'Even spacing, gaps at the ends' : 'Even spacing, members at the ends',
    short: ends === 'gaps' ? 'Gaps at the ends' : 'Members at the ends',
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
      {
        gives: 'gap',
        from: ['length', 'count', 'centres'],
        entry: ends === 'gaps' ? '{length} - {count} * {centres}' : '{count} * {centres} - {length}',
      },
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
      ...(ends === 'gaps'
        ? [{ from: ['length', 'largest'], entry: '{length} > {largest}', code: 'spacing.none' } as const]
        : []),
      { from: ['length', 'width', 'count'], entry: '{count} * {width} < {length}', code: 'spacing.room' },
      { from: ['count'], entry: ends === 'members' ? '{count} >= 2' : '{count} >= 1', code: 'spacing.count' },
      { from: ['count'], entry: 'mod({count}; 1) == 0', code: 'spacing.whole' },
      { from: ['gap', 'largest'], entry: '{gap} <= {largest}', code: 'spacing.gap', limit: true },
    ],
    draw: ({ length, width, count, gap }) =>
      drawMembers({ length, width, count, gap, lead: ends === 'gaps' ? gap : 0 }, ends === 'gaps' ? 'gap' : undefined),
  };
}

/**
 * Members at centres that are fixed, as sheets and boards ask for; what is left of the length lies in equal parts at both
 * ends, or the ends are given and the centres follow. Source: the length is both ends, all centres and one member.
 */
export const FIXED_CENTRES: Solver = {
  id: 'spacing-centres',
  title: 'Spacing at fixed centres',
  short: 'Fixed centres, end gaps',
  source: 'The length is both end gaps, the way from the first centre to the last, and a member.',
  fields: [
    { id: 'length', title: 'Length', kind: 'length', given: true },
    { id: 'width', title: 'Member', kind: 'length', given: true },
    { id: 'centres', title: 'Centre to centre', kind: 'length', given: true },
    { id: 'ends', title: 'Gap at each end', kind: 'length', mayBeZero: true, given: true },
    { id: 'count', title: 'Members', kind: 'count', given: true },
    { id: 'gap', title: 'Gap between members', kind: 'length', given: false },
  ],
  asks: [{ id: 'largest', title: 'Centres at most', kind: 'length', given: true }],
  rules: [
    { gives: 'count', from: ['length', 'width', 'centres'], entry: MOST_AT_CENTRES, ifOpen: true },
    {
      gives: 'count',
      from: ['length', 'width', 'ends', 'largest'],
      entry: 'up(({length} - 2 * {ends} - {width}) / {largest}; 1) + 1',
      ifOpen: true,
    },
    {
      gives: 'count',
      from: ['length', 'width', 'centres', 'ends'],
      entry: '({length} - 2 * {ends} - {width}) / {centres} + 1',
    },
    {
      gives: 'ends',
      from: ['length', 'width', 'centres', 'count'],
      entry: '({length} - {width} - ({count} - 1) * {centres}) / 2',
    },
    {
      gives: 'centres',
      from: ['length', 'width', 'ends', 'count'],
      entry: '({length} - {width} - 2 * {ends}) / ({count} - 1)',
    },
    {
      gives: 'length',
      from: ['width', 'centres', 'ends', 'count'],
      entry: '2 * {ends} + ({count} - 1) * {centres} + {width}',
    },
    {
      gives: 'width',
      from: ['length', 'centres', 'ends', 'count'],
      entry: '{length} - 2 * {ends} - ({count} - 1) * {centres}',
    },
    { gives: 'gap', from: ['centres', 'width'], entry: '{centres} - {width}' },
  ],
  checks: [
    { from: ['count'], entry: '{count} >= 2', code: 'spacing.count' },
    { from: ['count'], entry: 'mod({count}; 1) == 0', code: 'spacing.ends' },
    { from: ['centres', 'width'], entry: '{width} < {centres}', code: 'spacing.centres' },
    {
      from: ['length', 'width', 'centres', 'count'],
      entry: '({count} - 1) * {centres} + {width} <= {length}',
      code: 'spacing.room',
    },
    { from: ['centres', 'largest'], entry: '{centres} <= {largest}', code: 'spacing.gap', limit: true },
  ],
  draw: ({ length, width, count, gap, ends }) => drawMembers({ length, width, count, gap, lead: ends }, 'ends'),
};

/** @param leadField what the place before the first member is called; undefined where there is none */
function drawMembers(
  {
    length,
    width,
    count,
    gap,
    lead,
  }: Readonly<Record<'length' | 'width' | 'count' | 'gap' | 'lead', number | undefined>>,
  leadField: string | undefined,
): Figure | undefined {
  if ([length, width, count, gap, lead].includes(undefined)) return undefined;
  const [whole, wide, apart, first] = [length, width, gap, lead] as [number, number, number, number];
  const deep = Math.max(whole / 12, wide);
  const parts: FigurePart[] = [path([point(0, 0), point(whole, 0)], { weight: 'thin', field: 'length' })];
  for (let n = 0; n < Math.min(count as number, MOST_DRAWN); n += 1) {
    const left = first + n * (wide + apart);
    const corners = [point(left, 0), point(left + wide, 0), point(left + wide, deep), point(left, deep)];
    parts.push(path(corners, { closed: true, field: 'width' }));
  }
  parts.push(size(point(0, 0), point(whole, 0), -2, 'length'));
  parts.push(size(point(first, deep), point(first + wide, deep), 1, 'width'));
  if (leadField !== undefined) parts.push(size(point(0, 0), point(first, 0), -1, leadField));
  if (leadField !== 'gap') parts.push(size(point(first + wide, 0), point(first + wide + apart, 0), -1, 'gap'));
  if ((count as number) > 1)
    parts.push(size(point(first + wide / 2, deep), point(first + wide * 1.5 + apart, deep), 2, 'centres'));
  return { parts };
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
  const lead = { gaps: gap, members: makeRational(0), rest: known['ends']?.quantity.value ?? makeRational(0) }[ends];
  const place = (first: Value, step: Value, n: number): Quantity => {
    const at = addValue(addValue(first, times(addValue(step, width), n)), inward);
    return { value: setBack === undefined ? at : subtractValue(at, setBack), dimension: LENGTH };
  };
  return Array.from({ length: Math.min(valueToNumber(count), 1000) }, (_, n) => ({
    number: n + 1,
    at: place(lead, gap, n),
    steppedOff: place(roundedLength(lead, style), rounded, n),
  }));
}

/** A length as a tape shows it: rounded to the finest division of the job. */
function roundedLength(value: Value, style: ReadingStyle): Value {
  return shownValue(readQuantity({ value, dimension: LENGTH }, style));
}
