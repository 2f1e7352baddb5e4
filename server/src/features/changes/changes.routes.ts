import { sendChanges } from '@sprell/contract';
import { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { ChangesService } from './changes.service.ts';

/** The one way in for everything that is written in jobs. */
export function changeRoutes(changes: ChangesService): Router {
  const router = Router();
  serve(router, sendChanges, ({ accountId, params, body }) => changes.apply(accountId, params.jobId, body));
  return router;
}
