import type { JobSummary, JobWire } from '@sprell/contract';
import type { Database } from '../../db/client.ts';
import { ProblemError } from '../../http/problem-error.ts';
import { findJob, jobsOf, linesOf, lineToWire, readingToWire, scalesOf, scaleToWire } from './jobs.repository.ts';

export interface JobsService {
  list(accountId: string): Promise<JobSummary[]>;
  /** @throws {ProblemError} job.not_found, for a job that does not exist and for one of somebody else alike. */
  open(accountId: string, jobId: string): Promise<JobWire>;
}

export const noSuchJob = () => new ProblemError('job.not_found', 'There is no such job.');

export function makeJobsService(db: Database): JobsService {
  return {
    list: (accountId) => jobsOf(db, accountId),
    // Job and lines of one moment: a change between the two reads would tear them apart.
    open: (accountId, jobId) =>
      db.transaction(
        async (tx) => {
          const found = await findJob(tx, accountId, jobId);
          if (!found) throw noSuchJob();
          const lines = await linesOf(tx, jobId);
          const scales = await scalesOf(tx, jobId);
          const { id, title, revision, nextNumber } = found;
          return {
            id,
            title,
            reading: readingToWire(found),
            revision,
            nextNumber,
            lines: lines.map(lineToWire),
            scales: scales.map(scaleToWire),
          };
        },
        { isolationLevel: 'repeatable read', accessMode: 'read only' },
      ),
  };
}
