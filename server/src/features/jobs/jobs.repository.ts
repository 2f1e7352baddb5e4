import type { LineWire, ReadingWire, ScaleWire } from '@sprell/contract';
import { and, asc, count, eq, isNull } from 'drizzle-orm';
import type { Executor } from '../../db/client.ts';
import { job, line, scale } from '../../db/schema.ts';

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

/** Jobs of an account with the count of their lines that are worked out. */
export async function jobsOf(db: Executor, ownerId: string) {
  return db
    .select({ id: job.id, title: job.title, revision: job.revision, lines: count(line.id) })
    .from(job)
    .leftJoin(line, and(eq(line.jobId, job.id), eq(line.kind, 'worked'), isNull(line.deletedAt)))
    .where(and(eq(job.ownerId, ownerId), isNull(job.deletedAt)))
    .groupBy(job.id)
    .orderBy(asc(job.createdAt), asc(job.id));
}

/** One job of an account; undefined when there is none, or it is somebody else's. */
export async function findJob(db: Executor, ownerId: string, jobId: string): Promise<JobRow | undefined> {
  const [found] = await db
    .select()
    .from(job)
    .where(and(eq(job.id, jobId), eq(job.ownerId, ownerId), isNull(job.deletedAt)));
  return found;
}

/** As `findJob`, holding the row until the transaction ends: changes of one job follow each other. */
export async function lockJob(db: Executor, ownerId: string, jobId: string): Promise<JobRow | undefined> {
  const [found] = await db
    .select()
    .from(job)
    .where(and(eq(job.id, jobId), eq(job.ownerId, ownerId), isNull(job.deletedAt)))
    .for('update');
  return found;
}

/** All lines, deleted ones too: entries that used them still name them, and they can be brought back. */
export async function linesOf(db: Executor, jobId: string): Promise<readonly LineRow[]> {
  return db.select().from(line).where(eq(line.jobId, jobId)).orderBy(asc(line.position), asc(line.id));
}

/** All drawing scales, in the order they were made; deleted ones can be brought back. */
export async function scalesOf(db: Executor, jobId: string): Promise<readonly ScaleRow[]> {
  return db.select().from(scale).where(eq(scale.jobId, jobId)).orderBy(asc(scale.id));
}
