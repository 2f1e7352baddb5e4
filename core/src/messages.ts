import type { Issue, IssueCode, IssueFields, Sentences } from './base/issue.ts';
import { EVALUATION_SENTENCES } from './evaluate/issues.ts';
import { NOTATION_SENTENCES } from './notation/issues.ts';
import { JIG_SENTENCES } from './jig/issues.ts';
import { ROW_SENTENCES } from './quantities/issues.ts';
import { SCALE_SENTENCES } from './scale/issues.ts';
import { STICK_SENTENCES } from './stick/issues.ts';
import { TABLE_SENTENCES } from './tables/issues.ts';

/** One plain sentence for every issue of an entry. */
const SENTENCES: Sentences<IssueFields> = {
  ...NOTATION_SENTENCES,
  ...EVALUATION_SENTENCES,
  ...JIG_SENTENCES,
  ...ROW_SENTENCES,
  ...SCALE_SENTENCES,
  ...STICK_SENTENCES,
  ...TABLE_SENTENCES,
};

/** The sentence for an issue. */
export function describeIssue(issue: Issue): string {
  const sentence = (SENTENCES[issue.code] as (fields: unknown) => string)(issue.fields);
  return issue.code === 'jig.step_failed' ? `${sentence} ${describeIssue(issue.fields.because)}` : sentence;
}

/** Every code there is, for the tests and the reference that hold the lists together. */
export const ISSUE_CODES = Object.keys(SENTENCES) as readonly IssueCode[];
