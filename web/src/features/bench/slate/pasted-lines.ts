/** Several lines that were pasted, each as the line of the slate that it becomes. What the slate copies comes back as it was. */
import { EMPTY_SCOPE, reckonTyped, type Quantity, type Scope, type TypedOptions } from '@sprell/core';

export interface PastedLine {
  /** The entry, or the words of a heading or a plain note. */
  readonly text: string;
  readonly kind: 'entry' | 'heading' | 'note';
  /** What it comes to; undefined for words. */
  readonly reading: string | undefined;
  /** The number that it had where it was copied. */
  readonly number: number | undefined;
  /** The note beneath it. */
  readonly note: string;
}

const NUMBER = /^#(\d+)\s+/u;
/** How a copied line goes on behind its sum: what that came to, and how it was rounded. */
const RESULT = /\s=\s[^=]*$/u;
const ROUNDING = /,\s(?:full|shy|rounded)(?:\sby\s.*)?$/u;
/** Most lines that are offered together. */
export const MOST_PASTED = 2000;

/** How many of them there are in all. */
export const countPasted = (text: string): number =>
  text.split(/\r?\n/u).filter((line) => line.trim() !== '' && !/^\s{4}/u.test(line)).length;

export function pastedLines(text: string, options: TypedOptions): readonly PastedLine[] {
  const lines: PastedLine[] = [];
  const before = new Map<number, Quantity>();
  const within = { ...options, scope: withPasted(options.scope ?? EMPTY_SCOPE, before) };
  for (const written of text.split(/\r?\n/u)) {
    const words = written.trim();
    if (words === '') continue;
    const last = lines[lines.length - 1];
    // A note stands beneath its line, set in.
    if (/^\s{4}/u.test(written) && last?.kind === 'entry') {
      lines[lines.length - 1] = { ...last, note: last.note === '' ? words : `${last.note}\n${words}` };
      continue;
    }
    if (lines.length >= MOST_PASTED) break;
    lines.push(lineOf(words, within, before));
  }
  return lines;
}

/** What one of them says of another is of that one, whatever has its number here. */
function withPasted(scope: Scope, before: ReadonlyMap<number, Quantity>): Scope {
  const pasted = (number: number) => {
    const quantity = before.get(number);
    return quantity && { ok: true as const, quantity };
  };
  return {
    ...scope,
    line: (number) => pasted(number) ?? scope.line(number),
    run: (from, to) => {
      if (!before.has(from) || !before.has(to)) return scope.run(from, to);
      const numbers = [...before.keys()];
      return numbers.slice(numbers.indexOf(from), numbers.indexOf(to) + 1).flatMap((number) => pasted(number) ?? []);
    },
  };
}

function lineOf(words: string, options: TypedOptions, before: Map<number, Quantity>): PastedLine {
  const note = /^--\s+(?<said>.+)$/u.exec(words)?.groups?.['said'];
  if (note !== undefined) return { text: note, kind: 'note', reading: undefined, number: undefined, note: '' };
  const number = NUMBER.exec(words)?.[1];
  const bare = words.replace(NUMBER, '').replace(ROUNDING, '');
  for (const entry of [bare, bare.replace(RESULT, '')]) {
    const { issue, reading, written, outcome } = reckonTyped(entry, options);
    if (issue === undefined && outcome !== undefined) {
      if (number !== undefined && outcome.kind === 'quantity') before.set(Number(number), outcome.quantity);
      return {
        text: written,
        kind: 'entry',
        reading: reading?.text,
        number: number === undefined ? undefined : Number(number),
        note: '',
      };
    }
  }
  // What was a line is one still, with whatever is wrong with it; anything else is words.
  return number === undefined
    ? { text: words, kind: 'heading', reading: undefined, number: undefined, note: '' }
    : { text: bare.replace(RESULT, ''), kind: 'entry', reading: undefined, number: Number(number), note: '' };
}

/**
 * The entries as they are to land: what one says of another of them by the number that it had says it by the number that it
 * gets.
 * @param firstNumber the number that the first of them gets
 */
export function renumbered(lines: readonly PastedLine[], firstNumber: number): readonly string[] {
  const entries = lines.filter(({ kind }) => kind === 'entry');
  const now = new Map<number, number>();
  entries.forEach(({ number }, at) => {
    if (number !== undefined) now.set(number, firstNumber + at);
  });
  return entries.map(({ text }) =>
    text.replace(/#(\d+)/gu, (reference, digits: string) => {
      const other = now.get(Number(digits));
      return other === undefined ? reference : `#${other}`;
    }),
  );
}
