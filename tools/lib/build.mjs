/** Builds the web application and the server, each only when what it is made from changed. */
import { randomBytes } from 'node:crypto';
import { buildIfChanged } from './fingerprint.mjs';
import { at } from './paths.mjs';
import { run } from './processes.mjs';

const SHARED = [at('core', 'src'), at('contract', 'src'), at('package-lock.json')];

export const SERVER_BUNDLE = at('dist', 'server', 'main.mjs');
export const WEB_ROOT = at('web', 'dist');
export const MIGRATIONS = at('server', 'src', 'db', 'migrations');

export async function buildWeb() {
  const inputs = [
    ...SHARED,
    at('web', 'src'),
    at('web', 'public'),
    at('web', 'index.html'),
    at('web', 'vite.config.ts'),
  ];
  return buildIfChanged(at('dist', 'web.stamp'), inputs, at('web', 'dist', 'index.html'), async () => {
    console.log('Building the application …');
    // What is built is what people get, whatever this was started from.
    const env = { ...process.env, NODE_ENV: 'production' };
    await run('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: at('web'), env });
  });
}

export async function buildServer() {
  return buildIfChanged(at('dist', 'server.stamp'), [...SHARED, at('server', 'src')], SERVER_BUNDLE, async () => {
    console.log('Building the server …');
    const { bundleForNode } = await import('./bundle.mjs');
    await bundleForNode(at('server', 'src', 'main.ts'), SERVER_BUNDLE, ['pg-native', '@node-rs/argon2']);
  });
}

/**
 * The environment of the server process, besides its database and port.
 * @param {{
 *   databaseUrl?: string;
 *   directUrl?: string;
 *   metricsPort?: number;
 *   port?: number;
 *   demo?: boolean;
 *   log?: string;
 *   secret?: string;
 *   webRoot?: string;
 * }} options
 */
export function serverEnvironment({
  databaseUrl,
  /** Of PostgreSQL itself, where the other is of a pooler. */
  directUrl,
  metricsPort,
  port,
  demo,
  log,
  secret = randomBytes(32).toString('hex'),
  webRoot = WEB_ROOT,
}) {
  return {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: databaseUrl,
    ...(directUrl === undefined ? {} : { SPRELL_DIRECT_URL: directUrl }),
    ...(metricsPort === undefined ? {} : { SPRELL_METRICS_PORT: String(metricsPort) }),
    PORT: String(port),
    SPRELL_WEB_ROOT: webRoot,
    SPRELL_MIGRATIONS: MIGRATIONS,
    SPRELL_DEMO: demo ? '1' : '0',
    SPRELL_LOG: log,
    SPRELL_SECRET: process.env.SPRELL_SECRET ?? secret,
  };
}
