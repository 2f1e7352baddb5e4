import { SOLVERS, solve, type Figure, type Givens } from '@sprell/core';

/** Made-up sizes that each shape is shown with where it is chosen, and that its empty fields hint at. */
export const SAMPLES: Readonly<Record<string, Givens>> = {
  'right-triangle': [
    ['rise', `6'`],
    ['run', `9'`],
  ],
  triangle: [
    ['a', `7'`],
    ['b', `6'`],
    ['c', `9'`],
  ],
  arc: [
    ['chord', `8'`],
    ['rise', `2'`],
  ],
  circle: [['diameter', `4'`]],
  ring: [
    ['outer', `4'`],
    ['inner', `2' 6"`],
  ],
  polygon: [
    ['sides', '8'],
    ['flats', `12'`],
    ['plate', `1'`],
  ],
  slab: [
    ['length', `8'`],
    ['width', `5'`],
    ['depth', `1'`],
  ],
  holes: [
    ['diameter', `1'`],
    ['depth', `3'`],
    ['count', '3'],
  ],
  steps: [
    ['total', `4'`],
    ['count', '6'],
    ['going', `10"`],
  ],
  'spacing-gaps': [
    ['length', `40"`],
    ['width', `2"`],
    ['count', '6'],
  ],
  'spacing-members': [
    ['length', `40"`],
    ['width', `2"`],
    ['count', '7'],
  ],
};

/** The picture of each shape, drawn by the shape itself. */
export const PICTURES: Readonly<Record<string, Figure | undefined>> = Object.fromEntries(
  SOLVERS.map((solver) => [solver.id, solve(solver, SAMPLES[solver.id] ?? []).answers[0]?.figure]),
);
