// Runs the benchmarks as the product is shipped: bundled, not file by file. `npm run bench -- reading` runs one group.
import { execFileSync } from 'node:child_process';
import { build } from 'esbuild';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

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
  external: [
    '@playwright/test',
    'esbuild',
    'express',
    'express-static-gzip',
    'express-rate-limit',
    'compression',
    'helmet',
  ],
});
const run = (...args) =>
  execFileSync(process.execPath, ['--expose-gc', bundle, ...args], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
const wanted = process.argv.slice(2);
const groups = wanted.length > 0 ? wanted : run().trim().split('\n');
for (const group of groups) process.stdout.write(run(group));
