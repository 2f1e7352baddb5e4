import type { Request } from 'express';

/** Who asks: the account of the session, where there is one, and how the session is changed. */
export interface Caller {
  readonly accountId: string | undefined;
  /** This browser is of that account from now on, in a session of its own. */
  signIn(accountId: string): Promise<void>;
  /** Ends the session. */
  signOut(): Promise<void>;
}

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    /** The day it was last used: it lives on from there. */
    day: string;
  }
}

const asPromise = (run: (done: (error?: unknown) => void) => void) =>
  new Promise<void>((resolve, reject) => {
    run((error) => {
      if (error) reject(error instanceof Error ? error : new Error('The session could not be changed.'));
      else resolve();
    });
  });

const today = () => new Date().toISOString().slice(0, 10);

/** Who asks, for a request that lives long: what it read of the session is old by the time it ends, and is not written. */
export const accountOf = ({ session }: Request): string | undefined => session.accountId;

export function callerOf(request: Request): Caller {
  const { session } = request;
  // Written once a day, so that it stays alive without a write for every request.
  if (session.accountId !== undefined && session.day !== today()) session.day = today();
  return {
    accountId: session.accountId,
    signIn: async (accountId) => {
      // A new id: one that was known before somebody signed in opens nothing.
      await asPromise((done) => session.regenerate(done));
      request.session.accountId = accountId;
      request.session.day = today();
      await asPromise((done) => request.session.save(done));
    },
    signOut: () => asPromise((done) => session.destroy(done)),
  };
}
