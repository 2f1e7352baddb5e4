/** The public names of the contract, one by one. */
export { defineEndpoint, type Endpoint } from './endpoint.ts';
export { PROBLEMS, problemWire, type Problem, type ProblemCode } from './problem.ts';
export { BATCH_LIMIT, batchSize, BODY_BYTES, BODY_VALUES } from './batch-limit.ts';
export { comparePlaces, positionBetween, positionsBetween } from './position.ts';
export { asOneLine, asText, LABEL_LIMIT } from './text.ts';
export { positionWire } from './wire/position.ts';
export { lineWire, type LineKind, type LineWire } from './wire/line.ts';
export { readingWire, type ReadingWire } from './wire/reading.ts';
export { type ScaleWire } from './wire/scale.ts';
export { type SetOutWire } from './wire/set-out.ts';
export {
  asThingResult,
  THING_KINDS,
  THING_LISTS,
  thingChange,
  thingResult,
  thingStep,
  type KeptThing,
  type ThingChange,
  type ThingContent,
  type ThingKind,
  type ThingStep,
  type ThingWire,
  type ThingWires,
} from './wire/thing.ts';
export {
  changeWire,
  changeResultWire,
  type Change,
  type ChangeResult,
  type LineChange,
  type ScaleChange,
  type SetOutChange,
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
export * from './endpoints/account.ts';
export * from './endpoints/members.ts';
