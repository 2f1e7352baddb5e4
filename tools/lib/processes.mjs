/** Running other programs, and ending those that we started. */
import { spawn, spawnSync } from 'node:child_process';

/** A sentence for the person at the terminal; printed without a stack. */
export class Plain extends Error {}

/** Runs a program to its end with its output passed through. @throws {Plain} when it fails. */
export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    child.on('error', (error) => reject(new Plain(`${command} could not be run: ${error.message}`)));
    child.on('exit', (code, signal) =>
      code === 0
        ? resolve()
        : reject(new Plain(`${command} ${args[0] ?? ''} ended with ${signal ?? `status ${code}`}`)),
    );
  });
}

/** Runs a program and returns what it printed; `ok` tells whether its status was 0. */
export function capture(command, args, options = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, { encoding: 'utf8', ...options });
  return { ok: status === 0 && !error, stdout: stdout ?? '', stderr: stderr ?? '', status };
}

export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

export const isRoot = () => process.getuid?.() === 0;

/** Prints a Plain error as its sentence, anything else in full, and sets the exit status. */
export function report(error) {
  console.error(error instanceof Plain ? `\n${error.message}` : error);
  process.exitCode = 1;
}
