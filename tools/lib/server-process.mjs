/** The server as a child process that reports when it listens. */
import { spawn } from 'node:child_process';
import { SERVER_BUNDLE, serverEnvironment } from './build.mjs';
import { Plain } from './processes.mjs';

/**
 * Starts the built server. Resolves once it listens, with its port and how to stop it.
 * @param {Partial<Parameters<typeof serverEnvironment>[0]> & { bundle?: string }} options
 * @returns {Promise<{
 *   port: number;
 *   child: import('node:child_process').ChildProcess;
 *   exited: Promise<unknown>;
 *   stop(): Promise<void>;
 * }>}
 */
export function startServer({ bundle = SERVER_BUNDLE, log = 'warn', ...more }) {
  return new Promise((resolve, reject) => {
    // A process group of its own: Ctrl-C at the terminal reaches us alone, and we stop things in order.
    const child = spawn(process.execPath, ['--enable-source-maps', bundle], {
      env: serverEnvironment({ log, ...more }),
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      detached: true,
    });
    const exited = new Promise((done) => child.once('exit', done));
    child.once('error', reject);
    child.once('exit', (code) => reject(new Plain(`The server ended before it listened (status ${code}).`)));
    child.once('message', (message) =>
      resolve({
        port: /** @type {{ listening: number }} */ (message).listening,
        child,
        exited,
        stop: async () => {
          child.kill('SIGTERM');
          await exited;
        },
      }),
    );
  });
}
