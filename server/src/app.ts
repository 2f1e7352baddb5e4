import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { Router, type Express, type RequestHandler } from 'express';
import packedFiles from 'express-static-gzip';
import helmet, { type HelmetOptions } from 'helmet';
import type { Logger } from 'pino';
import { beGuest } from '@sprell/contract';
import { FILE_SCHEMAS } from '@sprell/contract/file-schemas';
import { openApi } from '@sprell/contract/openapi';
import type { OpenDatabase } from './db/client.ts';
import { accountRoutes, makeAccountsService, makeClaimsService } from './features/accounts/index.ts';
import { changeRoutes, makeChangesService } from './features/changes/index.ts';
import { loadDemo } from './features/demo/index.ts';
import { feedRoutes, type JobFeed } from './features/feed/index.ts';
import { jobRoutes, makeJobsService } from './features/jobs/index.ts';
import { makeLetters, MailStandIn, type Mailer, outboxPage } from './features/mail/index.ts';
import { memberRoutes, makeMembersService } from './features/members/index.ts';
import { errorHandler, requestId } from './http/error-handler.ts';
import { makeGuesses } from './http/guesses.ts';
import { limitGuesses, limitRequests, type Limits } from './http/limits.ts';
import type { Metrics } from './http/metrics.ts';
import { ProblemError } from './http/problem-error.ts';
import { requestLog } from './http/request-log.ts';
import { behindApi } from './http/serve.ts';
import { sameOrigin } from './http/same-origin.ts';
import { sessions } from './http/sessions.ts';

export interface AppParts {
  readonly database: OpenDatabase;
  readonly feed: JobFeed;
  readonly metrics: Metrics;
  readonly log: Logger;
  /** Signs the cookies of sessions. */
  readonly secret: string;
  readonly mailer: Mailer;
  /** Where people reach this server, for links in letters. */
  readonly publicUrl: () => string;
  /** Every new guest gets the made-up jobs, and what the mail stand-in was given can be looked at. */
  readonly demo: boolean;
  readonly webRoot: string | undefined;
  readonly trustProxy: string;
  readonly limits: Limits;
}

/** Pages and answers are made again each time, and are small. */
const ANSWER_QUALITY = 1;

/** The whole application without a port, so that tests can call it. */
export function createApp(parts: AppParts): Express {
  const { log, mailer, demo, webRoot } = parts;
  const app = express();
  app.disable('x-powered-by');
  // Answers are not kept, and a page has a nonce of its own each time: neither is ever the same again.
  app.disable('etag');
  app.set('trust proxy', parts.trustProxy);
  app.use(requestId, parts.metrics.requests);
  app.use(overTlsAlone);
  app.use('/api', api(parts));
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: PAGE_SECURITY },
      strictTransportSecurity: false,
    }),
  );
  if (demo && mailer instanceof MailStandIn) app.get('/outbox', outboxPage(mailer));
  if (webRoot !== undefined) serveWeb(app, webRoot);
  app.use(errorHandler(log));
  return app;
}

const HALF_A_YEAR_SECONDS = 15_768_000;
const strictTransport = helmet.strictTransportSecurity({ maxAge: HALF_A_YEAR_SECONDS, includeSubDomains: false });
/** Who came over TLS comes over TLS from then on; on loopback and on a site's own network there may be none. */
const overTlsAlone: RequestHandler = (request, response, next) => {
  if (request.secure) strictTransport(request, response, next);
  else next();
};

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
  for (const [name, schema] of Object.entries(FILE_SCHEMAS))
    router.get(`/${name}`, (_request, response) => {
      response.type('application/schema+json').json(schema());
    });
  router.get('/openapi.json', (_request, response) => {
    response.json(openApi());
  });
  router.use(
    requestLog(log),
    sameOrigin,
    sessions(pool, parts.secret),
    limitRequests(parts.limits.requestsAMinute),
    (_request, response, next) => {
      response.setHeader('Cache-Control', 'no-store');
      next();
    },
  );
  const guesses = makeGuesses(pool, parts.limits);
  const guarded = limitGuesses(guesses);
  const jobs = makeJobsService(db);
  const letters = makeLetters(mailer, parts.publicUrl);
  const report = (error: unknown) => log.error({ err: error }, 'A letter was not sent.');
  const welcome = demo ? loadDemo : () => Promise.resolve();
  const accounts = makeAccountsService(db, letters, guesses, welcome, report);
  const claims = makeClaimsService(db, letters, guesses, report);
  router.use(changeRoutes(makeChangesService(database, feed, parts.metrics.changes)));
  router.use(jobRoutes(jobs));
  router.use(feedRoutes({ feed, jobs }));
  router.use(accountRoutes(accounts, claims, { guarded, jobs }));
  router.use(memberRoutes(makeMembersService(db), { guarded }));
  router.use(() => {
    throw new ProblemError('route.not_found', 'There is nothing at this address.');
  });
  return router;
}

const compressed = (quality: number) =>
  compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: quality } } });

/** What is asked here is short, and may be answered with a whole job. */
const WITH_JOBS = behindApi(beGuest.path);
/** Bytes of a batch whose answer is too small to be worth packing. */
const SMALL_BATCH = 1024;
const unlessSmall =
  (compress: RequestHandler): RequestHandler =>
  (request, response, next) => {
    const isSmall = request.method !== 'GET' && request.path !== WITH_JOBS;
    if (isSmall && Number(request.headers['content-length'] ?? 0) < SMALL_BATCH) next();
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

/**
 * The built application: files with a hash in their name for good, every page address answered by index.html. Files were
 * packed when they were built; packing one on the way costs up to 80 ms of everybody's time.
 */
function serveWeb(app: Express, webRoot: string): void {
  const page = readFileSync(join(webRoot, 'index.html'), 'utf8');
  const packed = { enableBrotli: true, orderPreference: ['br', 'gzip'], index: false as const };
  app.use(
    '/assets',
    packedFiles(join(webRoot, 'assets'), {
      ...packed,
      serveStatic: { immutable: true, maxAge: '1y', index: false, fallthrough: false },
    }),
  );
  const sendPage: RequestHandler = (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.type('html').send(page.replace(NONCE_PLACE, nonceOf(response)));
  };
  // By its own name too, which is how a browser keeps it for days without a signal.
  const packedNow = compressed(ANSWER_QUALITY);
  app.get('/index.html', packedNow, sendPage);
  app.use(packedNow, packedFiles(webRoot, { ...packed, serveStatic: { index: false, maxAge: 0 } }));
  app.get('/{*path}', packedNow, sendPage);
}
