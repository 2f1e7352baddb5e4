/** The commands bin/backup and bin/restore: the database of a start as one file, and back. */
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { backup, markRestored, restore } from './lib/backup.mjs';
import { clusterHome, startCluster } from './lib/cluster.mjs';
import { at } from './lib/paths.mjs';
import { lockedBy } from './lib/lock.mjs';
import { Plain, report } from './lib/processes.mjs';

const [what, ...args] = process.argv.slice(2);
const MARK = '--mark-only';
const USAGE = `bin/${what} [--demo] ${what === 'restore' ? `FILE | ${MARK}` : 'FILE'}
  --demo  of the start with the demo jobs; otherwise of the start for real use
${what === 'restore' ? `  ${MARK}  the database was put back by other means: devices send again what it lacks\n` : ''}DATABASE_URL  uses a PostgreSQL server that is already there`;

const isRunning = (data, kind) => lockedBy(join(data, `${kind}.lock`)).holder !== undefined;

async function main() {
  const files = args.filter((argument) => !argument.startsWith('--'));
  const marksOnly = what === 'restore' && args.includes(MARK);
  const known = ['--demo', ...(what === 'restore' ? [MARK] : [])];
  if (files.length !== (marksOnly ? 0 : 1) || args.some((one) => one.startsWith('--') && !known.includes(one)))
    throw new Plain(USAGE);
  const file = marksOnly ? undefined : resolve(files[0] ?? '');
  const kind = args.includes('--demo') ? 'demo' : 'real';
  const data = process.env.SPRELL_DATA ?? at('.data');
  const runs = isRunning(data, kind);
  if (what === 'restore' && file !== undefined && !existsSync(file)) throw new Plain(`There is no file ${file}.`);
  if (what === 'restore' && runs)
    throw new Plain('Sprell is running; stop it first, since everything in it is replaced.');
  const given = process.env.DATABASE_URL;
  const home = clusterHome(join(data, kind));
  if (given === undefined && what === 'backup' && !existsSync(home))
    throw new Plain('There is nothing to back up yet.');
  const store = given ? { url: given, adopted: true, stop: () => undefined } : await startCluster(home);
  try {
    if (file === undefined) {
      await markRestored(store.url);
      console.log('Devices will send again what the database lacks.');
      return;
    }
    await (what === 'backup' ? backup : restore)(store.url, file);
    console.log(what === 'backup' ? `Everything is in ${file}` : `Everything is as it was in ${file}`);
  } finally {
    // A database that was running before goes on.
    if (!store.adopted) store.stop();
  }
}

main().catch(report);
