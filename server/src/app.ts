import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { Router, type Express, type RequestHandler } from 'express';
import helmet, { type HelmetOptions } from 'helmet';
import type { Logger } from 'pino';
import { openApi } from '@sprell/contract/openapi';
import type { OpenDatabase } from './db/client.ts';
import { accountRoutes } from './features/accounts/accounts.routes.ts';
import { makeAccountsService } from './features/accounts/accounts.service.ts';
import { makeChangesService } from './features/changes/changes.service.ts';
import { loadDemo } from './features/demo/load-demo.ts';
import { feedRoutes } from './features/feed/feed.routes.ts';
import type { JobFeed } from './features/feed/job-feed.ts';
import { jobRoutes } from './features/jobs/jobs.routes.ts';
import { makeJobsService } from './features/jobs/jobs.service.ts';
import { MailStandIn, type Mailer } from './features/mail/mailer.ts';
import { outboxPage } from './features/mail/outbox-page.ts';
import { memberRoutes } from './features/members/members.routes.ts';
import { makeMembersService } from './features/members/members.service.ts';
import { errorHandler, requestId } from './http/error-handler.ts';
import { limitGuesses, limitRequests, type Limits } from './http/limits.ts';
import { ProblemError } from './http/problem-error.ts';
import { requestLog } from './http/request-log.ts';
import { sameOrigin } from './http/same-origin.ts';
import { sessions } from './http/sessions.ts';

export interface AppParts {
  readonly database: OpenDatabase;
  readonly feed: JobFeed;
  readonly log: Logger;
  /** Signs the cookies of sessions. */
  readonly secret: string;
  readonly mailer: Mailer;
  /** Address of the page that sets a new password. */
  readonly resetLink: (token: string) => string;
  /** Every new guest gets the made-up jobs, and what the mail stand-in was given can be looked at. */
  readonly demo: boolean;
  readonly webRoot: string | undefined;
  readonly trustProxy: string;
  readonly limits: Limits;
}

/** A batch of 200 long entries fits; anything larger is no batch. */
const BODY_LIMIT = '4mb';

/** 8 % smaller than by the quality that is usual for what is made on the way (4), for 30 ms more on the largest file. */
const PAGE_QUALITY = 6;
/** Answers are made anew each time, and are small. */
const ANSWER_QUALITY = 1;

/** The whole application without a port, so that tests can call it. */
export function createApp(parts: AppParts): Express {
  const { log, mailer, demo, webRoot } = parts;
  const app = express();
  app.disable('x-powered-by');
  // Answers are not kept, and a page has a nonce of its own each time: neither is ever the same again.
  app.disable('etag');
  app.set('trust proxy', parts.trustProxy);
  app.use(requestId);
  app.use('/api', api(parts));
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: PAGE_SECURITY },
      strictTransportSecurity: false,
    }),
    compressed(PAGE_QUALITY),
  );
  if (demo && mailer instanceof MailStandIn) app.get('/outbox', outboxPage(mailer));
  if (webRoot !== undefined) serveWeb(app, webRoot);
  app.use(errorHandler(log));
  return app;
}

/** What is asked most comes first: every route before it is tried against its address. */
function api(parts: AppParts): Router {
  const { database, log, mailer, demo, feed } = parts;
  const { db, pool } = database;
  const router = Router();
  router.use(
    helmet({
      ...ANSWER_HEADERS,
      contentSecurityPolicy: { useDefaults: false, directives: ANSWER_SECURITY },
    }),
    unlessSmall(compressed(ANSWER_QUALITY)),
  );
  router.get('/health', (_request, response) => {
    response.json({ ok: true });
  });
  router.get('/ready', async (_request, response) => {
    await pool.query('select 1');
    response.json({ ready: true });
  });
  router.get('/openapi.json', (_request, response) => {
    response.json(openApi());
  });
  router.use(
    requestLog(log),
    sameOrigin,
    sessions(pool, parts.secret),
    limitRequests(parts.limits.requestsAMinute),
    express.json({ limit: BODY_LIMIT, strict: true }),
    (_request, response, next) => {
      response.setHeader('Cache-Control', 'no-store');
      next();
    },
  );
  const guarded = limitGuesses(parts.limits.guessesAQuarterHour);
  const jobs = makeJobsService(db);
  const accounts = makeAccountsService(db, mailer, demo ? loadDemo : () => Promise.resolve(), (error) =>
    log.error({ err: error }, 'A link for a new password was not sent.'),
  );
  router.use(jobRoutes({ jobs, changes: makeChangesService(database, feed) }));
  router.use(feedRoutes({ feed, jobs }));
  router.use(accountRoutes(accounts, { guarded, resetLink: parts.resetLink }));
  router.use(memberRoutes(makeMembersService(db), { guarded }));
  router.use(() => {
    throw new ProblemError('route.not_found', 'There is nothing at this address.');
  });
  return router;
}

const compressed = (quality: number) =>
  compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: quality } } });

/** Bytes of a batch whose answer is too small to be worth packing. */
const SMALL_BATCH = 1024;
const unlessSmall =
  (compress: RequestHandler): RequestHandler =>
  (request, response, next) => {
    if (request.method !== 'GET' && Number(request.headers['content-length'] ?? 0) < SMALL_BATCH) next();
    else compress(request, response, next);
  };

type Directives = NonNullable<Exclude<NonNullable<HelmetOptions['contentSecurityPolicy']>, boolean>['directives']>;
/** Answers are no pages: whatever takes one for a page may do nothing. What speaks to pages alone is left off. */
const ANSWER_SECURITY: Directives = { defaultSrc: ["'none'"], frameAncestors: ["'none'"] };
const ANSWER_HEADERS: HelmetOptions = {
  strictTransportSecurity: false,
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
  xDnsPrefetchControl: false,
  xDownloadOptions: false,
  xPermittedCrossDomainPolicies: false,
  xXssProtection: false,
};
const PAGE_SECURITY: Directives = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  // Element Plus and Vue place elements by style attributes; style sheets come from here, or carry the page's nonce: the
  // editor of the entry makes its own.
  styleSrcAttr: ["'unsafe-inline'"],
  styleSrc: ["'self'", (_request: unknown, response: ServerResponse) => `'nonce-${nonceOf(response)}'`],
  imgSrc: ["'self'", 'data:'],
  objectSrc: ["'none'"],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
  // On loopback and on a site's own network there may be no TLS to upgrade to.
  upgradeInsecureRequests: null,
};

/** Where the page finds its nonce; index.html carries it until it is served. */
const NONCE_PLACE = '__csp_nonce__';

/** A new one with each answer. */
function nonceOf(response: ServerResponse): string {
  const { locals } = response as express.Response;
  locals['nonce'] ??= randomBytes(16).toString('base64');
  return locals['nonce'] as string;
}

/** The built application: files with a hash in their name for good, every page address answered by index.html. */
function serveWeb(app: Express, webRoot: string): void {
  const page = readFileSync(join(webRoot, 'index.html'), 'utf8');
  app.use(
    '/assets',
    express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', index: false, fallthrough: false }),
  );
  const sendPage: RequestHandler = (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.type('html').send(page.replace(NONCE_PLACE, nonceOf(response)));
  };
  // By its own name too, which is how a browser keeps it for days without a signal.
  app.get('/index.html', sendPage);
  app.use(express.static(webRoot, { index: false, maxAge: 0 }));
  app.get('/{*path}', sendPage);
}
