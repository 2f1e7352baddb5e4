import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestApp, type TestApp } from '../testing/test-app.ts';
import { migrateDatabase } from './migrate.ts';

interface Backup {
  backup(url: string, file: string): Promise<void>;
  restore(url: string, file: string): Promise<void>;
  markRestored(url: string): Promise<void>;
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

const MIGRATIONS = fileURLToPath(new URL('migrations', import.meta.url));

/** The migrations of an earlier version. */
function migrationsUpTo(version: number): string {
  const copy = join(folder, `migrations${version}`);
  cpSync(MIGRATIONS, copy, { recursive: true });
  const journal = join(copy, 'meta/_journal.json');
  const all = JSON.parse(readFileSync(journal, 'utf8')) as { entries: object[] };
  writeFileSync(journal, JSON.stringify({ ...all, entries: all.entries.slice(0, version) }));
  return copy;
}

async function ask(url: string, sql: string): Promise<object[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<object>(sql)).rows;
  } finally {
    await client.end();
  }
}

async function aDatabase(): Promise<string> {
  const name = `backup_${uuidv7().replaceAll('-', '')}`;
  await ask(test.url, `create database ${name}`);
  return test.url.replace(/\/[^/]*$/, `/${name}`);
}

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
    const before = (await browser.get(`/api/jobs/${jobId}`)).body as { history: string; revision: number };
    const file = join(folder, 'sprell.backup');
    await tool.backup(test.url, file);
    // Nobody else reads it: sessions and addresses are in it.
    expect(statSync(file).mode & 0o077).toBe(0);

    await send(aLine(3));
    await test.database.pool.query(`update job set title = 'Wrong'`);
    await tool.restore(test.url, file);
    // A running server reconnects by itself.
    while ((await browser.get('/api/ready')).status !== 200);
    const after = (await browser.get(`/api/jobs/${jobId}`).expect(200)).body as typeof before;
    // In another history, so that devices that know more send it again.
    const { history, revision } = before;
    expect(after).toEqual({ ...before, history: after.history, restoredFrom: history, restoredRevision: revision });
    expect(after.history).not.toBe(history);
    await send(aLine(3));
  });

  it('that was put back by other means is marked, so that devices send again what it lacks', async () => {
    const { browser } = await test.guest();
    const jobId = uuidv7();
    const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
    const changes = [{ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }];
    await browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);
    const { body } = await browser.get(`/api/jobs/${jobId}`);
    const { history, revision } = body as { history: string; revision: number };
    await tool.markRestored(test.url);
    const { body: after } = await browser.get(`/api/jobs/${jobId}`);
    expect(after).toMatchObject({ restoredFrom: history, restoredRevision: revision });
    const sent = await browser.post(`/api/jobs/${jobId}/changes`).send({ changes, history }).expect(409);
    expect(sent.body).toMatchObject({ code: 'job.restored' });
  });

  it('of each earlier version takes the place of everything, and is brought up to date', async () => {
    const versions = readdirSync(MIGRATIONS).filter((name) => name.endsWith('.sql')).length;
    for (let version = 1; version <= versions; version += 1) {
      const url = await aDatabase();
      await migrateDatabase(url, migrationsUpTo(version));
      const [accountId, jobId] = [uuidv7(), uuidv7()];
      await ask(url, `insert into account (id) values ('${accountId}')`);
      await ask(url, `insert into job (id, owner_id, title, revision) values ('${jobId}', '${accountId}', 'Shed', 7)`);
      const file = join(folder, `version${version}.backup`);
      await tool.backup(url, file);
      const there = await aDatabase();
      await migrateDatabase(there, MIGRATIONS);
      await tool.restore(there, file);
      await migrateDatabase(there, MIGRATIONS);
      expect(await ask(there, 'select id, title, revision, next_number from job')).toEqual([
        { id: jobId, title: 'Shed', revision: '7', next_number: 1 },
      ]);
      await ask(there, 'select * from set_out');
    }
  });

  it('of another program, or of a later version, is refused and nothing is touched', async () => {
    const foreign = await aDatabase();
    await ask(foreign, 'create table invoice (id int primary key)');
    const [file, later] = [join(folder, 'foreign.backup'), join(folder, 'later.backup')];
    await tool.backup(foreign, file);
    await expect(tool.restore(test.url, file)).rejects.toThrow('nothing was changed: it is of another program');
    // Tables of the same names make it no backup of ours.
    await ask(foreign, 'create table job (id int); create table account (id int); create schema drizzle');
    await ask(foreign, `create table drizzle.__drizzle_migrations (hash text, created_at bigint)`);
    await tool.backup(foreign, file);
    await expect(tool.restore(test.url, file)).rejects.toThrow('it is of another program');
    const newer = await aDatabase();
    await migrateDatabase(newer, MIGRATIONS);
    await ask(newer, `insert into drizzle.__drizzle_migrations (hash, created_at) values ('x', 9999999999999)`);
    await tool.backup(newer, later);
    await expect(tool.restore(test.url, later)).rejects.toThrow('it is of a later version');
    const { browser } = await test.guest();
    await browser.get('/api/jobs').expect(200);
    expect(await ask(test.url, `select to_regclass('invoice') as invoice`)).toEqual([{ invoice: null }]);
  });

  it('is made and put back by a role that owns this database and nothing else', async () => {
    expect(await ask(test.url, 'select rolsuper, rolcreaterole from pg_roles where rolname = current_user')).toEqual([
      { rolsuper: false, rolcreaterole: false },
    ]);
  });

  it('that is no backup changes nothing, and one that cannot be made leaves no file', async () => {
    const { browser } = await test.guest();
    const broken = join(folder, 'broken.backup');
    writeFileSync(broken, 'PGDMP and nothing behind it');
    await expect(tool.restore(test.url, broken)).rejects.toThrow('nothing was changed');
    await browser.get('/api/jobs').expect(200);
    await expect(tool.backup('postgres://nobody:x@127.0.0.1:1/none', join(folder, 'none'))).rejects.toThrow();
    expect(readdirSync(folder).filter((name) => name.startsWith('none'))).toEqual([]);
    await expect(tool.backup(test.url, join(folder, 'no/such/place'))).rejects.toThrow('cannot be written');
  });
});
