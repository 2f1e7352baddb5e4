import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';

/** Every module of the core, tests apart. */
const folder = fileURLToPath(new URL('.', import.meta.url));
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.includes('testing'),
);
const texts = files.map((file) => [file, readFileSync(`${folder}${file}`, 'utf8')] as const);

/** What an example may name: everything that the core exports, whichever module it is in. */
const names = new Map<string, unknown>();
for (const file of files)
  for (const [name, value] of Object.entries((await import(`${folder}${file}`)) as object)) names.set(name, value);

const examples = texts.flatMap(([file, text]) =>
  [...text.matchAll(/@example (.+?) \/\/ => (.+?)(?: \*\/)?$/gm)].map(([, code, says]) => [file, code, says] as const),
);

/** Works out a piece of code with the core's own names at hand. */
function worked(code: string): unknown {
  const used = [...names].filter(([name]) => code.includes(name));
  return new Function(...used.map(([name]) => name), `return (${code});`)(...used.map(([, value]) => value)) as unknown;
}

it('every example in a docstring says what it comes to', () => {
  const written = texts.reduce((sum, [, text]) => sum + text.split('@example').length - 1, 0);
  expect(written).toBeGreaterThan(10);
  expect(examples).toHaveLength(written);
});

it.each(examples)('%s: %s', (_, code = '', says = '') => {
  expect(worked(code)).toEqual(worked(says));
});
