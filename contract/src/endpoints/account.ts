import { z } from 'zod';
import { defineEndpoint } from '../endpoint.ts';
import { jobSummaryWire, jobWire } from './jobs.ts';

const nothing = z.undefined();
const noParams = z.object({});
const done = z.object({ done: z.literal(true) });

export const emailWire = z
  .string()
  .trim()
  .max(254)
  .pipe(z.email())
  .transform((email) => email.toLowerCase());
/** Long enough to be no word; short enough that hashing it cannot be made to take long. */
export const passwordWire = z.string().min(10).max(200);
/** What is read off one screen and typed on another: no letter that looks like a digit, case and hyphens do not matter. */
export const deviceCodeWire = z
  .string()
  .max(40)
  .transform((code) => code.toUpperCase().replace(/[^0-9A-Z]/g, ''))
  .pipe(z.string().regex(/^[0-9A-Z]{10}$/));
const tokenWire = z.string().regex(/^[\w-]{20,100}$/);

/** Whose work this browser keeps: a guest's while there is no e-mail address. */
export const accountWire = z.object({ id: z.uuid(), email: z.string().nullable() });
export type AccountWire = z.infer<typeof accountWire>;

/** One's own account, with the address that a letter went to and that is its own once the link in it was opened. */
const ownAccountWire = accountWire.extend({ waitsFor: z.string().nullable() });
export type OwnAccountWire = z.infer<typeof ownAccountWire>;

/** An account with what brings this browser back into it, for as long as that is a guest's. */
const guestWire = accountWire.extend({ key: tokenWire.nullable() });

export const showAccount = defineEndpoint({
  method: 'get',
  access: 'account',
  path: '/api/account',
  params: noParams,
  body: nothing,
  response: ownAccountWire,
});

/**
 * An account of this browser's own, made when there is something to keep; one that is there already is answered. A
 * browser that was killed may have lost its cookie and not its jobs: the guest's key brings it back into the account, for
 * as long as that is a guest's. A browser that has nothing yet asks for its jobs along with it, the first of them whole: on a
 * phone each round to the server takes half a second.
 */
export const beGuest = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/guest',
  params: noParams,
  body: z.strictObject({ key: tokenWire.optional(), wants: z.literal('jobs').optional() }),
  response: guestWire.extend({ jobs: z.array(jobSummaryWire).optional(), first: jobWire.optional() }),
});

/**
 * Gives the guest's account an address and a password: once the link was opened that goes to the address, where the server
 * sends mail, and at once where it does not. With mail the answer is the same whether or not somebody has the address.
 */
export const claimAccount = defineEndpoint({
  method: 'post',
  access: 'account',
  path: '/api/account/claim',
  params: noParams,
  body: z.strictObject({ email: emailWire, password: passwordWire }),
  response: ownAccountWire,
});

/** By the link that went to the address, it is the account's. Asks for the password where another browser opens it. */
export const confirmClaim = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/claim/confirm',
  params: noParams,
  body: z.strictObject({ token: tokenWire, password: z.string().max(200).optional() }),
  response: accountWire,
});

/** Signs in; what this browser's guest made goes into the account. */
export const signIn = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/sign-in',
  params: noParams,
  body: z.strictObject({ email: emailWire, password: z.string().max(200) }),
  response: accountWire,
});

export const signOut = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/sign-out',
  params: noParams,
  body: z.strictObject({ everywhere: z.boolean() }),
  response: done,
});

/** A new password; every other session of the account ends. */
export const changePassword = defineEndpoint({
  method: 'post',
  access: 'account',
  path: '/api/account/password',
  params: noParams,
  body: z.strictObject({ current: z.string().max(200), password: passwordWire }),
  response: done,
});

/** A code that brings another device into this account, once and soon. */
export const makeDeviceCode = defineEndpoint({
  method: 'post',
  access: 'account',
  path: '/api/account/code',
  params: noParams,
  body: z.strictObject({}),
  response: z.object({ code: z.string(), expiresAt: z.iso.datetime() }),
});

export const useDeviceCode = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/code/use',
  params: noParams,
  body: z.strictObject({ code: deviceCodeWire }),
  response: guestWire,
});

/** Sends a link to set a new password by. Answers alike whether or not there is such an account. */
export const askReset = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/reset',
  params: noParams,
  body: z.strictObject({ email: emailWire }),
  response: done,
});

/** A new password by the link; every session of the account ends, and this browser signs in. */
export const useReset = defineEndpoint({
  method: 'post',
  access: 'anyone',
  path: '/api/account/reset/use',
  params: noParams,
  body: z.strictObject({ token: tokenWire, password: passwordWire }),
  response: accountWire,
});

export { tokenWire };
