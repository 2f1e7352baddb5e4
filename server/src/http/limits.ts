import type { RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Guesses, GuessLimits } from './guesses.ts';
import { ProblemError } from './problem-error.ts';

/** How often somebody may ask. */
export interface Limits extends GuessLimits {
  /** By an account, or by an address where there is none. */
  readonly requestsAMinute: number;
}

/** An address of the network; of the newer, longer ones the part that one household or company has. */
const networkOf = (ip: string | undefined) => ipKeyGenerator(ip ?? '');

/** Each process counts for itself: what it protects is the process. */
export function limitRequests(limit: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: 'draft-6',
    legacyHeaders: false,
    keyGenerator: ({ session, ip }) => session.accountId ?? networkOf(ip),
    handler: () => {
      throw new ProblemError('request.too_many', 'This was asked too often; wait a little.');
    },
  });
}

export function limitGuesses(guesses: Guesses): RequestHandler {
  return async ({ ip }, _response, next) => {
    await guesses.count('network', networkOf(ip));
    next();
  };
}
