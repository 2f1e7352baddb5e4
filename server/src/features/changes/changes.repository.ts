import { thingStep, type Change, type Role, type ThingKind } from '@sprell/contract';
import { and, eq, getTableColumns, sql } from 'drizzle-orm';
import { prepared, type Database } from '../../db/client.ts';
import { asGiven, givenRows, jsonList } from '../../db/json-rows.ts';
import { change, job, jobMember, line, scale, setOut } from '../../db/schema.ts';
import { isSeenBy, memberOf, roleFor } from '../jobs/jobs.repository.ts';
import type { Known, KnownChange, KnownLine, KnownThings, Written } from './batch.ts';

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
      scale: jsonList<KnownThings['scale']>(
        getTableColumns(scale),
        undefined,
        sql`from ${scale} where ${scale.jobId} = ${jobId} and ${scale.id} = ${uuids('scaleIds')}`,
      ),
      setout: jsonList<KnownThings['setout']>(
        getTableColumns(setOut),
        undefined,
        sql`from ${setOut} where ${setOut.jobId} = ${jobId} and ${setOut.id} = ${uuids('setOutIds')}`,
      ),
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
  const steps = changes.flatMap((one) => thingStep(one) ?? []);
  const idsOf = (wanted: ThingKind) => steps.flatMap(({ kind, id }) => (kind === wanted ? [id] : []));
  const [found] = await knowing(db).execute({
    accountId,
    jobId,
    changeIds: changes.flatMap((one) =>
      'base' in one && typeof one.base === 'string' ? [one.id, one.base] : [one.id],
    ),
    lineIds: changes.flatMap((one) => ('lineId' in one ? [one.lineId] : [])),
    numbers: changes.flatMap((one) => (one.kind === 'line.add' ? [one.number] : [])),
    scaleIds: idsOf('scale'),
    setOutIds: idsOf('setout'),
  });
  if (!found) return undefined;
  const { scale: scales, setout: setOuts, ...rest } = found;
  return { ...rest, things: { scale: scales, setout: setOuts } };
}

/** All of them are of the job that the statement names, whatever the rows say. */
const OF_JOB = { leftOut: ['createdAt'], fixed: { jobId: given('jobId') } } as const;
const LINE = givenRows(line, given('lines'), OF_JOB);
const SCALE = givenRows(scale, given('scales'), OF_JOB);
const SET_OUT = givenRows(setOut, given('setOuts'), OF_JOB);
const CHANGE = givenRows(change, given('changes'), OF_JOB);

const SET_OUT_SAID = ['name', 'shape', 'answer', 'fields', 'entries', 'revision', 'deletedAt'];
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
  const scales = db.$with('scales', { id: scale.id }).as(sql`
    insert into ${scale} (${SCALE.into}) ${SCALE.select} ${IF_COUNTED}
    on conflict (job_id, id) do update set ${asGiven(scale, ['kind', 'paper', 'site', 'name', 'revision', 'deletedAt'])}
    returning ${scale}.id`);
  const setOuts = db.$with('set_outs', { id: setOut.id }).as(sql`
    insert into ${setOut} (${SET_OUT.into}) ${SET_OUT.select} ${IF_COUNTED}
    on conflict (job_id, id) do update set ${asGiven(setOut, SET_OUT_SAID)} returning ${setOut}.id`);
  const changes = db
    .$with('changes', { id: change.id })
    .as(sql`insert into ${change} (${CHANGE.into}) ${CHANGE.select} ${IF_COUNTED} returning id`);
  const counted = db.$with('counted', { id: job.id }).as(sql`
    update ${job} set revision = ${given('revision')}, next_number = ${given('nextNumber')},
      length_style = ${given('lengthStyle')}, finest = ${given('finest')}, metric_step = ${given('metricStep')},
      rounding = ${given('rounding')}, fractions = ${given('fractions')}
    where id = ${given('jobId')} and revision = ${given('before')} and deleted_at is null returning id`);
  return db.with(counted, lines, scales, setOuts, changes).select().from(counted).prepare('write_batch');
});

/** @returns whether it was written: the job was still at the revision `before` */
export async function write(db: Database, before: number, { job: row, ...rows }: Written): Promise<boolean> {
  const { id: jobId, revision, nextNumber, lengthStyle, finest, metricStep, rounding, fractions } = row;
  const [done] = await writing(db).execute({
    lines: JSON.stringify(rows.lines),
    scales: JSON.stringify(rows.things.scale),
    setOuts: JSON.stringify(rows.things.setout),
    changes: JSON.stringify(rows.changes),
    ...{ jobId, before, revision, nextNumber, lengthStyle, finest, metricStep, rounding, fractions },
  });
  return done !== undefined;
}
