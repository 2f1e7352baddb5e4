import type * as JobServer from './job-server.ts';
import { RequestFailure } from './request-failure.ts';

/** The calls to the server, loaded at the first use. @throws {RequestFailure} `offline` when they cannot be loaded */
export function jobServer(): Promise<typeof JobServer> {
  return import('./job-server.ts').catch(() => {
    throw new RequestFailure('offline', 'The server cannot be reached.');
  });
}
