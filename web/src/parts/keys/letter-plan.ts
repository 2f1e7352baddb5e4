/** The letters, and the signs that labels and names are written with. */
import { insert } from '../entry/edits.ts';
import type { Key } from './key-plan.ts';

/** As on every keyboard; a thumb knows where they are. */
const AS_TYPED = ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'];
/** By the alphabet, seven in a row: wide enough for a glove. */
const BY_ALPHABET = ['abcdefg', 'hijklmn', 'opqrstu', 'vwxyz'];

const letter = (face: string): Key => ({ face, name: face, kind: 'word', press: (entry) => insert(entry, face) });

export function letterRows(gloves: boolean, capitals: boolean): readonly (readonly Key[])[] {
  return (gloves ? BY_ALPHABET : AS_TYPED).map((row) =>
    [...row].map((face) => letter(capitals ? face.toUpperCase() : face)),
  );
}

const sign = (face: string, name: string, piece = face): Key => ({
  face,
  name,
  kind: 'word',
  press: (entry) => insert(entry, piece),
});

export const SIGNS: readonly Key[] = [
  sign(':', 'end of the label', ': '),
  sign('=', 'stores it as a mark', ' = '),
  sign('..', 'to, in a run of lines'),
  sign('$', 'dollars'),
  sign('_', 'joins two words of a name'),
];
export const SPACE: Key = sign('space', 'space', ' ');
