import type { Issue } from '../base/issue.ts';

/** The issues of some codes. */
export type IssueOf<C extends Issue['code']> = Extract<Issue, { code: C }>;
