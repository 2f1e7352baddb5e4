import { toStored } from '@sprell/core';
import { positionsBetween } from '@sprell/contract';
import { count } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import type { Database, Executor } from '../../db/client.ts';
import { job, line } from '../../db/schema.ts';
import { DEMO_JOBS, type DemoJob } from './demo-jobs.ts';

/** Fills a new database with the made-up jobs; one that holds any job is left as it is. */
export async function loadDemo(db: Database, accountId: string): Promise<void> {
  await db.transaction(async (tx) => {
    const [jobs] = await tx.select({ count: count() }).from(job);
    if (jobs?.count !== 0) return;
    for (const demo of DEMO_JOBS) await addJob(tx, accountId, demo);
  });
}

async function addJob(tx: Executor, accountId: string, demo: DemoJob): Promise<void> {
  const jobId = uuidv7();
  const ids = demo.lines.map(() => uuidv7());
  const positions = positionsBetween(undefined, undefined, demo.lines.length);
  const last = demo.lines.length;
  await tx.insert(job).values({
    id: jobId,
    ownerId: accountId,
    title: demo.title,
    revision: last,
    nextNumber: last + 1,
    lengthStyle: demo.length,
  });
  await tx.insert(line).values(
    demo.lines.map(([label, source, note = ''], index) => ({
      id: ids[index] as string,
      jobId,
      number: index + 1,
      position: positions[index] as string,
      source: toStored(source, (number) => ids[number - 1]),
      label,
      note,
      revision: index + 1,
    })),
  );
}
