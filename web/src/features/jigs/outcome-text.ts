import { describeIssue, readQuantity, type Issue, type ReadingStyle } from '@sprell/core';
import type { StepOutcome } from '@sprell/core/jig';

/** What a step or an answer came to, in words: a size, several, yes or no, or what was in the way. */
export function outcomeText(outcome: StepOutcome | undefined, style: ReadingStyle, issue?: Issue): string {
  switch (outcome?.kind) {
    case 'quantity':
      return readQuantity(outcome.quantity, style).text;
    case 'list':
      return outcome.quantities.map((quantity) => readQuantity(quantity, style).text).join(', ');
    case 'answer':
      return outcome.yes ? 'yes' : 'no';
    default:
      return issue === undefined ? 'nothing' : describeIssue(issue);
  }
}
