import type { Database } from '../../db/client.ts';
import { account } from '../../db/schema.ts';

/** The account of the installation itself; the same in every process and every database. */
const LOCAL_ACCOUNT = '01900000-0000-7000-8000-000000000001';

/** The account that everything made on this installation belongs to, made when it is new. */
export async function localAccount(db: Database): Promise<string> {
  await db.insert(account).values({ id: LOCAL_ACCOUNT }).onConflictDoNothing();
  return LOCAL_ACCOUNT;
}
