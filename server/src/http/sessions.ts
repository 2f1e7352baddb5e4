import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type pg from 'pg';

/** Half a year from the day it was last used: a phone that lay in a drawer over the winter is known again. */
const LIFE_DAYS = 183;
const HOURLY_SECONDS = 3600;

/** Sessions in the database: one that is taken out there has ended, in every process at once. */
export function sessions(pool: pg.Pool, secret: string): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: 'sprell',
    secret,
    resave: false,
    saveUninitialized: false,
    store: new Store({ pool, tableName: 'session', disableTouch: true, pruneSessionInterval: HOURLY_SECONDS }),
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', path: '/', maxAge: LIFE_DAYS * 86_400_000 },
  });
}
