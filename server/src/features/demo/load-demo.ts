import { toStored } from '@sprell/core';
import { positionsBetween } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Executor } from '../../db/client.ts';
import { job, line, scale, setOut } from '../../db/schema.ts';
import { DEMO_JOBS, type DemoJob } from './demo-jobs.ts';

/** Gives an account the made-up jobs as its own. */
export async function loadDemo(tx: Executor, accountId: string): Promise<void> {
  for (const demo of DEMO_JOBS) await addJob(tx, accountId, demo);
}

async function addJob(tx: Executor, accountId: string, demo: DemoJob): Promise<void> {
  const jobId = uuidv7();
  const ids = demo.lines.map(() => uuidv7());
  const last = demo.lines.length;
  const rowCount = last + Object.keys(demo.headings ?? {}).length;
  const positions = positionsBetween(undefined, undefined, rowCount);
  const { scales = [], setOuts = [] } = demo;
  const stored = (source: string) => toStored(source, (used) => ids[used - 1]);
  await tx.insert(job).values({
    id: jobId,
    ownerId: accountId,
    title: demo.title,
    revision: rowCount + scales.length + setOuts.length,
    nextNumber: last + 1,
    lengthStyle: demo.length,
  });
  let at = 0;
  const rows = demo.lines.flatMap(([label, source, note = ''], index): (typeof line.$inferInsert)[] => {
    const number = index + 1;
    const heading = demo.headings?.[number];
    return [
      ...(heading === undefined ? [] : [wordsAt(heading)]),
      {
        ...rowAt(),
        id: ids[index] as string,
        number,
        source: stored(source),
        label,
        note,
      },
    ];
  });
  await tx.insert(line).values(rows);
  if (scales.length > 0)
    await tx.insert(scale).values(
      scales.map(([name, kind, paper, site], index) => {
        const revision = rowCount + index + 1;
        return { id: uuidv7(), jobId, name, kind, paper, site, revision };
      }),
    );
  if (setOuts.length > 0)
    await tx.insert(setOut).values(
      setOuts.map(([name, shape, givens], index) => {
        const revision = rowCount + scales.length + index + 1;
        const entries = Object.values(givens).map(stored);
        return { id: uuidv7(), jobId, name, shape, fields: Object.keys(givens), entries, revision };
      }),
    );

  function rowAt() {
    at += 1;
    return { jobId, position: positions[at - 1] as string, revision: at };
  }
  function wordsAt(heading: string) {
    return { ...rowAt(), id: uuidv7(), kind: 'heading' as const, source: '', label: heading };
  }
}
