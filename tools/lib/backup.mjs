/** Everything in a database as one file, and back: PostgreSQL's own dump in its own format. */
import { createHash } from 'node:crypto';
import { closeSync, mkdtempSync, openSync, readFileSync, renameSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asOwner, programs } from './cluster.mjs';
import { at } from './paths.mjs';
import { Plain } from './processes.mjs';

/** The address without its password, which would stand in the list of processes, and the password apart. */
function connection(url) {
  const address = new URL(url);
  const password = decodeURIComponent(address.password);
  address.password = '';
  return { address: address.href, env: { PGPASSWORD: password } };
}

/** Writes a backup. The file is there whole or not at all; one that was there before stays until then. */
export async function backup(url, file) {
  const { address, env } = connection(url);
  const bin = await programs();
  const unfinished = `${file}.unfinished`;
  const out = openForWriting(unfinished, file);
  try {
    const made = asOwner(
      join(bin, 'pg_dump'),
      ['--format=custom', '--no-owner', '--no-privileges', `--dbname=${address}`],
      {
        env,
        stdio: ['ignore', out, 'pipe'],
      },
    );
    if (!made.ok) throw new Plain(`The backup could not be made:\n${made.stderr}`);
    renameSync(unfinished, file);
  } finally {
    closeSync(out);
    rmSync(unfinished, { force: true });
  }
}

function openForWriting(path, file) {
  try {
    return openSync(path, 'w', 0o600);
  } catch (error) {
    throw new Plain(`${file} cannot be written: ${error instanceof Error ? error.message : error}`);
  }
}

const MIGRATIONS = at('server/src/db/migrations');

/** What this version's database was made by: the first of its migrations, and when the last was written. */
function ourMigrations() {
  const { entries } = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8'));
  const first = readFileSync(join(MIGRATIONS, `${entries[0].tag}.sql`));
  return { first: createHash('sha256').update(first).digest('hex'), last: entries.at(-1).when };
}

/** Nothing is there any more that a backup of an earlier version does not know, and could not take the place of. */
const MAKE_ROOM = `
drop schema if exists drizzle cascade;
drop schema public cascade;
create schema public;
`;

/** What was put back has to be ours, and of this version or an earlier one. */
const check = ({ first, last }) => `
do $$ begin
  if not exists (select from drizzle.__drizzle_migrations where hash = '${first}') then
    raise exception 'it is of another program';
  elsif (select max(created_at) from drizzle.__drizzle_migrations) > ${last} then
    raise exception 'it is of a later version of Sprell';
  end if;
end $$;
`;

/** Each job is in another history from now on, so that devices that know more of it send that again. */
const BEGIN_HISTORY = `
do $$ begin
  if exists (select from information_schema.columns
      where table_schema = 'public' and table_name = 'job' and column_name = 'restored_from') then
    update public.job set restored_from = history, restored_revision = revision, history = gen_random_uuid();
  end if;
end $$;
`;

/** Says of a database that it was put back to an earlier moment by other means: a point in time, another machine's copy. */
export async function markRestored(url) {
  const { address, env } = connection(url);
  const options = ['-X', '-q', '--single-transaction', '-v', 'ON_ERROR_STOP=1', '-f', '-'];
  const done = asOwner(join(await programs(), 'psql'), [...options, address], { env, input: BEGIN_HISTORY });
  if (!done.ok) throw new Plain(`The database could not be marked:\n${done.stderr}`);
}

/**
 * Puts a backup of this version or an earlier one in the place of everything that is there, in one transaction: all of it
 * or nothing.
 */
export async function restore(url, file) {
  const { address, env } = connection(url);
  const bin = await programs();
  const folder = mkdtempSync(join(tmpdir(), 'sprell-restore-'));
  const [input, script] = [openSync(file, 'r'), openSync(join(folder, 'script'), 'w+', 0o600)];
  try {
    const said = asOwner(join(bin, 'pg_restore'), ['--list'], { stdio: [input, 'pipe', 'pipe'] });
    if (!said.ok) throw new Plain(`The backup could not be restored; nothing was changed:\n${said.stderr}`);
    const holds = (table) => said.stdout.includes(` TABLE ${table} `);
    if (!['public job', 'public account', 'drizzle __drizzle_migrations'].every(holds))
      throw new Plain('The backup could not be restored; nothing was changed: it is of another program.');
    writeSync(script, MAKE_ROOM);
    const backup = openSync(file, 'r');
    const written = asOwner(join(bin, 'pg_restore'), ['--no-owner', '--no-privileges', '--file=-'], {
      stdio: [backup, script, 'pipe'],
    });
    closeSync(backup);
    if (!written.ok) throw new Plain(`The backup could not be restored; nothing was changed:\n${written.stderr}`);
    writeSync(script, check(ourMigrations()) + BEGIN_HISTORY);
    const whole = openSync(join(folder, 'script'), 'r');
    const options = ['-X', '-q', '--single-transaction', '-v', 'ON_ERROR_STOP=1', '-f', '-'];
    const done = asOwner(join(bin, 'psql'), [...options, address], { env, stdio: [whole, 'ignore', 'pipe'] });
    closeSync(whole);
    if (!done.ok) throw new Plain(`The backup could not be restored; nothing was changed:\n${done.stderr}`);
    // Servers that are running reconnect: what their connections knew of the tables is true no more.
    const others = `select pg_terminate_backend(pid) from pg_stat_activity
      where datname = current_database() and backend_type = 'client backend' and pid <> pg_backend_pid()`;
    const ended = asOwner(join(bin, 'psql'), ['-X', '-q', '-c', others, address], { env });
    if (!ended.ok) throw new Plain(`It was restored, but running servers have to be restarted:\n${ended.stderr}`);
  } finally {
    closeSync(input);
    closeSync(script);
    rmSync(folder, { recursive: true, force: true });
  }
}
