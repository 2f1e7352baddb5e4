/** Drawings for paper as a PDF: a page a sheet, a millimetre a millimetre. */
import { degrees, PDFDocument, rgb, type PDFFont, type PDFPage } from '@cantoo/pdf-lib';
import type { Drawing, Shape, TextShape } from '@sprell/core';
import * as fontkit from 'fontkit';
import plainFace from '@fontsource/barlow/files/barlow-latin-500-normal.woff?url';
import strongFace from '@fontsource/barlow/files/barlow-latin-600-normal.woff?url';
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
  const faceFrom = async (url: string): Promise<Face> => {
    const bytes = await load(url);
    const plain = await document.embedFont(bytes, { subset: true });
    const fractions = await document.embedFont(bytes, { subset: true, features: { frac: true } });
    return { plain, fractions, signs: new Set(plain.getCharacterSet()) };
  };
  const [usual, strong] = await Promise.all([faceFrom(plainFace), faceFrom(strongFace)]);
  for (const drawing of drawings) {
    const page = document.addPage([drawing.width * POINTS, drawing.height * POINTS]);
    for (const shape of drawing.shapes)
      draw(page, shape, drawing.height, shape.kind === 'text' && shape.strong ? strong : usual);
  }
  return document.save();
}

/** A PDF counts up from the foot of its page. */
function draw(page: PDFPage, shape: Shape, height: number, face: Face): void {
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
  else write(page, shape, y(shape.y), face);
}

function write(page: PDFPage, shape: TextShape, y: number, face: Face): void {
  const size = shape.size * POINTS;
  const pieces = setPieces(written(shape.text, face)).map(({ text, kind, closer }) => {
    const font = kind === 'fraction' ? face.fractions : face.plain;
    return { text, font, closer: closer * size, width: font.widthOfTextAtSize(text, size) };
  });
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

/** What the face has no sign for is written with one it has. */
function written(text: string, { signs }: Face): string {
  return [...text.replaceAll('≈', '~').replaceAll('−', signs.has(0x2212) ? '−' : '-')]
    .map((sign) => (signs.has(sign.codePointAt(0) ?? 0) ? sign : '?'))
    .join('');
}
