/** The public names of the contract, one by one. */
export { defineEndpoint, type Endpoint } from './endpoint.ts';
export { PROBLEMS, problemWire, type Problem, type ProblemCode } from './problem.ts';
export { comparePlaces, positionBetween, positionsBetween, positionWire } from './position.ts';
export { lineWire, type LineWire } from './wire/line.ts';
export { changeWire, changeResultWire, type Change, type ChangeResult } from './wire/change.ts';
export {
  BATCH_LIMIT,
  jobWire,
  listJobs,
  openJob,
  sendChanges,
  type JobSummary,
  type JobWire,
} from './endpoints/jobs.ts';
