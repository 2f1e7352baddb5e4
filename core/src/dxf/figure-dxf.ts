import type { Figure, FigureWeight, Point } from '../setting-out/figure.ts';
import { dxfText, type DxfEntity, type DxfPoint } from './dxf.ts';

const PER_METRE = 1000;
const LAYERS: Readonly<Record<FigureWeight, string>> = { body: 'WORK', thin: 'HELP', dashed: 'DASHED' };
const DEGREES = 180 / Math.PI;
const LETTERS = 10;

/** The outline of a shape at its full size as DXF: what is cut on the layer WORK, what helps to see it on others. */
export function figureDxf({ parts }: Figure): string {
  return dxfText(
    parts.flatMap((part): readonly DxfEntity[] => {
      switch (part.kind) {
        case 'path':
          return [
            { kind: 'path', points: part.points.map(inMillimetres), closed: part.closed, layer: LAYERS[part.weight] },
          ];
        case 'arc':
          return [
            {
              kind: 'arc',
              centre: inMillimetres(part.centre),
              radius: part.radius * PER_METRE,
              from: part.from * DEGREES,
              to: part.to * DEGREES,
              layer: LAYERS[part.weight],
            },
          ];
        case 'label':
          return [{ kind: 'words', at: inMillimetres(part.at), text: part.text, height: LETTERS, layer: 'WORDS' }];
        default:
          return [];
      }
    }),
  );
}

const inMillimetres = ({ x, y }: Point): DxfPoint => ({ x: x * PER_METRE, y: y * PER_METRE });
