/** What screens may use of the jobs, name by name. How marks came to their values, and the take-off, are behind doors of their own: `mark-story.ts`, `quantities.ts`. */
export { Jobs, type ListedJob } from './jobs.ts';
export type { JobPlan } from './new-job.ts';
export { ALL_PARTS, type JobPart } from './job-parts.ts';
export type { JobSearch } from './job-search.ts';
export type { OpenJob } from './open-job.ts';
export type { KeepState } from './outbox.ts';
export type { Holder } from './holder.ts';
export type { Conflict } from './conflict.ts';
export type { Refusal } from './refusals.ts';
export type { MarksMet } from './marks-met.ts';
export { sizeWords, type JobMark } from './marks.ts';
export type { JobScale } from './scales.ts';
export type { SetOut } from './set-outs.ts';
export type { ChangedLine, KeptJig } from './jigs.ts';
export type { AccountShelf } from './account-shelf.ts';
export type { JigShelf, ShelfJig } from './jig-shelf.ts';
export type { KeptTimber, TimberShelf } from './timber-shelf.ts';
export type { ScaleContent } from './undo-stack.ts';
export { changedStyle, type ReadingChange, firstReading } from './reading.ts';
export {
  isWorked,
  nameOf,
  readBackOf,
  splitLabel,
  withLabel,
  wordsOf,
  type SlateRow,
  type WordsRow,
  type WorkedRow,
} from './slate-row.ts';
