/** Fixes for words and symbols: a name nearly right, words written as people say them, an operator too many. */
import type { Fix, Issue } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import { isTaken } from '../notation/parser.ts';
import { nearestCall, nearestName, nearestUnit } from './near-words.ts';
import type { IssueOf } from './issue-of.ts';
import { rewrite } from './rewrite.ts';

/** Words that people write for an operator, and what the entry says instead. */
const SAID: ReadonlyMap<string, { readonly label: string; readonly written: string }> = new Map([
  ['by', { label: 'Multiply', written: ' × ' }],
  ['times', { label: 'Multiply', written: ' × ' }],
  ['plus', { label: 'Add', written: ' + ' }],
  ['minus', { label: 'Subtract', written: ' − ' }],
  ['less', { label: 'Subtract', written: ' − ' }],
  ['over', { label: 'Divide', written: ' ÷ ' }],
  ['and', { label: 'As one size', written: ' ' }],
]);

/** Numbers and shares said in words. */
const NUMBER_WORDS: ReadonlyMap<string, string> = new Map([
  ...['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'].map(
    (word, n) => [word, `${n + 1}`] as const,
  ),
  ['half', '1/2'],
  ['third', '1/3'],
  ['quarter', '1/4'],
]);

const WORD_BEFORE = /([\p{L}_][\p{L}\p{N}_.]*)\s*$/u;
const WORD_AT = /^[\p{L}_][\p{L}\p{N}_.]*/u;

/** The entry with a stretch written differently and no white space but the text's own around it. */
function swap(source: string, start: number, end: number, text: string): string {
  return `${source.slice(0, start).trimEnd()}${text}${source.slice(end).trimStart()}`.trim();
}

/** Two values side by side: the word that was to stand for an operator, a function or a unit, or that only tells more. */
export function sideBySideFixes(issue: Issue, source: string, names: readonly string[]): readonly Fix[] {
  const meant = [...offFixes(source), ...saidFixes(issue, source), ...callFixes(issue, source)];
  if (meant.length > 0) return meant;
  const right = WORD_AT.exec(source.slice(issue.start))?.[0];
  return [
    ...seenAsOne(issue, source),
    ...labelFixes(issue, source, names),
    ...(right === undefined ? uncalled(issue, source) : besideWord(issue, source, right)),
    ...issue.fixes,
  ];
}

/** 10% off 5' */
function offFixes(source: string): readonly Fix[] {
  const off = /^(.*%)\s*off\s+(.+)$/i.exec(source);
  return off ? [{ label: `${off[2]} − ${off[1]}`, entry: `${off[2]} - ${off[1]}` }] : [];
}

/** 5' by 4' and 2 times 3: the reader stops at the word, or behind it. */
function saidFixes(issue: Issue, source: string): readonly Fix[] {
  const left = WORD_BEFORE.exec(source.slice(0, issue.start));
  const behind = SAID.get(left?.[1]?.toLowerCase() ?? '');
  if (left && behind) return [{ label: behind.label, entry: swap(source, left.index, issue.start, behind.written) }];
  const right = WORD_AT.exec(source.slice(issue.start))?.[0];
  const half = right === 'and' && /^and\s+an?\s/i.test(source.slice(issue.start));
  const at = half ? undefined : SAID.get(right?.toLowerCase() ?? '');
  const end = issue.start + (right?.length ?? 0);
  return at ? [{ label: at.label, entry: swap(source, issue.start, end, at.written) }] : [];
}

/** 68 degrees F, and 16" oc: a word that belongs to the unit before it, or only tells more. */
function besideWord(issue: Issue, source: string, right: string): readonly Fix[] {
  const leaveOut = { label: `Leave out ${right}`, entry: swap(source, issue.start, issue.start + right.length, ' ') };
  return [...degreeFixes(issue, source, right), leaveOut];
}

