/** The server's account of this browser, and who else may see a job. Loaded at the first use, as `job-server` is. */
import {
  acceptInvitation,
  askReset,
  changePassword,
  claimAccount,
  confirmClaim,
  invite,
  listMembers,
  makeDeviceCode,
  removeMember,
  showAccount,
  signIn,
  signOut,
  useDeviceCode,
  useReset,
  withdrawInvitations,
  type AccountWire,
  type OwnAccountWire,
} from '@sprell/contract';
import { call } from './api-client.ts';
import { withAccount } from './job-server.ts';
import { localStore } from './local/local-store-loader.ts';
import { remember } from './local-memory.ts';

/**
 * The account of this browser from now on. A key of the guest that it was before opens nothing any more; where it is
 * another device of a guest's, it was given one of its own.
 */
async function entered(account: Promise<AccountWire & { readonly key?: string | null }>): Promise<AccountWire> {
  const { id, email, key } = await account;
  if (email !== null || typeof key === 'string') await (await localStore()).setNote('guest', key ?? undefined);
  remember('account', id);
  return { id, email };
}

export const show = () => withAccount(() => call(showAccount, {}));
/** Where a letter went first, this browser is a guest's as before. */
export async function claim(email: string, password: string): Promise<OwnAccountWire> {
  const account = await withAccount(() => call(claimAccount, {}, { email, password }));
  return account.email === null ? account : { ...(await entered(Promise.resolve(account))), waitsFor: null };
}
export const confirm = (token: string, password?: string) =>
  entered(call(confirmClaim, {}, { token, ...(password === undefined ? {} : { password }) }));
export const enter = (email: string, password: string) => entered(call(signIn, {}, { email, password }));
export const leave = (everywhere: boolean) => call(signOut, {}, { everywhere });
export const newPassword = (current: string, password: string) => call(changePassword, {}, { current, password });
export const makeCode = () => withAccount(() => call(makeDeviceCode, {}, {}));
export const enterByCode = (code: string) => entered(call(useDeviceCode, {}, { code }));
export const forgot = (email: string) => call(askReset, {}, { email });
export const reset = (token: string, password: string) => entered(call(useReset, {}, { token, password }));

export const members = (jobId: string) => withAccount(() => call(listMembers, { jobId }));
export const inviteTo = (jobId: string, role: 'read' | 'edit') => withAccount(() => call(invite, { jobId }, { role }));
export const withdraw = (jobId: string) => call(withdrawInvitations, { jobId });
export const remove = (jobId: string, accountId: string) => call(removeMember, { jobId, accountId });
export const accept = (token: string) => withAccount(() => call(acceptInvitation, {}, { token }));
