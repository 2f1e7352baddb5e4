import type { RequestHandler } from 'express';
import { ProblemError } from './problem-error.ts';

/**
 * Refuses to write for a page of another origin. A browser says with every write where it comes from; whoever says
 * nothing is no browser, and carries no session of somebody else.
 */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const { method, headers } = request;
  if (method === 'GET' || method === 'HEAD') {
    next();
    return;
  }
  const { origin, host, cookie } = headers;
  const isOurs = origin === undefined ? cookie === undefined : hostOf(origin) === host;
  if (!isOurs) throw new ProblemError('request.foreign', 'This was not sent by a page of this server.');
  next();
};

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
