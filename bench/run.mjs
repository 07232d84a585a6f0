// Runs the benchmarks as the product is shipped: bundled, not file by file.
import { build } from 'esbuild';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const bundle = join(root, 'node_modules/.cache/junctura/bench.mjs');
process.chdir(root);
await build({
  entryPoints: [join(root, 'bench/src/main.ts')],
  outfile: bundle,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'error',
  external: ['@playwright/test', 'esbuild'],
});
await import(pathToFileURL(bundle).href);
