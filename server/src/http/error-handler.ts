import { randomUUID } from 'node:crypto';
import type { Problem } from '@sprell/contract';
import { DrizzleQueryError } from 'drizzle-orm';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import { DatabaseError } from 'pg';
import type { Logger } from 'pino';
import { ProblemError } from './problem-error.ts';

export const requestId: RequestHandler = (_request, response, next) => {
  response.locals['requestId'] = randomUUID();
  response.setHeader('X-Request-Id', response.locals['requestId'] as string);
  next();
};

/** What the body reader of Express refuses, by its own names. */
const BODY_ERRORS: Readonly<Record<string, ProblemError>> = {
  'entity.parse.failed': new ProblemError('request.not_json', 'The body is not JSON.'),
  'entity.too.large': new ProblemError('request.too_large', 'The body is too large; send fewer changes at once.'),
  'entity.too.many': new ProblemError('request.too_large', 'The body holds too much; send fewer changes at once.'),
  'encoding.unsupported': new ProblemError('request.not_json', 'The body is in an encoding that is not read here.'),
  'charset.unsupported': new ProblemError('request.not_json', 'The body is in a character set that is not read here.'),
};

/** Codes and words by which PostgreSQL or its driver says that the database is away. */
const AWAY_CODES = /^(ECONNREFUSED|ECONNRESET|EPIPE|57P0[123]|08[0-9A-Z]{3})$/;
const AWAY_WORDS = /ECONNREFUSED|timeout exceeded when trying to connect|Connection terminated/;

function isAway(error: unknown): boolean {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause) {
    if (AWAY_CODES.test((cause as { code?: string }).code ?? '')) return true;
    // What a failed query was asked with stands in its message, and may hold any words.
    if (!(cause instanceof DrizzleQueryError) && AWAY_WORDS.test(cause.message)) return true;
  }
  return false;
}

function problemOf(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error;
  if (error instanceof URIError) return new ProblemError('request.invalid', 'The address is not readable.');
  const known = BODY_ERRORS[(error as { type?: string }).type ?? ''];
  if (known) return known;
  const { status } = error as { status?: unknown };
  if (status === 404) return new ProblemError('route.not_found', 'There is nothing at this address.');
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new ProblemError('request.invalid', 'The request is not readable.');
  if (isAway(error)) return new ProblemError('server.unavailable', 'The store of jobs is away; try again in a moment.');
  return new ProblemError('server.failed', 'Something failed here; nothing was changed.');
}

/**
 * What the log may hold of an error. A failed query says what was asked with what values: entries of people, hashes of
 * passwords. Its cause says what went wrong without them.
 */
function loggable(error: unknown): unknown {
  if (error instanceof DrizzleQueryError) return loggable(error.cause ?? new Error('A query failed.'));
  if (!(error instanceof DatabaseError)) return error;
  const { name, message, stack, code, table, constraint } = error;
  return { name, message, stack, code, table, constraint };
}

/** The only place that answers an error: a code and a sentence, never a stack or a query. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  // Express knows an error handler by its four parameters.
  return (error: unknown, request, response, _next) => {
    const problem = problemOf(error);
    const id = response.locals['requestId'] as string;
    if (problem.status >= 500)
      log.error({ requestId: id, method: request.method, path: request.path, err: loggable(error) }, problem.message);
    const retryAfter = problem.retryAfter ?? (problem.status === 503 ? 2 : undefined);
    if (retryAfter !== undefined) response.setHeader('Retry-After', String(retryAfter));
    if (response.headersSent) {
      response.destroy();
      return;
    }
    const body: Problem = { code: problem.code, message: problem.message, requestId: id };
    response.status(problem.status).json(problem.places ? { ...body, places: problem.places } : body);
  };
}
