import { listJobs, openJob, sendChanges } from '@sprell/contract';
import { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { ChangesService } from '../changes/changes.service.ts';
import type { JobsService } from './jobs.service.ts';

/** Routes of the jobs. Parsing, status codes and error bodies are `serve`'s and the error handler's work. */
export function jobRoutes({ jobs, changes }: { readonly jobs: JobsService; readonly changes: ChangesService }): Router {
  const router = Router();
  serve(router, listJobs, ({ accountId }) => jobs.list(accountId));
  serve(router, openJob, ({ accountId, params }) => jobs.open(accountId, params.jobId));
  serve(router, sendChanges, ({ accountId, params, body }) => changes.apply(accountId, params.jobId, body));
  return router;
}
