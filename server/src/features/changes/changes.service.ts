import { createHash } from 'node:crypto';
import type { Change, ChangeResult, LineChange, ScaleChange } from '@sprell/contract';
import type { Database, Executor } from '../../db/client.ts';
import { ProblemError } from '../../http/problem-error.ts';
import { tell } from '../feed/tell.ts';
import {
  findJob,
  insertJob,
  lineToWire,
  lockJob,
  readingColumns,
  readingToWire,
  scaleToWire,
  type JobRow,
  type LineRow,
} from '../jobs/jobs.repository.ts';
import { noSuchJob } from '../jobs/jobs.service.ts';
import {
  findChange,
  findLine,
  findScale,
  insertLine,
  insertScale,
  isNumberTaken,
  recordChange,
  saveJobCounters,
  saveReading,
  updateLine,
  updateScale,
} from './changes.repository.ts';

export interface ChangesService {
  /**
   * Applies a batch in order, in one transaction under the job's row lock. Each change is done at most once, however
   * often it is sent; one that cannot be done is answered as a conflict or a refusal and leaves the others standing.
   * A batch that begins with the job itself makes it.
   * @throws {ProblemError} job.not_found; job.read_only
   */
  apply(
    accountId: string,
    jobId: string,
    changes: readonly Change[],
  ): Promise<{ revision: number; results: ChangeResult[] }>;
}

/** The counters of the job while a batch runs. */
interface Counters {
  revision: number;
  nextNumber: number;
}

export function makeChangesService(db: Database): ChangesService {
  return {
    apply: (accountId, jobId, changes) =>
      db.transaction(async (tx) => {
        const [first] = changes;
        if (first?.kind === 'job.add')
          await insertJob(tx, {
            id: jobId,
            ownerId: accountId,
            title: first.title,
            revision: 0,
            ...readingColumns(first.reading),
          });
        const job = await lockJob(tx, accountId, jobId);
        if (!job) throw noSuchJob();
        if (job.role === 'read') throw new ProblemError('job.read_only', 'This job is yours to read, not to change.');
        const counters: Counters = { revision: job.revision, nextNumber: job.nextNumber };
        const results: ChangeResult[] = [];
        for (const change of changes) results.push(await applyOnce(tx, accountId, job, counters, change));
        if (counters.revision !== job.revision) {
          await saveJobCounters(tx, jobId, counters.revision, counters.nextNumber);
          await tell(tx, { kind: 'changed', jobId, revision: counters.revision });
        }
        return { revision: counters.revision, results };
      }),
  };
}

/** The order of keys does not matter to what a change says. */
function payloadHash(change: Change): string {
  const text = JSON.stringify(Object.entries(change).sort(([a], [b]) => (a < b ? -1 : 1)));
  return createHash('sha256').update(text).digest('hex');
}

async function applyOnce(
  tx: Executor,
  accountId: string,
  job: JobRow,
  counters: Counters,
  change: Change,
): Promise<ChangeResult> {
  const hash = payloadHash(change);
  const before = await findChange(tx, accountId, change.id);
  if (before !== undefined)
    return before.payloadHash === hash && before.jobId === job.id
      ? asItStands(tx, accountId, job, change.id, before)
      : { id: change.id, status: 'refused', code: 'change.id_reused' };
  const result = await applyNew(tx, accountId, job, counters, change);
  if (result.status === 'applied' || result.status === 'reads' || result.status === 'scale')
    await recordChange(tx, accountId, job.id, change, hash, counters.revision);
  return result;
}

function applyNew(
  tx: Executor,
  accountId: string,
  job: JobRow,
  counters: Counters,
  change: Change,
): Promise<ChangeResult> {
  if (change.kind === 'job.reading') return setReading(tx, job, counters, change);
  if (change.kind === 'job.add') return answerJob(job, counters, change.id);
  return 'scaleId' in change
    ? applyToScale(tx, accountId, job, counters, change)
    : apply(tx, accountId, job, counters, change);
}

/** The answer to a change that was done before: what it was done to, as it is by now. */
async function asItStands(
  tx: Executor,
  accountId: string,
  job: JobRow,
  id: string,
  { lineId, scaleId }: { readonly lineId: string | null; readonly scaleId: string | null },
): Promise<ChangeResult> {
  const scale = scaleId === null ? undefined : await findScale(tx, job.id, scaleId);
  if (scale) return { id, status: 'scale', scale: scaleToWire(scale) };
  if (lineId === null)
    return { id, status: 'reads', reading: readingToWire((await findJob(tx, accountId, job.id)) ?? job) };
  const line = await findLine(tx, job.id, lineId);
  return line ? { id, status: 'applied', line: lineToWire(line) } : { id, status: 'refused', code: 'change.id_reused' };
}

