import { and, asc, eq, gt } from 'drizzle-orm';
import type { Executor } from '../../db/client.ts';
import { account, invitation, job, jobMember } from '../../db/schema.ts';

type InvitedRole = (typeof jobMember.$inferSelect)['role'];

export async function membersOf(db: Executor, jobId: string) {
  return db
    .select({ accountId: jobMember.accountId, email: account.email, role: jobMember.role })
    .from(jobMember)
    .innerJoin(account, eq(account.id, jobMember.accountId))
    .where(eq(jobMember.jobId, jobId))
    .orderBy(asc(jobMember.createdAt));
}

export async function keepInvitation(db: Executor, row: typeof invitation.$inferInsert): Promise<void> {
  await db.insert(invitation).values(row);
}

/** Undefined for one that is unknown, taken back, or too old. */
export async function findInvitation(db: Executor, hash: string) {
  const [found] = await db
    .select({ jobId: invitation.jobId, role: invitation.role, ownerId: job.ownerId })
    .from(invitation)
    .innerJoin(job, eq(job.id, invitation.jobId))
    .where(and(eq(invitation.hash, hash), gt(invitation.expiresAt, new Date())));
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
