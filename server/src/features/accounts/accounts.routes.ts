import {
  askReset,
  beGuest,
  changePassword,
  claimAccount,
  confirmClaim,
  makeDeviceCode,
  showAccount,
  signIn,
  signOut,
  useDeviceCode,
  useReset,
} from '@sprell/contract';
import { Router, type RequestHandler } from 'express';
import type { Caller } from '../../http/caller.ts';
import { behindApi, serve } from '../../http/serve.ts';
import type { JobsService } from '../jobs/index.ts';
import type { AccountsService } from './accounts.service.ts';
import type { ClaimsService } from './claims.service.ts';

const DONE = { done: true } as const;

/**
 * Routes of the account.
 * @param guarded a limit for what can be guessed at: passwords, codes
 */
export function accountRoutes(
  accounts: AccountsService,
  claims: ClaimsService,
  { guarded, jobs }: { readonly guarded: RequestHandler; readonly jobs: JobsService },
): Router {
  const router = Router();
  for (const { path } of [
    beGuest,
    claimAccount,
    confirmClaim,
    signIn,
    changePassword,
    useDeviceCode,
    askReset,
    useReset,
  ])
    // At this address alone: that of using a link begins like that of asking for one.
    router.all(behindApi(path), guarded);

  serve(router, showAccount, async ({ accountId }) => ({
    ...(await accounts.show(accountId)),
    waitsFor: await claims.waitsFor(accountId),
  }));
  serve(router, beGuest, async ({ accountId, caller, body }) => {
    const there = accountId === undefined ? undefined : await accounts.show(accountId).catch(() => undefined);
    const guest = there
      ? { ...there, key: null }
      : await entered(caller, await (body.key === undefined ? accounts.makeGuest() : accounts.guestAgain(body.key)));
    if (body.wants !== 'jobs') return guest;
    const listed = await jobs.list(guest.id);
    const [first] = listed;
    return { ...guest, jobs: listed, ...(first && { first: await jobs.open(guest.id, first.id) }) };
  });
  serve(router, claimAccount, async ({ accountId, caller, body }) => {
    const account = await claims.claim(accountId, body.email, body.password);
    return account.email === null ? account : entered(caller, account);
  });
  serve(router, confirmClaim, async ({ accountId, caller, body }) => {
    const { id } = await claims.confirm(body.token, body.password, accountId);
    return entered(caller, await accounts.join(id, accountId));
  });
  serve(router, signIn, async ({ accountId, caller, body }) =>
    entered(caller, await accounts.signIn(body.email, body.password, accountId)),
  );
  serve(router, signOut, async ({ accountId, caller, body }) => {
    if (body.everywhere && accountId !== undefined) await accounts.endSessions(accountId);
    await caller.signOut();
    return DONE;
  });
  serve(router, changePassword, async ({ accountId, caller, body }) => {
    await accounts.changePassword(accountId, body.current, body.password);
    await caller.signIn(accountId);
    return DONE;
  });
  serve(router, makeDeviceCode, ({ accountId }) => accounts.makeDeviceCode(accountId));
  serve(router, useDeviceCode, async ({ accountId, caller, body }) =>
    entered(caller, await accounts.useDeviceCode(body.code, accountId)),
  );
  serve(router, askReset, ({ body }) => {
    accounts.askReset(body.email);
    return Promise.resolve(DONE);
  });
  serve(router, useReset, async ({ accountId, caller, body }) =>
    entered(caller, await accounts.useReset(body.token, body.password, accountId)),
  );
  return router;
}

async function entered<Account extends { readonly id: string }>(caller: Caller, account: Account): Promise<Account> {
  await caller.signIn(account.id);
  return account;
}
