/** The note that a start leaves: its process, where it serves, and what distinguishes the process from a later one of its number. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { birthOf, isAlive } from './processes.mjs';

/** Writes the note for this process. */
export function writeLock(file, address) {
  writeFileSync(file, `${process.pid}\n${address}\n${birthOf(process.pid)}\n`);
}

/** The process that holds a lock, while it runs, and its address. A note that an earlier version left says no birth. */
export function lockedBy(file) {
  if (!existsSync(file)) return {};
  const [pid, address, birth] = readFileSync(file, 'utf8').split('\n');
  const holder = Number(pid);
  const isSame = !birth || birth === birthOf(holder);
  return holder > 0 && isAlive(holder) && isSame ? { holder, address } : {};
}
