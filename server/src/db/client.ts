import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;
/** A database or a transaction on it. */
export type Executor = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;

export interface OpenDatabase {
  readonly db: Database;
  readonly pool: pg.Pool;
  close(): Promise<void>;
}

export function openDatabase(url: string, onError: (error: Error) => void): OpenDatabase {
  const pool = new pg.Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 5_000,
    idleTimeoutMillis: 30_000,
    statement_timeout: 15_000,
    idle_in_transaction_session_timeout: 15_000,
    application_name: 'sprell',
  });
  // An idle connection that the server closed is no reason to end the process.
  pool.on('error', onError);
  // Nor is one that is lost in the middle of a transaction: the query that waits on it fails, and says so.
  pool.on('connect', (client) => client.on('error', onError));
  return { db: drizzle(pool, { schema }), pool, close: () => pool.end() };
}

/** Any number; the same in every server process, so that two starting together migrate one after the other. */
const MIGRATION_LOCK = 7_311_402;

/** Brings the tables up to date. Safe to call from several processes at once. */
export async function migrateDatabase(url: string, folder: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(client), { migrationsFolder: folder });
  } finally {
    await client.end();
  }
}
