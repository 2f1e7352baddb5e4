/** Fixes for words and symbols: a name nearly right, words written as people say them, an operator too many. */
import type { Fix, Issue } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import { ON_CENTRES } from '../notation/note-reader.ts';
import { isTaken } from '../notation/parser.ts';
import { nearestBracketed, nearestCall, nearestName, nearestUnit } from './near-words.ts';
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

/** Two values side by side: the word that was to stand for an operator, a function or a unit, or that only describes. */
export function sideBySideFixes(issue: Issue, source: string, names: readonly string[]): readonly Fix[] {
  const meant = [...offFixes(source), ...saidFixes(issue, source), ...callFixes(issue, source)];
  if (meant.length > 0) return meant;
  const right = WORD_AT.exec(source.slice(issue.start))?.[0];
  const known = (word: string | undefined) => word === undefined || names.some((name) => isSameName(name, word));
  const seen = [...spacingFixes(issue, source), ...seenAsOne(issue, source)];
  const opens = source[issue.start] === '(';
  const isSum = known(right) && (!opens || known(WORD_BEFORE.exec(source.slice(0, issue.start))?.[1]));
  return [
    ...seen,
    ...unitAtFixes(issue, source, right),
    ...labelFixes(issue, source, names),
    ...(right === undefined ? rootFixes(issue, source) : noteFixes(issue, source)),
    ...(isSum && seen.length === 0 && !STOCK.test(source) ? issue.fixes : []),
  ];
}

function isSameName(name: string, word: string): boolean {
  return name.toLowerCase() === word.toLowerCase();
}

/** 4 ft 6 inc: a unit with a slip in it, behind its number. */
function unitAtFixes(issue: Issue, source: string, word: string | undefined): readonly Fix[] {
  const near = word !== undefined && /\d\s*$/.test(source.slice(0, issue.start)) ? nearestUnit(word) : undefined;
  return near === undefined || word === undefined
    ? []
    : [{ label: near, entry: rewrite(source, { start: issue.start, end: issue.start + word.length }, near) }];
}

/** 10% off 5' */
function offFixes(source: string): readonly Fix[] {
  const off = /^(.*%)\s*off\s+(.+)$/i.exec(source);
  return off ? [{ label: `${off[2]} − ${off[1]}`, entry: `${off[2]} - ${off[1]}` }] : [];
}

/** 5' by 4' and 2 times 3: the reader stops at the word, or behind it. */
function saidFixes(issue: Issue, source: string): readonly Fix[] {
  if (/\bplus or minus\b/i.test(source)) return [];
  const left = WORD_BEFORE.exec(source.slice(0, issue.start));
  const behind = SAID.get(left?.[1]?.toLowerCase() ?? '');
  if (left && behind) return [{ label: behind.label, entry: swap(source, left.index, issue.start, behind.written) }];
  const right = WORD_AT.exec(source.slice(issue.start))?.[0];
  const half = right === 'and' && /^and\s+an?\s/i.test(source.slice(issue.start));
  const at = half ? undefined : SAID.get(right?.toLowerCase() ?? '');
  const end = issue.start + (right?.length ?? 0);
  return at ? [{ label: at.label, entry: swap(source, issue.start, end, at.written) }] : [];
}

/** 3/4" ply: words after a size that describe it stay with it, as a note. */
function noteFixes(issue: Issue, source: string): readonly Fix[] {
  const said = /^[\p{L}][\p{L} ]*/u.exec(source.slice(issue.start))?.[0].trimEnd().split(/ +/) ?? [];
  const meant = said.findIndex((word) => isTaken(word) || SAID.has(word.toLowerCase()));
  const words = said.slice(0, meant === -1 ? said.length : meant).join(' ');
  if (words === '' || /\d\s*$/.test(source.slice(0, issue.start))) return [];
  const end = issue.start + words.length;
  return [
    {
      label: `Keep “${words}” as a note`,
      entry: swap(source, issue.start, end, ` (${words})${/^\s*[^)\s]/.test(source.slice(end)) ? ' ' : ''}`),
    },
  ];
}

