/** What a word being typed may become: marks, functions and units, each with a line that says what it is. */
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import { ABOUT_FUNCTIONS, ABOUT_UNITS, FUNCTIONS, UNITS, type FunctionName, type UnitId } from '@sprell/core';
import { jigsOffered } from '../../live/jigs-offered.ts';

export interface NamedMark {
  readonly name: string;
  readonly reading: string;
}

/** A suggestion; a mark shows its size. */
export interface Suggestion extends Completion {
  readonly reading?: string;
}

const functions: readonly Completion[] = Object.entries(FUNCTIONS).map(([name, { args }]) => ({
  label: name,
  detail: `(${args})`,
  info: ABOUT_FUNCTIONS[name as FunctionName],
  type: 'function',
  apply: `${name}(`,
}));

const units: readonly Completion[] = UNITS.filter(({ words }) => words.length > 0).map(({ id, words }) => ({
  label: words[0] as string,
  info: ABOUT_UNITS[id as UnitId],
  type: 'unit',
}));

const words: readonly Completion[] = [
  { label: 'to', info: 'reads this line another way: to mm, to 1/32, to ft', type: 'word' },
  { label: 'of', info: 'a part of what follows: 1/3 of 7′ 6″', type: 'word' },
  { label: 'last', info: 'the result that landed last', type: 'word' },
  { label: 'pi', info: 'π, exact until it is read', type: 'word' },
];

/** Jigs that an entry may name. They are found by the words of their titles as well: boards finds decking. */
const jigs = (): readonly Suggestion[] =>
  jigsOffered().map(({ name, title, inputs }) => ({
    label: `${name} ${title}`,
    displayLabel: name,
    detail: `(${inputs.join('; ')})`,
    info: title,
    type: 'function',
    boost: 1,
    apply: `${name}(`,
  }));

/** All that a word may become: marks first. */
export function allNames(marks: readonly NamedMark[]): readonly Suggestion[] {
  const named = marks.map(({ name, reading }): Suggestion => ({
    label: name,
    reading,
    info: 'a mark of this job',
    type: 'mark',
    boost: 2,
  }));
  return [...named, ...jigs(), ...functions, ...units, ...words];
}

/** What the word at the cursor may be as a name for what is being written: a label, of old or new, or a mark. */
export function namings(text: string, from: number, labels: readonly string[]): readonly Suggestion[] {
  const said = text.slice(0, from);
  // A label or a new mark stands at the very front.
  if (!/^\s*\p{L}[\p{L}\p{N}_ ]*$/u.test(said)) return [];
  const typed = said.trim();
  const begun = [...new Set(labels)].filter((label) => label.toLowerCase().startsWith(typed.toLowerCase()));
  const label = (words: string, boost: number): Suggestion => ({
    label: `${words}:`,
    apply: `${words}: `,
    info: 'a label for this line',
    type: 'label',
    boost,
  });
  const isName = /^\p{L}[\p{L}\p{N}_]*$/u.test(typed);
  return [
    ...begun.slice(0, MOST_LABELS).map((words) => label(words, -1)),
    ...(begun.some((words) => words === typed) ? [] : [label(typed, LAST)]),
    ...(isName
      ? [{ label: `${typed} =`, apply: `${typed} = `, info: 'stores it as a mark', type: 'mark', boost: LAST }]
      : []),
  ];
}
const MOST_LABELS = 4;
/** Behind every word that is known. */
const LAST = -99;

/** Suggestions for the word at the cursor. A unit that is written out whole needs none. */
export function suggest(marks: () => readonly NamedMark[]) {
  return (context: CompletionContext): CompletionResult | null => {
    const word = context.matchBefore(/\p{L}[\p{L}\p{N}_]*/u);
    if (!word && !context.explicit) return null;
    const typed = word?.text.toLowerCase() ?? '';
    const all = allNames(marks());
    if (typed !== '' && all.some(({ label }) => label.toLowerCase() === typed) && typed.length <= 2) return null;
    return { from: word?.from ?? context.pos, options: all, validFor: /^[\p{L}\p{N}_]*$/u };
  };
}

/** Suggestions of a label or a new mark for what begins the entry. */
export function suggestNames(labels: () => readonly string[]) {
  return (context: CompletionContext): CompletionResult | null => {
    const options = namings(context.state.doc.toString(), context.pos, labels());
    return options.length === 0 ? null : { from: 0, options };
  };
}
