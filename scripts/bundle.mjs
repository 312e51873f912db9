import { build } from 'esbuild';

/**
 * Bundles a script with all it imports into one file that Node loads by itself.
 * @param {string} entry
 * @param {string} outfile
 */
export const bundleForNode = (entry, outfile) =>
  build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    // Packages of the older kind call for their parts by `require`.
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
    logLevel: 'warning',
  });
