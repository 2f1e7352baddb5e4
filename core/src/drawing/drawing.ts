/**
 * A drawing for paper: plain shapes in millimetres from the top left corner, which any format can be written from. What
 * is printed at its full size measures what it says.
 */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

export type Shape = LineShape | BoxShape | TextShape;

/** `fine` and `plain` lines draw; `cut` lines, dashed, are cut along. */
export type LineWeight = 'fine' | 'plain' | 'heavy' | 'cut';

export interface LineShape {
  readonly kind: 'line';
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly weight: LineWeight;
}

export interface BoxShape {
  readonly kind: 'box';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Black, or only its outline. */
  readonly filled: boolean;
}

export interface TextShape {
  readonly kind: 'text';
  /** The foot of the first, middle or last sign, by `anchor`. */
  readonly x: number;
  readonly y: number;
  readonly text: string;
  /** Height of the type. */
  readonly size: number;
  readonly anchor: 'start' | 'middle' | 'end';
  /** Written upwards, the sheet turned a quarter. */
  readonly upright: boolean;
  readonly strong: boolean;
}

/** Sheets of paper, lying on their long side, in millimetres. Sources: ISO 216 (A4); ANSI/ASME Y14.1 (A, 8.5 × 11 in). */
export const SHEETS = {
  a4: { title: 'A4', width: 297, height: 210 },
  letter: { title: 'US Letter', width: 279.4, height: 215.9 },
} as const;
export type SheetSize = keyof typeof SHEETS;

/** A sheet of paper lying on its long side, or standing on its short one. */
export function sheetOf(size: SheetSize, stands = false): { readonly width: number; readonly height: number } {
  const { width, height } = SHEETS[size];
  return stands ? { width: height, height: width } : { width, height };
}

/** A shape somewhere else on its sheet. */
export function moved(shape: Shape, dx: number, dy: number): Shape {
  return shape.kind === 'line'
    ? { ...shape, x1: shape.x1 + dx, x2: shape.x2 + dx, y1: shape.y1 + dy, y2: shape.y2 + dy }
    : { ...shape, x: shape.x + dx, y: shape.y + dy };
}

export function line(x1: number, y1: number, x2: number, y2: number, weight: LineWeight = 'plain'): LineShape {
  return { kind: 'line', x1, y1, x2, y2, weight };
}

export function box(x: number, y: number, width: number, height: number, filled = false): BoxShape {
  return { kind: 'box', x, y, width, height, filled };
}

export function words(
  x: number,
  y: number,
  text: string,
  size: number,
  more: Partial<Pick<TextShape, 'anchor' | 'upright' | 'strong'>> = {},
): TextShape {
  return { kind: 'text', x, y, text, size, anchor: 'start', upright: false, strong: false, ...more };
}
