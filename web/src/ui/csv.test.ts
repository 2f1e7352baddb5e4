import { expect, it } from 'vitest';
import { csvText } from './csv.ts';

it('a table as CSV is UTF-8, quotes inches, and runs in no other program', () => {
  expect(
    csvText(
      [
        ['size', 'n'],
        ['5 1/2"', 2.5],
      ],
      false,
    ),
  ).toBe('\uFEFFsize,n\r\n"5 1/2""",2.5');
  expect(csvText([['5,5 mm', 2.5]], true)).toBe('\uFEFF5,5 mm;2,5');
  for (const cell of ['=1+1', '@x', '+2', '-cmd|x', "-2+3+cmd|' /C calc'!A0", '\t=1'])
    expect(csvText([[cell]], false)).toMatch(/^\uFEFF"?'/u);
  // A size below nothing is what it is.
  for (const cell of ['-10 °C', '-3 1/8', '-2.5 mm']) expect(csvText([[cell]], false)).toBe(`\uFEFF${cell}`);
});
