import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Database } from './db/client.ts';
import { makeChangesService } from './features/changes/changes.service.ts';
import { jobRoutes } from './features/jobs/jobs.routes.ts';
import { makeJobsService } from './features/jobs/jobs.service.ts';
import { identifyCaller } from './http/caller.ts';
import { errorHandler, requestId } from './http/error-handler.ts';
import { ProblemError } from './http/problem-error.ts';

export interface AppParts {
  readonly db: Database;
  readonly log: Logger;
  readonly accountId: string;
  readonly webRoot: string | undefined;
}

/** A batch of 200 long entries fits; anything larger is no batch. */
const BODY_LIMIT = '4mb';

/** 8 % smaller than by the quality that is usual for what is made on the way (4), for 30 ms more on the largest file. */
const BROTLI_QUALITY = 6;

/** The whole application without a port, so that tests can call it. */
export function createApp({ db, log, accountId, webRoot }: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(requestId);
  app.use((_request, response, next) => {
    response.locals['nonce'] = randomBytes(16).toString('base64');
    next();
  });
  app.use(helmet({ contentSecurityPolicy: { directives: CONTENT_SECURITY }, strictTransportSecurity: false }));
  app.use(compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } } }));
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use(
    '/api',
    pinoHttp({
      logger: log,
      quietReqLogger: true,
      serializers: {
        req: ({ method, url }: { method: string; url: string }) => ({ method, url }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
    }),
  );
  app.use('/api', express.json({ limit: BODY_LIMIT, strict: true }));
  app.use(
    '/api',
    identifyCaller(() => Promise.resolve({ accountId })),
  );
  app.use(jobRoutes({ jobs: makeJobsService(db), changes: makeChangesService(db) }));
  app.use('/api', () => {
    throw new ProblemError('route.not_found', 'There is nothing at this address.');
  });
  if (webRoot !== undefined) serveWeb(app, webRoot);
  app.use(errorHandler(log));
  return app;
}

const CONTENT_SECURITY = {
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

function nonceOf(response: ServerResponse): string {
  return (response as express.Response).locals['nonce'] as string;
}

/** The built application: files with a hash in their name for good, every page address answered by index.html. */
function serveWeb(app: Express, webRoot: string): void {
  const page = readFileSync(join(webRoot, 'index.html'), 'utf8');
  app.use(
    '/assets',
    express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', index: false, fallthrough: false }),
  );
  app.use(express.static(webRoot, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.type('html').send(page.replace(NONCE_PLACE, nonceOf(response)));
  });
}
