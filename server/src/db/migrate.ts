import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { SESSION } from './client.ts';
import { giveMarksIds } from './mark-ids.ts';
import * as schema from './schema.ts';

/** Any number; the same in every server process, so that two starting together migrate one after the other. */
const MIGRATION_LOCK = 7_311_402;

/**
 * Brings the tables up to date, and what stands in them. Safe to call from several processes at once.
 * @param url of PostgreSQL itself, never of a pooler
 * @param isPooled the role is given what cannot be set for each session behind a pooler
 */
export async function migrateDatabase(
  url: string,
  folder: string,
  { isPooled = false }: { readonly isPooled?: boolean } = {},
): Promise<void> {
  const client = new pg.Client({ connectionString: url, statement_timeout: 0 });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(client), { migrationsFolder: folder });
    await giveMarksIds(drizzle(client, { schema }));
    const { rows } = await client.query<{ role: string; name: string }>(
      'select quote_ident(current_user) as role, quote_ident(current_database()) as name',
    );
    const [is] = rows;
    for (const [setting, value] of Object.entries(is && isPooled ? SESSION : {}))
      await client.query(`alter role ${is?.role} in database ${is?.name} set ${setting} = '${value}'`);
  } finally {
    await client.end();
  }
}
