import type { Issue, IssueCode, IssueFields } from './base/issue.ts';

type Sentences = { readonly [C in IssueCode]: (fields: IssueFields[C]) => string };

/** With its article: "a length", "an area". */
export function withArticle(kind: string): string {
  const name = SAID_AS[kind] ?? kind;
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
}

const SAID_AS: Readonly<Partial<Record<string, string>>> = {
  number: 'plain number',
  compound: 'mixed kind of quantity',
  money: 'sum of money',
};

/** One plain sentence for every issue: what is wrong and, where it helps, the way out. English. */
const SENTENCES: Sentences = {
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
  'name.unknown': ({ name }) =>
    `There is no mark called “${name}”; store one under that name first or correct the spelling.`,
  'name.taken': ({ name }) => `“${name}” already means something in an entry; choose another name for the mark.`,
  'name.shape': () => 'A name is letters, digits and _, a letter first.',
  'name.too_long': ({ limit }) => `A name has ${limit} characters at most.`,
  'name.in_use': ({ name }) => `There is already a mark called “${name}”; choose another name.`,
  'line.unknown': ({ line }) => `There is no line ${line} on the slate with a result to use.`,
  'line.failed': ({ line }) => `${line} has no result to use; mend it first.`,
  'line.circle': ({ chain }) =>
    `The line would use its own result (${chain}); let one of them stand without the other.`,
  'mark.failed': ({ name }) => `The mark “${name}” has no value to use; mend the line that makes it.`,
  'last.none': () => 'There is no result yet to go on from; begin with a size.',
  'run.backwards': ({ from, to }) =>
    `The run goes from ${from} up to ${to}, which stand the other way round on the slate.`,
  'run.misplaced': () => 'A run of lines can only be added up or compared: use sum, mean, min or max.',
  'run.empty': () => 'No line of this run has a result to use.',
  'call.arguments': ({ name, expected, given }) => `“${name}” takes ${expected} and was given ${given}.`,
  'percent.of_it': () => '“of it” follows a percent behind + or −, and means the sum so far.',
  'directive.unknown': ({ target }) => `No result can be read in “${target}”; name a unit, a fraction or a step.`,
  'directive.too_fine': () => 'A step this fine cannot be shown; give one of 1e-30 or more.',
  'directive.kind': ({ target, kind }) =>
    `${withArticle(kind).replace(/^a/, 'A')} cannot be read in “${target}”; name a unit of its own kind.`,
  'kind.add': ({ left, right }) =>
    `The left side is ${withArticle(left)} and the right side ${withArticle(right)}; only values of one kind add up.`,
  'kind.add_plain': ({ left, right }) =>
    `${withArticle(left).replace(/^a/, 'A')} and ${withArticle(right)} do not add up: give the plain number a unit.`,
  'kind.compare': ({ left, right }) =>
    `The left side is ${withArticle(left)} and the right side ${withArticle(right)}; only values of one kind compare.`,
  'kind.function': ({ name, kind, wanted }) =>
    `“${name}” was given ${withArticle(kind)}; it needs ${/^an? /.test(wanted) ? wanted : withArticle(wanted)} here.`,
  'kind.multiply': ({ left, right }) =>
    `${withArticle(left).replace(/^a/, 'A')} and ${withArticle(right)} cannot be multiplied or divided; an angle goes through sin, cos or tan first.`,
  'kind.temperature': () => 'A temperature is only converted, as in 68 °F to °C; it does not take part in sums.',
  'kind.root': ({ kind }) =>
    `${withArticle(kind).replace(/^a/, 'A')} has no such root: the square root of an area is a length.`,
  'kind.power': ({ kind }) =>
    `${withArticle(kind).replace(/^a/, 'A')} cannot be raised to a power; use its sine, cosine or tangent.`,
  'kind.answer': () => 'A comparison answers yes or no and cannot be part of a sum; give it a line of its own.',
  'answer.kept': ({ name }) =>
    `A comparison answers yes or no, and a mark holds a size; nothing was stored in “${name}”.`,
  'kind.unit_on_quantity': ({ kind }) =>
    `The brackets hold ${withArticle(kind)} already; take the unit behind them away.`,
  'power.not_plain': ({ kind }) => `A power is a plain number and this is ${withArticle(kind)}; take the unit away.`,
  'power.too_large': ({ limit }) => `Powers go up to ${limit}; split the sum over several lines.`,
  'value.too_large': () => 'The result has more digits than Sprell keeps; use smaller numbers or smaller powers.',
  'division.by_zero': () => 'This divides by zero; check the value under the division.',
  'root.of_negative': () => 'A value below zero has no square root; check the sign.',
  'range.arc': ({ name }) => `“${name}” takes a ratio from −1 to 1; check which side was divided by which.`,
  'range.logarithm': ({ name }) => `“${name}” takes a number over 0; check the value.`,
  'range.tangent': () => 'At a right angle the tangent has no value; check the angle.',
  'range.leg': () => 'The diagonal is shorter than the side; give the diagonal first, leg(c; a).',
  'range.step': () => 'A step has to be more than zero; give one such as 1/8".',
  'range.temperature': () => 'Nothing is colder than −459.67 °F, which is −273.15 °C; check the figure.',
  'scale.ratio': () => 'A ratio is two numbers, paper first, as in 1:20.',
  'scale.not_length': ({ side, kind }) =>
    `What stands for the ${side} is ${withArticle(kind)}; a scale is one length for another.`,
  'scale.zero': ({ side }) => `The length on the ${side} has to be more than zero.`,
  'scale.kind': ({ kind }) =>
    `${withArticle(kind).replace(/^a/, 'A')} is the same on paper and on site; a scale turns sizes.`,
  'rod.too_long': ({ limit, sheets }) =>
    `At its size this rod takes ${sheets} sheets, and no more than ${limit} are printed; print it to scale.`,
};

/** The sentence for an issue. */
export function describeIssue(issue: Issue): string {
  return (SENTENCES[issue.code] as (fields: unknown) => string)(issue.fields);
}

/** Every code there is, for the tests and the reference that hold the lists together. */
export const ISSUE_CODES = Object.keys(SENTENCES) as readonly IssueCode[];
