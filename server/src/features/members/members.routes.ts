import { acceptInvitation, invite, listMembers, removeMember, withdrawInvitations } from '@sprell/contract';
import { Router, type RequestHandler } from 'express';
import { behindApi, serve } from '../../http/serve.ts';
import type { MembersService } from './members.service.ts';

const DONE = { done: true } as const;

/** Routes of those who may see a job besides its owner. @param guarded a limit for tokens that can be guessed at */
export function memberRoutes(members: MembersService, { guarded }: { readonly guarded: RequestHandler }): Router {
  const router = Router();
  router.use(behindApi(acceptInvitation.path), guarded);
  serve(router, listMembers, ({ accountId, params }) => members.list(accountId, params.jobId));
  serve(router, invite, ({ accountId, params, body }) => members.invite(accountId, params.jobId, body.role));
  serve(router, withdrawInvitations, async ({ accountId, params }) => {
    await members.withdraw(accountId, params.jobId);
    return DONE;
  });
  serve(router, acceptInvitation, ({ accountId, body }) => members.accept(accountId, body.token));
  serve(router, removeMember, async ({ accountId, params }) => {
    await members.remove(accountId, params.jobId, params.accountId);
    return DONE;
  });
  return router;
}
