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
  'square-check': [
    ['length', `8'`],
    ['width', `6'`],
    ['rising', `10' 4"`],
    ['falling', `9' 7"`],
  ],
  rafter: [
    ['run', `9'`],
    ['pitch', '8:12'],
    ['overhang', `2'`],
    ['depth', `1' 2"`],
    ['seat', '8"'],
  ],
  hip: [
    ['run', `9'`],
    ['pitch', '8:12'],
  ],
  jacks: [
    ['run', `9'`],
    ['pitch', '8:12'],
    ['centres', `2'`],
  ],
  ellipse: [
    ['long', `6'`],
    ['short', `4'`],
  ],
  wall: [
    ['length', `8'`],
    ['height', `5'`],
    ['thick', `1'`],
    ['openings', '8 sq ft'],
  ],
  footing: [
    ['footLength', `5'`],
    ['footWidth', `4'`],
    ['topLength', `2'`],
    ['topWidth', `2'`],
    ['height', `3'`],
  ],
  'spacing-centres': [
    ['length', `40"`],
    ['width', `2"`],
    ['centres', `8"`],
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

/** The picture of each shape, drawn by the shape itself. By no other name than those: what every object has is no shape. */
export const PICTURES: Readonly<Record<string, Figure | undefined>> = Object.assign(
  Object.create(null) as object,
  Object.fromEntries(SOLVERS.map((solver) => [solver.id, solve(solver, SAMPLES[solver.id] ?? []).answers[0]?.figure])),
);
