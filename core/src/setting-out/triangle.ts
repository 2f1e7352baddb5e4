import { along, angle, path, size } from './figure.ts';
import type { Check, Rule, Solver } from './solver.ts';

/** Each side with the angle across from it, and the two others with theirs. */
const TURNS = [
  ['a', 'A', 'b', 'B', 'c', 'C'],
  ['b', 'B', 'c', 'C', 'a', 'A'],
  ['c', 'C', 'a', 'A', 'b', 'B'],
] as const;

/** By the sides alone where there are three: what comes of an angle is mostly no exact number. */
const bySides = TURNS.map(([a, A, b, , c]): Rule => {
  return { gives: A, from: [a, b, c], entry: `acos(({${b}}^2 + {${c}}^2 - {${a}}^2) / (2 * {${b}} * {${c}}))` };
});

const byAngles = TURNS.flatMap(([a, A, b, B, c, C]): Rule[] => [
  { gives: a, from: [b, c, A], entry: `sqrt({${b}}^2 + {${c}}^2 - 2 * {${b}} * {${c}} * cos({${A}}))` },
  { gives: C, from: [A, B], entry: `180° - {${A}} - {${B}}` },
  { gives: a, from: [b, A, B], entry: `{${b}} * sin({${A}}) / sin({${B}})` },
  { gives: a, from: [c, A, C], entry: `{${c}} * sin({${A}}) / sin({${C}})` },
]);

/**
 * Two sides and an angle across from one of them: the third side is either root of the law of cosines. Exact where the
 * sine and the cosine are, which an angle from an arc sine is not.
 */
const leaning = TURNS.flatMap(([a, A, b, B, c, C]): Rule[] =>
  (
    [
      [a, A, b, B, c],
      [a, A, c, C, b],
    ] as const
  ).map(([side, across, other, wanted, third]) => {
    const near = `{${other}} * cos({${across}})`;
    const reach = `sqrt({${side}}^2 - ({${other}} * sin({${across}}))^2)`;
    return {
      gives: third,
      from: [side, across, other],
      none: 'triangle.short',
      entry: [
        { title: `angle ${wanted} under 90°`, entry: `${near} + ${reach}` },
        { title: `angle ${wanted} over 90°`, entry: `${near} - ${reach}` },
      ],
    };
  }),
);

const checks: Check[] = [
  ...TURNS.map(([, A]): Check => ({ from: [A], entry: `{${A}} < 180°`, code: 'triangle.angle' })),
  ...TURNS.map(([a, , b, , c]): Check => ({
    from: [a, b, c],
    entry: `{${a}} < {${b}} + {${c}}`,
    code: 'triangle.sides',
  })),
  ...TURNS.map(([, A, , B]): Check => ({ from: [A, B], entry: `{${A}} + {${B}} < 180°`, code: 'triangle.angles' })),
];

/**
 * Any triangle, from three of its sides and angles, a side among them. Angle A lies across from side a. Sources: Euclid,
 * Elements II.12 and 13 (the law of cosines); the law of sines; I.32 (the angles come to
 * two right ones); Heron, Metrica I.8 (the area from the sides).
 */
export const TRIANGLE: Solver = {
  id: 'triangle',
  title: 'Any triangle',
  source: 'Laws of cosines and of sines (Euclid, Elements II.12, II.13; I.32); area: Heron, Metrica I.8.',
  fields: [
    { id: 'a', title: 'Side a', kind: 'length', given: true },
    { id: 'b', title: 'Side b', kind: 'length', given: true },
    { id: 'c', title: 'Side c', kind: 'length', given: true },
    { id: 'A', title: 'Angle A', kind: 'angle', given: true, reads: 'degrees' },
    { id: 'B', title: 'Angle B', kind: 'angle', given: true, reads: 'degrees' },
    { id: 'C', title: 'Angle C', kind: 'angle', given: true, reads: 'degrees' },
    { id: 'height', title: 'Height over c', kind: 'length', given: false },
    { id: 'area', title: 'Area', kind: 'area', given: false },
  ],
  rules: [
    ...bySides,
    ...byAngles,
    ...leaning,
    {
      gives: 'area',
      from: ['a', 'b', 'c'],
      entry: 'sqrt(({a} + {b} + {c}) * ({b} + {c} - {a}) * ({a} + {c} - {b}) * ({a} + {b} - {c})) / 4',
    },
    { gives: 'height', from: ['area', 'c'], entry: '2 * {area} / {c}' },
  ],
  checks,
  draw: ({ a, b, c, A, B, C }) => {
    if ([a, b, c, A, B, C].includes(undefined)) return undefined;
    const [left, right] = [
      { x: 0, y: 0 },
      { x: c as number, y: 0 },
    ];
    const top = along(left, A as number, b as number);
    const [fromLeft, fromRight] = [A as number, Math.PI - (B as number)];
    return {
      parts: [
        path([left, right], { field: 'c' }),
        path([right, top], { field: 'a' }),
        path([top, left], { field: 'b' }),
        path([top, { x: top.x, y: 0 }], { weight: 'dashed', field: 'height' }),
        size(left, right, -1, 'c'),
        size(right, top, -1, 'a'),
        size(left, top, 1, 'b'),
        angle(left, 0, fromLeft, 'A'),
        angle(right, fromRight, Math.PI, 'B'),
        angle(top, Math.PI + fromLeft, Math.PI + fromRight, 'C'),
      ],
    };
  },
};
