import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { startTestApp, type TestApp } from '../testing/test-app.ts';
import { migrateDatabase } from './migrate.ts';

const MIGRATIONS = fileURLToPath(new URL('migrations', import.meta.url));

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());

it('gives the role settings of its own behind a pooler, and only there', async () => {
  const settings = async () => {
    const { rows } = await test.database.pool.query<{ setting: string }>(
      `select unnest(setconfig) as setting from pg_db_role_setting
       where setdatabase = (select oid from pg_database where datname = current_database())`,
    );
    return rows.map(({ setting }) => setting.split('=')[0]);
  };
  expect(await settings()).toEqual([]);
  await migrateDatabase(test.url, MIGRATIONS, { isPooled: true });
  expect(await settings()).toContain('statement_timeout');
});
