/** What a build was made from, so that only what changed is built again. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

// The last one is written by the build itself.
const SKIPPED = new Set(['node_modules', 'dist', '.data', '.git', 'components.d.ts']);

/** Every file below the given files and folders, in order. */
function filesBelow(path, found = []) {
  if (!existsSync(path)) return found;
  if (!statSync(path).isDirectory()) {
    found.push(path);
    return found;
  }
  for (const name of readdirSync(path).sort()) if (!SKIPPED.has(name)) filesBelow(join(path, name), found);
  return found;
}

/** A hash of names, sizes and times of change; reading every byte would take longer than some builds. */
export function fingerprint(paths) {
  const hash = createHash('sha1');
  for (const path of paths) {
    for (const file of filesBelow(path)) {
      const { size, mtimeMs } = statSync(file);
      hash.update(`${file}\0${size}\0${mtimeMs}\n`);
    }
  }
  return hash.digest('hex');
}

/** Runs `build` unless `stampFile` says that it ran on the same inputs and `output` is still there. Returns whether it ran. */
export async function buildIfChanged(stampFile, inputs, output, build) {
  const now = fingerprint(inputs);
  if (existsSync(output) && existsSync(stampFile) && readFileSync(stampFile, 'utf8') === now) return false;
  await build();
  mkdirSync(dirname(stampFile), { recursive: true });
  writeFileSync(stampFile, now);
  return true;
}
