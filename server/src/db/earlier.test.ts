import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { NEW_JOB, todaysForm, type Change, type ChangeResult, type JobWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sendChanges } from '../../../contract/src/endpoints/jobs.ts';
import { makeChangesService } from '../features/changes/index.ts';
import { readJob } from '../features/jobs/index.ts';
import { startTestApp, type TestApp } from '../testing/test-app.ts';
import { migrateDatabase } from './migrate.ts';

interface Earlier {
  readonly accountId: string;
  /** What a device had sent, in the form of then. */
  readonly sent: readonly { readonly id: string; readonly kind: string }[];
  /** The job as it was answered then. */
  readonly job: JobWire;
}
const at = (file: string) => fileURLToPath(new URL(`../testing/earlier/${file}`, import.meta.url));
const { accountId, sent, job } = JSON.parse(readFileSync(at('before-kinds.json'), 'utf8')) as Earlier;

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
  const tool = (await import(new URL('../../../tools/lib/backup.mjs', import.meta.url).href)) as {
    restore(url: string, file: string): Promise<void>;
  };
  await tool.restore(test.url, at('before-kinds.backup'));
  await migrateDatabase(test.url, fileURLToPath(new URL('migrations', import.meta.url)));
});
afterAll(() => test.close());

const service = () =>
  makeChangesService(test.database, { changed: () => undefined } as never, { inc: () => undefined });
const send = async (changes: readonly unknown[]): Promise<readonly ChangeResult[]> => {
  const body = sendChanges.body.parse({ changes });
  return (await service().apply(accountId, job.id, { changes: body.changes })).results;
};

describe('a backup of before things had one form', () => {
  it('holds the same job', async () => {
    const now = await readJob(test.database.db, accountId, job.id, -1);
    const { history, restoredFrom, restoredRevision } = now as JobWire;
    const since = { marks: [], sections: [], versions: [], taxes: [], jigs: [], timbers: [], items: [] };
    expect(now).toEqual({ ...NEW_JOB, ...job, ...since, history, restoredFrom, restoredRevision });
  });

  it('knows the changes that were sent in the form of then, sent again in that or in today’s', async () => {
    const again = await send(sent);
    expect(again.map(({ status }) => status as string)).toEqual([
      'reads',
      'applied',
      'scale',
      'scale',
      'scale',
      'scale',
      'setout',
      'setout',
    ]);
    expect(again[3]).toMatchObject({ scale: { paper: '3/8"', revision: 4 } });
    const today = await send(sent.map((one) => todaysForm<Change>(one)));
    expect(today.slice(2).map(({ status }) => status)).toEqual(Array(6).fill('thing'));
    expect((await readJob(test.database.db, accountId, job.id, -1))?.revision).toBe(job.revision);
  });

  it('takes what a page of then sends, and answers so that such a page understands', async () => {
    const [scale] = job.scales;
    const { id: scaleId, revision: _, deleted: __, ...content } = scale as JobWire['scales'][number];
    const change = (base: number) => ({
      id: uuidv7(),
      kind: 'scale.edit',
      scaleId,
      base,
      scale: { ...content, site: `2'` },
    });
    const answers = await send([
      change(scale?.revision ?? 0),
      change(1),
      { id: uuidv7(), kind: 'setout.delete', setOutId: uuidv7(), base: 1 },
    ]);
    expect(answers).toMatchObject([
      { status: 'scale', scale: { id: scaleId, site: `2'` } },
      { status: 'scale.conflict', scale: { id: scaleId, site: `2'` } },
      { status: 'refused', code: 'setout.not_found' },
    ]);
  });
});
