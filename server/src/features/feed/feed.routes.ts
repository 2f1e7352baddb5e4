import { jobEvents, jobSince } from '@sprell/contract';
import { Router } from 'express';
import { accountOf } from '../../http/caller.ts';
import { ProblemError } from '../../http/problem-error.ts';
import { behindApi, serve } from '../../http/serve.ts';
import type { JobsService } from '../jobs/index.ts';
import type { JobFeed } from './job-feed.ts';

/** A silent stream is taken for dead by what lies between; this is sooner than most of them wait. */
const BEAT = 20_000;

/** The stream of a job (server-sent events), and what it is about: everything since a revision. */
export function feedRoutes({ feed, jobs }: { readonly feed: JobFeed; readonly jobs: JobsService }): Router {
  const router = Router();
  serve(router, jobSince, ({ accountId, params }) => jobs.since(accountId, params.jobId, params.revision));
  router.get(behindApi(jobEvents.path), async (request, response) => {
    const accountId = accountOf(request);
    const params = jobEvents.params.safeParse(request.params);
    if (accountId === undefined) throw new ProblemError('account.needed', 'Nobody is signed in here.');
    if (!params.success) throw new ProblemError('request.invalid', 'The request is not what this address takes.');
    if (!feed.isListening())
      throw new ProblemError('server.unavailable', 'The store of jobs is away; try again in a moment.');
    const { jobId } = params.data;
    // Before the revision is read: what changes between the two is sent as well.
    let sent = -1;
    const say = (revision: number) => {
      if (revision > sent) response.write(`data: ${JSON.stringify({ revision })}\n\n`);
      sent = Math.max(sent, revision);
    };
    const waiting: number[] = [];
    let begun = false;
    const stop = feed.listen({
      jobId,
      accountId,
      changed: (revision) => {
        if (begun) say(revision);
        else waiting.push(revision);
      },
      shut: () => response.end(),
    });
    const beat = setInterval(() => response.write(': still here\n\n'), BEAT);
    response.once('close', () => {
      stop();
      clearInterval(beat);
    });
    try {
      const revision = await jobs.revision(accountId, jobId);
      response.writeHead(200, {
        'Content-Type': 'text/event-stream; charset=utf-8',
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      });
      begun = true;
      for (const one of [revision, ...waiting]) say(one);
    } catch (error) {
      stop();
      clearInterval(beat);
      throw error;
    }
  });
  return router;
}
