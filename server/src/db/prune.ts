import { DELETED_KEPT_DAYS } from '@sprell/contract';
import type pg from 'pg';
import type { Logger } from 'pino';
import { OF_A_JOB } from './schema.ts';

/**
 * How long it is remembered that a change was done: as long as a session lives that is not used. A device that was away for
 * longer and sends something again, because it never heard that it was done, is answered with the line as it stands: a
 * line that it adds is there already, and an edit is a question at the most.
 */
export const CHANGES_KEPT_DAYS = 183;
const DAY_MS = 86_400_000;
const FIRST_AFTER = 60_000;
const EVERY = 6 * 60 * 60_000;

/** What is past its time, by its table. Sessions and counts of guesses are seen to by what keeps them. */
const EXPIRED = ['one_time_code', 'invitation', 'claim'] as const;

/** Rows that were taken out. */
export type Pruned = Readonly<Record<'job' | 'change' | (typeof EXPIRED)[number], number>>;

/**
 * Takes out what nothing needs any more, changes a day's worth at a time, so that no statement takes long. Several processes
 * may do it at once. Lines, marks and all else that somebody made stay, but for jobs that were deleted long enough ago.
 */
export async function prune(pool: pg.Pool, now = new Date()): Promise<Pruned> {
  const taken = { job: await pruneJobs(pool, now), change: 0, one_time_code: 0, invitation: 0, claim: 0 };
  const limit = now.valueOf() - CHANGES_KEPT_DAYS * DAY_MS;
  const { rows } = await pool.query<{ oldest: Date | null }>('select min(created_at) as oldest from change');
  for (let upTo = rows[0]?.oldest?.valueOf() ?? limit; upTo < limit;) {
    upTo = Math.min(limit, upTo + DAY_MS);
    const { rowCount } = await pool.query('delete from change where created_at < $1', [new Date(upTo)]);
    taken.change += rowCount ?? 0;
  }
  for (const table of EXPIRED)
    taken[table] = (await pool.query(`delete from ${table} where expires_at < $1`, [now])).rowCount ?? 0;
  return taken;
}

/** Takes out jobs whose time to be brought back is over, each at once with all that belongs to it. */
async function pruneJobs(pool: pg.Pool, now: Date): Promise<number> {
  const before = new Date(now.valueOf() - DELETED_KEPT_DAYS * DAY_MS);
  const { rows } = await pool.query<{ id: string }>('select id from job where deleted_at < $1', [before]);
  // What names lines goes before them, and the job itself last.
  const { job: _job, change: _change, ...others } = OF_A_JOB;
  const tables = ['change', ...Object.keys(others).filter((table) => table !== 'line'), 'line'];
  for (const { id } of rows) {
    const client = await pool.connect();
    try {
      await client.query('begin');
      // Brought back in this moment, it stays.
      const { rowCount } = await client.query('select 1 from job where id = $1 and deleted_at < $2 for update', [
        id,
        before,
      ]);
      if (rowCount === 1) {
        for (const table of tables) await client.query(`delete from ${table} where job_id = $1`, [id]);
        await client.query('delete from job where id = $1', [id]);
      }
      await client.query('commit');
    } catch (error) {
      await client.query('rollback');
      throw error;
    } finally {
      client.release();
    }
  }
  return rows.length;
}

/** Prunes soon after the start and then a few times a day. @returns how to stop */
export function keepPruned(pool: pg.Pool, log: Logger): () => void {
  const act = () =>
    prune(pool).then(
      (taken) => log.info({ taken }, 'What nothing needs any more was taken out'),
      (error: unknown) => log.warn({ err: error }, 'What nothing needs any more could not be taken out'),
    );
  const first = setTimeout(() => void act(), FIRST_AFTER).unref();
  const each = setInterval(() => void act(), EVERY).unref();
  return () => {
    clearTimeout(first);
    clearInterval(each);
  };
}
