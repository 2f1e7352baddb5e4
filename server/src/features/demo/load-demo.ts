import { nameFromLabel, namesIn, toStored } from '@sprell/core';
import { kindNamed, KINDS, positionsBetween, type Content, type Kind } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Executor } from '../../db/client.ts';
import { job, line } from '../../db/schema.ts';
import { tableOf } from '../../db/things.ts';
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
  const marks = marksOf(demo);
  const markIds = new Map(marks.map((name) => [name.toLowerCase(), uuidv7()]));
  const things = KINDS.flatMap((kind) =>
    contentsOf(kind, demo).map((content) => ({ kind, content, id: uuidv7() as string })),
  );
  for (const name of marks)
    things.push({ kind: kindNamed('mark'), content: { name }, id: markIds.get(name.toLowerCase()) as string });
  const idByName = new Map(things.map(({ content, id }) => [String(content['name']), id]));
  const rowIds = new Map(things.map(({ content, id }) => [nameFromLabel(String(content['name']))?.toLowerCase(), id]));
  const markId = (name: string) => markIds.get(name.toLowerCase()) ?? rowIds.get(name.toLowerCase());
  const stored = (source: string) => toStored(source, { lineId: (used) => ids[used - 1], markId });
  await tx.insert(job).values({
    id: jobId,
    ownerId: accountId,
    title: demo.title,
    revision: rowCount + things.length,
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
  for (const [index, { kind, content, id }] of things.entries()) {
    const revision = rowCount + index + 1;
    await tx.insert(tableOf(kind.name)).values({ id, jobId, ...storedContent(kind, content), revision });
  }

  /** What a thing says, its entries as they are kept, and other things by their ids. */
  function storedContent({ entries, refers = [] }: Kind, content: Content): Content {
    const each = (value: unknown, of: (text: string) => unknown): unknown =>
      typeof value === 'string' ? of(value) : Array.isArray(value) ? value.map((one) => each(one, of)) : value;
    return {
      ...content,
      ...Object.fromEntries(entries.map((name) => [name, each(content[name], stored)])),
      ...Object.fromEntries(refers.map((name) => [name, each(content[name], (called) => idByName.get(called))])),
    };
  }
  function rowAt() {
    at += 1;
    return { jobId, position: positions[at - 1] as string, revision: at };
  }
  function wordsAt(heading: string) {
    return { ...rowAt(), id: uuidv7(), kind: 'heading' as const, source: '', label: heading };
  }
}

/** The names that the lines store marks under or post to, each once. */
function marksOf({ lines }: DemoJob): readonly string[] {
  const made = lines.flatMap(([, source]) => namesIn(source).filter(({ signEnd }) => signEnd !== undefined));
  return [...new Map(made.map(({ name }) => [name.toLowerCase(), name])).values()];
}

/** What the things of a kind say, in their order. */
function contentsOf({ name, isOrdered }: Kind, { things }: DemoJob): readonly Content[] {
  const contents = things?.[name] ?? [];
  const positions = positionsBetween(undefined, undefined, contents.length);
  return isOrdered ? contents.map((content, index) => ({ ...content, position: positions[index] })) : contents;
}
