/** One file for Node.js out of a TypeScript entry point and everything it imports. */
import { build } from 'esbuild';

export async function bundleForNode(entry, outfile, external = []) {
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: 'linked',
    logLevel: 'warning',
    external,
    // Packages written for CommonJS ask for `require` inside an ES module.
    banner: {
      js: "import { createRequire as __createRequire } from 'node:module'; const require = __createRequire(import.meta.url);",
    },
  });
}
