import { angle, path, size } from './figure.ts';
import { SLOPED } from './rafter.ts';
import type { Solver } from './solver.ts';

/**
 * A right triangle: rise and run meet at the right angle, the diagonal lies across. From any two of rise, run, diagonal
 * and pitch. Sources: Euclid, Elements I.47 (the diagonal); the tangent of the pitch is rise over run by its definition.
 */
export const RIGHT_TRIANGLE: Solver = {
  id: 'right-triangle',
  title: 'Right triangle',
  source: 'Euclid, Elements I.47; rise over run is the tangent of the pitch.',
  fields: [
    { id: 'rise', title: 'Rise', kind: 'length', given: true },
    { id: 'run', title: 'Run', kind: 'length', given: true },
    { id: 'diagonal', title: 'Diagonal', kind: 'length', given: true },
    { id: 'pitch', title: 'Slope or angle', kind: 'pitch', given: true, reads: 'slope' },
    { id: 'foot', title: 'Angle at the foot', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'head', title: 'Angle at the head', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'area', title: 'Area', kind: 'area', given: false },
  ],
  rules: [
    { gives: 'diagonal', from: ['rise', 'run'], entry: 'hyp({rise}; {run})' },
    { gives: 'rise', from: ['diagonal', 'run'], entry: 'leg({diagonal}; {run})' },
    { gives: 'run', from: ['diagonal', 'rise'], entry: 'leg({diagonal}; {rise})' },
    { gives: 'pitch', from: ['rise', 'run'], entry: '{rise} / {run}' },
    { gives: 'rise', from: ['run', 'pitch'], entry: '{run} * {pitch.ratio}' },
    { gives: 'run', from: ['rise', 'pitch'], entry: '{rise} / {pitch.ratio}' },
    { gives: 'run', from: ['diagonal', 'pitch'], entry: '{diagonal} / sqrt(1 + {pitch.ratio}^2)' },
    { gives: 'foot', from: ['pitch'], entry: '{pitch.angle}' },
    { gives: 'head', from: ['pitch'], entry: '90° - {pitch.angle}' },
    { gives: 'area', from: ['rise', 'run'], entry: '{rise} * {run} / 2' },
  ],
  checks: [
    SLOPED,
    { from: ['rise', 'diagonal'], entry: '{rise} < {diagonal}', code: 'triangle.diagonal' },
    { from: ['run', 'diagonal'], entry: '{run} < {diagonal}', code: 'triangle.diagonal' },
  ],
  draw: ({ rise, run, pitch }) => {
    if (rise === undefined || run === undefined || pitch === undefined) return undefined;
    const [foot, corner, head] = [
      { x: 0, y: 0 },
      { x: run, y: 0 },
      { x: run, y: rise },
    ];
    const square = Math.min(rise, run) * 0.12;
    return {
      parts: [
        path([corner, head], { field: 'rise' }),
        path([foot, corner], { field: 'run' }),
        path([foot, head], { field: 'diagonal' }),
        path(
          [
            { x: run - square, y: 0 },
            { x: run - square, y: square },
            { x: run, y: square },
          ],
          { weight: 'thin' },
        ),
        size(foot, corner, -1, 'run'),
        size(corner, head, -1, 'rise'),
        size(foot, head, 1, 'diagonal'),
        angle(foot, 0, Math.atan2(rise, run), 'foot'),
        angle(head, Math.PI + Math.atan2(rise, run), Math.PI * 1.5, 'head'),
      ],
    };
  },
};
