import type { IssueFields, Sentences } from '../base/issue.ts';
import { withArticle } from '../base/with-article.ts';

declare module '../base/issue.ts' {
  /** What an entry may be refused for as it is worked out. */
  interface IssueFields {
    'name.unknown': { readonly name: string };
    'line.unknown': { readonly line: string };
    'line.failed': { readonly line: string };
    'line.circle': { readonly chain: string };
    'mark.failed': { readonly name: string };
    'last.none': object;
    'run.backwards': { readonly from: string; readonly to: string };
    'run.empty': object;
    'kind.add': { readonly left: string; readonly right: string };
    'kind.add_plain': { readonly left: string; readonly right: string };
    'kind.compare': { readonly left: string; readonly right: string };
    'kind.function': { readonly name: string; readonly kind: string; readonly wanted: string };
    'kind.multiply': { readonly left: string; readonly right: string };
    'kind.temperature': object;
    'kind.root': { readonly kind: string };
    'kind.power': { readonly kind: string };
    'kind.answer': object;
    'answer.kept': { readonly name: string };
    'kind.unit_on_quantity': { readonly kind: string };
    'power.not_plain': { readonly kind: string };
    'power.too_large': { readonly limit: string };
    'value.too_large': object;
    'division.by_zero': object;
    'root.of_negative': object;
    'range.arc': { readonly name: string };
    'range.logarithm': { readonly name: string };
    'range.tangent': object;
    'range.leg': object;
    'range.temperature': object;
    'if.question': object;
    'if.kinds': { readonly left: string; readonly right: string };
    'jig.input_missing': { readonly jig: string; readonly input: string };
    'jig.input_kind': { readonly jig: string; readonly input: string; readonly kind: string; readonly wanted: string };
    'jig.input_whole': { readonly jig: string; readonly input: string };
    'jig.input_low': { readonly jig: string; readonly input: string; readonly limit: string };
    'jig.input_high': { readonly jig: string; readonly input: string; readonly limit: string };
    /** `because` is what is wrong in the step. */
    'jig.step_failed': { readonly jig: string; readonly step: string; readonly because: Issue };
    'jig.answer_no_value': { readonly jig: string; readonly answer: string };
    'jig.repeat_whole': object;
    'jig.repeat_none': object;
    'jig.repeat_long': { readonly times: string; readonly limit: string };
    'jig.too_long': { readonly limit: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const EVALUATION_SENTENCES = {
  'name.unknown': ({ name }) =>
    `There is no mark called “${name}”; store one under that name first or correct the spelling.`,
  'line.unknown': ({ line }) => `There is no line ${line} on the slate with a result to use.`,
  'line.failed': ({ line }) => `${line} has no result to use; mend it first.`,
  'line.circle': ({ chain }) =>
    `The line would use its own result (${chain}); let one of them stand without the other.`,
  'mark.failed': ({ name }) => `The mark “${name}” has no value to use; mend the line that makes it.`,
  'last.none': () => 'There is no result yet to go on from; begin with a size.',
  'run.backwards': ({ from, to }) =>
    `The run goes from ${from} up to ${to}, which stand the other way round on the slate.`,
  'run.empty': () => 'No line of this run has a result to use.',
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
  'range.temperature': () => 'Nothing is colder than −459.67 °F, which is −273.15 °C; check the figure.',
  'if.question': () => 'What “if” goes by is a comparison, as in if(a < b; 3"; 4"); write one first.',
  'if.kinds': ({ left, right }) =>
    `“if” chooses between ${withArticle(left)} and ${withArticle(right)}; give it two values of one kind.`,
  'jig.input_missing': ({ jig, input }) => `“${jig}” needs “${input}”; give it a value.`,
  'jig.input_kind': ({ input, kind, wanted }) =>
    `“${input}” is ${withArticle(wanted)} and was given ${withArticle(kind)}; give it a value of its kind.`,
  'jig.input_whole': ({ input }) => `“${input}” is a whole number; round it first.`,
  'jig.input_low': ({ input, limit }) => `“${input}” is ${limit} at least; give it a larger value.`,
  'jig.input_high': ({ input, limit }) => `“${input}” is ${limit} at most; give it a smaller value.`,
  'jig.step_failed': ({ jig, step }) => `“${jig}” stops at its step “${step}”.`,
  'jig.answer_no_value': ({ jig, answer }) =>
    `“${answer}” of “${jig}” is no single value that an entry could use; look at it in the room of the jigs.`,
  'jig.repeat_whole': () => 'A step is repeated from one whole number to another; round what it counts to.',
  'jig.repeat_none': () => 'The step is repeated no time at all, and so comes to nothing; check what it counts to.',
  'jig.repeat_long': ({ times, limit }) =>
    `The step would be repeated ${times} times, and ${limit} is the most; count to less.`,
  'jig.too_long': ({ limit }) => `This takes more than ${limit} steps; repeat less often.`,
} satisfies Partial<Sentences<IssueFields>>;
