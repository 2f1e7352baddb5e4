/** A stretch of a size, and how it is set. */
export interface SizePiece {
  readonly text: string;
  readonly kind: 'fraction' | 'prime' | undefined;
}

/** A size cut into its fractions, its primes, and what stands between them. */
export function sizePieces(text: string): readonly SizePiece[] {
  return text
    .split(/(\d+⁄\d+|′)/)
    .filter((piece) => piece !== '')
    .map((piece) => ({
      text: piece,
      kind: piece.includes('⁄') ? 'fraction' : piece === '′' ? 'prime' : undefined,
    }));
}

const WHOLE_FIGURE = /(\d+ \d+⁄\d+″?)/;

/** A size in stretches: whole inches and their fraction are one figure, which stays on one line. */
export function sizeStretches(
  text: string,
): readonly { readonly isFigure: boolean; readonly pieces: readonly SizePiece[] }[] {
  return text
    .split(WHOLE_FIGURE)
    .map((stretch, at) => ({ isFigure: at % 2 === 1, pieces: sizePieces(stretch) }))
    .filter(({ pieces }) => pieces.length > 0);
}

/** The same where no component stands: within the editor, and where figures are redrawn at every key. Set in base.css. */
export function sizeNode(text: string): HTMLElement {
  const node = document.createElement('span');
  for (const { isFigure, pieces } of sizeStretches(text)) {
    const figure = isFigure ? document.createElement('span') : node;
    if (isFigure) {
      figure.className = 'size-figure';
      node.append(figure);
    }
    for (const piece of pieces) {
      const part = document.createElement('span');
      part.textContent = piece.text;
      if (piece.kind) part.className = `size-${piece.kind}`;
      figure.append(part);
    }
  }
  return node;
}
