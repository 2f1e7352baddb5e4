/**
 * Lines and words for programs that draw and for saws, as DXF of release 12 in ASCII, the oldest form that all of them read.
 * Millimetres, y upwards. Source: Autodesk, DXF Reference; groups and entities as in release 12 (AC1009).
 */
export type DxfEntity =
  | { readonly kind: 'path'; readonly points: readonly DxfPoint[]; readonly closed: boolean; readonly layer: string }
  /** Against the clock, from one angle to the other, in degrees; all the way round where they are a whole turn apart. */
  | {
      readonly kind: 'arc';
      readonly centre: DxfPoint;
      readonly radius: number;
      readonly from: number;
      readonly to: number;
      readonly layer: string;
    }
  /** Beginning at a point, its letters so high. */
  | {
      readonly kind: 'words';
      readonly at: DxfPoint;
      readonly text: string;
      readonly height: number;
      readonly layer: string;
    };

export interface DxfPoint {
  readonly x: number;
  readonly y: number;
}

const WHOLE_TURN = 360;

/** The file, its lines ending as the format wants. Layers are those that the entities name. */
export function dxfText(entities: readonly DxfEntity[]): string {
  const layers = [...new Set(entities.map(({ layer }) => layer))];
  const groups: readonly Group[] = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    ...variable('$ACADVER', [1, 'AC1009']),
    // Millimetres; release 12 has no word for it, and readers of later ones ask for it.
    ...variable('$INSUNITS', [70, 4]),
    ...variable('$MEASUREMENT', [70, 1]),
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'TABLES'],
    [0, 'TABLE'],
    [2, 'LAYER'],
    [70, layers.length],
    ...layers.flatMap((layer): readonly Group[] => [
      [0, 'LAYER'],
      [2, layer],
      [70, 0],
      [62, 7],
      [6, 'CONTINUOUS'],
    ]),
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities.flatMap(groupsOf),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
  return groups
    .map(([code, value]) => `${code}\r\n${typeof value === 'number' ? numberText(value) : value}\r\n`)
    .join('');
}

type Group = readonly [code: number, value: string | number];

const variable = (name: string, value: Group): readonly Group[] => [[9, name], value];
const at = ({ x, y }: DxfPoint): readonly Group[] => [
  [10, x],
  [20, y],
  [30, 0],
];

function groupsOf(entity: DxfEntity): readonly Group[] {
  const { layer } = entity;
  if (entity.kind === 'words')
    return [[0, 'TEXT'], [8, layer], ...at(entity.at), [40, entity.height], [1, asciiText(entity.text)]];
  if (entity.kind === 'arc') {
    const { centre, radius, from, to } = entity;
    const round: readonly Group[] = [[8, layer], ...at(centre), [40, radius]];
    if (Math.abs(to - from) >= WHOLE_TURN - 1e-9) return [[0, 'CIRCLE'], ...round];
    const [start, end] = from <= to ? [from, to] : [to, from];
    return [[0, 'ARC'], ...round, [50, degrees(start)], [51, degrees(end)]];
  }
  const [first, second] = entity.points;
  if (first === undefined || second === undefined) return [];
  if (entity.points.length === 2)
    return [[0, 'LINE'], [8, layer], ...at(first), [11, second.x], [21, second.y], [31, 0]];
  return [
    [0, 'POLYLINE'],
    [8, layer],
    [66, 1],
    ...at({ x: 0, y: 0 }),
    [70, entity.closed ? 1 : 0],
    ...entity.points.flatMap((point): readonly Group[] => [[0, 'VERTEX'], [8, layer], ...at(point)]),
    [0, 'SEQEND'],
    [8, layer],
  ];
}

const degrees = (angle: number): number => ((angle % WHOLE_TURN) + WHOLE_TURN) % WHOLE_TURN;

/** To the millionth of a millimetre; no exponents, which readers of the format do not know, and no zero below nothing. */
const numberText = (value: number): string =>
  value
    .toFixed(6)
    .replace(/\.?0+$/u, '')
    .replace(/^-0$/u, '0');

/** Signs that the format has no place for are written by their numbers. */
const asciiText = (text: string): string =>
  text
    .replace(/[\r\n\t]+/gu, ' ')
    .replace(
      /[^\u0020-\u007e]/gu,
      (sign) => `\\U+${(sign.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`,
    );
