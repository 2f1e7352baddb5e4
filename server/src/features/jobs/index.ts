/** What other features may use of the jobs. */
export { jobRoutes } from './jobs.routes.ts';
export { makeJobsService, noSuchJob, type JobsService } from './jobs.service.ts';
export {
  countHeld,
  countJobs,
  findJob,
  insertJob,
  isSeenBy,
  jobFieldsToWire,
  lineToWire,
  memberOf,
  readingColumns,
  readingToWire,
  readJob,
  roleFor,
  type ChangeRow,
  type JobRow,
  type LineRow,
} from './jobs.repository.ts';
