/** What a word being typed may become: marks, functions and units, each with a line that says what it is. */
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import { ABOUT_FUNCTIONS, ABOUT_UNITS, FUNCTIONS, UNITS, type FunctionName, type UnitId } from '@sprell/core';

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

/** Suggestions for the word at the cursor. A unit that is written out whole needs none. */
export function suggest(marks: () => readonly NamedMark[]) {
  return (context: CompletionContext): CompletionResult | null => {
    const word = context.matchBefore(/\p{L}[\p{L}\p{N}_]*/u);
    if (!word && !context.explicit) return null;
    const named = marks().map(({ name, reading }): Suggestion => ({
      label: name,
      reading,
      info: 'a mark of this job',
      type: 'mark',
      boost: 2,
    }));
    const typed = word?.text.toLowerCase() ?? '';
    const all = [...named, ...functions, ...units, ...words];
    if (typed !== '' && all.some(({ label }) => label.toLowerCase() === typed) && typed.length <= 2) return null;
    return { from: word?.from ?? context.pos, options: all, validFor: /^[\p{L}\p{N}_]*$/u };
  };
}
