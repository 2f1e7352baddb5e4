import type { AccountWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Database, Executor } from '../../db/client.ts';
import type { Guesses } from '../../http/guesses.ts';
import { ProblemError } from '../../http/problem-error.ts';
import type { Letters } from '../mail/index.ts';
import {
  endSessions,
  findAccount,
  findByEmail,
  findGuest,
  insertGuest,
  keepCode,
  keepGuestKey,
  moveAccount,
  setPassword,
  takeCode,
  type AccountRow,
} from './accounts.repository.ts';
import { hashPassword, hashSecret, isPassword, makeDeviceCode, makeToken } from './secrets.ts';
import { refuseWeak } from './weak-password.ts';

const DEVICE_CODE_MINUTES = 15;
const RESET_MINUTES = 60;

/** `key` brings the browser back into a guest's account. */
type GuestWire = AccountWire & { readonly key: string | null };

export interface AccountsService {
  /** @throws {ProblemError} account.needed, where the account has gone */
  show(accountId: string): Promise<AccountWire>;
  makeGuest(): Promise<GuestWire>;
  /** The guest that a key belongs to. @throws {ProblemError} code.unknown */
  guestAgain(key: string): Promise<GuestWire>;
  /**
   * @param guestId the browser's account so far: where it is a guest's, what it made goes along
   * @throws {ProblemError} account.wrong; request.too_many, where too many passwords were wrong, from wherever they came
   */
  signIn(email: string, password: string, guestId: string | undefined): Promise<AccountWire>;
  /** What a browser's guest made goes along into an account that the browser has come to. */
  join(accountId: string, guestId: string | undefined): Promise<AccountWire>;
  /** Signs out every browser of the account; codes, links and keys that open it end too. */
  endSessions(accountId: string): Promise<void>;
  /** Ends all that `endSessions` does. @throws {ProblemError} account.wrong; password.weak; request.too_many */
  changePassword(accountId: string, current: string, password: string): Promise<void>;
  makeDeviceCode(accountId: string): Promise<{ code: string; expiresAt: string }>;
  /** @throws {ProblemError} code.unknown */
  useDeviceCode(code: string, guestId: string | undefined): Promise<GuestWire>;
  /**
   * Writes to the address, where there is such an account: behind the answer, which reveals neither in words nor by its time
   * whether there is one.
   */
  askReset(email: string): void;
  /** Ends all that `endSessions` does. @throws {ProblemError} code.unknown; password.weak */
  useReset(token: string, password: string, guestId: string | undefined): Promise<AccountWire>;
}

/** What else a new guest gets. */
export type Welcome = (tx: Executor, accountId: string) => Promise<void>;

/** @param report of what failed behind an answer */
export function makeAccountsService(
  db: Database,
  letters: Letters,
  guesses: Guesses,
  welcome: Welcome,
  report: (error: unknown) => void,
): AccountsService {
  /** What a guest made goes into the account that its browser signs in to. */
  async function joined(tx: Executor, found: AccountRow, guestId: string | undefined): Promise<AccountWire> {
    const guest = guestId === undefined || guestId === found.id ? undefined : await findAccount(tx, guestId);
    if (guest?.email === null) await moveAccount(tx, guest.id, found.id);
    return toWire(found);
  }
  async function byCode(tx: Executor, secret: string, purpose: 'device' | 'reset'): Promise<AccountRow> {
    const accountId = await takeCode(tx, hashSecret(secret), purpose);
    const found = accountId === undefined ? undefined : await findAccount(tx, accountId);
    if (!found) throw new ProblemError('code.unknown', 'There is no such code: it was used, or is too old.');
    return found;
  }

  async function sendReset(email: string): Promise<void> {
    const found = await findByEmail(db, email);
    if (!found || !(await guesses.isWithin('letter', email))) return;
    const token = makeToken();
    const expiresAt = inMinutes(RESET_MINUTES);
    await keepCode(db, { hash: hashSecret(token), purpose: 'reset', accountId: found.id, expiresAt });
    await letters.send(email, { kind: 'reset', token });
  }

  return {
    show: async (accountId) => {
      const found = await findAccount(db, accountId);
      if (!found) throw new ProblemError('account.needed', 'Nobody is signed in here.');
      return toWire(found);
    },
    makeGuest: () =>
      db.transaction(async (tx) => {
        const id = uuidv7();
        await insertGuest(tx, id);
        const key = await aGuestKey(tx, id);
        await welcome(tx, id);
        return { id, email: null, key };
      }),
    guestAgain: async (key) => {
      const found = await findGuest(db, hashSecret(key));
      if (!found) throw new ProblemError('code.unknown', 'This browser is not signed in any more; sign in again.');
      return { ...toWire(found), key };
    },
    signIn: async (email, password, guestId) => {
      // By the address that was written, whether or not anybody has it.
      await guesses.count('password', email);
      const found = await findByEmail(db, email);
      if (!(await isPassword(found?.passwordHash, password)) || !found)
        throw new ProblemError('account.wrong', 'The address or the password is not right.');
      await guesses.forget('password', email);
      return db.transaction((tx) => joined(tx, found, guestId));
    },
    join: (accountId, guestId) =>
      db.transaction(async (tx) => {
        const found = await findAccount(tx, accountId);
        if (!found) throw new ProblemError('account.needed', 'Nobody is signed in here.');
        return joined(tx, found, guestId);
      }),
    endSessions: (accountId) => db.transaction((tx) => endSessions(tx, accountId)),
    changePassword: async (accountId, current, password) => {
      const found = await findAccount(db, accountId);
      await guesses.count('password', found?.email ?? accountId);
      if (!(await isPassword(found?.passwordHash, current)))
        throw new ProblemError('account.wrong', 'The password is not right.');
      await refuseWeak(password, found?.email);
      const passwordHash = await hashPassword(password);
      await db.transaction(async (tx) => {
        await setPassword(tx, accountId, passwordHash);
        await endSessions(tx, accountId);
      });
    },
    makeDeviceCode: async (accountId) => {
      const code = makeDeviceCode();
      const expiresAt = inMinutes(DEVICE_CODE_MINUTES);
      await keepCode(db, { hash: hashSecret(code), purpose: 'device', accountId, expiresAt });
      return { code: `${code.slice(0, 5)}-${code.slice(5)}`, expiresAt: expiresAt.toISOString() };
    },
    useDeviceCode: (code, guestId) =>
      db.transaction(async (tx) => {
        const found = await byCode(tx, code, 'device');
        const account = await joined(tx, found, guestId);
        return { ...account, key: found.email === null ? await aGuestKey(tx, found.id) : null };
      }),
    askReset: (email) => void sendReset(email).catch(report),
    useReset: async (token, password, guestId) => {
      await refuseWeak(password);
      const passwordHash = await hashPassword(password);
      return db.transaction(async (tx) => {
        const found = await byCode(tx, token, 'reset');
        await setPassword(tx, found.id, passwordHash);
        await endSessions(tx, found.id);
        return joined(tx, found, guestId);
      });
    },
  };
}

async function aGuestKey(tx: Executor, accountId: string): Promise<string> {
  const key = makeToken();
  await keepGuestKey(tx, accountId, hashSecret(key));
  return key;
}

const inMinutes = (minutes: number) => new Date(Date.now() + minutes * 60_000);
const toWire = ({ id, email }: AccountRow): AccountWire => ({ id, email });
