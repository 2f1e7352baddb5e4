/** How drawings are set, the same in a picture and in a PDF. */
import type { LineWeight } from '@sprell/core';
import { sizePieces, type SizePiece } from '../size-pieces.ts';

/** Millimetres. */
export const WEIGHTS: Readonly<Record<LineWeight, number>> = { fine: 0.12, plain: 0.25, heavy: 0.5, cut: 0.2 };
/** Of a line to cut along: drawn and left out, in millimetres. */
export const CUT_DASHES: readonly [drawn: number, left: number] = [2, 1.5];

/** Taken from the room that the face gives behind a prime, as a part of the height of the type. */
const BEHIND_PRIME = 0.3;

/** A piece of text, and how far it is moved towards the piece before it, as a part of the height of the type. */
export interface SetPiece extends SizePiece {
  readonly closer: number;
}

export function setPieces(text: string): readonly SetPiece[] {
  return sizePieces(text).map((piece, at, pieces) => ({
    ...piece,
    closer: pieces[at - 1]?.kind === 'prime' ? BEHIND_PRIME : 0,
  }));
}
