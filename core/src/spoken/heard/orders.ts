/** What a phrase asks for that is no entry: to take a step back, to read something aloud, to write words on the slate. */
import { readHeardNumber } from './numbers.ts';
import { ASKING, ENDING, phraseAt, type Phrases, type Words } from './phrases.ts';
import type { HeardWord } from './words.ts';

/** Orders of which nothing more needs to be known. */
export type PlainOrder =
  /** What is shown counts. */
  | 'enter'
  | 'yes'
  | 'no'
  | 'undo'
  | 'redo'
  /** What was said last is said again. */
  | 'read-again'
  /** The last step is taken again, on its result. */
  | 'repeat'
  /** By how much the reading is off the exact value. */
  | 'rounding'
  | 'exact'
  | 'clear'
  | 'help'
  | 'stop';

export type Order =
  | { [Plain in PlainOrder]: { readonly asks: Plain } }[PlainOrder]
  /** The last lines of the slate are read out. */
  | { readonly asks: 'lines'; readonly count: number }
  /** One line is read out, or deleted; undefined for the last. */
  | { readonly asks: 'line'; readonly number: number | undefined }
  | { readonly asks: 'delete'; readonly number: number | undefined }
  | { readonly asks: 'heading' | 'row' | 'item'; readonly words: string }
  /** Words for a line: its label, or a note. Undefined for the last; a note of no line stands by itself. */
  | { readonly asks: 'label'; readonly number: number | undefined; readonly words: string }
  | { readonly asks: 'note'; readonly number: number | 'last' | undefined; readonly words: string };

/** Ways of saying each. */
export const PLAIN_ORDERS: Readonly<Record<PlainOrder, readonly string[]>> = {
  enter: ['enter', 'enter it', 'enter that', 'put it on', 'put that on', 'put it down', 'put it on the slate', 'write it down', 'write that down', 'keep it', 'keep that', 'next'], // prettier-ignore
  yes: ['yes', 'yeah', 'yep', 'aye', 'yes take it', 'right', 'that is right', "that's right", 'correct', 'ok', 'okay', 'do it', 'go ahead', 'sure'], // prettier-ignore
  no: ['no', 'nope', 'nay', 'no thanks', 'no thank you', 'cancel', 'leave it', 'never mind', 'forget it', 'forget that', 'scrap that', 'scrub that', 'wrong', "that's wrong", 'that is wrong', "don't"], // prettier-ignore
  undo: ['undo', 'undo it', 'undo that', 'take that back', 'take it back', 'step back'],
  redo: ['redo', 'redo it', 'redo that', 'put it back', 'put that back'],
  'read-again': ['read it again', 'read that again', 'read again', 'say it again', 'say that again', 'say again', 'again', 'once again', 'what was that', 'pardon', 'come again', 'what'], // prettier-ignore
  repeat: ['repeat', 'repeat it', 'repeat that', 'repeat the last one', 'repeat the last', 'repeat the last step', 'same again', 'the same again', 'once more'], // prettier-ignore
  rounding: ['how much over', 'how much over is that', 'how much over is it', 'how much under', 'how much off', 'how far off', 'how far off is that', 'how full', 'how shy', 'full or shy', 'is it full or shy', 'is that full or shy', 'by how much', 'what is the rounding', "what's the rounding"], // prettier-ignore
  exact: ['exactly', 'what is it exactly', 'what is that exactly', 'how much exactly', 'the exact value', 'what is the exact value'], // prettier-ignore
  clear: ['clear the slate', 'clear slate', 'wipe the slate', 'wipe the slate clean', 'clear everything', 'clear all', 'clear all lines', 'delete everything', 'delete all lines'], // prettier-ignore
  help: ['help', 'what can i say', 'what do i say'],
  stop: ['stop', 'stop listening', 'stop it', 'that will do', "that'll do", 'that is all', "that's all", 'be quiet', 'quiet'], // prettier-ignore
};
const BY_PHRASE: ReadonlyMap<string, PlainOrder> = new Map(
  Object.entries(PLAIN_ORDERS).flatMap(([order, phrases]) =>
    phrases.map((phrase) => [phrase, order as PlainOrder] as const),
  ),
);

const READING: Phrases<'read'> = [
  'what was',
  'what were',
  'read me',
  'read out',
  'read',
  'say',
  'tell me',
  'show me',
].map((words) => [words, 'read'] as const);
const DELETING: Phrases<'delete'> = ['delete', 'remove', 'scrub', 'scrap', 'cross out', 'strike out'].map(
  (words) => [words, 'delete'] as const,
);
const WRITING: Phrases<'heading' | 'note' | 'label' | 'row' | 'item'> = [
  ...['add a heading', 'new heading', 'heading'].map((words) => [words, 'heading'] as const),
  ...['add a note', 'make a note', 'new note', 'note'].map((words) => [words, 'note'] as const),
  ...['add a row', 'new row', 'row'].map((words) => [words, 'row'] as const),
  ['item', 'item'],
  ['label', 'label'],
];

