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

/** The same where no component can stand: within the editor. Its classes are set in base.css. */
export function sizeNode(text: string): HTMLElement {
  const node = document.createElement('span');
  for (const piece of sizePieces(text)) {
    const part = document.createElement('span');
    part.textContent = piece.text;
    if (piece.kind) part.className = `size-${piece.kind}`;
    node.append(part);
  }
  return node;
}
