/** Everything in a database as one file, and back: PostgreSQL's own dump in its own format. */
import { closeSync, openSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { asOwner, programs } from './cluster.mjs';
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
  const out = openSync(unfinished, 'w', 0o600);
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

/** Puts a backup in the place of everything that is there, in one transaction: all of it or nothing. */
export async function restore(url, file) {
  const { address, env } = connection(url);
  const bin = await programs();
  const input = openSync(file, 'r');
  try {
    const options = ['--clean', '--if-exists', '--single-transaction', '--no-owner', '--no-privileges'];
    const done = asOwner(join(bin, 'pg_restore'), [...options, `--dbname=${address}`], {
      env,
      stdio: [input, 'pipe', 'pipe'],
    });
    if (!done.ok) throw new Plain(`The backup could not be restored; nothing was changed:\n${done.stderr}`);
    // Servers that are running connect anew: what their connections knew of the tables is true no more.
    const others = `select pg_terminate_backend(pid) from pg_stat_activity
      where datname = current_database() and backend_type = 'client backend' and pid <> pg_backend_pid()`;
    const ended = asOwner(join(bin, 'psql'), ['-X', '-q', '-c', others, address], { env });
    if (!ended.ok) throw new Plain(`It was restored, but running servers have to be started anew:\n${ended.stderr}`);
  } finally {
    closeSync(input);
  }
}
