import { describe, expect, it } from 'vitest';
import type { Expr } from './ast.ts';
import { parse } from './parser.ts';
import { printEntry } from './printer.ts';

/** A tree in a short form: (add 3 (multiply 4 5)). */
function short(expr: Expr): string {
  switch (expr.kind) {
    case 'number':
      return `${expr.top}${expr.bottom === 1 ? '' : `/${expr.bottom}`}`;
    case 'measure':
      return expr.parts.map((part) => `${short(part)}${part.unit.id}`).join('+');
    case 'scaled':
      return `(${short(expr.operand)} ${expr.units.map(({ unit, power }) => `${unit.id}^${power}`).join(' ')})`;
    case 'binary':
      return `(${expr.operator} ${short(expr.left)} ${short(expr.right)})`;
    case 'percentStep':
      return `(${expr.operator} ${short(expr.left)} ${short(expr.percent)} of it)`;
    case 'percent':
      return `${short(expr.operand)}%`;
    case 'power':
      return `(power ${short(expr.base)} ${short(expr.exponent)})`;
    case 'signed':
      return `(minus ${short(expr.operand)})`;
    case 'call':
      return `(${expr.name} ${expr.args.map(short).join(' ')})`;
    case 'compare':
      return `(${expr.operator} ${short(expr.left)} ${short(expr.right)})`;
    case 'slope':
      return `${short(expr.rise)}:${short(expr.run)}`;
    case 'mark':
      return expr.name;
    case 'line':
      return `#${expr.number}`;
    case 'run':
      return `#${expr.from}..#${expr.to}`;
    default:
      return expr.kind;
  }
}

const tree = (source: string) => {
  const { entry } = parse(source);
  return entry && short(entry.expr);
};

