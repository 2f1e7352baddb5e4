import { THING_KINDS, type Change, type Role } from '@sprell/contract';
import { and, count, eq, getTableColumns, sql, type SQL } from 'drizzle-orm';
import { prepared, type Database } from '../../db/client.ts';
import { asGiven, givenRows, jsonList, jsonObject } from '../../db/json-rows.ts';
import { change, job, jobMember, line } from '../../db/schema.ts';
import { fieldsOf, tableOf } from '../../db/things.ts';
import { isSeenBy, memberOf, roleFor } from '../jobs/index.ts';
import type { Known, KnownChange, KnownLine, Written } from './batch.ts';

const given = sql.placeholder;
const uuids = (name: string) => sql`any(${given(name)}::uuid[])`;

const knowing = prepared((db) => {
  const [accountId, jobId] = [given('accountId'), given('jobId')];
  return db
    .select({
      job,
      role: roleFor(accountId),
      changes: jsonList<KnownChange>(
        getTableColumns(change),
        undefined,
        sql`from ${change} where ${change.jobId} = ${jobId} and ${change.id} = ${uuids('changeIds')}`,
      ),
      lines: jsonList<KnownLine>(
        getTableColumns(line),
        undefined,
        sql`from ${line} where ${line.jobId} = ${jobId} and ${line.id} = ${uuids('lineIds')}`,
      ),
      numbers: sql<number[]>`array(select ${line.number} from ${line}
        where ${line.jobId} = ${jobId} and ${line.number} = any(${given('numbers')}::int[]))`,
      things: jsonObject(
        THING_KINDS.map((kind) => {
          const table = tableOf(kind);
          return [
            kind,
            jsonList(
              getTableColumns(table),
              undefined,
              sql`from ${table} where ${table.jobId} = ${jobId} and ${table.id} = ${uuids('thingIds')}`,
            ),
          ];
        }),
      ) as SQL<Known['things']>,
    })
    .from(job)
    .leftJoin(jobMember, memberOf(accountId))
    .where(and(eq(job.id, jobId), isSeenBy(accountId)))
    .prepare('know_batch');
});

/** The job and what a batch names, of one moment; undefined where the account sees no such job. */
export async function know(
  db: Database,
  accountId: string,
  jobId: string,
  changes: readonly Change[],
): Promise<(Known & { readonly role: Role }) | undefined> {
  const [found] = await knowing(db).execute({
    accountId,
    jobId,
    changeIds: changes.flatMap((one) =>
      'base' in one && typeof one.base === 'string' ? [one.id, one.base] : [one.id],
    ),
    lineIds: changes.flatMap((one) => ('lineId' in one ? [one.lineId] : [])),
    numbers: changes.flatMap((one) => (one.kind === 'line.add' ? [one.number] : [])),
    thingIds: changes.flatMap((one) => ('thingId' in one ? [one.thingId] : [])),
  });
  return found && { ...found, counts: await countsOf(db, jobId, changes) };
}

/** How many things of those kinds there are to which some are to be added. */
async function countsOf(db: Database, jobId: string, changes: readonly Change[]): Promise<Known['counts']> {
  const kinds = new Set(changes.flatMap((one) => (one.kind === 'thing.add' ? [one.of] : [])));
  const counted = [...kinds].map(async (kind) => {
    const table = tableOf(kind);
    const [found] = await db.select({ things: count() }).from(table).where(eq(table.jobId, jobId));
    return [kind, found?.things ?? 0] as const;
  });
  return Object.fromEntries(await Promise.all(counted));
}

/** All of them are of the job that the statement names, whatever the rows say. */
const OF_JOB = { leftOut: ['createdAt'], fixed: { jobId: given('jobId') } } as const;
const LINE = givenRows(line, given('lines'), OF_JOB);
const CHANGE = givenRows(change, given('changes'), OF_JOB);

const IF_COUNTED = sql`where exists (select from counted)`;

/**
 * All of it in one statement, and nothing of it where the job has moved on: two that write at once wait for each other at
 * its row, and the later one finds another revision there.
 */
const writing = prepared((db) => {
  const lines = db.$with('lines', { id: line.id }).as(sql`
    insert into ${line} (${LINE.into}) ${LINE.select} ${IF_COUNTED}
    on conflict (job_id, id) do update set ${asGiven(line, ['position', 'source', 'label', 'note', 'revision', 'deletedAt'])}
    returning ${line}.id`);
  const things = THING_KINDS.map((kind) => {
    const table = tableOf(kind);
    const rows = givenRows(table, given(`things_${kind}`), OF_JOB);
    return db.$with(`things_${kind}`, { id: table.id }).as(sql`
      insert into ${table} (${rows.into}) ${rows.select} ${IF_COUNTED}
      on conflict (job_id, id) do update set ${asGiven(table, [...fieldsOf(kind), 'revision', 'deletedAt'])}
      returning ${table}.id`);
  });
  const changes = db
    .$with('changes', { id: change.id })
    .as(sql`insert into ${change} (${CHANGE.into}) ${CHANGE.select} ${IF_COUNTED} returning id`);
  const counted = db.$with('counted', { id: job.id }).as(sql`
    update ${job} set revision = ${given('revision')}, next_number = ${given('nextNumber')},
      length_style = ${given('lengthStyle')}, finest = ${given('finest')}, metric_step = ${given('metricStep')},
      rounding = ${given('rounding')}, fractions = ${given('fractions')},
      title = ${given('title')}, tags = array(select json_array_elements_text(${given('tags')})),
      archived = ${given('archived')}, thousands = ${given('thousands')}, decimal_comma = ${given('decimalComma')},
      currency = ${given('currency')}, bare_numbers = ${given('bareNumbers')}, money_rounded = ${given('moneyRounded')},
      holds = ${given('holds')},
      deleted_at = ${given('deletedAt')}, changed_at = now()
    where id = ${given('jobId')} and revision = ${given('before')} returning id`);
  return db
    .with(counted, lines, ...things, changes)
    .select()
    .from(counted)
    .prepare('write_batch');
});

/** @returns whether it was written: the job was still at the revision `before` */
export async function write(db: Database, before: number, { job: row, ...rows }: Written): Promise<boolean> {
  const { id: jobId, revision, nextNumber, lengthStyle, finest, metricStep, rounding, fractions } = row;
  const { title, tags, archived, thousands, decimalComma, currency, bareNumbers, moneyRounded, holds, deletedAt } = row;
  const [done] = await writing(db).execute({
    lines: JSON.stringify(rows.lines),
    ...Object.fromEntries(THING_KINDS.map((kind) => [`things_${kind}`, JSON.stringify(rows.things[kind])])),
    changes: JSON.stringify(rows.changes),
    ...{ jobId, before, revision, nextNumber, lengthStyle, finest, metricStep, rounding, fractions },
    ...{
      title,
      tags: JSON.stringify(tags),
      archived,
      thousands,
      decimalComma,
      currency,
      bareNumbers,
      moneyRounded,
      holds,
    },
    deletedAt: deletedAt?.toISOString() ?? null,
  });
  return done !== undefined;
}
