import { sql } from 'drizzle-orm';
import type { Executor } from '../../db/client.ts';
import { CHANNEL, type News } from './job-feed.ts';

/** Notifies every server process, when and only when the transaction that this belongs to is done. */
export async function notify(db: Executor, news: News): Promise<void> {
  await db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(news)})`);
}
