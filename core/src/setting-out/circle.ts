import { path, size } from './figure.ts';
import type { Solver } from './solver.ts';

/** A circle, from any one of its sizes. Source: Archimedes, Measurement of a Circle, 1 (the area); π by its definition. */
export const CIRCLE: Solver = {
  id: 'circle',
  title: 'Circle',
  source: 'Archimedes, Measurement of a Circle, 1; π is the circumference over the diameter.',
  fields: [
    { id: 'diameter', title: 'Diameter', kind: 'length', given: true },
    { id: 'radius', title: 'Radius', kind: 'length', given: true },
    { id: 'around', title: 'Circumference', kind: 'length', given: true },
    { id: 'area', title: 'Area', kind: 'area', given: true },
  ],
  rules: [
    { gives: 'radius', from: ['diameter'], entry: '{diameter} / 2' },
    { gives: 'radius', from: ['around'], entry: '{around} / (2 * pi)' },
    { gives: 'radius', from: ['area'], entry: 'sqrt({area} / pi)' },
    { gives: 'diameter', from: ['radius'], entry: '2 * {radius}' },
    { gives: 'around', from: ['radius'], entry: '2 * pi * {radius}' },
    { gives: 'area', from: ['radius'], entry: 'pi * {radius}^2' },
  ],
  checks: [],
  draw: ({ radius }) => {
    if (radius === undefined) return undefined;
    const [left, right] = [
      { x: -radius, y: 0 },
      { x: radius, y: 0 },
    ];
    const half = Math.SQRT1_2 * radius;
    const centre = { x: 0, y: 0 };
    const rim = { x: half, y: half };
    return {
      parts: [
        { kind: 'arc', centre, radius, from: 0, to: 2 * Math.PI, weight: 'body', field: 'around' },
        path([left, right], { weight: 'dashed', field: 'diameter' }),
        path([centre, rim], { weight: 'thin', field: 'radius' }),
        size(left, right, -1, 'diameter'),
        size(centre, rim, 0, 'radius'),
      ],
    };
  },
};
