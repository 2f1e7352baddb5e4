import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import type pg from 'pg';

/** Half a year from the day it was last used: a phone that lay in a drawer over the winter is known again. */
const LIFE_DAYS = 183;
const HOURLY_SECONDS = 3600;
const DAY_MS = 86_400_000;

const PgStore = connectPgSimple(session);

/**
 * Sessions in the database: one that is taken out there has ended, in every process at once. A request that was under way
 * when its session was ended saves it behind that; only one that was made just now is put in, any other is written
 * where it still stands.
 */
class EndingStore extends PgStore {
  readonly #pool: pg.Pool;
  readonly #made = new Set<string>();

  constructor(pool: pg.Pool) {
    super({ pool, tableName: 'session', disableTouch: true, pruneSessionInterval: HOURLY_SECONDS });
    this.#pool = pool;
  }

  override regenerate(request: Request, done: (error?: unknown) => unknown): void {
    super.regenerate(request, (error) => {
      this.#made.add(request.sessionID);
      return done(error);
    });
  }

  override set(sid: string, data: session.SessionData, done?: (error?: unknown) => void): void {
    if (this.#made.delete(sid)) {
      super.set(sid, data, done);
      return;
    }
    // Every session has an end: its cookie is made with one.
    const ends = new Date(data.cookie.expires as Date | string).valueOf() / 1000;
    this.#pool.query('update session set sess = $1, expire = to_timestamp($2) where sid = $3', [data, ends, sid]).then(
      () => done?.(),
      (error: unknown) => done?.(error),
    );
  }
}

export function sessions(pool: pg.Pool, secret: string): RequestHandler {
  return session({
    name: 'sprell',
    secret,
    resave: false,
    saveUninitialized: false,
    store: new EndingStore(pool),
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', path: '/', maxAge: LIFE_DAYS * DAY_MS },
  });
}