describe('the tree of an entry', () => {
  it.each([
    ['3 + 4 * 5', '(add 3 (multiply 4 5))'],
    ['3 * 4 + 5', '(add (multiply 3 4) 5)'],
    ['10 - 4 - 3', '(subtract (subtract 10 4) 3)'],
    ['24 / 4 / 3', '(divide (divide 24 4) 3)'],
    ['2 ^ 3 ^ 2', '(power 2 (power 3 2))'],
    ['-3 ^ 2', '(minus (power 3 2))'],
    ['2 ^ -3', '(power 2 (minus 3))'],
    ['-2 * -3', '(multiply (minus 2) (minus 3))'],
    [`9'-7 1/4" * 2`, '(multiply 9ft+29/4in 2)'],
    [`-9' 7"^2`, '(minus (power 9ft+7in 2))'],
    [`9' - 7"`, '(subtract 9ft 7in)'],
    ['4-3/8', '(subtract 4 3/8)'],
    ['4-3/8"', '35/8in'],
    ['5 ft^2', '(5 ft^2)'],
    [`5'^2`, '(power 5ft 2)'],
    ['60 km/h * 2 h', '(multiply (60 km^1 h^-1) 2h)'],
    ['$4.20/m', '(420/100 money^1 m^-1)'],
    ['7 joist', '(multiply 7 joist)'],
    ['7 (3 + 1)', '(multiply 7 (add 3 1))'],
    ['(2)(3)', '(multiply 2 3)'],
    ['2π', '(multiply 2 constant)'],
    ['cos 30 * 2', '(multiply (cos 30) 2)'],
    ['cos 30 ^ 2', '(cos (power 30 2))'],
    ['sqrt 2 + 1', '(add (sqrt 2) 1)'],
    ['√3(2)', '(multiply (sqrt 3) 2)'],
    ['12% of 9', '(of 12% 9)'],
    ['9 + 12%', '(add 9 12% of it)'],
    ['9 + (12%)', '(add 9 12%)'],
    ['9 + 12% * 2', '(add 9 (multiply 12% 2))'],
    ['9 - 12% of it', '(subtract 9 12% of it)'],
    ['1/3 of 9 + 1', '(add (of 1/3 9) 1)'],
    ['3 + 4 > 2 * 3', '(> (add 3 4) (multiply 2 3))'],
    ['6:12 * 2', '(multiply 6:12 2)'],
    ['6 in 12 + 1', '(add 6:12 1)'],
    ['12 in', '12in'],
    ['12 in 3/4', '51/4in'],
    ['sum(#1..#3; 4)', '(sum #1..#3 4)'],
    ['/ 2', '(divide last 2)'],
    ['^2', '(power last 2)'],
    [`30° 15' 20"`, '30deg+15arcmin+20arcsec'],
    ['2 m 40 + 1', '(add 2m+40cm 1)'],
  ])('%s', (source, expected) => {
    expect(tree(source)).toBe(expected);
  });

  it('multiplies by a function behind a number, rounding included', () => {
    expect(short(parse('2 sqrt(9)').entry?.expr as Expr)).toBe('(multiply 2 (sqrt 9))');
    expect(short(parse('2 up(7.2)').entry?.expr as Expr)).toMatch(/^\(multiply 2 \(up /);
    expect(parse('2 up').entry).toBeUndefined();
  });

  it('reads a power of a unit with its sign', () => {
    expect(short(parse('5 m^-2').entry?.expr as Expr)).toBe('(5 m^-2)');
    expect(short(parse('5 m^−2').entry?.expr as Expr)).toBe('(5 m^-2)');
    expect(short(parse('5 m^2').entry?.expr as Expr)).toBe('(5 m^2)');
  });

  it('joins 4-3/8 only where a unit of length follows', () => {
    expect(short(parse('4-3/8"').entry?.expr as Expr)).toBe('35/8in');
    expect(short(parse('4-3/8').entry?.expr as Expr)).toBe('(subtract 4 3/8)');
    expect(short(parse('4-3/8 $').entry?.expr as Expr)).toMatch(/^\(subtract 4 /);
    expect(short(parse('2 x 4-3/8').entry?.expr as Expr)).toMatch(/^\(subtract /);
  });

  it('takes a point behind an abbreviation for what it is, and before a figure for a decimal one', () => {
    for (const entry of [`5 ft.3 in`, '5 ft. 3 in', '3 yd.2 ft', '5 in.', '5 lb.'])
      expect([entry, parse(entry).issues]).toEqual([entry, []]);
    expect(parse('5 in.5').issues[0]).toMatchObject({ code: 'entry.side_by_side', start: 4, end: 6 });
    expect(parse('5 lb.. 2').issues[0]).toMatchObject({ code: 'symbol.unexpected', start: 4, end: 6 });
  });

  it('stops short behind a sign', () => {
    for (const [entry, at] of [
      ['-', 1],
      ['5 + -', 5],
      ['2 * (3 + -', 10],
    ] as const)
      expect(parse(entry)).toMatchObject({
        unfinished: true,
        issues: [{ code: 'entry.unfinished', start: at, end: at }],
      });
  });

  it('says where a run of lines breaks off', () => {
    expect(parse('sum(#3..4)').issues[0]).toMatchObject({ code: 'symbol.unexpected', start: 6, end: 8 });
    expect(parse('sum(#3..').issues[0]).toMatchObject({ code: 'entry.unfinished' });
  });

  it('knows the place of every part', () => {
    const { entry } = parse(`12' + (3 1/2" * rail)`);
    const expr = entry?.expr;
    if (expr?.kind !== 'binary' || expr.right.kind !== 'binary') return expect.unreachable('a sum');
    const places = [expr, expr.left, expr.right, expr.right.left, expr.right.right].map(({ start, end }) =>
      `12' + (3 1/2" * rail)`.slice(start, end),
    );
    expect(places).toEqual([`12' + (3 1/2" * rail)`, `12'`, `(3 1/2" * rail)`, '3 1/2"', 'rail']);
  });

  it('keeps label, assignment and directives apart from the sum', () => {
    const { entry } = parse(`top rail: Rail += 2" to mm down to 5 mm`);
    expect(entry).toMatchObject({
      label: 'top rail',
      assignment: { name: 'Rail', operator: 'add' },
      directives: [{ target: { kind: 'units' } }, { direction: 'down', target: { kind: 'step' } }],
    });
    expect(entry && printEntry(entry)).toBe('top rail: Rail += 2″ to mm down to 5 mm');
  });

  it('writes the currency and the decimal mark of the job', () => {
    const { entry } = parse('$4,20 * 1,5', { decimalComma: true });
    expect(entry && printEntry(entry, { decimalComma: true, currency: '€' })).toBe('4,2 € × 1,5');
  });
});
