import type { RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** One record for each request when it is over, answered or broken off. No address of a browser, no body, no cookie. */
export function requestLog(log: Logger): RequestHandler {
  // A child of the log for each request costs time, also where nothing is written.
  if (!log.isLevelEnabled('info'))
    return (_request, _response, next) => {
      next();
    };
  return pinoHttp({
    logger: log,
    customProps: (_request, response) => ({ requestId: (response as Response).locals['requestId'] as string }),
    customAttributeKeys: { responseTime: 'milliseconds' },
    serializers: {
      req: ({ method, url }: { method: string; url: string }) => ({ method, url }),
      res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
    },
    // What failed is written by the error handler, without what the query was asked with.
    customErrorObject: (_request, response, _error, record: { milliseconds: number }) => ({
      res: response,
      milliseconds: record.milliseconds,
    }),
  });
}