/** It was made with the batch, or stood already: either way it reads as it does. */
function answerJob(job: JobRow, counters: Counters, id: string): Promise<ChangeResult> {
  counters.revision += 1;
  return Promise.resolve({ id, status: 'reads', reading: readingToWire(job) });
}

async function setReading(
  tx: Executor,
  job: JobRow,
  counters: Counters,
  change: Extract<Change, { kind: 'job.reading' }>,
): Promise<ChangeResult> {
  counters.revision += 1;
  return { id: change.id, status: 'reads', reading: readingToWire(await saveReading(tx, job.id, change.reading)) };
}

async function apply(
  tx: Executor,
  accountId: string,
  job: JobRow,
  counters: Counters,
  change: LineChange,
): Promise<ChangeResult> {
  if (change.kind === 'line.add' || change.kind === 'line.words') return addLine(tx, job, counters, change);
  const line = await findLine(tx, job.id, change.lineId);
  if (!line) return { id: change.id, status: 'refused', code: 'line.not_found' };
  if (line.revision !== (await baseRevision(tx, accountId, change.base)))
    return { id: change.id, status: 'conflict', line: lineToWire(line) };
  const revision = (counters.revision += 1);
  return { id: change.id, status: 'applied', line: lineToWire(await changeLine(tx, line, change, revision)) };
}

/** The revision that a change was made on; undefined when the change it follows was never applied. */
async function baseRevision(tx: Executor, accountId: string, base: number | string): Promise<number | undefined> {
  return typeof base === 'number' ? base : (await findChange(tx, accountId, base))?.revision;
}

function changeLine(
  tx: Executor,
  line: LineRow,
  change: Exclude<LineChange, { kind: 'line.add' | 'line.words' }>,
  revision: number,
): Promise<LineRow> {
  switch (change.kind) {
    case 'line.edit': {
      const { position, source, label, note } = change;
      return updateLine(tx, line.id, { position, source, label, note, revision });
    }
    case 'line.delete':
      return updateLine(tx, line.id, { deletedAt: new Date(), revision });
    case 'line.restore':
      return updateLine(tx, line.id, { deletedAt: null, revision });
  }
}

async function addLine(
  tx: Executor,
  job: JobRow,
  counters: Counters,
  change: Extract<Change, { kind: 'line.add' | 'line.words' }>,
): Promise<ChangeResult> {
  const { position, source, label, note } = change;
  const number = change.kind === 'line.add' ? await freeNumber(tx, job, counters, change.number) : null;
  const revision = counters.revision + 1;
  const made = await insertLine(tx, {
    id: change.lineId,
    jobId: job.id,
    kind: change.kind === 'line.add' ? 'worked' : change.words,
    number,
    position,
    source,
    label,
    note,
    revision,
  });
  // The id may be of another's line: the answer is the same as for any id that cannot be used.
  if (!made) return { id: change.id, status: 'refused', code: 'line.id_unusable' };
  counters.revision = revision;
  if (number !== null) counters.nextNumber = Math.max(counters.nextNumber, number + 1);
  return { id: change.id, status: 'applied', line: lineToWire(made) };
}

/** Where another device took the number first, the later arrival is renumbered. */
async function freeNumber(tx: Executor, job: JobRow, counters: Counters, wanted: number): Promise<number> {
  return (await isNumberTaken(tx, job.id, wanted)) ? counters.nextNumber : wanted;
}

async function applyToScale(
  tx: Executor,
  accountId: string,
  job: JobRow,
  counters: Counters,
  change: ScaleChange,
): Promise<ChangeResult> {
  const { id, scaleId } = change;
  const revision = counters.revision + 1;
  if (change.kind === 'scale.add') {
    const made = await insertScale(tx, { id: scaleId, jobId: job.id, ...change.scale, revision });
    if (!made) return { id, status: 'refused', code: 'scale.id_unusable' };
    counters.revision = revision;
    return { id, status: 'scale', scale: scaleToWire(made) };
  }
  const scale = await findScale(tx, job.id, scaleId);
  if (!scale) return { id, status: 'refused', code: 'scale.not_found' };
  if (scale.revision !== (await baseRevision(tx, accountId, change.base)))
    return { id, status: 'scale.conflict', scale: scaleToWire(scale) };
  counters.revision = revision;
  const values =
    change.kind === 'scale.edit' ? change.scale : { deletedAt: change.kind === 'scale.delete' ? new Date() : null };
  return { id, status: 'scale', scale: scaleToWire(await updateScale(tx, scaleId, { ...values, revision })) };
}
