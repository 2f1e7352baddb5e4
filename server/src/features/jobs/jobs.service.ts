import type { JobSummary, JobWire } from '@sprell/contract';
import type { Database } from '../../db/client.ts';
import { ProblemError } from '../../http/problem-error.ts';
import { findJob, jobsOf, readJob } from './jobs.repository.ts';

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
  const read = async (accountId: string, jobId: string, after: number): Promise<JobWire> => {
    const found = await readJob(db, accountId, jobId, after);
    if (!found) throw noSuchJob();
    return found;
  };
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
