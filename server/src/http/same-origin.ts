import type { RequestHandler } from 'express';
import { ProblemError } from './problem-error.ts';

/**
 * Refuses to write for a page of another origin. A browser says with every write where it comes from; one that says
 * nothing is no browser, and carries no session of somebody else. The host is the one that a proxy says the browser asked
 * for (X-Forwarded-Host), where that proxy's word is taken.
 */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const { method, headers, host, secure } = request;
  if (method === 'GET' || method === 'HEAD') {
    next();
    return;
  }
  const { origin, cookie } = headers;
  const isOurs = origin === undefined ? cookie === undefined : isPageOf(origin, host, secure);
  if (!isOurs) throw new ProblemError('request.foreign', 'This was not sent by a page of this server.');
  next();
};

/** A page that came without TLS may be anybody's: to a server behind TLS it is a stranger. */
function isPageOf(origin: string, host: string, isBehindTls: boolean): boolean {
  if (!URL.canParse(origin)) return false;
  const page = new URL(origin);
  return page.host === host && (page.protocol === 'https:' || !isBehindTls);
}