/** 6' 4 and a half, 1 250 mm, 6 in 12": what stands apart is one number or a slope. */
function seenAsOne(issue: Issue, source: string): readonly Fix[] {
  const before = source.slice(0, issue.start);
  const rest = source.slice(issue.start);
  const half = /^and\s+a\s+(half|third|quarter)\b/i.exec(rest);
  if (half) {
    const share = NUMBER_WORDS.get((half[1] as string).toLowerCase()) as string;
    // Behind a unit it is a part of that: 5′ and a half is half a foot more.
    const whole = /(\d)\s*(['"′″’”]|\p{L}+)\s*$/u.exec(before);
    const start = whole ? whole.index + 1 : issue.start;
    const unit = whole ? (/^\p{L}/u.test(whole[2] as string) ? ` ${whole[2]}` : (whole[2] as string)) : ' ';
    return [{ label: `${share}${unit}`, entry: swap(source, start, issue.start + half[0].length, ` ${share}${unit}`) }];
  }
  const groups = /(?:^|[^\d.,/])\d{1,3} $/.test(before) ? /^\d{3}(?: \d{3})*(?![\d/])/.exec(rest)?.[0] : undefined;
  if (groups !== undefined) {
    const behind = groups.replaceAll(' ', '');
    const one = `${before.trimEnd()}${behind}${rest.slice(groups.length)}`.trim();
    return [{ label: (/\d+$/.exec(before.trimEnd())?.[0] ?? '') + behind, entry: one }];
  }
  if (/\d+\s*in\s+$/i.test(before)) return slopeFixes(before.replace(/in\s+$/i, ''), rest);
  return [];
}

/** Span 12'-0", 2x4 8': the words, or the size of the stock, in front of a size as a label of its line. */
function labelFixes(issue: Issue, source: string, names: readonly string[]): readonly Fix[] {
  const stock = STOCK.exec(source);
  if (stock?.[0].length === issue.start) return [asLabel(stock[1] as string, source.slice(issue.start))];
  const words = /^\s*(\p{L}[\p{L} ]*?)\s+(?=[\d.½¼¾⅛⅜⅝⅞(])/u.exec(source);
  const label = words?.[1];
  if (words === null || label === undefined || words[0].length < issue.start) return [];
  const lower = label.toLowerCase();
  const means = (word: string) => word === 'of' || SAID.has(word) || nearestCall(word) !== undefined;
  if (names.some((name) => name.toLowerCase() === lower) || lower.split(' ').some(means)) return [];
  return [asLabel(label, source.slice(words[0].length))];
}

/** 2x4 and 1 x 6: what a board is called, with another size behind it. */
const STOCK = /^\s*(\d+(?:\s*x\s*\d+){1,2})\s+/i;

function asLabel(label: string, size: string): Fix {
  return { label: `“${label}” as a label`, entry: `${label}: ${size}` };
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

/** 12' * 10 in mm: behind a plain number `in` counts inches, where `to` was meant. */
export function inToFixes(issue: Issue, source: string): readonly Fix[] {
  const before = /^(.*\d)\s*in\s+$/i.exec(source.slice(0, issue.start))?.[1];
  if (before === undefined) return [];
  const rest = source.slice(issue.start);
  return [{ label: `to ${rest}`, entry: `${before} to ${rest}` }];
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
  const guess = source[issue.start] === '(' ? nearestBracketed : nearestCall;
  const near = word?.[1] === undefined || isTaken(word[1]) ? undefined : guess(word[1]);
  if (word === null || near === undefined) return [];
  const before = source.slice(0, word.index).trimEnd();
  const rest = source.slice(issue.start);
  return [
    { label: near, entry: `${before === '' ? '' : `${before} `}${near}${rest.startsWith('(') ? '' : ' '}${rest}` },
  ];
}

/** cbrt(8): no function is called that, but the power is there. */
function rootFixes(issue: Issue, source: string): readonly Fix[] {
  const word = WORD_BEFORE.exec(source.slice(0, issue.start));
  const inside = /^\([^()]*\)/.exec(source.slice(issue.start))?.[0];
  if (!/^(?:cbrt|cuberoot)$/i.test(word?.[1] ?? '') || word === null || inside === undefined) return [];
  const root = `${inside}^(1/3)`;
  return [{ label: root, entry: rewrite(source, { start: word.index, end: issue.start + inside.length }, root) }];
}

/** A symbol where a value was due: the symbol beside it is the one too many, or another was meant. */
export function symbolFixes(issue: IssueOf<'symbol.unexpected'>, source: string): readonly Fix[] {
  const { symbol } = issue.fields;
  const before = source.slice(0, issue.start);
  const after = source.slice(issue.end);
  if (symbol === '..' || (symbol === ',' && /^\d/.test(after)))
    return [{ label: 'A decimal point', entry: `${before}.${after}` }];
  if (!/^(in|to)$/i.test(symbol)) return [];
  return [...slopeFixes(before, after), ...withoutOperator(before, ` ${symbol}${after}`)];
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

/** A name that nothing has: the nearest of what is valid at that place, a number in words, or the label that it was meant as. */
export function nameFixes(issue: IssueOf<'name.unknown'>, source: string, names: readonly string[]): readonly Fix[] {
  const { name } = issue.fields;
  const before = source.slice(0, issue.start);
  const isBehindNumber = /[\d)⅛⅜⅝⅞¼½¾]\s*$/u.test(before);
  const number = NUMBER_WORDS.get(name.toLowerCase());
  if (number !== undefined) return [{ label: number, entry: rewrite(source, issue, number) }];
  if (!isBehindNumber) {
    const near = nearestName(name, names);
    return near === undefined ? [] : [{ label: near, entry: rewrite(source, issue, near) }];
  }
  if (name === 'c' && /\d$/.test(before)) return centFixes(issue, source);
  const spacing = spacingFixes(issue, source);
  if (spacing.length > 0) return spacing;
  const near = nearestUnit(name, names);
  if (near !== undefined) return [{ label: near, entry: rewrite(source, issue, near) }];
  const count = /^\s*([\d.,/ ]*\d)\s*(\p{L}{4,}(?: \p{L}+)*)\s*$/u.exec(source);
  return count ? [asLabel(count[2] as string, count[1] as string)] : [];
}

/** 99c */
function centFixes(issue: Span, source: string): readonly Fix[] {
  const amount = /(\d+)$/.exec(source.slice(0, issue.start));
  if (amount === null) return [];
  const cents = (amount[1] as string).padStart(3, '0');
  const money = `$${cents.slice(0, -2)}.${cents.slice(-2)}`;
  return [{ label: money, entry: rewrite(source, { start: amount.index, end: issue.end }, money) }];
}

/** 16 oc, 24 on center and 600 crs: a spacing needs its unit. */
export function spacingFixes(issue: Span, source: string): readonly Fix[] {
  // What the issue names may be a word further on, or a point in it.
  const found = /^(.*?\d)\s*(?=(?:o\.?\s?\/?c|c\.?\/?c|on|cent|ctr|crs)(?:\b|e|r))/iu.exec(source);
  const [, before] = found ?? [];
  if (found === null || before === undefined || found[0].length > issue.start) return [];
  const words = source.slice(found[0].length);
  const said = ON_CENTRES.exec(words)?.[0];
  if (said === undefined || found[0].length + said.length <= issue.start) return [];
  const size = /[\d./ ]+$/.exec(before)?.[0].trim() ?? '';
  const units = Number(size) >= LIKELY_MILLIMETRES ? [' mm', '"'] : ['"', ' mm'];
  return units.map((unit) => ({ label: `${size}${unit}`, entry: `${before}${unit} ${words}` }));
}

/** No spacing in inches is this wide. */
const LIKELY_MILLIMETRES = 100;

/** "of it" where there is no sum so far: without it, or the last result. */
export function itFixes(issue: Span, source: string): readonly Fix[] {
  const of = /\s*\bof\s+$/i.exec(source.slice(0, issue.start));
  if (of) return [{ label: 'Leave out of it', entry: rewrite(source, { start: of.index, end: issue.end }, '') }];
  return [{ label: 'last', entry: rewrite(source, issue, 'last') }];
}
