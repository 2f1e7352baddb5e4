/**
 * A picture of a shape in its own size: metres, x to the right, y upwards, angles in radians from the x axis against the
 * clock. How it lies on a screen or a sheet is another's to say.
 */
export interface Figure {
  readonly parts: readonly FigurePart[];
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** `body` is the work itself, `thin` what helps to see it, `dashed` what is not there. */
export type FigureWeight = 'body' | 'thin' | 'dashed';

export type FigurePart =
  /** A line through points; `field` is the size that it is the picture of. */
  | {
      readonly kind: 'path';
      readonly points: readonly Point[];
      readonly closed: boolean;
      readonly weight: FigureWeight;
      readonly field?: string;
    }
  /** Part of a circle, from one angle on against the clock to the other. */
  | {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly radius: number;
      readonly from: number;
      readonly to: number;
      readonly weight: FigureWeight;
      readonly field?: string;
    }
  /** A size between two points, its line set off to the left of the way from one to the other by so many steps. */
  | { readonly kind: 'size'; readonly from: Point; readonly to: Point; readonly off: number; readonly field: string }
  /** An angle at a point, between two directions. */
  | {
      readonly kind: 'angle';
      readonly at: Point;
      readonly from: number;
      readonly to: number;
      readonly field: string;
      /** Where between the two directions its words stand: 0.5 in the middle. */
      readonly words: number;
    }
  | { readonly kind: 'label'; readonly at: Point; readonly text: string };

export const path = (
  points: readonly Point[],
  more: { closed?: boolean; weight?: FigureWeight; field?: string } = {},
): FigurePart => ({
  kind: 'path',
  points,
  closed: more.closed ?? false,
  weight: more.weight ?? 'body',
  ...(more.field === undefined ? {} : { field: more.field }),
});
export const size = (from: Point, to: Point, off: number, field: string): FigurePart => ({
  kind: 'size',
  from,
  to,
  off,
  field,
});
export const angle = (at: Point, from: number, to: number, field: string, words = 0.5): FigurePart => ({
  kind: 'angle',
  at,
  from,
  to,
  field,
  words,
});

/** The point so far from another in a direction. */
export const along = ({ x, y }: Point, direction: number, distance: number): Point => ({
  x: x + Math.cos(direction) * distance,
  y: y + Math.sin(direction) * distance,
});

/** A line of a figure through points, curves made straight between them. */
export interface Stroke {
  readonly points: readonly Point[];
  readonly weight: FigureWeight;
  readonly field: string | undefined;
}

/**
 * What a figure draws, without its sizes and words.
 * @param flat by how much a curve may be cut short between two of its points, in metres
 */
export function strokes({ parts }: Figure, flat: number): readonly Stroke[] {
  return parts.flatMap((part): readonly Stroke[] => {
    if (part.kind === 'path') {
      const [first] = part.points;
      const points = part.closed && first ? [...part.points, first] : part.points;
      return [{ points, weight: part.weight, field: part.field }];
    }
    if (part.kind !== 'arc') return [];
    const { centre, radius, from, to } = part;
    // Between two points so far apart the curve stands off the straight line by `flat`.
    const turn = 2 * Math.acos(Math.max(0.5, 1 - flat / radius));
    const count = Math.max(8, Math.ceil(Math.abs(to - from) / turn));
    const points = Array.from({ length: count + 1 }, (_, n) => along(centre, from + ((to - from) * n) / count, radius));
    return [{ points, weight: part.weight, field: part.field }];
  });
}
