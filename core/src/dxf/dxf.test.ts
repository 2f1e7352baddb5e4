import DxfParser, { type IDxf } from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import type { Figure } from '../setting-out/figure.ts';
import { solve } from '../setting-out/solve.ts';
import { SOLVERS } from '../setting-out/solvers.ts';
import { rodOf } from '../stick/rod.ts';
import { dxfText, type DxfPoint } from './dxf.ts';
import { figureDxf } from './figure-dxf.ts';
import { rodDxf } from './rod-dxf.ts';

type Loose = Readonly<Record<string, unknown>>;
/** As another program reads it. */
function readBack(text: string): readonly Loose[] {
  const read = new DxfParser().parseSync(text) as IDxf | null;
  return (read?.entities ?? []) as unknown as readonly Loose[];
}

function figureOf(shape: string, givens: Readonly<Record<string, string>>): Figure {
  const solver = SOLVERS.find(({ id }) => id === shape);
  if (solver === undefined) throw new Error(shape);
  const [answer] = solve(solver, Object.entries(givens)).answers;
  if (answer?.figure === undefined) throw new Error(`no figure of ${shape}`);
  return answer.figure;
}

describe('a DXF file', () => {
  it('holds lines, curves and words as another library reads them', () => {
    const text = dxfText([
      {
        kind: 'path',
        points: [
          { x: 0, y: 0 },
          { x: 10.5, y: -0.0000001 },
        ],
        closed: false,
        layer: 'WORK',
      },
      {
        kind: 'path',
        points: [
          { x: 0, y: 0 },
          { x: 1, y: 0 },
          { x: 1, y: 1 },
        ],
        closed: true,
        layer: 'WORK',
      },
      { kind: 'path', points: [{ x: 0, y: 0 }], closed: false, layer: 'WORK' },
      { kind: 'arc', centre: { x: 5, y: 6 }, radius: 7, from: -90, to: 45, layer: 'HELP' },
      { kind: 'arc', centre: { x: 5, y: 6 }, radius: 7, from: 10, to: 370, layer: 'HELP' },
      { kind: 'words', at: { x: 1, y: 2 }, text: '5 1/2" × 2\n½', height: 10, layer: 'WORDS' },
    ]);
    expect(text).not.toMatch(/\d[eE]-?\d/u);
    expect(text.split('\r\n').every((line) => /^[\u0020-\u007e]*$/u.test(line))).toBe(true);
    expect(readBack(text)).toMatchObject([
      {
        type: 'LINE',
        layer: 'WORK',
        vertices: [
          { x: 0, y: 0 },
          { x: 10.5, y: 0 },
        ],
      },
      { type: 'POLYLINE', shape: true, vertices: [{ x: 0 }, { x: 1, y: 0 }, { x: 1, y: 1 }] },
      { type: 'ARC', center: { x: 5, y: 6 }, radius: 7, startAngle: (270 * Math.PI) / 180, endAngle: Math.PI / 4 },
      { type: 'CIRCLE', radius: 7 },
      { type: 'TEXT', layer: 'WORDS', textHeight: 10, startPoint: { x: 1, y: 2 } },
    ]);
    expect(new DxfParser().parseSync(text)?.header).toMatchObject({ $ACADVER: 'AC1009', $INSUNITS: 4 });
  });

  it('has shapes at their full size', () => {
    // A radius of 3 feet is 914.4 mm.
    const circle = readBack(figureDxf(figureOf('circle', { radius: `3'` })));
    expect(circle.find(({ type }) => type === 'CIRCLE')).toMatchObject({ layer: 'WORK', radius: 914.4 });
    // A triangle of 3, 4 and 5 feet: its outline is 12 feet round, 3657.6 mm.
    const sides = readBack(figureDxf(figureOf('right-triangle', { run: `4'`, rise: `3'` }))).filter(
      ({ type, layer }) => type === 'LINE' && layer === 'WORK',
    );
    const round = sides.reduce((sum, { vertices }) => {
      const [from, to] = vertices as readonly [DxfPoint, DxfPoint];
      return sum + Math.hypot(to.x - from.x, to.y - from.y);
    }, 0);
    expect(round).toBeCloseTo(3657.6, 5);
  });

  it.each([
    ['arc', { chord: `8'`, rise: `2'` }, 'ARC'],
    ['ellipse', { long: `6'`, short: `4'` }, 'POLYLINE'],
    ['ring', { outer: `4'`, inner: `2.5'` }, 'CIRCLE'],
    ['polygon', { sides: '8', flats: `12'` }, 'POLYLINE'],
    ['rafter', { run: `9'`, pitch: '8:12' }, 'POLYLINE'],
    ['steps', { total: `4'`, count: '6', going: '10"' }, 'POLYLINE'],
    ['spacing-gaps', { length: '40"', width: '2"', count: '6' }, 'POLYLINE'],
  ] as const)('is read by another library: %s', (id, givens, has) => {
    const entities = readBack(figureDxf(figureOf(id, givens)));
    expect(entities.map(({ type }) => type)).toContain(has);
    const numbers = JSON.stringify(entities).match(/-?\d+\.?\d*/gu) ?? [];
    expect(numbers.every((one) => Math.abs(Number(one)) < 100_000)).toBe(true);
  });

  it('has the story stick, each mark at its height', () => {
    const mark = (name: string, entry: string) => {
      const { outcome } = reckon(entry);
      if (outcome?.kind !== 'quantity') throw new Error(entry);
      return { name, quantity: outcome.quantity };
    };
    const entities = readBack(rodDxf(rodOf([mark('rail', `3'`), mark('post', '1000 mm')]), DEFAULT_STYLE));
    const heights = entities.filter(({ layer, type }) => layer === 'MARKS' && type === 'LINE');
    expect(heights.map((one) => (one['vertices'] as { y: number }[])[0]?.y)).toEqual([914.4, 1000]);
    expect(entities.filter(({ type }) => type === 'TEXT').map(({ text }) => text)).toEqual([
      `rail 3'`,
      `post 3' 3 3/8"`,
    ]);
    expect(entities[0]).toMatchObject({ layer: 'ROD', vertices: [{ y: 0 }, { y: 1000 }] });
  });
});
