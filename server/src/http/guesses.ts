import { createHash } from 'node:crypto';
import type pg from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { ProblemError } from './problem-error.ts';

const QUARTER_HOUR = 15 * 60;
const HOUR = 60 * 60;

/** How often something that can be guessed at, or that troubles somebody, may be tried. */
export interface GuessLimits {
  /** Passwords, codes and tokens in a quarter of an hour, by one address of the network. A crew may share one. */
  readonly guessesAQuarterHour: number;
  /** Wrong passwords of one account in a quarter of an hour, from wherever they come. */
  readonly passwordsAQuarterHour: number;
  /** Letters to one e-mail address in an hour, from all callers together. */
  readonly lettersAnHour: number;
}

export type Guessed = 'network' | 'password' | 'letter';

/** Counts in the database, so that every server process counts the same. Keys are kept as hashes. */
export interface Guesses {
  /** Counts one more. @throws {ProblemError} request.too_many, with how long to wait */
  count(what: Guessed, key: string): Promise<void>;
  /** Counts one more. @returns whether it is within the limit */
  isWithin(what: Guessed, key: string): Promise<boolean>;
  /** It was the right one: what was counted does not stand against the next time. */
  forget(what: Guessed, key: string): Promise<void>;
}

export function makeGuesses(pool: pg.Pool, limits: GuessLimits): Guesses {
  const limiter = (keyPrefix: Guessed, points: number, duration: number) =>
    new RateLimiterPostgres({
      storeClient: pool,
      tableName: 'guess_count',
      tableCreated: true,
      keyPrefix,
      points,
      duration,
    });
  const limiters: Readonly<Record<Guessed, RateLimiterPostgres>> = {
    network: limiter('network', limits.guessesAQuarterHour, QUARTER_HOUR),
    password: limiter('password', limits.passwordsAQuarterHour, QUARTER_HOUR),
    letter: limiter('letter', limits.lettersAnHour, HOUR),
  };
  const hashed = (key: string) => createHash('sha256').update(key).digest('base64url');
  /** @returns milliseconds to wait; 0 where it is within the limit */
  const waits = async (what: Guessed, key: string): Promise<number> => {
    try {
      await limiters[what].consume(hashed(key));
      return 0;
    } catch (refused) {
      if (refused instanceof RateLimiterRes) return Math.max(1, refused.msBeforeNext);
      throw refused;
    }
  };
  return {
    count: async (what, key) => {
      const milliseconds = await waits(what, key);
      if (milliseconds === 0) return;
      const minutes = Math.ceil(milliseconds / 60_000);
      throw new ProblemError(
        'request.too_many',
        `This was tried too often; it can be tried again in ${minutes === 1 ? 'a minute' : `${minutes} minutes`}.`,
        { retryAfter: Math.ceil(milliseconds / 1000) },
      );
    },
    isWithin: async (what, key) => (await waits(what, key)) === 0,
    forget: async (what, key) => {
      await limiters[what].delete(hashed(key));
    },
  };
}
