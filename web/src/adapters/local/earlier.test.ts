import 'fake-indexeddb/auto';
import type { Change, KeptThing } from '@sprell/contract';
import Dexie from 'dexie';
import { expect, it } from 'vitest';
import { sendChanges } from '../../../../contract/src/endpoints/jobs.ts';
import { takeUp, type Loose } from '../../job/left-behind.ts';
import { thisBrowsersMemory as memory } from '../local-memory.ts';
import { DexieStore } from './dexie-store.ts';
import earlier from './earlier/before-kinds.json' with { type: 'json' };

/** The database of a browser as the version before things had one form left it: with changes that wait, and one refused. */
async function asItWas(name: string): Promise<string> {
  const before = new Dexie(name);
  before.version(earlier.version).stores(earlier.stores);
  await before.open();
  for (const [table, rows] of Object.entries(earlier.tables)) await before.table(table).bulkAdd(rows as object[]);
  before.close();
  return earlier.tables.jobs[0]?.id ?? '';
}

it('a browser’s database of before things had one form is taken over whole, with what waits in it', async () => {
  const jobId = await asItWas('taken-over');
  const store = await new DexieStore('taken-over').ready();
  const job = await store.open(jobId);
  const named = (kind: string) => job?.things[kind]?.map(({ name, paper, deleted }) => [name, paper, deleted]);
  expect(job?.lines).toMatchObject([{ source: `12' 7"` }]);
  expect(named('scale')).toEqual(
    expect.arrayContaining([
      ['Old drawings', '3/8"', false],
      [null, '1', false],
    ]),
  );
  expect(named('setout')).toEqual(
    expect.arrayContaining([
      ['Arch', undefined, true],
      ['Refused arch', undefined, false],
    ]),
  );
  expect(job?.waiting.map(({ kind }) => kind)).toEqual(['thing.edit', 'thing.delete', 'thing.add', 'line.edit']);
  // What is this device's own of a thing is known still: another page's edit is built on it.
  expect([...(job?.own.values() ?? [])].map(({ by }) => by).sort()).toEqual(
    [...(job?.waiting ?? []), ...(job?.refusals.map(({ change }) => change) ?? [])].map(({ id }) => id).sort(),
  );
  expect(job?.refusals).toMatchObject([
    { change: { kind: 'thing.add', of: 'setout', content: { name: 'Refused arch' } } },
  ]);
  // The server takes all of it.
  const batch = await store.batch(new Set());
  const { changes } = sendChanges.body.parse({ changes: batch?.changes });
  expect(changes.map(({ kind }) => kind)).toEqual(job?.waiting.map(({ kind }) => kind));
});

it('what a page of then left in the moment that it went is taken up', async () => {
  const jobId = await asItWas('left');
  const store = await new DexieStore('left').ready();
  memory.remember('left', earlier.left);
  const taken = await takeUp(memory, store);
  expect(taken).toHaveLength(1);
  const [left] = earlier.left as unknown as readonly (Loose & { what: { change: Change; thing: KeptThing } })[];
  const job = await store.open(jobId);
  expect(job?.waiting.at(-1)).toMatchObject({ id: left?.what.change.id, kind: 'thing.delete', of: 'scale' });
  expect(job?.things['scale']?.find(({ id }) => id === left?.what.thing.thing.id)?.deleted).toBe(true);
});
