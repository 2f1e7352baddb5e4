import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Expr, Measure } from './ast.ts';
import { parse } from './parser.ts';
import { printEntry } from './printer.ts';

/** A size in its parts: undefined stands for what is not written. */
interface Size {
  readonly feet: string | undefined;
  readonly inches: string | undefined;
}

const fraction = fc
  .tuple(fc.integer({ min: 2, max: 2000 }), fc.nat({ max: 2100 }))
  .map(([den, num]) => `${num}/${den}`);
const amount = fc.oneof(
  { weight: 4, arbitrary: fc.nat({ max: 40 }).map(String) },
  fc.bigInt({ min: 0n, max: 10n ** 20n }).map(String),
  { weight: 2, arbitrary: fraction },
  { weight: 4, arbitrary: fc.tuple(fc.nat({ max: 40 }), fraction).map(([whole, part]) => `${whole} ${part}`) },
);
const size: fc.Arbitrary<Size> = fc
  .tuple(fc.option(amount, { nil: undefined }), fc.option(amount, { nil: undefined }))
  .filter(([feet, inches]) => feet !== undefined || inches !== undefined)
  .map(([feet, inches]) => ({ feet, inches }));

/** As it stands on a tape, which the lane takes, and in words, which it leaves. */
const inMarks = ({ feet, inches }: Size): string =>
  [feet && `${feet}'`, inches && `${inches}"`].filter((part) => part !== undefined).join(' ');
const inWords = ({ feet, inches }: Size): string =>
  [feet && `${feet} ft`, inches && `${inches} in`].filter((part) => part !== undefined).join(' ');

/** A tree without its places, which differ between two spellings. */
function withoutPlaces(expr: Expr | undefined): unknown {
  if (expr === undefined) return undefined;
  const text = JSON.stringify(expr, (key, value: unknown) => {
    if (key === 'start' || key === 'end') return undefined;
    return typeof value === 'bigint' ? `${value}n` : value;
  });
  return JSON.parse(text);
}

const sizes = fc.array(
  fc.record({
    size,
    operator: fc.constantFrom(' + ', ' - ', ' − ', ' * 2 + ', ' / 3 - ', ' ÷ 2 + ', '+', ' / (', ') + ('),
  }),
  { minLength: 1, maxLength: 5 },
);

describe('sizes as they stand on a tape', () => {
  it('make the same tree as the same sizes in words', () => {
    fc.assert(
      fc.property(sizes, (list) => {
        const write = (spell: (size: Size) => string) =>
          list.map(({ size: one, operator }, n) => `${n === 0 ? '' : operator}${spell(one)}`).join('');
        const marks = parse(write(inMarks));
        const words = parse(write(inWords));
        expect(withoutPlaces(marks.entry?.expr)).toEqual(withoutPlaces(words.entry?.expr));
        expect(marks.issues.map(({ code }) => code)).toEqual(words.issues.map(({ code }) => code));
        expect(marks.entry && printEntry(marks.entry)).toBe(words.entry && printEntry(words.entry));
      }),
      { numRuns: 2000 },
    );
  });

  it('know where each of their parts stands', () => {
    const source = ` 12' 3 5/8" - 1/2"+16" `;
    const places: string[] = [];
    const visit = (expr: Expr): void => {
      if (expr.kind === 'binary') [expr.left, expr.right].forEach(visit);
      if (expr.kind !== 'measure') return;
      places.push(source.slice(expr.start, expr.end));
      for (const part of expr.parts) places.push(source.slice(part.start, part.end));
    };
    visit(parse(source).entry?.expr as Expr);
    expect(places).toEqual([`12' 3 5/8"`, '12', '3 5/8', `1/2"`, '1/2', `16"`, '16']);
  });
});

/** What stands close to such a size and is not one: the lane has to leave it, or it would be read wrongly. */
const LEFT: readonly (readonly [entry: string, readBackOrIssue: string])[] = [
  [`9'-7 1/4"`, '9′ 7 1⁄4″'],
  [`9'-7`, '9′ 7″'],
  [`5' - 3"`, '5′ − 3″'],
  [`7" 1/4`, '7 1⁄4″'],
  [`9' 7`, '9′ 7″'],
  [`4-3/8"`, '4 3⁄8″'],
  [`5' 12/8"`, '5′ 12⁄8″'],
  [`1 12/8"`, 'entry.side_by_side'],
  [`5"/ft`, '5 in/ft'],
  [`12"^2`, '(12″)²'],
  [`6" of rise`, '6″ of rise'],
  [`5'·m`, '5 ft·m'],
];

describe('what only looks like a size on a tape', () => {
  it.each(LEFT)('%s is %s', (entry, expected) => {
    const parsed = parse(entry);
    expect(parsed.entry ? printEntry(parsed.entry) : parsed.issues[0]?.code).toBe(expected);
  });

  it('keeps digits that no double holds', () => {
    const { entry } = parse(`12345678901234567890' 1/98765432109876543210"`);
    const { parts } = entry?.expr as Measure;
    expect(parts.map(({ top, bottom }) => [top, bottom])).toEqual([
      [12345678901234567890n, 1],
      [1n, 98765432109876543210n],
    ]);
  });

  it('says that a denominator is nothing', () => {
    expect(parse(`5' 3/0"`).issues[0]).toMatchObject({ code: 'number.zero_denominator', start: 3, end: 6 });
  });
});
