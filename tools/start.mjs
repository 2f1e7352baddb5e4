/**
 * The start command. Everything it starts, it stops: the server first, so that what was accepted is finished, then the
 * database. Nothing it needs has to be installed by hand.
 */
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { buildServer, buildWeb } from './lib/build.mjs';
import { clusterHome, removeCluster, startCluster } from './lib/cluster.mjs';
import { ensurePackages } from './lib/install.mjs';
import { at } from './lib/paths.mjs';
import { lockedBy, writeLock } from './lib/lock.mjs';
import { Plain, report } from './lib/processes.mjs';
import { startServer } from './lib/server-process.mjs';

const USAGE = `bin/start [--real] [--fresh]
  --real   for real use: no demo jobs, its own database
  --fresh  start over: throws the database away first
PORT       port to serve on (4600 when it is free, otherwise the next)
DATABASE_URL  uses a PostgreSQL server that is already there
The README names the settings for real use: SPRELL_PUBLIC_URL, SPRELL_SMTP_URL and others.`;

function readOptions(args) {
  const known = new Set(['--real', '--fresh', '--help']);
  for (const argument of args) if (!known.has(argument)) throw new Plain(`There is no option ${argument}.\n${USAGE}`);
  return { real: args.includes('--real'), fresh: args.includes('--fresh'), help: args.includes('--help') };
}

/** Keeps two starts of one kind apart. A lock left behind by kill -9 or a power cut is taken over. */
function takeLock(file) {
  const { holder, address } = lockedBy(file);
  if (holder !== undefined && holder !== process.pid)
    throw new Plain(`Sprell is running already${address ? ` at ${address}` : ''}.`);
  writeLock(file, '');
}

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

/** The port asked for, which has to be free, or the first free one from 4600 on. */
async function choosePort() {
  const asked = process.env.PORT;
  if (asked) {
    if (!(await isFree(Number(asked)))) throw new Plain(`Port ${asked} is in use; choose another with PORT=…`);
    return Number(asked);
  }
  for (let port = 4600; port < 4700; port += 1) if (await isFree(port)) return port;
  throw new Plain('No port from 4600 to 4699 is free; choose one with PORT=…');
}

/** What the cookies of sessions are signed with: made once, so that a new start signs nobody out. */
function keptSecret(file) {
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}

async function openStore(options, folder) {
  const given = process.env.DATABASE_URL;
  if (given) {
    if (options.fresh)
      throw new Plain('--fresh throws a database away and does so only with one of its own, not with DATABASE_URL.');
    return { url: given, stop: () => undefined };
  }
  const home = clusterHome(folder);
  if (options.fresh) await removeCluster(home);
  const store = await startCluster(home);
  if (store.adopted) console.log('Found its database still running, and goes on with it.');
  return store;
}

const LOOK_EVERY = 1000;

/**
 * Brings the database back when it ended by itself, as it does on a full disk; until that works, again and again.
 * @param {{ stop: () => unknown; isRunning?: () => boolean; revive?: () => boolean }} store one that somebody else runs has neither
 */
function keepRunning({ isRunning, revive }) {
  if (isRunning === undefined || revive === undefined) return () => undefined;
  let isAway = false;
  const timer = setInterval(() => {
    if (isRunning()) return;
    if (!isAway) console.log('The database has ended by itself; it is being started again.');
    isAway = !revive();
    if (!isAway) console.log('The database is back.');
  }, LOOK_EVERY);
  return () => clearInterval(timer);
}

async function main() {
  const options = readOptions(process.argv.slice(2));
  if (options.help) {
    console.log(USAGE);
    return;
  }
  const kind = options.real ? 'real' : 'demo';
  // Elsewhere than in .data/ only for the tests, which must not meet what is running here.
  const data = process.env.SPRELL_DATA ?? at('.data');
  mkdirSync(data, { recursive: true });
  const lock = join(data, `${kind}.lock`);
  takeLock(lock);

  // From here on a signal ends the start in order, whatever it was doing.
  let wanted = true;
  let wake = () => {};
  /** @type {Promise<void>} */
  const woken = new Promise((resolve) => (wake = resolve));
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      wanted = false;
      wake();
    });

  const stops = [];
  try {
    await ensurePackages();
    if (wanted) {
      const store = await openStore(options, join(data, kind));
      stops.unshift(() => store.stop());
      await buildServer();
      await buildWeb();
      if (wanted) {
        const server = await startServer({
          databaseUrl: store.url,
          port: await choosePort(),
          demo: !options.real,
          secret: keptSecret(join(data, `${kind}.secret`)),
        });
        stops.unshift(() => server.stop());
        const address = `http://127.0.0.1:${server.port}/`;
        writeLock(lock, address);
        console.log(`\nSprell is at ${address}${options.real ? '' : '  (with the demo jobs)'}\nCtrl-C stops it.`);
        stops.unshift(keepRunning(store));
        const ended = await Promise.race([woken.then(() => false), server.exited.then(() => true)]);
        if (ended) throw new Plain('The server ended by itself; its last lines are above.');
      }
    }
  } finally {
    for (const stop of stops) await stop();
    rmSync(lock, { force: true });
  }
  console.log('Stopped.');
}

main()
  .catch(report)
  .finally(() => process.exit());
