import { valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { ReadingStyle } from '../reading/style.ts';
import type { NamedQuantity, Rod } from '../stick/rod.ts';
import { dxfText, type DxfEntity } from './dxf.ts';

const PER_METRE = 1000;
/** Marks reach so far to the right of the rod, and their names begin there, in millimetres. */
const [TICK, WORDS, LETTERS] = [40, 45, 10] as const;

/** The story stick at its full size as DXF, upright: each mark a line at its height, with its name and size. */
export function rodDxf<M extends NamedQuantity>({ marks, foot, end }: Rod<M>, style: ReadingStyle): string {
  const rod: DxfEntity = {
    kind: 'path',
    points: [
      { x: 0, y: foot * PER_METRE },
      { x: 0, y: end * PER_METRE },
    ],
    closed: false,
    layer: 'ROD',
  };
  return dxfText([
    rod,
    ...marks.flatMap(({ mark: { name, quantity } }): readonly DxfEntity[] => {
      const y = valueToNumber(quantity.value) * PER_METRE;
      const points = [
        { x: 0, y },
        { x: TICK, y },
      ];
      const text = `${name} ${readQuantity(quantity, style).plain}`;
      return [
        { kind: 'path', points, closed: false, layer: 'MARKS' },
        { kind: 'words', at: { x: WORDS, y }, text, height: LETTERS, layer: 'WORDS' },
      ];
    }),
  ]);
}
