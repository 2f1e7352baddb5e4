import { strokes, type Figure, type FigurePart, type Point } from '@sprell/core';

/** A figure as it lies on a screen: paths and words in pixels, y downwards. */
export interface LaidFigure {
  readonly lines: readonly LaidLine[];
  readonly words: readonly LaidWords[];
}
export interface LaidLine {
  readonly points: readonly Point[];
  /** The points as the path of an SVG. */
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
  /** It stands between the two sides of an angle. */
  readonly isAngle?: boolean;
  /** Its words would stand further from the corner than a picture of this size has room for. */
  readonly isTight?: boolean;
}

/** Where the picture is looked at: `zoom` times as large as it fits, moved by pixels. */
export interface Look {
  readonly zoom: number;
  readonly dx: number;
  readonly dy: number;
}
export const WHOLE: Look = { zoom: 1, dx: 0, dy: 0 };

/** By how much of a pixel a curve may be cut short. */
const SMOOTH = 0.1;
/** Pixels from one size line to the next, and around the figure where sizes stand. */
const STEP = 30;
const ROOM = { x: 104, y: 84 };
const BARE_ROOM = 6;
/** The share of the picture that the words of an angle may be away from its corner. */
const ROOMY = 0.35;
/** Half of the length and of the height of an angle's words, and how far from the corner they may stand. */
const [HALF_WORDS, HALF_TYPE, NEAREST, FURTHEST] = [36, 9, 48, 150];

export interface LayOut {
  /** Without sizes and angles: a small picture to choose by. */
  readonly bare?: boolean;
  readonly look?: Look;
  /** Half of the length of an angle's words, in pixels, where it is not that of a reading. */
  readonly halfWords?: (field: string) => number;
  /** Pixels to leave free on both sides, besides those that words usually need. */
  readonly aside?: number;
  /** The scale to draw by, in pixels for each metre, from the largest that fits. */
  readonly scaleOf?: (fits: number) => number;
}

