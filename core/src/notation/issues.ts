import type { IssueFields, Sentences } from '../base/issue.ts';
import { withArticle } from '../base/with-article.ts';

declare module '../base/issue.ts' {
  /** What an entry may be refused for as it is read. */
  interface IssueFields {
    'entry.empty': object;
    'entry.unfinished': { readonly expected: string };
    'entry.too_long': { readonly limit: string };
    'entry.too_deep': { readonly limit: string };
    'entry.side_by_side': { readonly left: string; readonly right: string };
    'character.unknown': { readonly character: string };
    'symbol.unexpected': { readonly symbol: string };
    'comma.unexpected': object;
    'equals.unexpected': object;
    'bracket.unopened': object;
    'bracket.empty': object;
    'number.zero_denominator': object;
    'number.too_large': object;
    'unit.without_number': { readonly unit: string };
    'name.taken': { readonly name: string };
    'name.shape': { readonly name: string };
    'name.too_long': { readonly limit: string };
    'name.in_use': { readonly name: string };
    'run.misplaced': object;
    'call.arguments': { readonly name: string; readonly expected: string; readonly given: string };
    'percent.of_it': object;
    'directive.unknown': { readonly target: string };
    'directive.too_fine': object;
    'directive.kind': { readonly target: string; readonly kind: string };
    'range.step': object;
    'jig.gone': object;
    'jig.answer_unknown': { readonly jig: string; readonly answer: string; readonly answers: string };
    'jig.input_unknown': { readonly jig: string; readonly input: string; readonly takes: string };
    'jig.input_twice': { readonly input: string };
    'jig.input_more': { readonly jig: string; readonly takes: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const NOTATION_SENTENCES = {
  'entry.empty': () => 'There is nothing here yet; type a size or a sum of sizes.',
  'entry.unfinished': ({ expected }) => `The entry stops short: ${expected} is still to come.`,
  'entry.too_long': ({ limit }) => `An entry holds ${limit} characters at most; split it over several lines.`,
  'entry.too_deep': ({ limit }) => `Brackets go ${limit} deep at most; put the inner part on a line of its own.`,
  'entry.side_by_side': ({ left, right }) =>
    `“${left}” and “${right}” have nothing between them; say whether to add, multiply or subtract.`,
  'character.unknown': ({ character }) => `“${character}” means nothing in an entry.`,
  'symbol.unexpected': ({ symbol }) => `“${symbol}” does not belong here; a value is missing next to it.`,
  'comma.unexpected': () => 'A comma groups thousands or separates the values of a function; it can do neither here.',
  'equals.unexpected': () => 'One = keeps a result as a mark or ends the entry; to compare two values write ==.',
  'bracket.unopened': () => 'This bracket closes nothing; leave it out or open one before it.',
  'bracket.empty': () => 'There is nothing between these brackets; put a value in or leave them out.',
  'number.zero_denominator': () => 'A fraction cannot have 0 at the bottom; write another denominator.',
  'number.too_large': () => 'This number is too large or too small to work with; write a smaller exponent.',
  'unit.without_number': ({ unit }) => `“${unit}” needs a number in front of it.`,
  'name.taken': ({ name }) => `“${name}” already means something in an entry; choose another name for the mark.`,
  'name.shape': () => 'A name is letters, digits and _, a letter first.',
  'name.too_long': ({ limit }) => `A name has ${limit} characters at most.`,
  'name.in_use': ({ name }) => `There is already a mark called “${name}”; choose another name.`,
  'run.misplaced': () => 'A run of lines can only be added up or compared: use sum, mean, min or max.',
  'call.arguments': ({ name, expected, given }) => `“${name}” takes ${expected} and was given ${given}.`,
  'percent.of_it': () => '“of it” follows a percent behind + or −, and means the sum so far.',
  'directive.unknown': ({ target }) => `No result can be read in “${target}”; name a unit, a fraction or a step.`,
  'directive.too_fine': () => 'A step this fine cannot be shown; give one of 1e-30 or more.',
  'directive.kind': ({ target, kind }) =>
    `${withArticle(kind).replace(/^a/, 'A')} cannot be read in “${target}”; name a unit of its own kind.`,
  'range.step': () => 'A step has to be more than zero; give one such as 1/8".',
  'jig.gone': () => 'The jig that this used is not in this job any more; bring it back, or write the sum out.',
  'jig.answer_unknown': ({ jig, answer, answers }) => `“${jig}” has no answer called “${answer}”; it has ${answers}.`,
  'jig.input_unknown': ({ jig, input, takes }) => `“${jig}” takes nothing called “${input}”; it takes ${takes}.`,
  'jig.input_twice': ({ input }) => `“${input}” is given twice; leave one of the two out.`,
  'jig.input_more': ({ jig, takes }) => `“${jig}” takes ${takes} and no more; leave this value out.`,
} satisfies Partial<Sentences<IssueFields>>;
