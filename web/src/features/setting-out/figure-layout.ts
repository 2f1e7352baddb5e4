import type { Figure, FigurePart, Point } from '@sprell/core';

/** A figure as it lies on a screen: paths and words in pixels, y downwards. */
export interface LaidFigure {
  readonly lines: readonly LaidLine[];
  readonly words: readonly LaidWords[];
}
export interface LaidLine {
  readonly d: string;
  readonly look: 'body' | 'thin' | 'dashed' | 'size' | 'field';
  readonly field: string | undefined;
}
export interface LaidWords {
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle' | 'end';
  /** The size whose reading stands here, or undefined for words of the figure itself. */
  readonly field: string | undefined;
  readonly text: string | undefined;
}

/** Where the picture is looked at: `zoom` times as large as it fits, moved by pixels. */
export interface Look {
  readonly zoom: number;
  readonly dx: number;
  readonly dy: number;
}
export const WHOLE: Look = { zoom: 1, dx: 0, dy: 0 };

/** Pixels from one size line to the next, and around the figure where sizes stand. */
const STEP = 30;
const ROOM = { x: 104, y: 72 };
const BARE_ROOM = 6;
/** Half of the length and of the height of an angle's words, and how far from the corner they may stand. */
const [HALF_WORDS, HALF_TYPE, NEAREST, FURTHEST] = [36, 9, 48, 150];

/**
 * Lays a figure into a picture, to scale.
 * @param bare without sizes and angles: a small picture to choose by
 */
export function layOut(figure: Figure, width: number, height: number, { bare = false, look = WHOLE } = {}): LaidFigure {
  const points = figure.parts.flatMap(pointsOf);
  const [left, right] = extent(points.map(({ x }) => x));
  const [low, high] = extent(points.map(({ y }) => y));
  const room = (wanted: number, whole: number) => 2 * (bare ? BARE_ROOM : Math.min(wanted, whole / 4));
  const fits = Math.min(
    (width - room(ROOM.x, width)) / (right - left || 1),
    (height - room(ROOM.y, height)) / (high - low || 1),
  );
  const scale = fits * look.zoom;
  const at = ({ x, y }: Point): Point => ({
    x: width / 2 + (x - (left + right) / 2) * scale + look.dx,
    y: height / 2 - (y - (low + high) / 2) * scale + look.dy,
  });
  const lines: LaidLine[] = [];
  const words: LaidWords[] = [];
  for (const part of figure.parts) {
    if (part.kind === 'path' || part.kind === 'arc') {
      const d = part.kind === 'path' ? pathThrough(part.points.map(at), part.closed) : arcPath(part, at, scale);
      lines.push({ d, look: part.weight, field: part.field });
    } else if (part.kind === 'label')
      words.push({ ...at(part.at), anchor: 'middle', field: undefined, text: part.text });
    else if (bare) continue;
    else if (part.kind === 'size') laySize(part, at, lines, words);
    else layAngle(part, at, lines, words);
  }
  return { lines, words };
}

function pointsOf(part: FigurePart): readonly Point[] {
  if (part.kind === 'path') return part.points;
  if (part.kind === 'size') return [part.from, part.to];
  if (part.kind !== 'arc') return [part.at];
  const { centre, radius, from, to } = part;
  return Array.from({ length: 65 }, (_, n) => from + ((to - from) * n) / 64).map((turn) => ({
    x: centre.x + radius * Math.cos(turn),
    y: centre.y + radius * Math.sin(turn),
  }));
}

const extent = (values: readonly number[]): readonly [number, number] => [Math.min(...values), Math.max(...values)];
const figureOf = (value: number) => value.toFixed(1);
const point = ({ x, y }: Point) => `${figureOf(x)} ${figureOf(y)}`;

function pathThrough(points: readonly Point[], closed: boolean): string {
  return `M${points.map(point).join('L')}${closed ? 'Z' : ''}`;
}

type Place = (at: Point) => Point;

function arcPath({ centre, radius, from, to }: Extract<FigurePart, { kind: 'arc' }>, at: Place, scale: number): string {
  const on = (turn: number) => at({ x: centre.x + radius * Math.cos(turn), y: centre.y + radius * Math.sin(turn) });
  const middle = (from + to) / 2;
  const r = figureOf(radius * scale);
  // In two halves: one that goes all the way round would be none.
  return `M${point(on(from))}A${r} ${r} 0 0 0 ${point(on(middle))}A${r} ${r} 0 0 0 ${point(on(to))}`;
}

function laySize(part: Extract<FigurePart, { kind: 'size' }>, at: Place, lines: LaidLine[], words: LaidWords[]): void {
  const [from, to] = [at(part.from), at(part.to)];
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  // To the left of the way, on a screen whose y goes down.
  const aside = { x: (to.y - from.y) / long, y: -(to.x - from.x) / long };
  const off = part.off * STEP;
  const moved = ({ x, y }: Point, by: number): Point => ({ x: x + aside.x * by, y: y + aside.y * by });
  const [start, end] = [moved(from, off), moved(to, off)];
  if (off !== 0) {
    const beyond = off + Math.sign(off) * 5;
    lines.push({
      d: pathThrough([moved(from, Math.sign(off) * 4), moved(from, beyond)], false),
      look: 'size',
      field: part.field,
    });
    lines.push({
      d: pathThrough([moved(to, Math.sign(off) * 4), moved(to, beyond)], false),
      look: 'size',
      field: part.field,
    });
    lines.push({ d: `${pathThrough([start, end], false)}${tick(start)}${tick(end)}`, look: 'size', field: part.field });
  }
  const outward = off === 0 ? 1 : Math.sign(off);
  const middle = { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 };
  const lean = aside.x * outward;
  words.push({
    x: middle.x + aside.x * outward * 8,
    y: middle.y + aside.y * outward * (aside.y * outward > 0 ? 18 : 8) + (Math.abs(lean) > 0.4 ? 6 : 0),
    anchor: lean > 0.4 ? 'start' : lean < -0.4 ? 'end' : 'middle',
    field: part.field,
    text: undefined,
  });
}

/** The short stroke at the end of a size line. */
function tick({ x, y }: Point): string {
  return pathThrough(
    [
      { x: x - 4, y: y + 4 },
      { x: x + 4, y: y - 4 },
    ],
    false,
  );
}

function layAngle(
  part: Extract<FigurePart, { kind: 'angle' }>,
  at: Place,
  lines: LaidLine[],
  words: LaidWords[],
): void {
  const corner = at(part.at);
  const on = (turn: number, radius: number): Point => ({
    x: corner.x + radius * Math.cos(turn),
    y: corner.y - radius * Math.sin(turn),
  });
  const open = part.to - part.from;
  const middle = part.from + open / 2;
  // The words stand where the two sides are far enough apart for them.
  const across = Math.abs(Math.sin(middle)) * HALF_WORDS + Math.abs(Math.cos(middle)) * HALF_TYPE;
  const reach = Math.min(FURTHEST, Math.max(NEAREST, across / Math.tan(Math.min(open, 3) / 2) + HALF_TYPE));
  const radius = Math.min(reach - 2 * HALF_TYPE, 40);
  const d = `M${point(on(part.from, radius))}A${radius} ${radius} 0 ${open > Math.PI ? 1 : 0} 0 ${point(on(part.to, radius))}`;
  lines.push({ d, look: 'size', field: part.field });
  const place = on(middle, reach);
  words.push({ x: place.x, y: place.y + HALF_TYPE, anchor: 'middle', field: part.field, text: undefined });
}
