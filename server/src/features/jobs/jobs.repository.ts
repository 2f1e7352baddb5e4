import {
  listsOf,
  THING_KINDS,
  type JobFields,
  type JobSummary,
  type JobWire,
  type LineWire,
  type ReadingWire,
  type Role,
  type Things,
} from '@sprell/contract';
import { and, asc, count, eq, isNotNull, isNull, or, sql, type Placeholder, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { prepared, type Database, type Executor } from '../../db/client.ts';
import { jsonList, jsonObject } from '../../db/json-rows.ts';
import { job, jobMember, line, type change } from '../../db/schema.ts';
import { tableOf, thingColumns } from '../../db/things.ts';

export type JobRow = typeof job.$inferSelect;
export type LineRow = typeof line.$inferSelect;
export type ChangeRow = typeof change.$inferSelect;

/** A row as it is, or as it came in JSON. */
type Deletable<Row> = Omit<Row, 'createdAt' | 'deletedAt'> & { readonly deletedAt: Date | string | null };

export function lineToWire(row: Deletable<LineRow>): LineWire {
  const { id, kind, number, position, source, label, note, revision, deletedAt } = row;
  return { id, kind, number, position, source, label, note, revision, deleted: deletedAt !== null };
}

export function readingToWire({ lengthStyle, finest, metricStep, rounding, fractions }: JobRow): ReadingWire {
  return { length: lengthStyle, finest, metricStep, rounding, fractions };
}

export function jobFieldsToWire(row: JobRow): JobFields {
  const { title, tags, archived, thousands, decimalComma, currency, bareNumbers, moneyRounded, holds, deletedAt } = row;
  return {
    ...{ title, tags, archived, thousands, decimalComma, currency: currency as JobFields['currency'] },
    bareNumbers,
    moneyRounded,
    holds,
    deleted: deletedAt !== null,
  };
}

/** A job with what an account may do with it. */
export type SeenJob = JobRow & { readonly role: Role };

type Given = string | Placeholder;
export const memberOf = (accountId: Given) => and(eq(jobMember.jobId, job.id), eq(jobMember.accountId, accountId));
/** A deleted job is its owner's alone. */
export const isSeenBy = (accountId: Given) =>
  or(eq(job.ownerId, accountId), and(isNotNull(jobMember.role), isNull(job.deletedAt)));
export const roleFor = (accountId: Given) =>
  sql<Role>`case when ${job.ownerId} = ${accountId} then 'own' else ${jobMember.role}::text end`;

/** Jobs that an account may see, the oldest first. */
export async function jobsOf(db: Executor, accountId: string): Promise<JobSummary[]> {
  const found = await db
    .select({
      job,
      lines: sql<number>`(select count(*)::int from ${line}
        where ${line.jobId} = ${job.id} and ${line.kind} = 'worked' and ${line.deletedAt} is null)`,
      people: sql<number>`(select count(*)::int + 1 from job_member others where others.job_id = ${job.id})`,
      role: roleFor(accountId),
    })
    .from(job)
    .leftJoin(jobMember, memberOf(accountId))
    .where(isSeenBy(accountId))
    .orderBy(asc(job.createdAt), asc(job.id));
  return found.map(({ job: row, ...counted }) => ({
    ...jobFieldsToWire(row),
    ...{ id: row.id, revision: row.revision, history: row.history },
    ...counted,
    changedAt: row.changedAt.toISOString(),
    deletedAt: row.deletedAt?.toISOString() ?? null,
  }));
}

/** One job that an account may see; undefined when there is none, or it is not theirs to see. */
export async function findJob(db: Executor, accountId: string, jobId: string): Promise<SeenJob | undefined> {
  const [found] = await seenJob(db, accountId, jobId);
  return found && { ...found.job, role: found.role };
}

function seenJob(db: Executor, accountId: Given, jobId: Given) {
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

export async function countJobs(db: Executor, accountId: string): Promise<number> {
  const [found] = await db.select({ jobs: count() }).from(job).where(eq(job.ownerId, accountId));
  return found?.jobs ?? 0;
}

/** Lines and things of a job, deleted ones included. */
export async function countHeld(db: Executor, jobId: string): Promise<number> {
  const counts = await Promise.all(
    [line, ...THING_KINDS.map(tableOf)].map((table) =>
      db.select({ held: count() }).from(table).where(eq(table.jobId, jobId)),
    ),
  );
  return counts.reduce((sum, [found]) => sum + (found?.held ?? 0), 0);
}

const isDeleted = (deletedAt: PgColumn) => sql`${deletedAt} is not null`;
/** The same as `lineToWire` and its like, made by PostgreSQL. */
const LINE_WIRE: Readonly<Record<keyof LineWire, PgColumn | SQL>> = {
  id: line.id,
  kind: line.kind,
  number: line.number,
  position: line.position,
  source: line.source,
  label: line.label,
  note: line.note,
  revision: line.revision,
  deleted: isDeleted(line.deletedAt),
};
const reading = prepared((db) => {
  const [accountId, jobId, after] = [sql.placeholder('accountId'), sql.placeholder('jobId'), sql.placeholder('after')];
  return db
    .select({
      job,
      role: roleFor(accountId),
      lines: jsonList<LineWire>(
        LINE_WIRE,
        sql`${line.position}, ${line.id}`,
        sql`from ${line} where ${line.jobId} = ${jobId} and ${line.revision} > ${after}`,
      ),
      things: jsonObject(
        THING_KINDS.map((kind) => {
          const table = tableOf(kind);
          return [
            kind,
            jsonList(
              { ...thingColumns(kind), id: table.id, revision: table.revision, deleted: isDeleted(table.deletedAt) },
              sql`${table.id}`,
              sql`from ${table} where ${table.jobId} = ${jobId} and ${table.revision} > ${after}`,
            ),
          ];
        }),
      ) as SQL<Things>,
    })
    .from(job)
    .leftJoin(jobMember, memberOf(accountId))
    .where(and(eq(job.id, jobId), isSeenBy(accountId)))
    .prepare('read_job');
});

/**
 * A job with its lines and things that changed after a revision; -1 for all. Deleted ones too: entries that used them still
 * name them, and they can be brought back. One statement, so that all of it is of one moment.
 */
export async function readJob(
  db: Database,
  accountId: string,
  jobId: string,
  after: number,
): Promise<JobWire | undefined> {
  const [found] = await reading(db).execute({ accountId, jobId, after });
  if (!found) return undefined;
  const { id, revision, history, restoredFrom, restoredRevision, nextNumber } = found.job;
  return {
    ...jobFieldsToWire(found.job),
    ...{ id, revision, history, restoredFrom, restoredRevision, nextNumber },
    reading: readingToWire(found.job),
    role: found.role,
    lines: [...found.lines],
    ...listsOf(found.things),
  };
}

/** A reading as the job's row holds it. */
export function readingColumns({ length, ...rest }: ReadingWire) {
  return { lengthStyle: length, ...rest };
}
