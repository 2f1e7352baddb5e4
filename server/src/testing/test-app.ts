import { randomBytes } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import type { Express } from 'express';
import pg from 'pg';
import { pino } from 'pino';
import { inject } from 'vitest';
import { createApp } from '../app.ts';
import { migrateDatabase, openDatabase, type OpenDatabase } from '../db/client.ts';
import { localAccount } from '../features/accounts/local-account.ts';

const MIGRATIONS = fileURLToPath(new URL('../db/migrations', import.meta.url));

export interface TestApp {
  readonly app: Express;
  readonly database: OpenDatabase;
  readonly url: string;
  readonly accountId: string;
  close(): Promise<void>;
}

/** The application on a database of its own, as new. */
export async function startTestApp(): Promise<TestApp> {
  const clusterUrl = inject('clusterUrl');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = new pg.Client({ connectionString: clusterUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = clusterUrl.replace(/\/[^/]*$/, `/${name}`);
  await migrateDatabase(url, MIGRATIONS);
  const database = openDatabase(url, () => undefined);
  const accountId = await localAccount(database.db);
  const app = createApp({ db: database.db, log: pino({ level: 'silent' }), accountId, webRoot: undefined });
  return { app, database, url, accountId, close: () => database.close() };
}
