import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestApp, type TestApp } from '../testing/test-app.ts';

interface Backup {
  backup(url: string, file: string): Promise<void>;
  restore(url: string, file: string): Promise<void>;
}
let test: TestApp;
let tool: Backup;
const folder = mkdtempSync(join(tmpdir(), 'sprell-backup-'));
beforeAll(async () => {
  test = await startTestApp();
  tool = (await import(new URL('../../../tools/lib/backup.mjs', import.meta.url).href)) as Backup;
});
afterAll(async () => {
  await test.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('a backup', () => {
  it('holds everything, and puts it back as it was, for the same browsers', async () => {
    const { browser } = await test.guest();
    const jobId = uuidv7();
    const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
    const line = { kind: 'line.add', position: 'a0', source: `π × 3'`, label: 'Fuß', note: '½' };
    const aLine = (number: number) => ({ ...line, id: uuidv7(), lineId: uuidv7(), number });
    const send = (...changes: readonly object[]) =>
      browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);
    await send({ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }, aLine(1), aLine(2));
    const before = (await browser.get(`/api/jobs/${jobId}`)).body as object;
    const file = join(folder, 'sprell.backup');
    await tool.backup(test.url, file);
    // Nobody else reads it: sessions and addresses are in it.
    expect(statSync(file).mode & 0o077).toBe(0);

    await send(aLine(3));
    await test.database.pool.query(`update job set title = 'Wrong'`);
    await tool.restore(test.url, file);
    // A running server connects anew by itself.
    while ((await browser.get('/api/ready')).status !== 200);
    expect((await browser.get(`/api/jobs/${jobId}`).expect(200)).body).toEqual(before);
    await send(aLine(3));
  });

  it('that is no backup changes nothing, and one that cannot be made leaves no file', async () => {
    const { browser } = await test.guest();
    const broken = join(folder, 'broken.backup');
    writeFileSync(broken, 'PGDMP and nothing behind it');
    await expect(tool.restore(test.url, broken)).rejects.toThrow('nothing was changed');
    await browser.get('/api/jobs').expect(200);
    await expect(tool.backup('postgres://nobody:x@127.0.0.1:1/none', join(folder, 'none'))).rejects.toThrow();
    expect(readdirSync(folder).filter((name) => name.startsWith('none'))).toEqual([]);
  });
});