/** Lays a figure into a picture, to scale. */
export function layOut(
  figure: Figure,
  width: number,
  height: number,
  { bare = false, look = WHOLE, scaleOf = (fits) => fits, halfWords = () => HALF_WORDS, aside = 0 }: LayOut = {},
): LaidFigure {
  const points = figure.parts.flatMap(pointsOf);
  const [left, right] = extent(points.map(({ x }) => x));
  const [low, high] = extent(points.map(({ y }) => y));
  const room = (wanted: number, whole: number) => 2 * (bare ? BARE_ROOM : Math.min(wanted, whole / 4));
  const fits = Math.min(
    (width - room(ROOM.x, width) - 2 * aside) / (right - left || 1),
    (height - room(ROOM.y, height)) / (high - low || 1),
  );
  const scale = scaleOf(fits) * look.zoom;
  const at = ({ x, y }: Point): Point => ({
    x: width / 2 + (x - (left + right) / 2) * scale + look.dx,
    y: height / 2 - (y - (low + high) / 2) * scale + look.dy,
  });
  const lines: LaidLine[] = [];
  const words: LaidWords[] = [];
  for (const { points: drawn, weight, field } of strokes(figure, SMOOTH / scale))
    lines.push(lineThrough(drawn.map(at), weight, field));
  for (const part of figure.parts) {
    if (part.kind === 'label') words.push({ ...at(part.at), anchor: 'middle', field: undefined, text: part.text });
    else if (bare) continue;
    else if (part.kind === 'size') laySize(part, at, lines, words);
    else if (part.kind === 'angle') {
      const half = halfWords(part.field);
      layAngle(part, at, lines, words, { half, furthest: Math.min(width, height) * ROOMY });
    }
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

/** Length of a sign and height of a line of words, as parts of the height of their type. */
const [SIGN, LEADING] = [0.5, 1.1];

/**
 * The words that have room, those that come first before those that come later: two that lie over one another would both
 * be lost. What was left out is seen when the picture is looked at closer.
 * @param textOf the words of a field; fields without any are left out
 * @param type height of the type in pixels
 * @param first the field whose words are shown whatever they cover
 */
export function wordsWithRoom(
  words: readonly LaidWords[],
  textOf: (words: LaidWords) => string | undefined,
  type: number,
  first: string | undefined,
): readonly LaidWords[] {
  const taken: { left: number; right: number; foot: number }[] = [];
  const shown = new Set<LaidWords>();
  const isFirst = ({ field }: LaidWords) => field !== undefined && field === first;
  for (const one of [...words.filter(isFirst), ...words.filter((each) => !isFirst(each))]) {
    const long = (textOf(one)?.length ?? 0) * SIGN * type;
    if (long === 0) continue;
    const left = one.x - { start: 0, middle: long / 2, end: long }[one.anchor];
    const place = { left, right: left + long, foot: one.y };
    const isFree = taken.every(
      (other) =>
        place.left >= other.right || place.right <= other.left || Math.abs(place.foot - other.foot) >= LEADING * type,
    );
    if (!isFree) continue;
    taken.push(place);
    shown.add(one);
  }
  return words.filter((one) => shown.has(one));
}

/**
 * How far to the left and to the right a figure and its words reach, in pixels, with a little room beside them.
 * @param longOf pixels that words take
 */
export function reachOf(
  { lines, words }: LaidFigure,
  longOf: (words: LaidWords) => number,
): readonly [left: number, right: number] {
  const ends = words.flatMap((one) => {
    const long = longOf(one);
    const left = one.x - { start: 0, middle: long / 2, end: long }[one.anchor];
    return [left, left + long];
  });
  const [left, right] = extent([...ends, ...lines.flatMap(({ points }) => points.map(({ x }) => x))]);
  return [left - EDGE, right + EDGE];
}
const EDGE = 12;

const extent = (values: readonly number[]): readonly [number, number] => [Math.min(...values), Math.max(...values)];
const figureOf = (value: number) => value.toFixed(1);
const point = ({ x, y }: Point) => `${figureOf(x)} ${figureOf(y)}`;

function lineThrough(points: readonly Point[], look: LaidLine['look'], field: string | undefined): LaidLine {
  return { points, d: `M${points.map(point).join('L')}`, look, field };
}

type Place = (at: Point) => Point;

function laySize(part: Extract<FigurePart, { kind: 'size' }>, at: Place, lines: LaidLine[], words: LaidWords[]): void {
  const [from, to] = [at(part.from), at(part.to)];
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  // To the left of the way, on a screen whose y goes down.
  const aside = { x: (to.y - from.y) / long, y: -(to.x - from.x) / long };
  const off = part.off * STEP;
  const moved = ({ x, y }: Point, by: number): Point => ({ x: x + aside.x * by, y: y + aside.y * by });
  const [start, end] = [moved(from, off), moved(to, off)];
  if (off !== 0) {
    const [short, beyond] = [Math.sign(off) * 4, off + Math.sign(off) * 5];
    const size = (...points: readonly Point[]) => lines.push(lineThrough(points, 'size', part.field));
    size(moved(from, short), moved(from, beyond));
    size(moved(to, short), moved(to, beyond));
    size(start, end);
    for (const { x, y } of [start, end]) size({ x: x - 4, y: y + 4 }, { x: x + 4, y: y - 4 });
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

function layAngle(
  part: Extract<FigurePart, { kind: 'angle' }>,
  at: Place,
  lines: LaidLine[],
  words: LaidWords[],
  room: { readonly half: number; readonly furthest: number },
): void {
  const corner = at(part.at);
  const on = (turn: number, radius: number): Point => ({
    x: corner.x + radius * Math.cos(turn),
    y: corner.y - radius * Math.sin(turn),
  });
  const open = part.to - part.from;
  const middle = part.from + open * part.words;
  // The words stand where the two sides are far enough apart for them.
  const across = Math.abs(Math.sin(middle)) * room.half + Math.abs(Math.cos(middle)) * HALF_TYPE;
  const apart = 2 * open * Math.min(part.words, 1 - part.words);
  const reach = Math.min(FURTHEST, Math.max(NEAREST, across / Math.tan(Math.min(apart, 3) / 2) + HALF_TYPE));
  const radius = Math.min(reach - 2 * HALF_TYPE, 40);
  const arc = Array.from({ length: 33 }, (_, n) => on(part.from + (open * n) / 32, radius));
  lines.push(lineThrough(arc, 'size', part.field));
  const place = on(middle, reach);
  words.push({
    x: place.x,
    y: place.y + HALF_TYPE,
    anchor: 'middle',
    field: part.field,
    text: undefined,
    isAngle: true,
    isTight: reach > room.furthest,
  });
}
