import { and, eq } from 'drizzle-orm';
import type { Change, ReadingWire } from '@sprell/contract';
import type { Executor } from '../../db/client.ts';
import { change, job, line, scale } from '../../db/schema.ts';
import { readingColumns, type JobRow, type LineRow, type ScaleRow } from '../jobs/jobs.repository.ts';

export async function findChange(db: Executor, accountId: string, id: string) {
  const [found] = await db
    .select()
    .from(change)
    .where(and(eq(change.accountId, accountId), eq(change.id, id)));
  return found;
}

export async function recordChange(
  db: Executor,
  accountId: string,
  jobId: string,
  sent: Change,
  payloadHash: string,
  revision: number,
): Promise<void> {
  await db.insert(change).values({
    accountId,
    id: sent.id,
    jobId,
    kind: sent.kind,
    lineId: 'lineId' in sent ? sent.lineId : null,
    scaleId: 'scaleId' in sent ? sent.scaleId : null,
    payloadHash,
    revision,
  });
}

/** A line of this job, deleted or not. */
export async function findLine(db: Executor, jobId: string, lineId: string): Promise<LineRow | undefined> {
  const [found] = await db
    .select()
    .from(line)
    .where(and(eq(line.jobId, jobId), eq(line.id, lineId)));
  return found;
}

export async function isNumberTaken(db: Executor, jobId: string, number: number): Promise<boolean> {
  const found = await db
    .select({ id: line.id })
    .from(line)
    .where(and(eq(line.jobId, jobId), eq(line.number, number)));
  return found.length > 0;
}

/** Undefined when the id is in use already, in whatever job. */
export async function insertLine(db: Executor, row: typeof line.$inferInsert): Promise<LineRow | undefined> {
  const [made] = await db.insert(line).values(row).onConflictDoNothing({ target: line.id }).returning();
  return made;
}

export async function updateLine(
  db: Executor,
  lineId: string,
  values: Partial<typeof line.$inferInsert>,
): Promise<LineRow> {
  const [changed] = await db.update(line).set(values).where(eq(line.id, lineId)).returning();
  return changed as LineRow;
}

/** A drawing scale of this job, deleted or not. */
export async function findScale(db: Executor, jobId: string, scaleId: string): Promise<ScaleRow | undefined> {
  const [found] = await db
    .select()
    .from(scale)
    .where(and(eq(scale.jobId, jobId), eq(scale.id, scaleId)));
  return found;
}

/** Undefined when the id is in use already, in whatever job. */
export async function insertScale(db: Executor, row: typeof scale.$inferInsert): Promise<ScaleRow | undefined> {
  const [made] = await db.insert(scale).values(row).onConflictDoNothing({ target: scale.id }).returning();
  return made;
}

export async function updateScale(
  db: Executor,
  scaleId: string,
  values: Partial<typeof scale.$inferInsert>,
): Promise<ScaleRow> {
  const [changed] = await db.update(scale).set(values).where(eq(scale.id, scaleId)).returning();
  return changed as ScaleRow;
}

/** How the job reads from now on. */
export async function saveReading(db: Executor, jobId: string, reading: ReadingWire): Promise<JobRow> {
  const [saved] = await db.update(job).set(readingColumns(reading)).where(eq(job.id, jobId)).returning();
  return saved as JobRow;
}

export async function saveJobCounters(
  db: Executor,
  jobId: string,
  revision: number,
  nextNumber: number,
): Promise<void> {
  await db.update(job).set({ revision, nextNumber }).where(eq(job.id, jobId));
}
