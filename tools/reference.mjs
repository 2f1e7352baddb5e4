/** Makes the pages of docs/ that come from the code's own tables: node tools/reference.mjs [--check] */
import { pathToFileURL } from 'node:url';
import { bundleForNode } from './lib/bundle.mjs';
import { at } from './lib/paths.mjs';

const bundle = at('dist', 'reference.mjs');
await bundleForNode(at('tools', 'reference', 'main.ts'), bundle);
const { main } = await import(pathToFileURL(bundle).href);
const checking = process.argv.includes('--check');
const differing = main(checking);
if (differing.length > 0)
  console.log(
    `${checking ? 'Not as the tables are; run node tools/reference.mjs:' : 'Written:'} ${differing.join(', ')}`,
  );
process.exitCode = checking && differing.length > 0 ? 1 : 0;
