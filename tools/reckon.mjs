/** Starts the command-line reckoner, building it first if its sources changed. */
import { existsSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { buildIfChanged } from './lib/fingerprint.mjs';
import { at } from './lib/paths.mjs';
import { report } from './lib/processes.mjs';

const bundle = at('dist', 'reckon.mjs');

async function build() {
  if (!existsSync(at('node_modules', 'esbuild'))) {
    const { ensurePackages } = await import('./lib/install.mjs');
    // Standard output belongs to the answers.
    console.log = console.error;
    await ensurePackages();
  }
  const { bundleForNode } = await import('./lib/bundle.mjs');
  await bundleForNode(at('tools', 'reckon', 'main.ts'), bundle);
}

try {
  await buildIfChanged(
    at('dist', 'reckon.stamp'),
    [at('core', 'src'), at('contract', 'src'), at('tools', 'reckon')],
    bundle,
    build,
  );
  const { main } = await import(pathToFileURL(bundle).href);
  process.exitCode = await main(process.argv.slice(2));
} catch (error) {
  report(error);
}
