// Tries what nobody would do on purpose. `npm run fuzz -- --minutes 10 --seed 3`; what is found lies in fuzz/found.
import { spawnSync } from 'node:child_process';
import { build } from 'esbuild';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const folder = join(root, 'node_modules/.cache/junctura');
process.chdir(root);
await build({
  entryPoints: { fuzz: 'fuzz/src/main.ts', trier: 'fuzz/src/trier.ts' },
  outdir: folder,
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'error',
  external: ['@playwright/test', 'express', 'express-static-gzip', 'express-rate-limit', 'compression', 'helmet'],
});
const done = spawnSync(
  process.execPath,
  [join(folder, 'fuzz.mjs'), '--trier', join(folder, 'trier.mjs'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
process.exit(done.status ?? 1);
