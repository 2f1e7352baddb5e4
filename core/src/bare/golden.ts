/**
 * What numbers without a unit are read as: what is typed, and what is kept. Rows of `docs/notation.md`; `rail` is a length of
 * 3 m, `studs` a count of 7, `floor` an area, line 1 a length.
 */
export type BareRow = readonly [typed: string, kept: string];

/** The rule in words. */
export const BARE_RULE =
  'A job says what a number without a unit is, and a device may say otherwise: a plain number (in every job that was made ' +
  'before there was a choice), millimetres, or inches. What is typed by that rule is kept with the units written, so that a ' +
  'line means the same whatever the job says later. Where a size can stand, a number is one: alone, in a sum, divided by a ' +
  'number, times a count, as an argument of a function that takes sizes. Where only a count makes sense it is one. A ' +
  'product of two is a size so many times where one of them is small (below 100 as millimetres, up to 12 as inches) or a ' +
  'part of one, and an area where both are large; behind an area a small number is a thickness. The other meaning is ' +
  'offered beneath the entry. 7 ea is a plain number anywhere. A sum that makes no sense with units is left as it was ' +
  'typed. Slopes, angles, the parts of a ratio and the counts of a setting-out are never read as sizes.';

export const IN_MILLIMETRES: readonly BareRow[] = [
  // Alone.
  ['2400', '2400 mm'],
  ['-35', '-35 mm'],
  ['12.5', '12.5 mm'],
  ['1/2', '1/2 mm'],
  ['rail = 2400', 'rail = 2400 mm'],
  ['post, left: 2400', 'post, left: 2400 mm'],
  ['2400 to m', '2400 mm to m'],
  // In sums.
  ['2400 + 300', '2400 mm + 300 mm'],
  ['2400 - 35 - 35', '2400 mm - 35 mm - 35 mm'],
  ['2.4 m + 300', '2.4 m + 300 mm'],
  ['rail - 45', 'rail - 45 mm'],
  ['#1 + 20', '#1 + 20 mm'],
  [`8' + 20`, `8' + 20 mm`],
  ['2400 + 10%', '2400 mm + 10%'],
  ['rail += 30', 'rail += 30 mm'],
  ['(2400 + 300) * 2', '(2400 mm + 300 mm) * 2'],
  // Divided.
  ['2400 / 7', '2400 mm / 7'],
  ['2400/7', '2400 mm/7'],
  ['2400 ÷ 7', '2400 mm ÷ 7'],
  ['(2400 - 35) / 6', '(2400 mm - 35 mm) / 6'],
  ['rail / 7', 'rail / 7'],
  ['2400 / 600 mm', '2400 mm / 600 mm'],
  ['2400 / rail', '2400 mm / rail'],
  ['2400 / studs', '2400 mm / studs'],
  // Times a count.
  ['3 * 450', '3 * 450 mm'],
  ['450 * 3', '450 mm * 3'],
  ['3 × 450', '3 × 450 mm'],
  ['3x450', '3x450 mm'],
  ['3 * 45', '3 * 45 mm'],
  ['rail * 3', 'rail * 3'],
  ['3 * rail', '3 * rail'],
  ['studs * 45', 'studs * 45 mm'],
  ['2.5 * 450', '2.5 * 450 mm'],
  ['1/2 * 2400', '1/2 * 2400 mm'],
  ['1/3 of 2400', '1/3 of 2400 mm'],
  ['15% of 2400', '15% of 2400 mm'],
  ['3 @ 600', '3 @ 600 mm'],
  ['2 * 2400 + 3 * 900', '2 * 2400 mm + 3 * 900 mm'],
  // An area or a volume.
  ['2400 * 1200', '2400 mm * 1200 mm'],
  ['2400x1200', '2400 mm x1200 mm'],
  ['rail * 2400', 'rail * 2400 mm'],
  ['2400 * 1200 * 18', '2400 mm * 1200 mm * 18 mm'],
  ['3 * 2400 * 1200', '3 * 2400 mm * 1200 mm'],
  ['900^2', '900 mm^2'],
  // Functions.
  ['hyp(3000; 4000)', 'hyp(3000 mm; 4000 mm)'],
  ['sum(#1; 300)', 'sum(#1; 300 mm)'],
  ['round(2400 / 7; 5)', 'round(2400 mm / 7; 5 mm)'],
  ['sqrt(300^2 + 400^2)', 'sqrt(300 mm^2 + 400 mm^2)'],
  ['sqrt(2) * 600', 'sqrt(2) * 600 mm'],
  ['pi * 600', 'pi * 600 mm'],
  // A count where only a count makes sense, and what has a unit already.
  ['7 ea', '7 ea'],
  ['studs + 1', 'studs + 1'],
  ['studs += 1', 'studs += 1'],
  ['sqrt(2)', 'sqrt(2)'],
  ['sin(30°) * 2400', 'sin(30°) * 2400 mm'],
  ['atan(3/4)', 'atan(3/4)'],
  ['floor / 3', 'floor / 3'],
  ['3 sq ft', '3 sq ft'],
  ['$12 * 3', '$12 * 3'],
  ['6:12', '6:12'],
  ['2.4 m', '2.4 m'],
];

export const IN_INCHES: readonly BareRow[] = [
  ['92 5/8', '92 5/8"'],
  ['3/4', '3/4"'],
  ['92 5/8 + 1 1/2 + 3', '92 5/8" + 1 1/2" + 3"'],
  [`8' - 3 1/2`, `8' - 3 1/2"`],
  ['3 * 14 1/2', '3 * 14 1/2"'],
  ['14 1/2 * 3', '14 1/2" * 3'],
  ['92 5/8 / 2', '92 5/8" / 2'],
  ['144/16', '144"/16'],
  ['12 * 16', '12 * 16"'],
  ['48 * 96', '48" * 96"'],
  ['1/2 of 92 5/8', '1/2 of 92 5/8"'],
  ['48x96', '48"x96"'],
  ['20 ea', '20 ea'],
];
