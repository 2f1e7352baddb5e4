import { and, asc, eq, gt, inArray } from 'drizzle-orm';
import type { Executor } from '../../db/client.ts';
import { account, invitation, job, jobMember } from '../../db/schema.ts';

type InvitedRole = (typeof jobMember.$inferSelect)['role'];

export async function membersOf(db: Executor, jobId: string) {
  const members = await db
    .select({ accountId: jobMember.accountId, role: jobMember.role })
    .from(jobMember)
    .where(eq(jobMember.jobId, jobId))
    .orderBy(asc(jobMember.createdAt));
  if (members.length === 0) return [];
  // Accounts may lie elsewhere than jobs do.
  const ids = members.map(({ accountId }) => accountId);
  const accounts = await db
    .select({ id: account.id, email: account.email })
    .from(account)
    .where(inArray(account.id, ids));
  const emails = new Map(accounts.map(({ id, email }) => [id, email]));
  return members.map((member) => ({ ...member, email: emails.get(member.accountId) ?? null }));
}

export async function keepInvitation(db: Executor, row: typeof invitation.$inferInsert): Promise<void> {
  await db.insert(invitation).values(row);
}

/**
 * Undefined for one that is unknown, taken back, or too old.
 * @param jobId the job that it says it is into; undefined for a link of before, which does not say
 */
export async function findInvitation(db: Executor, hash: string, jobId: string | undefined) {
  const [found] = await db
    .select({ jobId: invitation.jobId, role: invitation.role, ownerId: job.ownerId })
    .from(invitation)
    .innerJoin(job, eq(job.id, invitation.jobId))
    .where(
      and(
        jobId === undefined ? undefined : eq(invitation.jobId, jobId),
        eq(invitation.hash, hash),
        gt(invitation.expiresAt, new Date()),
      ),
    );
  return found;
}

export async function dropInvitations(db: Executor, jobId: string): Promise<void> {
  await db.delete(invitation).where(eq(invitation.jobId, jobId));
}

/** Lets an account in. One that is in already is never made less by a further link. */
export async function letIn(db: Executor, jobId: string, accountId: string, role: InvitedRole): Promise<void> {
  const values = db.insert(jobMember).values({ jobId, accountId, role });
  if (role === 'read') await values.onConflictDoNothing();
  else await values.onConflictDoUpdate({ target: [jobMember.jobId, jobMember.accountId], set: { role } });
}

export async function dropMember(db: Executor, jobId: string, accountId: string): Promise<void> {
  await db.delete(jobMember).where(and(eq(jobMember.jobId, jobId), eq(jobMember.accountId, accountId)));
}
