/** The public names of the contract. */
export { defineEndpoint, type Endpoint } from './endpoint.ts';
export { PROBLEMS, problemWire, type Problem, type ProblemCode } from './problem.ts';
export { BATCH_LIMIT, batchSize, BODY_BYTES, BODY_VALUES } from './batch-limit.ts';
export { comparePlaces, positionBetween, positionsBetween } from './position.ts';
export { asOneLine, asText, LABEL_LIMIT } from './text.ts';
export { positionWire } from './wire/position.ts';
export { lineWire, type LineKind, type LineWire } from './wire/line.ts';
export { readingWire, type ReadingWire } from './wire/reading.ts';
export { CURRENCIES, HOLDS, TAG_LIMIT, type JobFields } from './wire/job-fields.ts';
export { DELETED_KEPT_DAYS, jobFieldsOf, namedFields, NEW_JOB } from './job-fields.ts';
export type { Content, Kind, Thing } from './kinds/kind.ts';
export { KINDS } from './kinds/registry.ts';
export type { KindWire } from './kinds/kind-wire.ts';
export { KIND_WIRES, type ThingLists } from './kinds/wires.ts';
export {
  allThings,
  contentOf,
  isSameContent,
  isSameValue,
  kindNamed,
  listsOf,
  NO_THINGS,
  THING_KINDS,
  thingsBy,
  thingsOf,
  type KeptThing,
  type MarkWire,
  type ScaleWire,
  type SetOutWire,
  type ThingContent,
  type ThingKind,
  type Things,
  type ThingWire,
} from './kinds/thing.ts';
export { changedThing, earlierForm, todaysForm, type EarlierChange, type ThingChange } from './wire/thing-change.ts';
export {
  changeWire,
  changeResultWire,
  type Change,
  type ChangeResult,
  type LineChange,
  type SentChange,
  type UnfitChange,
} from './wire/change.ts';
export {
  jobEvents,
  jobSince,
  jobWire,
  listJobs,
  openJob,
  sendChanges,
  type JobSummary,
  type JobWire,
  type Role,
} from './endpoints/jobs.ts';
export { copyOfJob } from './copy-of-job.ts';
export { jigFileOf, jigMadeFit } from './jig-file-text.ts';
export type { FileProblem, FileRead } from './file-door.ts';
export { JIG_FILE_LIMIT, jigFileWire, jigSetOf } from './jig-file.ts';
export {
  fileJobOf,
  JOB_FORMAT,
  jobFileOf,
  type FileFields,
  type FileJob,
  type FileLine,
  type FileThing,
  type JobInside,
} from './job-file/job-file-text.ts';
export { slateOfFile, type SlateOfFileLine } from './job-file/slate-of-file.ts';
export { styleOfJob } from './job-style.ts';
export {
  mergeOf,
  type AddedLine,
  type AddedThing,
  type ChangedLine,
  type ChangedThing,
  type Merge,
} from './job-file/merge.ts';
export { JOB_FILE_LIMIT, jobFileWire, jobOfFile, type JobFileRead } from './job-file/job-file.ts';
export { NEW_ITEM, type ItemContent } from './kinds/item/new-item.ts';
export * from './endpoints/account.ts';
export * from './endpoints/members.ts';
