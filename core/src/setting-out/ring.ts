import { path, size } from './figure.ts';
import type { Solver } from './solver.ts';

/** A ring between two circles of one middle. Source: the difference of two circles (Archimedes, Measurement of a Circle, 1). */
export const RING: Solver = {
  id: 'ring',
  title: 'Ring',
  source: 'The difference of two circles.',
  fields: [
    { id: 'outer', title: 'Outer diameter', kind: 'length', given: true },
    { id: 'inner', title: 'Inner diameter', kind: 'length', given: true },
    { id: 'width', title: 'Width', kind: 'length', given: true },
    { id: 'outside', title: 'Around the outside', kind: 'length', given: false },
    { id: 'inside', title: 'Around the inside', kind: 'length', given: false },
    { id: 'area', title: 'Area', kind: 'area', given: false },
  ],
  rules: [
    { gives: 'width', from: ['outer', 'inner'], entry: '({outer} - {inner}) / 2' },
    { gives: 'inner', from: ['outer', 'width'], entry: '{outer} - 2 * {width}' },
    { gives: 'outer', from: ['inner', 'width'], entry: '{inner} + 2 * {width}' },
    { gives: 'outside', from: ['outer'], entry: 'pi * {outer}' },
    { gives: 'inside', from: ['inner'], entry: 'pi * {inner}' },
    { gives: 'area', from: ['outer', 'inner'], entry: 'pi * ({outer}^2 - {inner}^2) / 4' },
  ],
  checks: [{ from: ['inner', 'outer'], entry: '{inner} < {outer}', code: 'ring.inner' }],
  draw: ({ outer, inner }) => {
    if (outer === undefined || inner === undefined) return undefined;
    const centre = { x: 0, y: 0 };
    const circle = (diameter: number, field: string) =>
      ({ kind: 'arc', centre, radius: diameter / 2, from: 0, to: 2 * Math.PI, weight: 'body', field }) as const;
    const on = (x: number) => ({ x, y: 0 });
    return {
      parts: [
        circle(outer, 'outer'),
        circle(inner, 'inner'),
        path([on(inner / 2), on(outer / 2)], { weight: 'thin', field: 'width' }),
        size({ x: -outer / 2, y: -outer / 2 }, { x: outer / 2, y: -outer / 2 }, -1, 'outer'),
        size(on(-inner / 2), on(inner / 2), 0, 'inner'),
        size({ x: inner / 2, y: outer / 2 }, { x: outer / 2, y: outer / 2 }, 1, 'width'),
      ],
    };
  },
};
