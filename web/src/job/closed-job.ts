import { listsOf, styleOfJob, type LineWire, type Things } from '@sprell/contract';
import { fromStored } from '@sprell/core';
import type { JobHead } from '../adapters/local/local-store.ts';
import { JigNames } from './jig-names.ts';
import { MarkNames } from './mark-names.ts';

/** What is read of a job that is not open. */
interface ClosedJob {
  readonly head: Pick<JobHead, 'reading' | 'thousands' | 'decimalComma' | 'currency'>;
  readonly lines: readonly LineWire[];
  readonly things: Things;
}

/** How its entries read: with the jigs and the names of its own, which later words of the language do not take from it. */
export function readingOf({ head, things }: ClosedJob) {
  const [jigs, marks] = [new JigNames(), new MarkNames()];
  const lists = listsOf(things);
  jigs.update(lists.jigs.filter(({ deleted }) => !deleted));
  marks.update({ marks: lists.marks, isMade: () => true });
  return {
    jigs,
    marks,
    style: { ...styleOfJob(head.reading, head), names: new Set(marks.words), jigs: jigs.programs },
  };
}

/** Shows entries of a job that is not open as a person sees them. */
export function shownIn(
  { lines }: ClosedJob,
  { jigs, marks }: ReturnType<typeof readingOf>,
): (stored: string) => string {
  const numbers = new Map(lines.map(({ id, number }) => [id, number]));
  const names = {
    lineNumber: (id: string) => numbers.get(id) ?? undefined,
    markName: (id: string) => marks.nameOf(id),
    jigName: (id: string) => jigs.nameOf(id),
  };
  return (stored) => fromStored(stored, names);
}
