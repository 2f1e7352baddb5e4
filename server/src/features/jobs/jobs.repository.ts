import type { LineWire, ReadingWire, Role, ScaleWire } from '@sprell/contract';
import { and, asc, count, eq, gt, isNotNull, isNull, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/client.ts';
import { job, jobMember, line, scale } from '../../db/schema.ts';

export type JobRow = typeof job.$inferSelect;
export type LineRow = typeof line.$inferSelect;
export type ScaleRow = typeof scale.$inferSelect;

export function lineToWire(row: LineRow): LineWire {
  const { id, kind, number, position, source, label, note, revision, deletedAt } = row;
  return { id, kind, number, position, source, label, note, revision, deleted: deletedAt !== null };
}

export function scaleToWire({ id, kind, paper, site, name, revision, deletedAt }: ScaleRow): ScaleWire {
  return { id, kind, paper, site, name, revision, deleted: deletedAt !== null };
}

export function readingToWire({ lengthStyle, finest, metricStep, rounding, fractions }: JobRow): ReadingWire {
  return { length: lengthStyle, finest, metricStep, rounding, fractions };
}

/** A job with what an account may do with it. */
export type SeenJob = JobRow & { readonly role: Role };

const memberOf = (accountId: string) => and(eq(jobMember.jobId, job.id), eq(jobMember.accountId, accountId));
const isSeenBy = (accountId: string) =>
  and(or(eq(job.ownerId, accountId), isNotNull(jobMember.role)), isNull(job.deletedAt));
const roleFor = (accountId: string) =>
  sql<Role>`case when ${job.ownerId} = ${accountId} then 'own' else ${jobMember.role}::text end`;

/** Jobs that an account may see, with the count of their lines that are worked out. */
export async function jobsOf(db: Executor, accountId: string) {
  return db
    .select({
      id: job.id,
      title: job.title,
      revision: job.revision,
      lines: count(line.id),
      role: roleFor(accountId),
    })
    .from(job)
    .leftJoin(jobMember, memberOf(accountId))
    .leftJoin(line, and(eq(line.jobId, job.id), eq(line.kind, 'worked'), isNull(line.deletedAt)))
    .where(isSeenBy(accountId))
    .groupBy(job.id, jobMember.role)
    .orderBy(asc(job.createdAt), asc(job.id));
}

/** One job that an account may see; undefined when there is none, or it is not theirs to see. */
export async function findJob(db: Executor, accountId: string, jobId: string): Promise<SeenJob | undefined> {
  const [found] = await seenJob(db, accountId, jobId);
  return found && { ...found.job, role: found.role };
}

/** As `findJob`, holding the row until the transaction ends: changes of one job follow each other. */
export async function lockJob(db: Executor, accountId: string, jobId: string): Promise<SeenJob | undefined> {
  const [found] = await seenJob(db, accountId, jobId).for('update', { of: job });
  return found && { ...found.job, role: found.role };
}

function seenJob(db: Executor, accountId: string, jobId: string) {
  return db
    .select({ job, role: roleFor(accountId) })
    .from(job)
    .leftJoin(jobMember, memberOf(accountId))
    .where(and(eq(job.id, jobId), isSeenBy(accountId)));
}

/** Nothing is made where the id is in use. */
export async function insertJob(db: Executor, row: typeof job.$inferInsert): Promise<void> {
  await db.insert(job).values(row).onConflictDoNothing({ target: job.id });
}

/**
 * Lines that changed after a revision; -1 for all. Deleted ones too: entries that used them still name them, and they
 * can be brought back.
 */
export async function linesOf(db: Executor, jobId: string, after: number): Promise<readonly LineRow[]> {
  return db
    .select()
    .from(line)
    .where(and(eq(line.jobId, jobId), gt(line.revision, after)))
    .orderBy(asc(line.position), asc(line.id));
}

/** Drawing scales that changed after a revision, in the order they were made; deleted ones can be brought back. */
export async function scalesOf(db: Executor, jobId: string, after: number): Promise<readonly ScaleRow[]> {
  return db
    .select()
    .from(scale)
    .where(and(eq(scale.jobId, jobId), gt(scale.revision, after)))
    .orderBy(asc(scale.id));
}

/** A reading as the job's row holds it. */
export function readingColumns({ length, ...rest }: ReadingWire) {
  return { lengthStyle: length, ...rest };
}
