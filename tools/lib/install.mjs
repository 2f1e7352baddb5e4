/** Installs what is missing: the npm packages of the lock file, and Debian packages. */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { at, ROOT } from './paths.mjs';
import { capture, isRoot, Plain, run } from './processes.mjs';

/** npm ci, unless the packages of this very lock file are there already. */
export async function ensurePackages() {
  const stamp = at('node_modules', '.sprell-lock');
  const hash = createHash('sha1')
    .update(readFileSync(at('package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  console.log('Installing npm packages …');
  // Nothing here needs an install script, and none is run.
  await run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: ROOT });
  writeFileSync(stamp, hash);
}

/** apt-get install of Debian packages, as root or through sudo. */
export async function ensureDebian(packages, what) {
  console.log(`Installing ${what} …`);
  const sudo = isRoot() ? [] : capture('sudo', ['-n', 'true']).ok ? ['sudo', '-n'] : undefined;
  if (sudo === undefined)
    throw new Plain(
      `${what} is missing, and only root may install it. Run once: sudo apt-get install ${packages.join(' ')}`,
    );
  if (!capture('apt-get', ['--version']).ok)
    throw new Plain(`${what} is missing, and this is no Debian machine. Install it and start again.`);
  const [command, ...first] = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'];
  await run(command, [...first, '-qq', 'update'], { stdio: ['ignore', 'ignore', 'inherit'] });
  await run(
    command,
    [...first, '-qq', '-y', '--no-install-recommends', '-o', 'Dpkg::Options::=--force-confold', 'install', ...packages],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
}

/** Debian's package would start a cluster of its own; this keeps it from that, before it is installed. */
export async function ensurePostgres() {
  const settings = '/etc/postgresql-common/createcluster.conf';
  const said = existsSync(settings) ? readFileSync(settings, 'utf8') : '';
  if (isRoot() && !/^\s*create_main_cluster\s*=\s*false/m.test(said)) {
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync(settings, `${said}create_main_cluster = false\n`);
  }
  await ensureDebian(['postgresql'], 'PostgreSQL');
}

/**
 * Debian's Chromium, whole and without the parts for a window, installed if it has to be: a page of the second opens in
 * a third of the time, but its profile does not outlive it.
 * @returns path of the whole one
 */
export async function ensureChromium() {
  const paths = ['/usr/bin/chromium', '/usr/bin/chromium-headless-shell'];
  const isMissing = () => paths.find((path) => !existsSync(path));
  if (isMissing()) await ensureDebian(['chromium', 'chromium-headless-shell'], 'Chromium');
  if (isMissing()) throw new Plain(`Chromium was installed but is not where Debian puts it (${isMissing()}).`);
  return paths[0];
}
