import { describeIssue, type Issue, type ReadingStyle } from '@sprell/core';
import { Conversation, SlateDesk } from '@sprell/core/conversation';
import { refused, reportOf, type Report } from './report.ts';

/** Takes phrases one after the other, as the screen does, and reports what each comes to. */
export function phrasesOf(
  style: ReadingStyle,
): (phrase: string) => { readonly report: Report; readonly issue?: Issue | undefined } {
  const desk = new SlateDesk(style, describeIssue);
  const conversation = new Conversation(desk);
  return (heard) => {
    const { says, turn } = conversation.hear([{ text: heard }]);
    const { waiting, missed } = conversation.state;
    if (missed !== undefined) {
      const [lost] = missed.unknown;
      const report = refused(turn?.entry ?? '', 'heard.unknown', says, lost?.start ?? 0, lost?.end ?? 0);
      return { report: { heard, says, ...report } };
    }
    // An order, of which nothing is worked out.
    if (turn === undefined || waiting === undefined)
      return { report: { heard, says, ...refused('', '', '', 0, 0), error: null } };
    const { entry, problem } = waiting.answer;
    const reckoned = desk.reckoned(entry, waiting.place);
    const report = reportOf(entry, reckoned, style);
    const error = report.error ?? (problem && refused(entry, 'heard.place', problem.sentence, 0, 0).error) ?? null;
    return { report: { heard, says, ...report, error }, issue: reckoned.issue };
  };
}
