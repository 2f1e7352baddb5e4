import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;
/** A database or a transaction on it. */
export type Executor = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;

export interface OpenDatabase {
  readonly db: Database;
  readonly pool: pg.Pool;
  /** All of it or nothing; what throws inside takes it back. Statements of `prepared` are at hand in it. */
  inTransaction<T>(work: (tx: Database) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** What a statement and an idle transaction may take, and how statements that are kept are planned: once. */
export const SESSION = {
  statement_timeout: '15s',
  idle_in_transaction_session_timeout: '15s',
  plan_cache_mode: 'force_generic_plan',
} as const;

/** Behind a pooler the next statement of a connection may go to another one, which knows none by its name. */
class NamelessClient extends pg.Client {
  // The overloads of `query` are those of pg; whatever it is given, only its name is removed.
  override query(...given: unknown[]): never {
    const [asked, ...rest] = given;
    const isNamed = typeof asked === 'object' && asked !== null && 'name' in asked && 'text' in asked;
    const query = super.query as unknown as (this: pg.Client, ...given: unknown[]) => never;
    return query.call(this, isNamed ? { ...asked, name: undefined } : asked, ...rest);
  }
}

/**
 * @param isPooled a pooler lies between that hands each transaction to any connection (PgBouncer in transaction mode): it
 *   takes no settings of a session, which the role has then (`migrate.ts`)
 */
export function openDatabase(
  url: string,
  onError: (error: Error) => void,
  { isPooled = false }: { readonly isPooled?: boolean } = {},
): OpenDatabase {
  const ofSession = {
    // What is asked with every touch is planned once, and again when PostgreSQL has counted the tables again.
    options: Object.entries(SESSION)
      .map(([name, value]) => `-c ${name}=${value}`)
      .join(' '),
  };
  const pool = new pg.Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 5_000,
    idleTimeoutMillis: 30_000,
    application_name: 'sprell',
    ...(isPooled ? { Client: NamelessClient } : ofSession),
  });
  // An idle connection that the server closed is no reason to end the process.
  pool.on('error', onError);
  // Nor is one that is lost in the middle of a transaction: the query that waits on it fails, and says so.
  pool.on('connect', (client) => client.on('error', onError));
  const ofConnection = new WeakMap<pg.PoolClient, Database>();
  const databaseOf = (client: pg.PoolClient): Database => {
    const known = ofConnection.get(client) ?? drizzle(client, { schema });
    ofConnection.set(client, known);
    return known;
  };
  return {
    db: drizzle(pool, { schema }),
    pool,
    inTransaction: async (work) => {
      const client = await pool.connect();
      let failed: unknown;
      try {
        await client.query('begin');
        const result = await work(databaseOf(client));
        await client.query('commit');
        return result;
      } catch (error) {
        // A connection that cannot even roll back is thrown away.
        await client.query('rollback').catch((lost: unknown) => (failed = lost));
        throw error;
      } finally {
        client.release(failed !== undefined);
      }
    },
    close: () => pool.end(),
  };
}

/**
 * Statements that are made once for each connection and kept as long as it lives, so that neither Drizzle nor PostgreSQL
 * reads them again. For what is asked with every touch; anything else is written where it is used.
 */
export function prepared<T>(make: (db: Database) => T): (db: Database) => T {
  const known = new WeakMap<Database, T>();
  return (db) => {
    const statements = known.get(db) ?? make(db);
    known.set(db, statements);
    return statements;
  };
}
