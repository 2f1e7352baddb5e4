import type { AccountWire, OwnAccountWire } from '@sprell/contract';
import type { Database } from '../../db/client.ts';
import { isTaken } from '../../db/is-taken.ts';
import type { Guesses } from '../../http/guesses.ts';
import { ProblemError } from '../../http/problem-error.ts';
import type { Letters } from '../mail/index.ts';
import { dropClaim, findAccount, findByEmail, findClaim, giveAddress, keepClaim } from './accounts.repository.ts';
import { hashPassword, hashSecret, isPassword, makeToken } from './secrets.ts';
import { refuseWeak } from './weak-password.ts';

const CLAIM_MS = 24 * 60 * 60_000;

/** How a guest's account comes to an address and a password. */
export interface ClaimsService {
  /** @returns the address that a letter went to and that was not confirmed yet */
  waitsFor(accountId: string): Promise<string | null>;
  /**
   * Where mail is sent, the address gets a letter: with a link, or, where there is an account with it, with word of that.
   * The letter goes behind the answer, and neither the answer nor its time reveals which it was. Where no mail is sent the
   * address is the account's at once.
   * @throws {ProblemError} password.weak; account.claimed; account.email_taken, without mail
   */
  claim(accountId: string, email: string, password: string): Promise<OwnAccountWire>;
  /**
   * Opening the link proves access to the mailbox. In another browser than the one that claimed the password is asked for as well:
   * else somebody could give an account of their own, with what they know of it, into the hands of another.
   * @throws {ProblemError} code.unknown; password.needed; account.wrong; account.email_taken
   */
  confirm(token: string, password: string | undefined, callerId: string | undefined): Promise<AccountWire>;
}

export function makeClaimsService(
  db: Database,
  letters: Letters,
  guesses: Guesses,
  report: (error: unknown) => void,
): ClaimsService {
  async function write(email: string, token: string): Promise<void> {
    if (!(await guesses.isWithin('letter', email))) return;
    await letters.send(email, (await findByEmail(db, email)) ? { kind: 'taken' } : { kind: 'confirm', token });
  }

  /** @throws {ProblemError} account.email_taken */
  async function give(accountId: string, email: string, passwordHash: string): Promise<AccountWire> {
    const isGiven = await db
      .transaction((tx) => giveAddress(tx, accountId, email, passwordHash))
      .catch((error: unknown) => {
        // Two browsers claimed it at the same moment: the database lets one through.
        if (isTaken(error)) return false;
        throw error;
      });
    if (!isGiven) throw new ProblemError('account.email_taken', 'There is an account with this address; sign in.');
    return { id: accountId, email };
  }

  return {
    waitsFor: async (accountId) => (await findClaim(db, { accountId }))?.email ?? null,
    claim: async (accountId, email, password) => {
      await refuseWeak(password, email);
      const passwordHash = await hashPassword(password);
      if (typeof (await findAccount(db, accountId))?.email === 'string')
        throw new ProblemError('account.claimed', 'This account has an address already.');
      if (!letters.areSent) return { ...(await give(accountId, email, passwordHash)), waitsFor: null };
      const token = makeToken();
      const expiresAt = new Date(Date.now() + CLAIM_MS);
      await keepClaim(db, { accountId, email, passwordHash, hash: hashSecret(token), expiresAt });
      void write(email, token).catch(report);
      return { id: accountId, email: null, waitsFor: email };
    },
    confirm: async (token, password, callerId) => {
      const found = await findClaim(db, { hash: hashSecret(token) });
      if (!found) throw new ProblemError('code.unknown', 'There is no such link: it was used, or is too old.');
      const { accountId, email, passwordHash } = found;
      if (callerId !== accountId) {
        if (password === undefined)
          throw new ProblemError('password.needed', 'This is another device: the password that was set is needed too.');
        await guesses.count('password', email);
        if (!(await isPassword(passwordHash, password)))
          throw new ProblemError('account.wrong', 'The password is not right.');
      }
      try {
        return await give(accountId, email, passwordHash);
      } finally {
        await dropClaim(db, accountId);
      }
    },
  };
}
