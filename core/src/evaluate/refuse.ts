import { makeIssue, type Issue, type IssueCode, type IssueFields } from '../base/issue.ts';
import type { Span } from '../base/span.ts';

/** Carries an issue out of a nested evaluation to the one place that catches it, `evaluate`. */
export class Refusal {
  readonly issue: Issue;

  constructor(issue: Issue) {
    this.issue = issue;
  }
}

/** Ends the evaluation with an issue. */
export function refuse<C extends IssueCode>(code: C, span: Span, fields: IssueFields[C]): never {
  // eslint-disable-next-line @typescript-eslint/only-throw-error -- a private signal, caught in evaluate(); an Error would cost a stack trace
  throw new Refusal(makeIssue(code, span, fields));
}
