import type { MemberWire } from '@sprell/contract';
import type { Database, Executor } from '../../db/client.ts';
import { ProblemError } from '../../http/problem-error.ts';
import { hashSecret, makeToken } from '../accounts/index.ts';
import { notify } from '../feed/index.ts';
import { findJob, noSuchJob } from '../jobs/index.ts';
import { dropInvitations, dropMember, findInvitation, keepInvitation, letIn, membersOf } from './members.repository.ts';

const INVITATION_DAYS = 7;

/** Who may see a job besides its owner. Each throws job.not_found, and job.not_owner for what is the owner's alone. */
export interface MembersService {
  list(accountId: string, jobId: string): Promise<MemberWire[]>;
  invite(accountId: string, jobId: string, role: 'read' | 'edit'): Promise<{ token: string; expiresAt: string }>;
  withdraw(accountId: string, jobId: string): Promise<void>;
  /** @throws {ProblemError} code.unknown */
  accept(accountId: string, token: string): Promise<{ jobId: string }>;
  /** By the owner for anyone, whose links into the job end with it; by a member for itself. */
  remove(accountId: string, jobId: string, memberId: string): Promise<void>;
}

/** Signs of base64url that a job's 16 bytes and a token's 32 come to. */
const [OF_JOB, OF_TOKEN] = [22, 43];

/** The link says which job it is into, so that only that is looked at. */
const invitationTo = (jobId: string) =>
  Buffer.from(jobId.replaceAll('-', ''), 'hex').toString('base64url') + makeToken();

function jobInvitedTo(token: string): string | undefined {
  if (token.length !== OF_JOB + OF_TOKEN) return undefined;
  const digits = Buffer.from(token.slice(0, OF_JOB), 'base64url').toString('hex');
  return digits.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

export function makeMembersService(db: Database): MembersService {
  async function owned(executor: Executor, accountId: string, jobId: string): Promise<void> {
    const job = await findJob(executor, accountId, jobId);
    if (!job) throw noSuchJob();
    if (job.role !== 'own') throw new ProblemError('job.not_owner', 'Only the owner of the job can do this.');
  }
  return {
    list: async (accountId, jobId) => {
      await owned(db, accountId, jobId);
      return membersOf(db, jobId);
    },
    invite: async (accountId, jobId, role) => {
      await owned(db, accountId, jobId);
      const token = invitationTo(jobId);
      const expiresAt = new Date(Date.now() + INVITATION_DAYS * 86_400_000);
      await keepInvitation(db, { hash: hashSecret(token), jobId, role, expiresAt });
      return { token, expiresAt: expiresAt.toISOString() };
    },
    withdraw: async (accountId, jobId) => {
      await owned(db, accountId, jobId);
      await dropInvitations(db, jobId);
    },
    accept: async (accountId, token) => {
      const found = await findInvitation(db, hashSecret(token), jobInvitedTo(token));
      if (!found) throw new ProblemError('code.unknown', 'This invitation was taken back, or is too old.');
      if (found.ownerId !== accountId) await letIn(db, found.jobId, accountId, found.role);
      return { jobId: found.jobId };
    },
    remove: async (accountId, jobId, memberId) => {
      if (memberId === accountId) {
        if (!(await findJob(db, accountId, jobId))) throw noSuchJob();
      } else await owned(db, accountId, jobId);
      await db.transaction(async (tx) => {
        await dropMember(tx, jobId, memberId);
        // A removed member knows the link that let them in.
        if (memberId !== accountId) await dropInvitations(tx, jobId);
        await notify(tx, { kind: 'shut', accountId: memberId, jobId });
      });
    },
  };
}
