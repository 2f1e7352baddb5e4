/**
 * Runs a benchmark as it would run in production, bundled: node benchmarks/run.mjs entries [--parts]. Without a name,
 * all of them.
 */
import { readdirSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { bundleForNode } from '../tools/lib/bundle.mjs';
import { at } from '../tools/lib/paths.mjs';

/** Files that are a benchmark by themselves; the others are their parts. */
const RUNNABLE = [
  'rational',
  'entries',
  'slate',
  'quantities',
  'jigs',
  'spoken',
  'shapes',
  'screen',
  'devices',
  'server',
  'crowd',
  'clear',
  'long',
];
const asked = process.argv.slice(2).filter((argument) => !/^--|^\d+$/.test(argument));
const known = readdirSync(at('benchmarks', 'src'));
for (const name of asked.length > 0 ? asked : RUNNABLE) {
  if (!known.includes(`${name}.ts`)) {
    console.error(`There is no benchmark ${name}; there are ${RUNNABLE.join(', ')}.`);
    process.exit(1);
  }
  const bundle = at('dist', 'benchmarks', `${name}.mjs`);
  await bundleForNode(at('benchmarks', 'src', `${name}.ts`), bundle, [
    'vue',
    'mathjs',
    'fraction.js',
    'puppeteer-core',
    'autocannon',
    'vite',
  ]);
  await import(pathToFileURL(bundle).href);
}
