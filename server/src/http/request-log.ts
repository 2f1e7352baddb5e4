import type { RequestHandler } from 'express';
import type { Logger } from 'pino';

/** One record for each request when it is over, answered or broken off. No address of a browser, no body, no cookie. */
export function requestLog(log: Logger): RequestHandler {
  return (request, response, next) => {
    if (!log.isLevelEnabled('info')) {
      next();
      return;
    }
    const begun = performance.now();
    const { method, originalUrl: url } = request;
    response.once('close', () => {
      log.info(
        {
          requestId: response.locals['requestId'] as string,
          method,
          url,
          statusCode: response.statusCode,
          milliseconds: Math.round(performance.now() - begun),
          ...(response.writableFinished ? {} : { brokenOff: true }),
        },
        'Request',
      );
    });
    next();
  };
}
