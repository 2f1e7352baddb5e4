import type { JobSummary, JobWire } from '@sprell/contract';
import type { Database } from '../../db/client.ts';
import { ProblemError } from '../../http/problem-error.ts';
import { findJob, jobsOf, linesOf, lineToWire, readingToWire, scalesOf, scaleToWire } from './jobs.repository.ts';

/** Each throws job.not_found, for a job that does not exist and for one that the account may not see alike. */
export interface JobsService {
  list(accountId: string): Promise<JobSummary[]>;
  open(accountId: string, jobId: string): Promise<JobWire>;
  /** The job with the lines and scales alone that changed after a revision. */
  since(accountId: string, jobId: string, revision: number): Promise<JobWire>;
  revision(accountId: string, jobId: string): Promise<number>;
}

export const noSuchJob = () => new ProblemError('job.not_found', 'There is no such job.');

export function makeJobsService(db: Database): JobsService {
  /** Job and lines of one moment: a change between the two reads would tear them apart. */
  const read = (accountId: string, jobId: string, after: number): Promise<JobWire> =>
    db.transaction(
      async (tx) => {
        const found = await findJob(tx, accountId, jobId);
        if (!found) throw noSuchJob();
        const lines = await linesOf(tx, jobId, after);
        const scales = await scalesOf(tx, jobId, after);
        const { id, title, revision, role, nextNumber } = found;
        return {
          id,
          title,
          reading: readingToWire(found),
          revision,
          role,
          nextNumber,
          lines: lines.map(lineToWire),
          scales: scales.map(scaleToWire),
        };
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    );
  return {
    list: (accountId) => jobsOf(db, accountId),
    open: (accountId, jobId) => read(accountId, jobId, -1),
    since: read,
    revision: async (accountId, jobId) => {
      const found = await findJob(db, accountId, jobId);
      if (!found) throw noSuchJob();
      return found.revision;
    },
  };
}
