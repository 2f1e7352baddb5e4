import type { ChangeResult, SentChange, UnfitChange } from '@sprell/contract';
import type { Database, OpenDatabase } from '../../db/client.ts';
import { ProblemError } from '../../http/problem-error.ts';
import type { JobFeed } from '../feed/index.ts';
import { countJobs, countHeld, insertJob, readingColumns, type JobRow, noSuchJob } from '../jobs/index.ts';
import { Batch } from './batch.ts';
import { earlierResult } from './earlier-result.ts';
import { know, write } from './changes.repository.ts';
import { InTurn } from './in-turn.ts';

export interface ChangesService {
  /**
   * Applies a batch in order, all of it at once. Each change is done at most once, however often it is sent; one that
   * cannot be done, or that is no change at all, is answered as a conflict or a refusal and leaves the others standing. A
   * batch that begins with the job itself makes it.
   * @throws {ProblemError} job.not_found; job.read_only; job.full; job.restored; account.full; server.unavailable
   */
  apply(accountId: string, jobId: string, sent: Sent): Promise<{ revision: number; results: ChangeResult[] }>;
}

/** Changes, and the history of the job that they were made in, where the sender knows it. */
export interface Sent {
  readonly changes: readonly SentChange[];
  readonly history?: string | undefined;
}

interface Counted {
  inc(labels: { readonly status: string }): void;
}

/** More jobs than a crew makes in a working life. */
const MOST_JOBS = 2000;
/** Lines and things of one job. */
const MOST_HELD = 50_000;
/** A batch retries when the revision has moved; one of the competing batches always succeeds. */
const TRIES = 100;

/** @param counts what becomes of changes */
export function makeChangesService(
  { db, inTransaction }: OpenDatabase,
  feed: JobFeed,
  counts: Counted,
): ChangesService {
  const turns = new InTurn();
  return {
    apply: async (accountId, jobId, sent) => {
      const [first] = sent.changes;
      const done = await turns.do(jobId, async () =>
        first?.kind === 'job.add'
          ? await inTransaction(async (tx) => {
              const { title, reading } = first;
              await insertJob(tx, { id: jobId, ownerId: accountId, title, revision: 0, ...readingColumns(reading) });
              if ((await countJobs(tx, accountId)) > MOST_JOBS)
                throw new ProblemError('account.full', `No more than ${MOST_JOBS} jobs are kept for one account.`);
              return applyTo(tx, accountId, jobId, sent);
            })
          : await applyTo(db, accountId, jobId, sent),
      );
      feed.changed(jobId, done.revision);
      for (const { status } of done.results) counts.inc({ status });
      return done;
    },
  };
}

/** Looks, works it out, and writes, provided that nothing was written to the job in between. */
async function applyTo(db: Database, accountId: string, jobId: string, sent: Sent) {
  const changes = sent.changes.flatMap((one) =>
    one.kind === 'unfit' ? [] : one.kind === 'earlier' ? [one.change] : [one],
  );
  for (let tries = 0; tries < TRIES; tries += 1) {
    const known = await know(db, accountId, jobId, changes);
    if (!known) throw noSuchJob();
    if (sent.history !== undefined && sent.history !== known.job.history)
      throw new ProblemError('job.restored', 'The job was put back from a backup; what is not in it is sent again.');
    if (known.role === 'read') throw new ProblemError('job.read_only', 'This job is yours to read, not to change.');
    await checkRoom(db, known.job, changes.filter(isAdd).length);
    const batch = new Batch(accountId, known);
    const results = sent.changes.map((one) => resultOf(batch, one));
    const written = batch.written();
    if (!written || (await write(db, known.job.revision, written))) return { revision: batch.revision, results };
  }
  throw new ProblemError('server.unavailable', 'Too many write to this job at once; try again in a moment.');
}

async function checkRoom(db: Database, { id, revision }: JobRow, added: number): Promise<void> {
  // Each of them took a revision, so that there is mostly nothing to count.
  if (added === 0 || revision + added <= MOST_HELD) return;
  if ((await countHeld(db, id)) + added > MOST_HELD)
    throw new ProblemError('job.full', `No more than ${MOST_HELD} lines are kept in one job; go on in a new one.`);
}

/** What becomes of one change, in the form in which it was sent. */
function resultOf(batch: Batch, sent: SentChange): ChangeResult {
  if (sent.kind === 'unfit') return refusedUnfit(sent);
  return sent.kind === 'earlier' ? earlierResult(sent.change, batch.apply(sent.change)) : batch.apply(sent);
}

const refusedUnfit = ({ id, problem }: UnfitChange): ChangeResult => ({
  id,
  status: 'refused',
  code: 'change.unfit',
  problem,
});

const isAdd = ({ kind }: { readonly kind: string }) =>
  kind === 'line.words' || (kind.endsWith('.add') && kind !== 'job.add');
