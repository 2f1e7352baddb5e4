/** Running other programs, and ending those that we started. */
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** A sentence for the person at the terminal; printed without a stack. */
export class Plain extends Error {}

/**
 * Runs a program to its end with its output passed through.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions} options
 * @returns {Promise<void>}
 * @throws {Plain} when it fails
 */
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

/**
 * Runs a program and returns what it printed; `ok` says whether its status was 0.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnSyncOptions} options
 */
export function capture(command, args, options = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, { encoding: 'utf8', ...options });
  return { ok: status === 0 && !error, stdout: String(stdout ?? ''), stderr: String(stderr ?? ''), status };
}

export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error instanceof Error && 'code' in error && error.code === 'EPERM';
  }
}

/** The command that a process was started by; undefined where this system does not say. */
export function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return undefined;
  }
}

/** What distinguishes a process from a later one of the same number: when it was started, and since which start of the machine. */
export function birthOf(pid) {
  try {
    const [, after] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ');
    return `${after?.split(' ')[19]} ${readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()}`;
  } catch {
    return '';
  }
}

export const isRoot = () => process.getuid?.() === 0;

/** Prints a Plain error as its sentence, anything else in full, and sets the exit status. */
export function report(error) {
  console.error(error instanceof Plain ? `\n${error.message}` : error);
  process.exitCode = 1;
}