/** 6' 4 and a half, 1 250 mm, 6 in 12": what stands apart is one number or a slope. */
function seenAsOne(issue: Issue, source: string): readonly Fix[] {
  const before = source.slice(0, issue.start);
  const rest = source.slice(issue.start);
  const half = /^and\s+a\s+(half|third|quarter)\b/i.exec(rest);
  if (half) {
    const share = NUMBER_WORDS.get((half[1] as string).toLowerCase()) as string;
    return [{ label: share, entry: swap(source, issue.start, issue.start + half[0].length, ` ${share} `) }];
  }
  const thousands = /(?:^|[^\d.,/])\d{1,3} $/.test(before) && /^\d{3}(?![\d/])/.test(rest);
  if (thousands) {
    const one = swap(source, issue.start, issue.start, '');
    return [{ label: (/\d+$/.exec(before.trimEnd())?.[0] ?? '') + rest.slice(0, 3), entry: one }];
  }
  if (/\d+\s*in\s+$/i.test(before)) return slopeFixes(before.replace(/in\s+$/i, ''), rest);
  return [];
}

/** Span 12'-0": the words in front of a size, as a label of its line. */
function labelFixes(issue: Issue, source: string, names: readonly string[]): readonly Fix[] {
  const words = /^\s*(\p{L}[\p{L} ]*?)\s+(?=[\d.½¼¾⅛⅜⅝⅞(])/u.exec(source);
  const label = words?.[1];
  if (words === null || label === undefined || words[0].length < issue.start) return [];
  const lower = label.toLowerCase();
  const means = (word: string) => word === 'of' || SAID.has(word) || nearestCall(word) !== undefined;
  if (names.some((name) => name.toLowerCase() === lower) || lower.split(' ').some(means)) return [];
  const size = source.slice(words[0].length);
  return [
    { label: `${label} as a label`, entry: `${label}: ${size}` },
    { label: `Leave out ${label}`, entry: size },
  ];
}

/** five feet: the number said in a word before a unit. */
export function numberFixes(issue: Issue, source: string): readonly Fix[] {
  const word = WORD_BEFORE.exec(source.slice(0, issue.start));
  const number = NUMBER_WORDS.get(word?.[1]?.toLowerCase() ?? '');
  return word && number !== undefined
    ? [
        {
          label: `${number} ${source.slice(issue.start, issue.end)}`,
          entry: swap(source, word.index, issue.start, `${number} `),
        },
      ]
    : [];
}

/** 5 feet, 6 inches: one size with a comma in it. */
export function commaFixes(issue: Issue, source: string): readonly Fix[] {
  const apart = /[^\d\s]\s*$/.test(source.slice(0, issue.start));
  const leaveOut = { label: 'Leave out the comma', entry: swap(source, issue.start, issue.end, ' ') };
  return apart ? [leaveOut, ...issue.fixes.slice(1)] : issue.fixes;
}

/** cosine 30, average(3; 4): the function that the word in front was meant for. */
function callFixes(issue: Issue, source: string): readonly Fix[] {
  const word = WORD_BEFORE.exec(source.slice(0, issue.start));
  const near = word?.[1] === undefined || isTaken(word[1]) ? undefined : nearestCall(word[1]);
  if (word === null || near === undefined) return [];
  const before = source.slice(0, word.index).trimEnd();
  const rest = source.slice(issue.start);
  return [
    { label: near, entry: `${before === '' ? '' : `${before} `}${near}${rest.startsWith('(') ? '' : ' '}${rest}` },
  ];
}

/** cbrt(8): no function is called that; what its brackets hold is something. */
function uncalled(issue: Issue, source: string): readonly Fix[] {
  const word = WORD_BEFORE.exec(source.slice(0, issue.start));
  if (word?.[1] === undefined || source[issue.start] !== '(') return [];
  return [{ label: `Leave out ${word[1]}`, entry: rewrite(source, { start: word.index, end: issue.start }, '') }];
}

/** 68 degrees F */
function degreeFixes(issue: Issue, source: string, right: string): readonly Fix[] {
  const degree = /^[cf]$/i.test(right) ? /\s*(?:°|deg|degrees?)\s*$/i.exec(source.slice(0, issue.start)) : null;
  const sign = `°${right.toUpperCase()}`;
  return degree ? [{ label: sign, entry: swap(source, degree.index, issue.start + right.length, ` ${sign}`) }] : [];
}

/** A symbol where a value was due: the symbol beside it is the one too many, or another was meant. */
export function symbolFixes(issue: IssueOf<'symbol.unexpected'>, source: string): readonly Fix[] {
  const { symbol } = issue.fields;
  const before = source.slice(0, issue.start);
  const after = source.slice(issue.end);
  if (symbol === '..') return [{ label: 'A decimal point', entry: `${before}.${after}` }];
  if (!/^(in|to)$/i.test(symbol)) return [];
  return [...slopeFixes(before, after), ...withoutOperator(before, ` ${symbol}${after}`)];
}

/** 3 @ 16": three of them. */
export function characterFixes(issue: IssueOf<'character.unknown'>, source: string): readonly Fix[] {
  return issue.fields.character === '@'
    ? [{ label: 'Multiply', entry: swap(source, issue.start, issue.end, ' × ') }]
    : [];
}

/** 5 * (): the operator goes with the brackets, which are left out in any case. */
export function emptyFixes(issue: Issue, source: string): readonly Fix[] {
  const fixes = withoutOperator(source.slice(0, issue.start), source.slice(issue.end));
  return fixes.length > 0 ? fixes : issue.fixes;
}

function withoutOperator(before: string, after: string): readonly Fix[] {
  const operator = /\s*[-+*/×÷−·^]\s*$/.exec(before);
  return operator && operator.index > 0
    ? [{ label: `Leave out ${operator[0].trim()}`, entry: `${before.slice(0, operator.index)}${after}`.trim() }]
    : [];
}

/** 6" in 12": rise and run are plain numbers. */
function slopeFixes(before: string, after: string): readonly Fix[] {
  const rise = /(\d+)\s*(?:"|″|in|inches)?\s*$/i.exec(before);
  const run = /^\s*(\d+)\s*(?:"|″|in\b|inches\b)?/i.exec(after);
  if (!rise || !run) return [];
  const text = `${rise[1]}:${run[1]}`;
  return [{ label: `A slope, ${text}`, entry: `${before.slice(0, rise.index)}${text}${after.slice(run[0].length)}` }];
}

/** A unit that a word was most likely meant for. */
export function unitNameFixes(place: Span, word: string, source: string): readonly Fix[] {
  const near = nearestUnit(word);
  return near === undefined ? [] : [{ label: near, entry: rewrite(source, place, near) }];
}

/** A name that nothing has: the nearest of what may stand there, or the entry without it. */
export function nameFixes(issue: IssueOf<'name.unknown'>, source: string, names: readonly string[]): readonly Fix[] {
  const { name } = issue.fields;
  const before = source.slice(0, issue.start);
  const isBehindNumber = /[\d)⅛⅜⅝⅞¼½¾]\s*$/u.test(before);
  const number = NUMBER_WORDS.get(name.toLowerCase());
  if (number !== undefined) return [{ label: number, entry: rewrite(source, issue, number) }];
  const near = isBehindNumber ? nearestUnit(name, names) : nearestName(name, names);
  if (near !== undefined) return [{ label: near, entry: rewrite(source, issue, near) }];
  return isBehindNumber ? [{ label: `Leave out ${name}`, entry: rewrite(source, issue, '') }] : [];
}

/** "of it" where there is no sum so far: without it, or the last result. */
export function itFixes(issue: Span, source: string): readonly Fix[] {
  const of = /\s*\bof\s+$/i.exec(source.slice(0, issue.start));
  if (of) return [{ label: 'Leave out of it', entry: rewrite(source, { start: of.index, end: issue.end }, '') }];
  return [{ label: 'last', entry: rewrite(source, issue, 'last') }];
}
