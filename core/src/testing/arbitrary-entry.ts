import fc from 'fast-check';

/** Entries as people write them, made from the grammar: every form of number, unit, operator and function. */

const small = fc.nat({ max: 40 });
const whole = fc.oneof({ weight: 6, arbitrary: small }, fc.nat({ max: 5000 }), fc.maxSafeNat()).map(String);
const fraction = fc
  .constantFrom(2, 4, 8, 16, 32, 64, 3, 7)
  .chain((den) => fc.integer({ min: 1, max: den - 1 }).map((num) => `${num}/${den}`));
const decimal = fc.tuple(small, fc.integer({ min: 1, max: 9999 })).map(([a, b]) => `${a}.${b}`);
const vulgar = fc.constantFrom('½', '⅜', '¾', '⅝', '⅓');

const number = fc.oneof(
  { weight: 4, arbitrary: whole },
  { weight: 2, arbitrary: fraction },
  { weight: 2, arbitrary: decimal },
  { weight: 2, arbitrary: fc.tuple(small, fraction).map(([a, f]) => `${a} ${f}`) },
  fc.tuple(small, vulgar).map(([a, v]) => `${a}${v}`),
  fc.tuple(small, fc.constantFrom('1e3', '2.5e2', '5e-2')).map(([, e]) => e),
);

const inches = fc.oneof(
  small.map((a) => `${a}"`),
  fraction.map((f) => `${f}"`),
  fc.tuple(small, fraction).map(([a, f]) => `${a} ${f}"`),
  fc.tuple(small, fraction).map(([a, f]) => `${a}-${f}"`),
  decimal.map((d) => `${d} in`),
);

export const lengthText: fc.Arbitrary<string> = fc.oneof(
  { weight: 3, arbitrary: fc.tuple(small, inches).map(([a, i]) => `${a}' ${i}`) },
  { weight: 2, arbitrary: inches },
  small.map((a) => `${a}'`),
  fc.tuple(small, fc.nat({ max: 11 }), fraction).map(([a, b, f]) => `${a}'-${b} ${f}"`),
  fc.tuple(small, fc.nat({ max: 11 })).map(([a, b]) => `${a}'-${b}`),
  fc.tuple(small, small).map(([a, b]) => `${a}ft${b}in`),
  fc.tuple(small, small).map(([a, b]) => `${a} yd ${b} ft`),
  fc.tuple(number, fc.constantFrom('mm', 'cm', 'm', ' mm', ' inches', 'ft', ' yards')).map(([n, u]) => `${n}${u}`),
  fc.tuple(small, fc.integer({ min: 10, max: 99 })).map(([a, b]) => `${a} m ${b}`),
);

const quantityText = fc.oneof(
  fc
    .tuple(
      number,
      fc.constantFrom(
        'sq ft',
        'ft²',
        'm2',
        'cu yd',
        'm³',
        'bf',
        'l',
        'kg',
        'lb',
        'squares',
        'gal',
        'h',
        'km/h',
        'mph',
        '$/m',
        'kg/m²',
      ),
    )
    .map(([n, u]) => `${n} ${u}`),
  fc.tuple(small, small).map(([a, b]) => `${a}° ${b}'`),
  decimal.map((d) => `$${d}`),
  fc.tuple(fc.nat({ max: 24 }), fc.integer({ min: 1, max: 24 })).map(([a, b]) => `${a}:${b}`),
  small.map((a) => `${a} °F`),
);

/** Any entry: most are of one kind and reckon, some are refused, all read. */
export const entryText: fc.Arbitrary<string> = fc.letrec<{ entry: string; operand: string }>((tie) => ({
  operand: fc.oneof(
    { maxDepth: 4, depthIdentifier: 'entry' },
    { weight: 5, arbitrary: lengthText },
    { weight: 3, arbitrary: number },
    { weight: 1, arbitrary: quantityText },
    { weight: 1, arbitrary: fc.constantFrom('rail', '#1', '#2', 'last', 'π', '12%', 'span') },
    { weight: 1, arbitrary: tie('entry').map((e) => `(${e})`) },
    { weight: 1, arbitrary: tie('operand').map((e) => `-${e}`) },
    {
      weight: 1,
      arbitrary: fc
        .tuple(tie('operand'), fc.constantFrom('^2', '²', '^3', '^-1', '^1/2'))
        .map(([o, p]) => `(${o})${p}`),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.constantFrom('sqrt', 'abs', 'cos', 'sin', 'atan', '√'), tie('entry'))
        .map(([f, e]) => `${f}(${e})`),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.constantFrom('min', 'max', 'hyp', 'mod', 'sum'), tie('entry'), tie('entry'))
        .map(([f, a, b]) => `${f}(${a}; ${b})`),
    },
    {
      weight: 1,
      arbitrary: fc.tuple(tie('entry'), fc.constantFrom('"', "'", ' mm', ' ft', '%')).map(([e, u]) => `(${e})${u}`),
    },
  ),
  entry: fc.oneof(
    { maxDepth: 4, depthIdentifier: 'entry' },
    { weight: 2, arbitrary: tie('operand') },
    {
      weight: 3,
      arbitrary: fc
        .tuple(
          tie('operand'),
          fc.constantFrom(' + ', ' - ', ' * ', ' / ', ' ÷ ', ' × ', ' x ', ' of ', '+', ' − '),
          tie('operand'),
        )
        .map((parts) => parts.join('')),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(
          tie('operand'),
          fc.constantFrom(' + ', ' * ', ' - ', ' / '),
          tie('operand'),
          fc.constantFrom(' + ', ' - ', ' * ', ' / '),
          tie('operand'),
        )
        .map((parts) => parts.join('')),
    },
  ),
})).entry;

/** Characters that stand near each other in real and in broken entries. */
export const looseText: fc.Arbitrary<string> = fc
  .array(
    fc.oneof(
      { weight: 8, arbitrary: fc.constantFrom(...`0123456789'"/-+*x()., ;:=#^%$°√π<>`) },
      {
        weight: 4,
        arbitrary: fc.constantFrom(
          ' ',
          'ft',
          'in',
          'm',
          'mm',
          'to',
          'of',
          'sqrt',
          'cos',
          'up',
          'down',
          'last',
          'rail',
          '½',
          '²',
          '⁄',
          '′',
          '″',
          '…',
          '..',
          ' ',
          '１',
          'sq',
          'e5',
          'it',
          'min',
          '@',
          '\ud83d',
        ),
      },
      { weight: 1, arbitrary: fc.string({ unit: 'binary', maxLength: 4 }) },
    ),
    { maxLength: 40 },
  )
  .map((parts) => parts.join(''));
