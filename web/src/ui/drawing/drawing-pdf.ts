/** Drawings for paper as a PDF: a page a sheet, a millimetre a millimetre. */
import { degrees, PDFDocument, rgb, type PDFFont, type PDFPage } from '@cantoo/pdf-lib';
import type { Drawing, Shape, TextShape } from '@sprell/core';
import * as fontkit from 'fontkit';
import plainFace from '@fontsource/barlow/files/barlow-latin-500-normal.woff?url';
import strongFace from '@fontsource/barlow/files/barlow-latin-600-normal.woff?url';
import plainExtended from '@fontsource/barlow/files/barlow-latin-ext-500-normal.woff?url';
import strongExtended from '@fontsource/barlow/files/barlow-latin-ext-600-normal.woff?url';
import everySign from '@fontsource/dejavu-sans/files/dejavu-sans-latin-400-normal.woff?url';
import { CUT_DASHES, setPieces, WEIGHTS } from './setting.ts';

/** Points in a millimetre: 72 to the inch. */
const POINTS = 72 / 25.4;
const BLACK = rgb(0, 0, 0);

export interface PdfWriter {
  write(drawings: readonly Drawing[], title: string): Promise<Uint8Array>;
}

interface Face {
  readonly plain: PDFFont;
  readonly fractions: PDFFont;
  readonly signs: ReadonlySet<number>;
}
/** The first that has a sign is the one it is written with: the page's own face, its letters of other languages, and one with roots, Greek and Cyrillic. */
const USUAL = [plainFace, plainExtended, everySign];
const STRONG = [strongFace, strongExtended, everySign];

/** @param load the bytes of a font by its address; the page's own fetch unless given */
export async function drawingsToPdf(
  drawings: readonly Drawing[],
  title: string,
  load: (url: string) => Promise<ArrayBuffer> = async (url) => (await fetch(url)).arrayBuffer(),
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(title);
  document.setProducer('Sprell');
  document.setCreator('Sprell');
  const loaded = new Map<string, Promise<Face>>();
  const faceFrom = async (url: string): Promise<Face> => {
    const bytes = await load(url);
    const plain = await document.embedFont(bytes, { subset: true });
    const fractions = await document.embedFont(bytes, { subset: true, features: { frac: true } });
    return { plain, fractions, signs: new Set(plain.getCharacterSet()) };
  };
  /** As many faces as the words need: those that nothing is written with are not loaded. */
  const facesFor = async (urls: readonly string[], signs: ReadonlySet<string>): Promise<readonly Face[]> => {
    const faces: Face[] = [];
    let left = [...signs];
    for (const url of urls) {
      if (left.length === 0 && faces.length > 0) break;
      const known = loaded.get(url) ?? faceFrom(url);
      loaded.set(url, known);
      const face = await known;
      faces.push(face);
      left = left.filter((sign) => !has(face, sign));
    }
    return faces;
  };
  const texts = drawings.flatMap(({ shapes }) => shapes.filter((shape) => shape.kind === 'text'));
  const signsOf = (isStrong: boolean) =>
    new Set(texts.filter(({ strong }) => strong === isStrong).flatMap(({ text }) => [...text]));
  const usual = await facesFor(USUAL, signsOf(false));
  const strong = await facesFor(STRONG, signsOf(true));
  for (const drawing of drawings) {
    const page = document.addPage([drawing.width * POINTS, drawing.height * POINTS]);
    for (const shape of drawing.shapes)
      draw(page, shape, drawing.height, shape.kind === 'text' && shape.strong ? strong : usual);
  }
  return document.save();
}

/** A PDF counts up from the foot of its page. */
function draw(page: PDFPage, shape: Shape, height: number, faces: readonly Face[]): void {
  const y = (mm: number) => (height - mm) * POINTS;
  if (shape.kind === 'line')
    page.drawLine({
      start: { x: shape.x1 * POINTS, y: y(shape.y1) },
      end: { x: shape.x2 * POINTS, y: y(shape.y2) },
      thickness: WEIGHTS[shape.weight] * POINTS,
      color: BLACK,
      ...(shape.weight === 'cut' ? { dashArray: CUT_DASHES.map((mm) => mm * POINTS) } : {}),
    });
  else if (shape.kind === 'box')
    page.drawRectangle({
      x: shape.x * POINTS,
      y: y(shape.y + shape.height),
      width: shape.width * POINTS,
      height: shape.height * POINTS,
      borderColor: BLACK,
      borderWidth: 0.3 * POINTS,
      ...(shape.filled ? { color: BLACK } : {}),
    });
  else write(page, shape, y(shape.y), faces);
}

function write(page: PDFPage, shape: TextShape, y: number, faces: readonly Face[]): void {
  const size = shape.size * POINTS;
  const pieces = setPieces(shape.text).flatMap(({ text, kind, closer }) =>
    runsOf(text, faces).map((run, n) => {
      const font = kind === 'fraction' ? run.face.fractions : run.face.plain;
      const width = font.widthOfTextAtSize(run.text, size);
      return { text: run.text, font, closer: n === 0 ? closer * size : 0, width };
    }),
  );
  const total = pieces.reduce((sum, { width, closer }) => sum + width - closer, 0);
  let along = { start: 0, middle: -total / 2, end: -total }[shape.anchor];
  for (const { text, font, width, closer } of pieces) {
    along -= closer;
    const x = shape.x * POINTS;
    page.drawText(text, {
      x: shape.upright ? x : x + along,
      y: shape.upright ? y + along : y,
      size,
      font,
      color: BLACK,
      ...(shape.upright ? { rotate: degrees(90) } : {}),
    });
    along += width;
  }
}

const has = ({ signs }: Face, sign: string): boolean => signs.has(sign.codePointAt(0) ?? 0);

/** Text in runs of one face; what no face has a sign for is written as a question mark. */
function runsOf(text: string, faces: readonly Face[]): readonly { readonly text: string; readonly face: Face }[] {
  const runs: { text: string; face: Face }[] = [];
  for (const sign of text) {
    const found = faces.find((face) => has(face, sign));
    const face = found ?? (faces[0] as Face);
    const written = found ? sign : '?';
    const last = runs[runs.length - 1];
    if (last?.face === face) last.text += written;
    else runs.push({ text: written, face });
  }
  return runs;
}
