import { z } from 'zod';
import { defineEndpoint } from '../endpoint.ts';
import { tokenWire } from './account.ts';

const jobParams = z.object({ jobId: z.uuid() });
const nothing = z.undefined();
const done = z.object({ done: z.literal(true) });
const invitedRole = z.enum(['read', 'edit']);

/** Somebody who may see a job besides its owner; an address only where the account has one. */
export const memberWire = z.object({ accountId: z.uuid(), email: z.string().nullable(), role: invitedRole });
export type MemberWire = z.infer<typeof memberWire>;

/** Who may see the job, for its owner. */
export const listMembers = defineEndpoint({
  method: 'get',
  access: 'account',
  path: '/api/jobs/:jobId/members',
  params: jobParams,
  body: nothing,
  response: z.array(memberWire),
});

/** A link's token, for anyone who is given it until it expires. */
export const invite = defineEndpoint({
  method: 'post',
  access: 'account',
  path: '/api/jobs/:jobId/invitations',
  params: jobParams,
  body: z.strictObject({ role: invitedRole }),
  response: z.object({ token: z.string(), expiresAt: z.iso.datetime() }),
});

/** Takes every invitation to the job back that was not used yet. */
export const withdrawInvitations = defineEndpoint({
  method: 'delete',
  access: 'account',
  path: '/api/jobs/:jobId/invitations',
  params: jobParams,
  body: nothing,
  response: done,
});

export const acceptInvitation = defineEndpoint({
  method: 'post',
  access: 'account',
  path: '/api/invitations/accept',
  params: z.object({}),
  body: z.strictObject({ token: tokenWire }),
  response: z.object({ jobId: z.uuid() }),
});

/** Takes access back, at once; a member may leave. */
export const removeMember = defineEndpoint({
  method: 'delete',
  access: 'account',
  path: '/api/jobs/:jobId/members/:accountId',
  params: z.object({ jobId: z.uuid(), accountId: z.uuid() }),
  body: nothing,
  response: done,
});
