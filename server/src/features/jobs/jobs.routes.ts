import { listJobs, openJob } from '@sprell/contract';
import { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { JobsService } from './jobs.service.ts';

/** Routes of the jobs. Parsing, status codes and error bodies are `serve`'s and the error handler's work. */
export function jobRoutes(jobs: JobsService): Router {
  const router = Router();
  serve(router, listJobs, ({ accountId }) => jobs.list(accountId));
  serve(router, openJob, ({ accountId, params }) => jobs.open(accountId, params.jobId));
  return router;
}
