import { and, eq, gt, inArray, lt, notInArray, sql } from 'drizzle-orm';
import type { Executor } from '../../db/client.ts';
import { notify } from '../feed/index.ts';
import { account, claim, guestKey, job, jobMember, oneTimeCode, session } from '../../db/schema.ts';

export type AccountRow = typeof account.$inferSelect;
type Purpose = (typeof oneTimeCode.$inferSelect)['purpose'];

export async function insertGuest(db: Executor, id: string): Promise<void> {
  await db.insert(account).values({ id });
}

export async function keepGuestKey(db: Executor, accountId: string, hash: string): Promise<void> {
  await db.insert(guestKey).values({ hash, accountId });
}

async function dropGuestKeys(db: Executor, accountId: string): Promise<void> {
  await db.delete(guestKey).where(eq(guestKey.accountId, accountId));
}

export async function findGuest(db: Executor, keyHash: string): Promise<AccountRow | undefined> {
  const [found] = await db
    .select({ account })
    .from(guestKey)
    .innerJoin(account, eq(account.id, guestKey.accountId))
    .where(eq(guestKey.hash, keyHash));
  return found?.account;
}

export async function findAccount(db: Executor, id: string): Promise<AccountRow | undefined> {
  const [found] = await db.select().from(account).where(eq(account.id, id));
  return found;
}

export async function findByEmail(db: Executor, email: string): Promise<AccountRow | undefined> {
  const [found] = await db.select().from(account).where(eq(account.email, email));
  return found;
}

export type ClaimRow = typeof claim.$inferSelect;

/** One claim for each account: a later one takes the place of an earlier. */
export async function keepClaim(db: Executor, row: ClaimRow): Promise<void> {
  await db.delete(claim).where(lt(claim.expiresAt, new Date()));
  await db.insert(claim).values(row).onConflictDoUpdate({ target: claim.accountId, set: row });
}

export async function findClaim(
  db: Executor,
  by: { readonly hash: string } | { readonly accountId: string },
): Promise<ClaimRow | undefined> {
  const isMeant = 'hash' in by ? eq(claim.hash, by.hash) : eq(claim.accountId, by.accountId);
  const [found] = await db
    .select()
    .from(claim)
    .where(and(isMeant, gt(claim.expiresAt, new Date())));
  return found;
}

export async function dropClaim(db: Executor, accountId: string): Promise<void> {
  await db.delete(claim).where(eq(claim.accountId, accountId));
}

/** Whether the guest was given the address: nobody else has it, and the account had none. */
export async function giveAddress(db: Executor, id: string, email: string, passwordHash: string): Promise<boolean> {
  if (await findByEmail(db, email)) return false;
  const claimed = await db
    .update(account)
    .set({ email, passwordHash })
    .where(and(eq(account.id, id), sql`${account.email} is null`))
    .returning({ id: account.id });
  if (claimed.length === 0) return false;
  await dropGuestKeys(db, id);
  await dropClaim(db, id);
  return true;
}

export async function setPassword(db: Executor, id: string, passwordHash: string): Promise<void> {
  await db.update(account).set({ passwordHash }).where(eq(account.id, id));
}

/** Everything of one account is another's from now on: its jobs, what it was let into, and its sessions. */
export async function moveAccount(db: Executor, from: string, to: string): Promise<void> {
  await db.update(job).set({ ownerId: to }).where(eq(job.ownerId, from));
  const there = db.select({ jobId: jobMember.jobId }).from(jobMember).where(eq(jobMember.accountId, to));
  await db
    .update(jobMember)
    .set({ accountId: to })
    .where(and(eq(jobMember.accountId, from), notInArray(jobMember.jobId, there)));
  await db.delete(jobMember).where(eq(jobMember.accountId, from));
  // Of a job of one's own nobody is a member besides.
  const own = db.select({ id: job.id }).from(job).where(eq(job.ownerId, to));
  await db.delete(jobMember).where(and(eq(jobMember.accountId, to), inArray(jobMember.jobId, own)));
  await db.execute(
    sql`update ${session} set sess = jsonb_set(sess::jsonb, '{accountId}', to_jsonb(${to}::text))::json
        where sess ->> 'accountId' = ${from}`,
  );
  await dropGuestKeys(db, from);
  await dropClaim(db, from);
  await notify(db, { kind: 'shut', accountId: from });
}

/** Ends every way into an account but its password, in every process at once: sessions, keys, codes and links. */
export async function endSessions(db: Executor, accountId: string): Promise<void> {
  await db.delete(session).where(sql`${session.sess} ->> 'accountId' = ${accountId}`);
  await db.delete(oneTimeCode).where(eq(oneTimeCode.accountId, accountId));
  await dropGuestKeys(db, accountId);
  await dropClaim(db, accountId);
  await notify(db, { kind: 'shut', accountId });
}

export async function keepCode(
  db: Executor,
  code: { readonly hash: string; readonly purpose: Purpose; readonly accountId: string; readonly expiresAt: Date },
): Promise<void> {
  await db.delete(oneTimeCode).where(lt(oneTimeCode.expiresAt, new Date()));
  await db.insert(oneTimeCode).values(code);
}

/** Whose code it is; it is gone with that. Undefined for one that is unknown, used, or too old. */
export async function takeCode(db: Executor, hash: string, purpose: Purpose): Promise<string | undefined> {
  const [taken] = await db
    .delete(oneTimeCode)
    .where(and(eq(oneTimeCode.hash, hash), eq(oneTimeCode.purpose, purpose), gt(oneTimeCode.expiresAt, new Date())))
    .returning({ accountId: oneTimeCode.accountId });
  return taken?.accountId;
}
