import type { RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { ProblemError } from './problem-error.ts';

/** How often somebody may ask. */
export interface Limits {
  /** By an account, or by an address where there is none. */
  readonly requestsAMinute: number;
  /** Of passwords, codes and tokens, by one address. */
  readonly guessesAQuarterHour: number;
}

const tooMany = () => {
  throw new ProblemError('request.too_many', 'This was asked too often; wait a little.');
};

/** Each process counts for itself: what it protects is the process. */
export function limitRequests(limit: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: 'draft-6',
    legacyHeaders: false,
    keyGenerator: ({ session, ip }) => session.accountId ?? ipKeyGenerator(ip ?? ''),
    handler: tooMany,
  });
}

export function limitGuesses(limit: number): RequestHandler {
  return rateLimit({
    windowMs: 15 * 60_000,
    limit,
    standardHeaders: 'draft-6',
    legacyHeaders: false,
    handler: tooMany,
  });
}
