import { fromStored, namesIn, toStored } from '@sprell/core';
import { and, asc, eq, sql } from 'drizzle-orm';
import { v5 } from 'uuid';
import type { Database } from './client.ts';
import { job, line, mark, markByName, setOut } from './schema.ts';

/**
 * Gives marks ids where entries name them still, as they were stored before marks had any: in lines, also those that were
 * deleted and may come back, and in setting-outs. Nothing of what an entry says changes, and so no revision but that of
 * the job, which its marks are new in. The ids follow from the names: a device that still names a mark means the same one.
 */
export async function giveMarksIds(db: Database): Promise<void> {
  const there = await db.execute(sql`select to_regclass('mark_by_name') is not null as there`);
  // Tables that were brought up to an earlier version only have no such list.
  if (there.rows[0]?.['there'] !== true) return;
  for (;;) {
    const [next] = await db.select().from(markByName).limit(1);
    if (next === undefined) return;
    await db.transaction((tx) => giveIds(tx, next.jobId));
  }
}

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

async function giveIds(tx: Transaction, jobId: string): Promise<void> {
  const [head] = await tx.select({ revision: job.revision }).from(job).where(eq(job.id, jobId)).for('update');
  const lines = await tx
    .select({ id: line.id, number: line.number, source: line.source })
    .from(line)
    .where(eq(line.jobId, jobId))
    .orderBy(asc(line.position), asc(line.id));
  const setOuts = await tx
    .select({ id: setOut.id, entries: setOut.entries })
    .from(setOut)
    .where(eq(setOut.jobId, jobId));
  const { shown, stored, marks } = formsOf(jobId, lines);
  if (marks.size > 0 && head) {
    const revision = head.revision + 1;
    await tx.update(job).set({ revision }).where(eq(job.id, jobId));
    await tx.insert(mark).values([...marks.values()].map(({ id, name }) => ({ id, jobId, name, revision })));
    for (const { id, source } of lines) {
      const now = stored(shown(source));
      if (now !== source)
        await tx
          .update(line)
          .set({ source: now })
          .where(and(eq(line.jobId, jobId), eq(line.id, id)));
    }
    for (const { id, entries } of setOuts) {
      const now = entries.map((entry) => stored(shown(entry)));
      if (now.some((entry, at) => entry !== entries[at]))
        await tx
          .update(setOut)
          .set({ entries: now })
          .where(and(eq(setOut.jobId, jobId), eq(setOut.id, id)));
    }
  }
  await tx.delete(markByName).where(eq(markByName.jobId, jobId));
}

interface KeptLine {
  readonly id: string;
  readonly number: number | null;
  readonly source: string;
}

/** The entries of a job as they are shown and as they are stored, and the marks that its lines make, by their names. */
function formsOf(jobId: string, lines: readonly KeptLine[]) {
  const numbers = new Map<string, number>();
  const ids: string[] = [];
  /** A number for each line that an entry speaks of, also for one that is gone. */
  const lineNumber = (id: string): number => {
    const number = numbers.get(id) ?? ids.push(id);
    numbers.set(id, number);
    return number;
  };
  const shown = (source: string) => fromStored(source, { lineNumber, markName: () => undefined });
  const marks = new Map<string, { readonly id: string; readonly name: string }>();
  for (const { source } of lines)
    for (const { name, signEnd } of namesIn(shown(source))) {
      const key = name.toLowerCase();
      if (signEnd !== undefined && !marks.has(key)) marks.set(key, { id: v5(key, jobId), name });
    }
  const stored = (source: string) =>
    toStored(source, { lineId: (number) => ids[number - 1], markId: (name) => marks.get(name.toLowerCase())?.id });
  return { shown, stored, marks };
}