/** Words at both ends that say nothing: "okay, undo that, please". */
function withoutAsides(words: Words): Words {
  let [from, to] = [0, words.length];
  for (let aside = phraseAt(words, from, ASIDES); aside !== undefined && aside.next < to;) {
    from = aside.next;
    aside = phraseAt(words, from, ASIDES);
  }
  while (to > from + 1 && phraseAt(words, to - 1, ENDING)?.kind !== undefined) to -= 1;
  return words.slice(from, to);
}
const ASIDES = ASKING.filter(([words]) => !words.startsWith('what') && !/^(show|tell|give|how|work)/.test(words));

/** The line that stands at a place: "line four", "that", "the last one". */
function lineAt(words: Words, at: number): { readonly number: number | undefined; readonly next: number } | undefined {
  const last = phraseAt(words, at, THE_LAST);
  if (last !== undefined) return { number: undefined, next: last.next };
  const start = words[at] === 'the' ? at + 1 : at;
  const number = words[start] === 'line' ? readHeardNumber(words, start + 1) : undefined;
  return number?.form === 'whole' ? { number: Number(number.text), next: number.next } : undefined;
}
const THE_LAST: Phrases<'last'> = [
  'the last line',
  'the last one',
  'the last',
  'that line',
  'that one',
  'that',
  'it',
].map((words) => [words, 'last'] as const);

/** "What were the last three", "read me the last five lines", "what was line four", "read line four". */
function readingOf(words: Words): Order | undefined {
  const read = phraseAt(words, 0, READING);
  if (read === undefined) return undefined;
  const start = words[read.next] === 'the' ? read.next + 1 : read.next;
  if (words[start] === 'last' || words[start] === 'previous') {
    const count = readHeardNumber(words, start + 1);
    const end = words.slice(count?.next ?? start + 1).join(' ');
    if (/^(line|lines|one|ones|entry|entries|results?)?$/.test(end) && (count === undefined || count.form === 'whole'))
      return { asks: 'lines', count: count === undefined ? 1 : Number(count.text) };
  }
  const line = lineAt(words, read.next);
  return line?.number === undefined || line.next < words.length ? undefined : { asks: 'line', number: line.number };
}

/** "Delete line four", "remove the last one", "take line four out". */
function deletingOf(words: Words): Order | undefined {
  const isTakenOut = words[0] === 'take' && words.at(-1) === 'out';
  const at = isTakenOut ? 1 : phraseAt(words, 0, DELETING)?.next;
  const line = at === undefined ? undefined : lineAt(words, at);
  if (line === undefined || line.next !== words.length - (isTakenOut ? 1 : 0)) return undefined;
  return { asks: 'delete', number: line.number };
}

/** The words behind a place, as they were heard. */
const restOf = (phrase: string, heard: readonly HeardWord[], at: number) => {
  const from = heard[at]?.start;
  return from === undefined ? '' : phrase.slice(from).trim();
};

/** "Heading kitchen wall", "note on line four check the wall", "label that top rail". */
function writingOf(phrase: string, heard: readonly HeardWord[], words: Words): Order | undefined {
  const written = phraseAt(words, 0, WRITING);
  if (written === undefined) return undefined;
  const { kind, next } = written;
  const rest = (at: number) => restOf(phrase, heard, at);
  if (kind !== 'label' && kind !== 'note') {
    const text = rest(next);
    return text === '' && kind !== 'row' ? undefined : { asks: kind, words: text };
  }
  const behind = /^(on|for|to|at)$/.test(words[next] ?? '') ? next + 1 : next;
  const line = kind === 'label' || behind > next ? lineAt(words, behind) : undefined;
  if (kind === 'label') {
    if (line === undefined) return undefined;
    const text = rest(/^(as|is)$/.test(words[line.next] ?? '') ? line.next + 1 : line.next);
    return text === '' ? undefined : { asks: kind, number: line.number, words: text };
  }
  const from = line?.next ?? next;
  const text = rest(words[from] === 'that' ? from + 1 : from);
  const number = line === undefined ? undefined : (line.number ?? 'last');
  return text === '' ? undefined : { asks: kind, number, words: text };
}

/** What a phrase asks for; undefined where it is an entry, or a correction of one. */
export function orderOf(phrase: string, heard: readonly HeardWord[]): Order | undefined {
  const all = heard.map(({ text }) => text);
  const words = withoutAsides(all);
  const plain = BY_PHRASE.get(words.join(' ')) ?? BY_PHRASE.get(all.join(' '));
  if (plain !== undefined) return { asks: plain };
  return readingOf(words) ?? deletingOf(words) ?? writingOf(phrase, heard.slice(all.length - words.length), words);
}
