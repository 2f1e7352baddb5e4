import type { IssueFields, Sentences } from '../base/issue.ts';
import { withArticle } from '../base/with-article.ts';

declare module '../base/issue.ts' {
  /** What a jig may be refused for as it is made ready. */
  interface IssueFields {
    'jig.no_answer': object;
    'jig.steps_many': { readonly count: string; readonly limit: string };
    'jig.uses_mark': { readonly name: string };
    'jig.uses_line': { readonly line: string };
    'jig.step_later': { readonly name: string };
    'jig.assigns': { readonly name: string };
    'jig.name_twice': { readonly name: string };
    'jig.circle': { readonly chain: string };
    'jig.unit': { readonly unit: string; readonly wanted: string };
    'jig.unit_missing': object;
    'jig.not_fixed': { readonly field: string };
    'jig.field_kind': { readonly field: string; readonly kind: string; readonly wanted: string };
    'jig.check_answer': { readonly answer: string };
    'jig.check_inputs': { readonly given: string; readonly takes: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const JIG_SENTENCES = {
  'jig.no_answer': () => 'No step of this jig is an answer; say which of them it is for.',
  'jig.steps_many': ({ count, limit }) =>
    `With the jigs that it uses this one has ${count} steps, and ${limit} is the most; split it up.`,
  'jig.uses_mark': ({ name }) =>
    `“${name}” is no input of this jig and no step before this one. A jig knows no marks, so that it works in every job: make it an input.`,
  'jig.uses_line': ({ line }) => `A jig knows no lines, and so not ${line}; make it an input, or a step of its own.`,
  'jig.step_later': ({ name }) => `“${name}” is a later step; move it in front of this one.`,
  'jig.assigns': ({ name }) => `A step stores nothing; leave “${name} =” out, the step has a name of its own.`,
  'jig.name_twice': ({ name }) => `Two things in this jig are called “${name}”; give one of them another name.`,
  'jig.circle': ({ chain }) => `These jigs use each other in a circle (${chain}); let one of them do without.`,
  'jig.unit': ({ unit, wanted }) => `“${unit}” is no unit of ${withArticle(wanted)}; choose another.`,
  'jig.unit_missing': () => 'So much of one for each of another needs its unit, as in $/m or kg/m³; write it.',
  'jig.not_fixed': ({ field }) =>
    `${field} is one value for good, and can name nothing; write it as a number or a size.`,
  'jig.field_kind': ({ field, kind, wanted }) =>
    `${field} is ${withArticle(kind)} here and has to be ${withArticle(wanted)}; write it with the unit of its kind.`,
  'jig.check_answer': ({ answer }) => `This jig has no answer called “${answer}”; say which answer the check is about.`,
  'jig.check_inputs': ({ given, takes }) =>
    `The check gives ${given} values and the jig takes ${takes}; leave the others out.`,
} satisfies Partial<Sentences<IssueFields>>;
