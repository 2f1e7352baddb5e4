import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Rows of a golden table: cells between tabs, lines that begin with # left out. */
export function goldenRows(name: string): readonly (readonly string[])[] {
  const path = fileURLToPath(new URL(`../../golden/${name}`, import.meta.url));
  return readFileSync(path, 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('# '))
    .map((line) => line.split('\t'));
}
